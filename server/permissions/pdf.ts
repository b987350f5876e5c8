import { readFile } from 'node:fs/promises'
import { createRequire } from 'node:module'
import { dirname, join } from 'node:path'
import fontkit from '@pdf-lib/fontkit'
import { PDFDocument, type PDFFont, type PDFPage, rgb } from 'pdf-lib'

const fontFolder = join(dirname(createRequire(import.meta.url).resolve('@fontsource/atkinson-hyperlegible-next/package.json')), 'files')
const fontFile = (part: string) => readFile(join(fontFolder, `atkinson-hyperlegible-next-${part}-normal.woff`))

/** A font in two parts, as it is shipped: what the first cannot write, the second does. */
type Face = readonly PDFFont[]

async function faceOf(document: PDFDocument, weight: 400 | 700): Promise<Face> {
  return Promise.all([`latin-${weight}`, `latin-ext-${weight}`].map(async (part) => document.embedFont(await fontFile(part), { subset: true })))
}

function runsOf(face: Face, text: string): { font: PDFFont; text: string }[] {
  const runs: { font: PDFFont; text: string }[] = []
  for (const character of text) {
    const font = face.find((candidate) => candidate.getCharacterSet().includes(character.codePointAt(0)!)) ?? face[0]!
    const last = runs.at(-1)
    if (last?.font === font) last.text += character
    else runs.push({ font, text: character })
  }
  return runs
}

const widthOf = (face: Face, text: string, size: number) => runsOf(face, text).reduce((sum, run) => sum + run.font.widthOfTextAtSize(run.text, size), 0)

function draw(page: PDFPage, face: Face, text: string, x: number, y: number, size: number) {
  let at = x
  for (const run of runsOf(face, text)) {
    page.drawText(run.text, { x: at, y, size, font: run.font, color: rgb(0.09, 0.13, 0.12) })
    at += run.font.widthOfTextAtSize(run.text, size)
  }
}

export type Sheet = { title: string; paragraphs: readonly string[]; facts: readonly (readonly [string, string])[] }

/** One A4 sheet with a title, paragraphs and a list of facts, as PDF bytes. */
export async function sheetPdf({ title, paragraphs, facts }: Sheet, madeAt: Date): Promise<Buffer> {
  const document = await PDFDocument.create()
  document.registerFontkit(fontkit)
  document.setTitle(title)
  document.setCreationDate(madeAt)
  document.setModificationDate(madeAt)
  const plain = await faceOf(document, 400)
  const bold = await faceOf(document, 700)
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

function wrapped(face: Face, paragraph: string, size: number, width: number): string[] {
  const lines: string[] = []
  for (const word of paragraph.split(/\s+/)) {
    const longer = lines.length === 0 ? word : `${lines.at(-1)} ${word}`
    if (lines.length > 0 && widthOf(face, longer, size) <= width) lines[lines.length - 1] = longer
    else lines.push(word)
  }
  return lines
}
