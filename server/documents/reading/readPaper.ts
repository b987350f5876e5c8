import type { PDFPageProxy } from 'pdfjs-dist'
import sharp from 'sharp'
import { type PaperText, type Place, type ReadWord, withLines } from '#core/reading/paperText'
import type { Making } from '#core/redFlags/facts'
import { codesIn } from '../../platform/pdf/codesIn'
import { drawPage, openPdf } from '../../platform/pdf/drawPages'
import { drawnOn } from './drawnOn'
import { evenOut } from './evenOut'
import { overPicture } from './overPicture'
import { pictureHash } from './pictureHash'
import { canRecognise, recogniseWords } from './recognise'
import { signedAs } from './signed'
import { softwareOfPdf, softwareOfPicture } from './software'
import { placeBefore, straighten, type Upright } from './straighten'
import { mixedFontsIn, runsOf, wordsOf } from './textRuns'

const mostPages = 20
/** A page with fewer letters in its text layer is a picture. */
const leastLetters = 12
/** Enough for codes and for ink that is no text; a page that is a picture is drawn anew, larger. */
const dotsToLookAt = 110
const dotsToRecognise = 200
/** Pictures are brought to about an A4 page at 200 dots an inch, small ones no further than doubled. */
const longestSide = 2339
const mostEnlarged = 1.8
/** How much smaller it is looked at the second time, so that a misread is not misread alike. */
const second = 0.8

/** What a machine finds of a paper: what it says, or `no recognition` where it is a picture and the program for it is missing; what it looks like, page by page; how it was made. */
export type PaperRead = { text: PaperText | 'no recognition'; pictures: (string | null)[]; making: Making }

type PageText = Pick<PaperText, 'words' | 'codes' | 'drawn'> & { recognised: boolean }
type Page = { read: PageText | undefined; picture: string | null }

/** Reads a paper: PDF, JPEG or PNG. Runs in a process of its own. */
export async function readPaper(bytes: Uint8Array, mediaType: string): Promise<PaperRead> {
  return mediaType === 'application/pdf' ? readPdf(Buffer.from(bytes)) : readPhotograph(Buffer.from(bytes))
}

async function readPhotograph(bytes: Buffer): Promise<PaperRead> {
  const software = await softwareOfPicture(bytes)
  return paperOf([await readPicture(bytes, 1)], { signed: 'not', software, overPicture: [], mixedFonts: [] })
}

async function readPdf(bytes: Buffer): Promise<PaperRead> {
  const document = await openPdf(bytes)
  const making: Making = {
    ...{ signed: signedAs(bytes), software: await softwareOfPdf(document) },
    ...{ overPicture: [], mixedFonts: [] },
  }
  const pages: Page[] = []
  for (let number = 1; number <= Math.min(document.numPages, mostPages); number += 1) {
    const page = await document.getPage(number)
    const runs = runsOf(await page.getTextContent(), page.getViewport({ scale: 1 }), number)
    const words = wordsOf(runs)
    const letters = words.reduce((sum, { text }) => sum + text.length, 0)
    if (letters > 0) {
      making.overPicture.push(...(await overPicture(page, words)))
      making.mixedFonts.push(...mixedFontsIn(page, runs))
    }
    if (letters < leastLetters) pages.push(await readPicture(await pictureOf(page, dotsToRecognise), number))
    else {
      const picture = await pictureOf(page, dotsToLookAt)
      const codes = await readCodes(picture, number)
      const drawn = await drawnOn(picture, words, number)
      pages.push({
        read: { words, codes, drawn, recognised: false },
        picture: (await pictureHash(await evenOut(picture))) ?? null,
      })
    }
    page.cleanup()
  }
  await document.loadingTask.destroy()
  return paperOf(pages, making)
}

