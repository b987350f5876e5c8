import { readFileSync } from 'node:fs'
import { createRequire } from 'node:module'
import { dirname } from 'node:path'
import { createCanvas, DOMMatrix, ImageData, Path2D } from '@napi-rs/canvas'
import sharp, { type Sharp } from 'sharp'
import { prepareZXingModule, readBarcodes } from 'zxing-wasm/reader'
import { readSheetCode } from '#core/tray/coverSheet'
import type { ScannedPage } from '#core/tray/split'
import { coded } from '#core/words/say'
import { ScanFault } from './scanFault'

/** What was read of a page; `jpeg` is its picture where it did not come as a PDF. */
export type ReadPage = ScannedPage & { words: string; jpeg?: Uint8Array }

/** Enough for the square of a cover sheet; words are taken from the PDF itself. */
const dotsPerInch = 110
const longestLookedAt = 1300
const mostPages = 200
/** A page of which less is ink is blank: dust and the shadow of an edge are more common than a single word. */
const leastInk = 0.0006

const require = createRequire(import.meta.url)
/** Fonts a PDF may leave out, as they ship with pdf.js: those of the machine are never looked at. */
const standardFonts = `${dirname(require.resolve('pdfjs-dist/package.json'))}/standard_fonts/`
const wasm = readFileSync(require.resolve('zxing-wasm/reader/zxing_reader.wasm'))
prepareZXingModule({
  overrides: { wasmBinary: wasm.buffer.slice(wasm.byteOffset, wasm.byteOffset + wasm.byteLength) as ArrayBuffer },
})
// pdf.js would load a canvas of its own, whose shapes ours does not know.
Object.assign(globalThis, { Path2D, DOMMatrix, ImageData })

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
  const { getDocument } = await import('pdfjs-dist/legacy/build/pdf.mjs')
  const document = await getDocument({
    // pdf.js takes the memory it is given away.
    data: new Uint8Array(bytes),
    isEvalSupported: false,
    useSystemFonts: false,
    standardFontDataUrl: standardFonts,
    disableFontFace: true,
    verbosity: 0,
    CanvasFactory: Canvases,
  }).promise.catch(() => {
    throw new ScanFault(coded('tray.fault.brokenPdf'))
  })
  if (document.numPages > mostPages) throw new ScanFault(coded('tray.fault.tooManyPages', { most: mostPages }))
  const pages: ReadPage[] = []
  for (let number = 1; number <= document.numPages; number += 1) {
    const page = await document.getPage(number)
    const viewport = page.getViewport({ scale: dotsPerInch / 72 })
    const canvas = createCanvas(Math.ceil(viewport.width), Math.ceil(viewport.height))
    await page.render({
      canvas: canvas as never,
      canvasContext: canvas.getContext('2d') as never,
      viewport,
    }).promise
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

/** Canvases for pdf.js; with those of its own, pictures of one library would be drawn by another. */
class Canvases {
  create(width: number, height: number) {
    const canvas = createCanvas(width, height)
    return { canvas, context: canvas.getContext('2d') }
  }
  reset({ canvas }: { canvas: ReturnType<typeof createCanvas> }, width: number, height: number) {
    canvas.width = width
    canvas.height = height
  }
  destroy(held: { canvas: ReturnType<typeof createCanvas> | null; context: unknown }) {
    held.canvas = null
    held.context = null
  }
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
  const { data, info } = await grey
    .clone()
    .normalise({ lower: 1, upper: 99 })
    .raw()
    .toBuffer({ resolveWithObject: true })
  const rgba = new Uint8ClampedArray(info.width * info.height * 4)
  for (let at = 0; at < info.width * info.height; at += 1) {
    const value = data[at * info.channels]!
    rgba[at * 4] = value
    rgba[at * 4 + 1] = value
    rgba[at * 4 + 2] = value
    rgba[at * 4 + 3] = 255
  }
  const found = await readBarcodes(
    { data: rgba, width: info.width, height: info.height } as unknown as globalThis.ImageData,
    {
      formats: ['QRCode'],
      tryHarder: true,
      tryInvert: false,
    },
  )
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
