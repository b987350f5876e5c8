import type { PDFDocument, PDFPage } from 'pdf-lib'
import { draw, type Face, widthOf } from './pdfText'

/** Who a document is from: a name and, where there is one, a logo as PNG. */
export type Letterhead = { name: string; logo?: Buffer }

const logoRoom = { width: 150, height: 34 }

/** Writes the name at the right of the head of a page, its baseline at y, with the logo before it. Points. */
export async function drawLetterhead(
  document: PDFDocument,
  page: PDFPage,
  face: Face,
  { name, logo }: Letterhead,
  { right, y }: { right: number; y: number },
): Promise<void> {
  const from = right - widthOf(face, name, 10)
  draw(page, face, name, from, y, 10)
  if (!logo) return
  const picture = await document.embedPng(logo)
  const { width, height } = picture.scaleToFit(logoRoom.width, Math.min(logoRoom.height, picture.height))
  page.drawImage(picture, { x: from - width - 12, y: y + 3 - height / 2, width, height })
}
