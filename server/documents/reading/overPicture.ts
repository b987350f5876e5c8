import type { PDFPageProxy } from 'pdfjs-dist'
import { placeOf, type ReadWord } from '#core/reading/paperText'
import type { Making } from '#core/redFlags/facts'

/** The share of a page from which a picture is the page. */
const leastOfPage = 0.5
/** A picture with more words on it is what a form is printed on. */
const mostWords = 40
const invisible = 3

type Matrix = [number, number, number, number, number, number]
type Box = { left: number; bottom: number; right: number; top: number }

/**
 * Text that was laid over a picture of a page, and is seen: what recognition has put there is not. Goes through what is drawn in
 * its order (ISO 32000-1, 8.3 and 9.3.6).
 *
 * @param words of the text layer
 */
export async function overPicture(page: PDFPageProxy, words: readonly ReadWord[]): Promise<Making['overPicture']> {
  const { OPS } = await import('pdfjs-dist/legacy/build/pdf.mjs')
  const { fnArray, argsArray } = await page.getOperatorList()
  const [x0, y0, x1, y1] = page.view as [number, number, number, number]
  let now: { matrix: Matrix; mode: number } = { matrix: [1, 0, 0, 1, 0, 0], mode: 0 }
  const kept: (typeof now)[] = []
  let picture: Box | undefined
  // Letters that are seen, in the order in which they are drawn after the picture.
  let seen = ''
  const into = (matrix: unknown) => {
    if (matrix) now = { ...now, matrix: times(now.matrix, Array.from(matrix as Matrix) as Matrix) }
  }
  const keep = () => void kept.push({ ...now })
  const back = () => {
    now = kept.pop() ?? now
  }
  const drawPicture = () => {
    const box = boxOf(now.matrix)
    const share = ((box.right - box.left) * (box.top - box.bottom)) / ((x1 - x0) * (y1 - y0))
    // What lay under it is covered.
    if (share >= leastOfPage) [picture, seen] = [box, '']
  }
  const by = new Map<number, (args: unknown[]) => void>([
    [OPS.save, keep],
    [OPS.restore, back],
    [OPS.transform, into],
    [
      OPS.paintFormXObjectBegin,
      ([matrix]) => {
        keep()
        into(matrix)
      },
    ],
    [OPS.paintFormXObjectEnd, back],
    [
      OPS.setTextRenderingMode,
      ([mode]) => {
        now = { ...now, mode: Number(mode) }
      },
    ],
    [
      OPS.showText,
      ([glyphs]) => {
        if (picture && now.mode !== invisible) seen += lettersOf(glyphs)
      },
    ],
    [OPS.paintImageXObject, drawPicture],
    [OPS.paintInlineImageXObject, drawPicture],
  ])
  for (const [nth, operation] of fnArray.entries()) by.get(operation)?.((argsArray[nth] ?? []) as unknown[])
  if (!picture) return []
  const over = words.filter(({ text, place }) => {
    const x = x0 + (place.x + place.width / 2) * (x1 - x0)
    const y = y1 - (place.y + place.height / 2) * (y1 - y0)
    const within = x >= picture!.left && x <= picture!.right && y >= picture!.bottom && y <= picture!.top
    return within && seen.includes(text)
  })
  if (over.length === 0 || over.length > mostWords) return []
  return [{ text: over.map(({ text }) => text).join(' '), place: placeOf(over) }]
}

const lettersOf = (glyphs: unknown): string =>
  (Array.isArray(glyphs) ? glyphs : [])
    .map((glyph) => (typeof glyph === 'object' && glyph ? ((glyph as { unicode?: string }).unicode ?? '') : ''))
    .join('')
    .replace(/\s+/g, '')

const times = ([a, b, c, d, e, f]: Matrix, [g, h, i, j, k, l]: Matrix): Matrix => [
  a * g + c * h,
  b * g + d * h,
  a * i + c * j,
  b * i + d * j,
  a * k + c * l + e,
  b * k + d * l + f,
]

/** Where the unit square lies that a picture is drawn into. */
function boxOf([a, b, c, d, e, f]: Matrix): Box {
  const xs = [e, e + a, e + c, e + a + c]
  const ys = [f, f + b, f + d, f + b + d]
  return { left: Math.min(...xs), right: Math.max(...xs), bottom: Math.min(...ys), top: Math.max(...ys) }
}
