import type { PDFDocumentProxy, PDFPageProxy } from 'pdfjs-dist'

/** Opens a PDF by its address or from its bytes, with pdf.js, whose code is loaded when it is first needed. */
export async function openPdf(from: { url: string } | { data: ArrayBuffer }): Promise<PDFDocumentProxy> {
  const [pdfjs, worker] = await Promise.all([import('pdfjs-dist'), import('pdfjs-dist/build/pdf.worker.min.mjs?url')])
  pdfjs.GlobalWorkerOptions.workerSrc = worker.default
  return pdfjs.getDocument({ ...from, isEvalSupported: false }).promise
}

/** Draws a page on a canvas, so many pixels wide. */
export function drawPdfPage(page: PDFPageProxy, canvas: HTMLCanvasElement, width: number) {
  const viewport = page.getViewport({ scale: width / page.getViewport({ scale: 1 }).width })
  canvas.width = Math.floor(viewport.width)
  canvas.height = Math.floor(viewport.height)
  return page.render({ canvas, viewport })
}
