import { inflateSync } from 'node:zlib'
import { imageSize } from 'image-size'
import { PDFDocument } from 'pdf-lib'
import { documentLimits } from '#core/documents/limits'
import { type Coded, coded } from '#core/words/say'
import { activeContentIn, takeLinksOut } from './activeContent'
import { beginCounting, UnfoldsTooFar, wentOver } from './limitInflation'
import { WordFault, wordToPdf, wordType } from './wordToPdf'

/** A paper as it came in. */
export type Given = { bytes: Uint8Array; mediaType: 'application/pdf' | 'image/jpeg' | 'image/png' | typeof wordType }

/** What a paper turned out to be, or why it cannot be taken. `bytes` are there where something was taken out of it. */
export type Found =
  | { pages: number; bytes?: Uint8Array }
  | { refused: string; words: Coded; detail: Coded }
  | 'too much'

/** Looks a paper through, in a thread of its own: whoever made it may have meant to hold the server up. */
export default async function lookThrough(given: Given | 'get ready'): Promise<Found | undefined> {
  if (given === 'get ready') return undefined
  const { bytes, mediaType } = given
  if (mediaType === wordType) return word(bytes)
  return mediaType === 'application/pdf' ? pdf(bytes) : picture(Buffer.from(bytes), mediaType)
}

/** A Word file goes on as the PDF it was turned into. */
async function word(bytes: Uint8Array): Promise<Found> {
  let turned: Uint8Array
  try {
    turned = await wordToPdf(bytes, (bytes, mediaType) => 'pages' in picture(bytes, mediaType))
  } catch (error) {
    if (error instanceof UnfoldsTooFar) return 'too much'
    const fault = error instanceof WordFault ? error.fault : 'broken'
    return refused(`word-${fault}`, coded(`problem.word-${fault}`), coded('problem.word.do'))
  }
  const looked = await pdf(turned)
  return looked !== 'too much' && 'pages' in looked ? { bytes: turned, ...looked } : looked
}

async function pdf(bytes: Uint8Array): Promise<Found> {
  beginCounting()
  let document: PDFDocument
  try {
    document = await PDFDocument.load(bytes, { updateMetadata: false, throwOnInvalidObject: true })
  } catch (error) {
    if (wentOver()) return 'too much'
    return String(error).includes('encrypted')
      ? refused('locked-pdf', coded('problem.locked-pdf'), coded('problem.locked-pdf.do'))
      : brokenPdf
  }
  if (wentOver()) return 'too much'
  const pages = countPages(document)
  if (pages === 0) return brokenPdf
  if (pages > documentLimits.pages)
    return refused(
      'too-many-pages',
      coded('problem.too-many-pages', { pages, most: documentLimits.pages }),
      coded('problem.too-many-pages.do'),
    )
  const active = activeContentIn(document)
  if (active) return refused('active-pdf', coded(`problem.active-pdf.${active}`), coded('problem.active-pdf.do'))
  return takeLinksOut(document) ? { pages, bytes: await document.save() } : { pages }
}

/** A catalogue without pages is as good as none. */
function countPages(document: PDFDocument): number {
  try {
    return document.getPageCount()
  } catch {
    return 0
  }
}

function picture(bytes: Buffer, mediaType: 'image/jpeg' | 'image/png'): { pages: number } | Refusal {
  const size = sizeOf(bytes)
  if (!size || !endsWhole(bytes, mediaType)) return brokenPicture
  if (size.width * size.height > documentLimits.pixels)
    return refused(
      'picture-too-large',
      coded('problem.picture-too-large', { width: size.width, height: size.height }),
      coded('problem.picture-too-large.do'),
    )
  if (mediaType === 'image/png' && !holdsItsPixels(bytes)) return brokenPicture
  return { pages: 1 }
}

function sizeOf(bytes: Buffer) {
  try {
    return imageSize(bytes)
  } catch {
    return undefined
  }
}

/** Whether the end mark is there: IEND of a PNG, or the end of image after the last scan of a JPEG. */
function endsWhole(bytes: Buffer, mediaType: 'image/jpeg' | 'image/png'): boolean {
  if (mediaType === 'image/png') return bytes.subarray(-64 * 1024).includes('IEND')
  const lastScan = bytes.lastIndexOf(Buffer.from([0xff, 0xda]))
  return lastScan > 0 && bytes.indexOf(Buffer.from([0xff, 0xd9]), lastScan) > 0
}

const channels: Record<number, number> = { 0: 1, 2: 3, 3: 1, 4: 2, 6: 4 }

/**
 * Whether the data of a PNG unfold to its pixels and no further (W3C PNG, third edition, 5, 10 and 11.2): a row is a filter
 * byte and its pixels; interlaced, the seven passes add at most their own filter bytes and what a row is rounded up by.
 */
function holdsItsPixels(bytes: Buffer): boolean {
  const width = bytes.readUInt32BE(16)
  const height = bytes.readUInt32BE(20)
  const bits = bytes.readUInt8(24) * (channels[bytes.readUInt8(25)] ?? 4)
  const interlaced = bytes.readUInt8(28) !== 0
  const plain = height * (1 + Math.ceil((width * bits) / 8))
  const most = interlaced ? plain + 7 * 2 * (height + 1) : plain
  const parts: Buffer[] = []
  for (let at = 8; at + 8 <= bytes.length; ) {
    const length = bytes.readUInt32BE(at)
    if (bytes.toString('latin1', at + 4, at + 8) === 'IDAT') parts.push(bytes.subarray(at + 8, at + 8 + length))
    at += length + 12
  }
  try {
    return inflateSync(Buffer.concat(parts), { maxOutputLength: most }).length > 0
  } catch {
    return false
  }
}

type Refusal = Extract<Found, { refused: string }>

const refused = (code: string, words: Coded, detail: Coded): Refusal => ({ refused: code, words, detail })

const brokenPdf = refused('broken-pdf', coded('problem.broken-pdf'), coded('problem.broken-pdf.do'))
const brokenPicture = refused('broken-picture', coded('problem.broken-picture'), coded('problem.broken-picture.do'))
