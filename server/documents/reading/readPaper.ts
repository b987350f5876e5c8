import type { PDFPageProxy } from 'pdfjs-dist'
import sharp from 'sharp'
import { type PaperText, type Place, type ReadWord, withLines } from '#core/reading/paperText'
import { codesIn } from '../../platform/pdf/codesIn'
import { drawPage, openPdf } from '../../platform/pdf/drawPages'
import { drawnOn } from './drawnOn'
import { evenOut } from './evenOut'
import { canRecognise, recogniseWords } from './recognise'
import { placeBefore, straighten, type Upright } from './straighten'

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

/** What a machine reads on a paper; `no recognition` where it is a picture and the program for it is missing. */
export type PaperReading = PaperText | 'no recognition'

type PageText = Pick<PaperText, 'words' | 'codes' | 'drawn'> & { recognised: boolean }

/** Reads a paper: PDF, JPEG or PNG. Runs in a process of its own. */
export async function readPaper(bytes: Uint8Array, mediaType: string): Promise<PaperReading> {
  const pages = mediaType === 'application/pdf' ? await readPdf(bytes) : [await readPicture(Buffer.from(bytes), 1)]
  const read = pages.filter((page) => page !== undefined)
  if (read.length === 0) return 'no recognition'
  return {
    how: read.every(({ recognised }) => recognised) ? 'recognised' : 'text layer',
    words: read.flatMap(({ words }, page) =>
      words.map((word) => (word.line === undefined ? word : { ...word, line: page * 1000 + word.line })),
    ),
    codes: read.flatMap(({ codes }) => codes),
    drawn: read.flatMap(({ drawn }) => drawn),
  }
}

async function readPdf(bytes: Uint8Array): Promise<(PageText | undefined)[]> {
  const document = await openPdf(bytes)
  const pages: (PageText | undefined)[] = []
  for (let number = 1; number <= Math.min(document.numPages, mostPages); number += 1) {
    const page = await document.getPage(number)
    const words = wordsOf(await page.getTextContent(), page.getViewport({ scale: 1 }), number)
    const letters = words.reduce((sum, { text }) => sum + text.length, 0)
    if (letters < leastLetters) pages.push(await readPicture(await pictureOf(page, dotsToRecognise), number))
    else {
      const picture = await pictureOf(page, dotsToLookAt)
      const codes = await readCodes(picture, number)
      pages.push({ words, codes, drawn: await drawnOn(picture, words, number), recognised: false })
    }
    page.cleanup()
  }
  await document.loadingTask.destroy()
  return pages
}

async function pictureOf(page: PDFPageProxy, dotsPerInch: number): Promise<Buffer> {
  const canvas = await drawPage(page, dotsPerInch)
  return sharp(canvas.data(), { raw: { width: canvas.width, height: canvas.height, channels: 4 } })
    .flatten({ background: '#ffffff' })
    .greyscale()
    .png({ compressionLevel: 1 })
    .toBuffer()
}

type TextContent = { items: readonly unknown[] }
type Viewport = { width: number; height: number; transform: number[] }
type TextItem = { str: string; transform: number[]; width: number; height: number }

/** The words of a page's text layer. A run of text is split at its spaces, by the share of its length that each takes. */
function wordsOf({ items }: TextContent, viewport: Viewport, page: number): ReadWord[] {
  const words: ReadWord[] = []
  for (const item of items) {
    const { str, transform, width, height } = item as Partial<TextItem>
    if (!str?.trim() || !transform) continue
    const [a, b, , , e, f] = transform as [number, number, number, number, number, number]
    const size = height || Math.hypot(a, b)
    const [sx, , , sy, tx, ty] = viewport.transform as [number, number, number, number, number, number]
    const left = (e * sx + tx) / viewport.width
    const bottom = (f * sy + ty) / viewport.height
    const length = (width! * Math.abs(sx)) / viewport.width
    const tall = (size * Math.abs(sy)) / viewport.height
    for (const { 0: text, index } of str.matchAll(/\S+/g)) {
      const place = {
        page,
        x: left + (length * index) / str.length,
        y: bottom - tall * 0.85,
        width: (length * text.length) / str.length,
        height: tall * 1.1,
      }
      const last = words.at(-1)
      // A letter that its font lacks is drawn with another, and is a run of its own.
      if (index === 0 && last && touches(last.place, place)) {
        last.text += text
        last.place.width = place.x + place.width - last.place.x
      } else words.push({ text, place })
    }
  }
  return words
}

const touches = (before: Place, after: Place) =>
  Math.abs(before.y - after.y) < before.height * 0.2 &&
  Math.abs(after.x - before.x - before.width) < Math.max(before.height, after.height) * 0.06

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
async function readPicture(bytes: Buffer, page: number): Promise<PageText | undefined> {
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
  if (!(await canRecognise())) return codes.length > 0 ? { words: [], codes, drawn: [], recognised: true } : undefined
  const upright = await straighten(await evenOut(grey))
  const words = await readTwice(upright, page)
  const back = (place: Place) => placeBefore(upright, place)
  const drawn = await drawnOn(upright.picture, words, page)
  return {
    words: withLines(words).map((word) => ({ ...word, place: back(word.place) })),
    codes,
    drawn: drawn.map(back),
    recognised: true,
  }
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
