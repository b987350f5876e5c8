import { drawLetterhead, type Letterhead } from './letterhead'
import { draw, faceOf, newPdf, wrapped } from './pdfText'

type Fact = readonly [name: string, value: string]

export type Sheet = {
  from: Letterhead
  title: string
  paragraphs: readonly string[]
  facts: readonly Fact[]
  /** A picture beneath the facts, PNG. */
  picture?: Buffer
  /** Further facts under headings of their own. */
  sections?: readonly { heading: string; facts: readonly Fact[] }[]
}

const a4 = [595, 842] as const
const margin = 64
const nameWidth = 150
const line = 16

/** A4 sheets with a title, paragraphs and facts, as PDF bytes; as many pages as it takes. */
export async function sheetPdf(
  { from, title, paragraphs, facts, picture, sections = [] }: Sheet,
  madeAt: Date,
): Promise<Buffer> {
  const document = await newPdf(title, madeAt)
  const plain = await faceOf(document, 'atkinson-hyperlegible-next', 400)
  const bold = await faceOf(document, 'atkinson-hyperlegible-next', 700)
  let page = document.addPage([...a4])
  await drawLetterhead(document, page, plain, from, { right: a4[0] - margin, y: 798 })
  let y = 750
  const room = (height: number) => {
    if (y - height > margin) return
    page = document.addPage([...a4])
    y = 778
  }
  const fact = ([name, value]: Fact) => {
    const names = wrapped(bold, name, 11, nameWidth - 12)
    const values = wrapped(plain, value, 11, a4[0] - 2 * margin - nameWidth)
    const lines = Math.max(names.length, values.length, 1)
    room(Math.min(lines, 8) * line)
    for (let index = 0; index < lines; index += 1) {
      room(line)
      if (names[index]) draw(page, bold, names[index]!, margin, y, 11)
      if (values[index]) draw(page, plain, values[index]!, margin + nameWidth, y, 11)
      y -= line
    }
    y -= 3
  }
  for (const text of wrapped(bold, title, 18, a4[0] - 2 * margin)) {
    draw(page, bold, text, margin, y, 18)
    y -= 24
  }
  y -= 10
  for (const paragraph of paragraphs) {
    for (const text of wrapped(plain, paragraph, 11, a4[0] - 2 * margin)) {
      room(line)
      draw(page, plain, text, margin, y, 11)
      y -= line
    }
    y -= 9
  }
  y -= 8
  for (const each of facts) fact(each)
  if (picture) {
    const image = await document.embedPng(picture)
    const { width, height } = image.scaleToFit(260, 110)
    room(height + line)
    page.drawImage(image, { x: margin + nameWidth, y: y - height, width, height })
    y -= height + line
  }
  for (const { heading, facts: own } of sections) {
    if (own.length === 0) continue
    room(60)
    y -= 14
    draw(page, bold, heading, margin, y, 14)
    y -= 24
    for (const each of own) fact(each)
  }
  return Buffer.from(await document.save())
}