function paperOf(pages: readonly Page[], making: Making): PaperRead {
  const read = pages.flatMap((page) => page.read ?? [])
  const pictures = pages.map(({ picture }) => picture)
  if (read.length === 0) return { text: 'no recognition', pictures, making }
  const text: PaperText = {
    how: read.every(({ recognised }) => recognised) ? 'recognised' : 'text layer',
    words: read.flatMap(({ words }, page) =>
      words.map((word) => (word.line === undefined ? word : { ...word, line: page * 1000 + word.line })),
    ),
    codes: read.flatMap(({ codes }) => codes),
    drawn: read.flatMap(({ drawn }) => drawn),
  }
  return { text, pictures, making }
}

async function pictureOf(page: PDFPageProxy, dotsPerInch: number): Promise<Buffer> {
  const canvas = await drawPage(page, dotsPerInch)
  return sharp(canvas.data(), { raw: { width: canvas.width, height: canvas.height, channels: 4 } })
    .flatten({ background: '#ffffff' })
    .greyscale()
    .png({ compressionLevel: 1 })
    .toBuffer()
}

async function readCodes(grey: Buffer, page: number): Promise<PaperText['codes']> {
  const { width = 1, height = 1 } = await sharp(grey).metadata()
  return (await codesIn(sharp(grey).greyscale()))
    .filter(({ isValid, text }) => isValid && text.trim() !== '')
    .map(({ text, position }) => {
      const corners = [position.topLeft, position.topRight, position.bottomLeft, position.bottomRight]
      const [xs, ys] = [corners.map(({ x }) => x / width), corners.map(({ y }) => y / height)]
      const [x, y] = [Math.min(...xs), Math.min(...ys)]
      return {
        text: text.slice(0, 2000),
        place: { page, x, y, width: Math.max(...xs) - x, height: Math.max(...ys) - y },
      }
    })
}

/** A photograph or scan: brought upright, looked at twice, and only what was read the same both times counts as read. */
async function readPicture(bytes: Buffer, page: number): Promise<Page> {
  const picture = sharp(bytes, { limitInputPixels: 120_000_000 })
  const { width = 1, height = 1 } = await picture.metadata()
  const side = Math.min(longestSide, Math.round(Math.max(width, height) * mostEnlarged))
  const grey = await picture
    .autoOrient()
    .flatten({ background: '#ffffff' })
    .greyscale()
    .resize({ width: side, height: side, fit: 'inside', kernel: 'cubic' })
    .png({ compressionLevel: 1 })
    .toBuffer()
  const codes = await readCodes(grey, page)
  const upright = await straighten(await evenOut(grey))
  const hash = (await pictureHash(upright.picture)) ?? null
  if (!(await canRecognise()))
    return { picture: hash, read: codes.length > 0 ? { words: [], codes, drawn: [], recognised: true } : undefined }
  const words = await readTwice(upright, page)
  const back = (place: Place) => placeBefore(upright, place)
  const drawn = await drawnOn(upright.picture, words, page)
  const read = {
    words: withLines(words).map((word) => ({ ...word, place: back(word.place) })),
    codes,
    drawn: drawn.map(back),
    recognised: true,
  }
  return { read, picture: hash }
}

async function readTwice({ picture, after }: Upright, page: number): Promise<ReadWord[]> {
  const smaller = { width: Math.round(after.width * second), height: Math.round(after.height * second) }
  const again = await sharp(picture)
    .resize({ ...smaller, fit: 'fill', kernel: 'lanczos3' })
    .sharpen({ sigma: 1.2 })
    .png({ compressionLevel: 1 })
    .toBuffer()
  const [first, other] = await Promise.all([recogniseWords(picture, after, page), recogniseWords(again, smaller, page)])
  return first.map((word) => {
    const same = other.some(({ text, place }) => text === word.text && overlaps(place, word.place))
    return same ? word : { ...word, doubtful: true }
  })
}

const overlaps = (a: Place, b: Place) => {
  const width = Math.min(a.x + a.width, b.x + b.width) - Math.max(a.x, b.x)
  const height = Math.min(a.y + a.height, b.y + b.height) - Math.max(a.y, b.y)
  return width > 0 && height > 0 && width * height > 0.4 * Math.min(a.width * a.height, b.width * b.height)
}
