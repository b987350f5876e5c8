import sharp, { type Sharp } from 'sharp'
import { readSheetCode } from '#core/tray/coverSheet'
import type { ScannedPage } from '#core/tray/split'
import { coded } from '#core/words/say'
import { codesIn } from '../../platform/pdf/codesIn'
import { drawPage, openPdf } from '../../platform/pdf/drawPages'
import { ScanFault } from './scanFault'

/** What was read of a page; `jpeg` is its picture where it did not come as a PDF. */
export type ReadPage = ScannedPage & { words: string; jpeg?: Uint8Array }

/** Enough for the square of a cover sheet; words are taken from the PDF itself. */
const dotsPerInch = 110
const longestLookedAt = 1300
const mostPages = 200
/** A page of which less is ink is blank: dust and the shadow of an edge are more common than a single word. */
const leastInk = 0.0006

/**
 * Reads the pages of a scan: PDF, TIFF, JPEG or PNG. Faint pages are spread over the whole range of grey before their
 * codes are looked for; codes are found at any angle. Runs in a process of its own (readPagesApart).
 *
 * @throws Error in words for a person where the file cannot be opened or has too many pages
 */
export async function readPages(bytes: Uint8Array): Promise<ReadPage[]> {
  const isPdf = Buffer.from(bytes.subarray(0, 1024)).includes('%PDF-')
  return isPdf ? readPdf(bytes) : readPictures(Buffer.from(bytes))
}

async function readPdf(bytes: Uint8Array): Promise<ReadPage[]> {
  const document = await openPdf(bytes).catch(() => {
    throw new ScanFault(coded('tray.fault.brokenPdf'))
  })
  if (document.numPages > mostPages) throw new ScanFault(coded('tray.fault.tooManyPages', { most: mostPages }))
  const pages: ReadPage[] = []
  for (let number = 1; number <= document.numPages; number += 1) {
    const page = await document.getPage(number)
    const canvas = await drawPage(page, dotsPerInch)
    const words = (await page.getTextContent()).items.map((item) => ('str' in item ? item.str : '')).join(' ')
    pages.push({
      ...(await lookAt(sharp(canvas.data(), { raw: { width: canvas.width, height: canvas.height, channels: 4 } }))),
      words,
    })
    page.cleanup()
  }
  await document.loadingTask.destroy()
  return pages
}

async function readPictures(bytes: Buffer): Promise<ReadPage[]> {
  const { pages = 1 } = await sharp(bytes, { limitInputPixels: 120_000_000 })
    .metadata()
    .catch(() => {
      throw new ScanFault(coded('tray.fault.wrongKind'))
    })
  if (pages > mostPages) throw new ScanFault(coded('tray.fault.tooManyPages', { most: mostPages }))
  const read: ReadPage[] = []
  for (let page = 0; page < pages; page += 1) {
    // As it is meant to be seen, and no larger than a page has to be.
    const picture = sharp(bytes, pages > 1 ? { page } : {})
      .autoOrient()
      .flatten({ background: '#ffffff' })
      .resize({ width: 2000, height: 2000, fit: 'inside', withoutEnlargement: true })
    const jpeg = await picture.jpeg({ quality: 82 }).toBuffer()
    read.push({ ...(await lookAt(sharp(jpeg))), words: '', jpeg })
  }
  return read
}

async function lookAt(picture: Sharp): Promise<ScannedPage> {
  const grey = picture
    .flatten({ background: '#ffffff' })
    .resize({ width: longestLookedAt, height: longestLookedAt, fit: 'inside', withoutEnlargement: true })
    .greyscale()
  const found = await codesIn(grey.clone().normalise({ lower: 1, upper: 99 }), ['QRCode'])
  for (const { text, orientation } of found) {
    const sheet = readSheetCode(text)
    if (sheet) return { sheet, turned: quarterTurns(orientation), blank: false }
  }
  return { blank: await isBlank(grey) }
}

/** Degrees clockwise as whole quarter turns. */
const quarterTurns = (degrees: number) => (((Math.round(degrees / 90) % 4) + 4) % 4) as 0 | 1 | 2 | 3

async function isBlank(grey: Sharp): Promise<boolean> {
  const { data } = await grey
    .clone()
    .resize(400, 566, { fit: 'fill' })
    .blur(0.6)
    .raw()
    .toBuffer({ resolveWithObject: true })
  const histogram = new Uint32Array(256)
  for (const value of data) histogram[value]! += 1
  const paper = histogram.indexOf(Math.max(...histogram))
  let ink = 0
  for (let value = 0; value < paper - 28; value += 1) ink += histogram[value]!
  return ink / data.length < leastInk
}
