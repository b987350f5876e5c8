import { draw, faceOf, newPdf, wrapped } from '../documents/pdfText'

export type Sheet = { title: string; paragraphs: readonly string[]; facts: readonly (readonly [string, string])[] }

/** One A4 sheet with a title, paragraphs and a list of facts, as PDF bytes. */
export async function sheetPdf({ title, paragraphs, facts }: Sheet, madeAt: Date): Promise<Buffer> {
  const document = await newPdf(title, madeAt)
  const plain = await faceOf(document, 'atkinson-hyperlegible-next', 400)
  const bold = await faceOf(document, 'atkinson-hyperlegible-next', 700)
  const page = document.addPage([595, 842])
  const margin = 64
  let y = 770
  draw(page, bold, title, margin, y, 18)
  y -= 34
  for (const paragraph of paragraphs) {
    for (const line of wrapped(plain, paragraph, 11, 595 - 2 * margin)) {
      draw(page, plain, line, margin, y, 11)
      y -= 16
    }
    y -= 9
  }
  y -= 8
  for (const [name, value] of facts) {
    draw(page, bold, name, margin, y, 11)
    draw(page, plain, value, margin + 130, y, 11)
    y -= 18
  }
  return Buffer.from(await document.save())
}
