import { createRequire } from 'node:module'
import { dirname } from 'node:path'
import { type Canvas, createCanvas, DOMMatrix, ImageData, Path2D } from '@napi-rs/canvas'
import type { PDFDocumentProxy, PDFPageProxy } from 'pdfjs-dist'

const require = createRequire(import.meta.url)
/** Fonts a PDF may leave out, as they ship with pdf.js: those of the machine are never looked at. */
const standardFonts = `${dirname(require.resolve('pdfjs-dist/package.json'))}/standard_fonts/`
// pdf.js would load a canvas of its own, whose shapes ours does not know.
Object.assign(globalThis, { Path2D, DOMMatrix, ImageData })

/** Opens a PDF that somebody sent; only ever in a process of its own. */
export async function openPdf(bytes: Uint8Array): Promise<PDFDocumentProxy> {
  const { getDocument } = await import('pdfjs-dist/legacy/build/pdf.mjs')
  return getDocument({
    // pdf.js takes the memory it is given away.
    data: new Uint8Array(bytes),
    isEvalSupported: false,
    useSystemFonts: false,
    standardFontDataUrl: standardFonts,
    disableFontFace: true,
    verbosity: 0,
    CanvasFactory: Canvases,
  }).promise
}

/** Draws a page at so many dots an inch. */
export async function drawPage(page: PDFPageProxy, dotsPerInch: number): Promise<Canvas> {
  const viewport = page.getViewport({ scale: dotsPerInch / 72 })
  const canvas = createCanvas(Math.ceil(viewport.width), Math.ceil(viewport.height))
  await page.render({ canvas: canvas as never, canvasContext: canvas.getContext('2d') as never, viewport }).promise
  return canvas
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
