import { readFile } from 'node:fs/promises'
import { createRequire } from 'node:module'
import { dirname, join } from 'node:path'
import fontkit from '@pdf-lib/fontkit'
import { PDFDocument, type PDFFont, type PDFPage, rgb } from 'pdf-lib'
import decompress from 'wawoff2/decompress.js'

const require = createRequire(import.meta.url)

/** The families that are shipped with the application. */
export type Family = 'atkinson-hyperlegible-next' | 'newsreader'

const unpacked = new Map<string, Promise<Uint8Array>>()
let unpacking: Promise<unknown> = Promise.resolve()

/** What the library gives lies in memory it uses again, so one font is unpacked after another, and copied. */
function unpack(path: string): Promise<Uint8Array> {
  const font = unpacking.then(async () => Uint8Array.from(await decompress(await readFile(path))))
  unpacking = font
  return font
}

/** A shipped font as OpenType, unpacked once: taking single glyphs out of a packed font unpacks all of it each time. */
function fontFile(family: Family, part: string): Promise<Uint8Array> {
  const path = join(
    dirname(require.resolve(`@fontsource/${family}/package.json`)),
    'files',
    `${family}-${part}-normal.woff2`,
  )
  const font = unpacked.get(path) ?? unpack(path)
  unpacked.set(path, font)
  return font
}

/** A font in two parts, as it is shipped: what the first cannot write, the second does. */
export type Face = readonly PDFFont[]

/** A new document that can embed the shipped fonts. Its dates are `madeAt`, so the same content gives the same bytes. */
export async function newPdf(title: string, madeAt: Date): Promise<PDFDocument> {
  const document = await PDFDocument.create()
  document.registerFontkit(fontkit)
  document.setTitle(title)
  document.setCreationDate(madeAt)
  document.setModificationDate(madeAt)
  return document
}

export const faceOf = (document: PDFDocument, family: Family, weight: 400 | 700): Promise<Face> =>
  Promise.all(
    [`latin-${weight}`, `latin-ext-${weight}`].map(async (part) =>
      document.embedFont(await fontFile(family, part), { subset: true }),
    ),
  )

const characters = new WeakMap<PDFFont, ReadonlySet<number>>()
function writes(font: PDFFont, character: string): boolean {
  const known = characters.get(font) ?? new Set(font.getCharacterSet())
  characters.set(font, known)
  return known.has(character.codePointAt(0)!)
}

function runsOf(face: Face, text: string): { font: PDFFont; text: string }[] {
  const runs: { font: PDFFont; text: string }[] = []
  for (const character of text) {
    const font = face.find((candidate) => writes(candidate, character)) ?? face[0]!
    const last = runs.at(-1)
    if (last?.font === font) last.text += character
    else runs.push({ font, text: character })
  }
  return runs
}

export const widthOf = (face: Face, text: string, size: number) =>
  runsOf(face, text).reduce((sum, run) => sum + run.font.widthOfTextAtSize(run.text, size), 0)

/** Writes one line with its left end at x and its baseline at y, in points. */
export function draw(page: PDFPage, face: Face, text: string, x: number, y: number, size: number) {
  let at = x
  for (const run of runsOf(face, text)) {
    page.drawText(run.text, { x: at, y, size, font: run.font, color: rgb(0.09, 0.13, 0.12) })
    at += run.font.widthOfTextAtSize(run.text, size)
  }
}

/** The lines of a paragraph that fit a width in points. */
export function wrapped(face: Face, paragraph: string, size: number, width: number): string[] {
  const lines: string[] = []
  for (const word of paragraph.split(/\s+/)) {
    const longer = lines.length === 0 ? word : `${lines.at(-1)} ${word}`
    if (lines.length > 0 && widthOf(face, longer, size) <= width) lines[lines.length - 1] = longer
    else lines.push(word)
  }
  return lines
}
