import { readFile } from 'node:fs/promises'
import { createRequire } from 'node:module'
import { dirname, join } from 'node:path'
import type { PDFDocument, PDFFont, PDFPage, RGB } from 'pdf-lib'

const require = createRequire(import.meta.url)

/** The families that are shipped with the application. */
export type Family = 'atkinson-hyperlegible-next' | 'newsreader'

/** The libraries that make PDF files take long to load, and most copies never make one. */
let fontkit: typeof import('@pdf-lib/fontkit')

/** A colour as pdf-lib takes it, each part 0 to 1. */
export const colour = (red: number, green: number, blue: number): RGB => ({
  type: 'RGB' as RGB['type'],
  red,
  green,
  blue,
})
const ink = colour(0.09, 0.13, 0.12)

const unpacked = new Map<string, Promise<Uint8Array>>()
let unpacking: Promise<unknown> = Promise.resolve()

/** What the library gives lies in memory it uses again, so one font is unpacked after another, and copied. */
function unpack(path: string): Promise<Uint8Array> {
  const font = unpacking.then(async () => {
    const { default: decompress } = await import('wawoff2/decompress.js')
    return Uint8Array.from(await decompress(await readFile(path)))
  })
  unpacking = font
  return font
}

/** The parts a shipped font comes in: what the first cannot write, the second does. */
export const fontParts = (weight: 400 | 700) => [`latin-${weight}`, `latin-ext-${weight}`] as const

/** A shipped font as OpenType, unpacked once: taking single glyphs out of a packed font unpacks all of it each time. */
export function fontFile(family: Family, part: string): Promise<Uint8Array> {
  const path = join(
    dirname(require.resolve(`@fontsource/${family}/package.json`)),
    'files',
    `${family}-${part}-normal.woff2`,
  )
  const font = unpacked.get(path) ?? unpack(path)
  unpacked.set(path, font)
  return font
}

const read = new WeakMap<Uint8Array, ReturnType<typeof fontkit.create>>()

type Glyph = { codePoints: number[] }
type WithGlyphs = { getGlyph: (id: number, codePoints?: number[]) => Glyph }

/**
 * A glyph that was first met as a part of another, as the e of ë, is remembered without its character, and whoever reads
 * the next document finds none there: it gets it once it is known.
 */
function keepCharacters(font: WithGlyphs) {
  const getGlyph = font.getGlyph.bind(font)
  font.getGlyph = (id, codePoints = []) => {
    const glyph = getGlyph(id, codePoints)
    if (codePoints.length > 0 && glyph.codePoints.length === 0) glyph.codePoints = codePoints
    return glyph
  }
}

const mostLaidOut = 10_000

/**
 * A font that has been read serves every document; each takes the glyphs it needs. Lines that are in every document,
 * such as those of the permission, are laid out once.
 */
function readFont(bytes: Uint8Array) {
  const known = read.get(bytes)
  if (known) return known
  const font = fontkit.create(bytes)
  keepCharacters(font as unknown as WithGlyphs)
  const layOut = font.layout.bind(font)
  const laidOut = new Map<string, ReturnType<typeof layOut>>()
  font.layout = (text, features) => {
    const key = JSON.stringify([text, features])
    const line = laidOut.get(key) ?? layOut(text, features)
    if (laidOut.size < mostLaidOut) laidOut.set(key, line)
    return line
  }
  read.set(bytes, font)
  return font
}

/** One part of a shipped font in a document; the widths of its words are the same in every document. */
type Part = { font: PDFFont; characters: ReadonlySet<number>; widths: Map<string, number> }

/** A font in two parts, as it is shipped: what the first cannot write, the second does. */
export type Face = readonly Part[]

/** Widths of words at a size of 1, by the part of a font. Laying letters out is the dear part of a page. */
const widths = new Map<string, Map<string, number>>()
const mostWidths = 20_000

/** A new document that can embed the shipped fonts. Its dates are `madeAt`, so the same content gives the same bytes. */
export async function newPdf(title: string, madeAt: Date): Promise<PDFDocument> {
  const { PDFDocument: Document } = await import('pdf-lib')
  const document = await withFonts(await Document.create())
  document.setTitle(title)
  document.setCreationDate(madeAt)
  document.setModificationDate(madeAt)
  return document
}

/** A document that is there already, so that the shipped fonts can be embedded into it. */
export async function withFonts(document: PDFDocument): Promise<PDFDocument> {
  fontkit ??= (await import('@pdf-lib/fontkit')).default as typeof import('@pdf-lib/fontkit')
  document.registerFontkit({ create: readFont })
  return document
}

export const faceOf = (document: PDFDocument, family: Family, weight: 400 | 700): Promise<Face> =>
  Promise.all(
    fontParts(weight).map(async (part) => {
      const font = await document.embedFont(await fontFile(family, part), { subset: true })
      const name = `${family}-${part}`
      const known = widths.get(name) ?? new Map<string, number>()
      widths.set(name, known)
      return { font, characters: new Set(font.getCharacterSet()), widths: known }
    }),
  )

function runsOf(face: Face, text: string): { part: Part; text: string }[] {
  const runs: { part: Part; text: string }[] = []
  for (const character of text) {
    const part = face.find(({ characters }) => characters.has(character.codePointAt(0)!)) ?? face[0]!
    const last = runs.at(-1)
    if (last?.part === part) last.text += character
    else runs.push({ part, text: character })
  }
  return runs
}

function widthOfRun({ font, widths: known }: Part, text: string, size: number): number {
  const width = known.get(text) ?? font.widthOfTextAtSize(text, 1)
  if (known.size < mostWidths) known.set(text, width)
  return width * size
}

export const widthOf = (face: Face, text: string, size: number) =>
  runsOf(face, text).reduce((sum, run) => sum + widthOfRun(run.part, run.text, size), 0)

/** Writes one line with its left end at x and its baseline at y, in points. */
export function draw(page: PDFPage, face: Face, text: string, x: number, y: number, size: number) {
  let at = x
  const runs = runsOf(face, text)
  for (const [nth, { part, text: own }] of runs.entries()) {
    page.drawText(own, { x: at, y, size, font: part.font, color: ink })
    if (nth < runs.length - 1) at += widthOfRun(part, own, size)
  }
}

/** The lines of a paragraph that fit a width in points. Words are measured one by one, as they stand between spaces. */
export function wrapped(face: Face, paragraph: string, size: number, width: number): string[] {
  const lines: string[] = []
  const space = widthOf(face, ' ', size)
  let taken = 0
  for (const word of paragraph.split(/\s+/)) {
    const own = widthOf(face, word, size)
    if (lines.length > 0 && taken + space + own <= width) {
      lines[lines.length - 1] += ` ${word}`
      taken += space + own
    } else {
      lines.push(word)
      taken = own
    }
  }
  return lines
}
