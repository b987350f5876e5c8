import type { PDFPageProxy } from 'pdfjs-dist'
import { type Place, placeOf, type ReadWord } from '#core/reading/paperText'
import type { Making } from '#core/redFlags/facts'

/** A piece of text without a space, of one font. */
type Run = ReadWord & { font: string; begins: boolean }

type TextContent = { items: readonly unknown[] }
type Viewport = { width: number; height: number; transform: number[] }
type TextItem = { str: string; transform: number[]; width: number; height: number; fontName: string }

/** The runs of a page's text layer. One is split at its spaces, by the share of its length that each takes. */
export function runsOf({ items }: TextContent, viewport: Viewport, page: number): Run[] {
  const [sx, , , sy, tx, ty] = viewport.transform as [number, number, number, number, number, number]
  return items.flatMap((item): Run[] => {
    const { str, transform, width, height, fontName = '' } = item as Partial<TextItem>
    if (!str?.trim() || !transform) return []
    const [a, b, , , e, f] = transform as [number, number, number, number, number, number]
    const size = height || Math.hypot(a, b)
    const left = (e * sx + tx) / viewport.width
    const bottom = (f * sy + ty) / viewport.height
    const length = (width! * Math.abs(sx)) / viewport.width
    const tall = (size * Math.abs(sy)) / viewport.height
    return [...str.matchAll(/\S+/g)].map(({ 0: text, index }) => ({
      ...{ text, font: fontName, begins: index === 0 },
      place: {
        page,
        x: left + (length * index) / str.length,
        y: bottom - tall * 0.85,
        width: (length * text.length) / str.length,
        height: tall * 1.1,
      },
    }))
  })
}

/** The words that runs make up: a letter that its font lacks is drawn with another, and is a run of its own. */
export const wordsOf = (runs: readonly Run[]): ReadWord[] =>
  together(runs, 0.06).map((parts) => ({
    text: parts.map(({ text }) => text).join(''),
    place: parts.length === 1 ? parts[0]!.place : placeOf(parts),
  }))

/**
 * Numbers whose digits are of several fonts, as where some were put over others.
 *
 * @param page whose operators have been asked for, so that its fonts are known
 */
export function mixedFontsIn(page: PDFPageProxy, runs: readonly Run[]): Making['mixedFonts'] {
  const nameOf = (font: string): string => {
    const known = page.commonObjs.has(font) ? (page.commonObjs.get(font) as { name?: string }) : undefined
    // One font may be embedded in parts: the six letters before the plus sign tell them apart (ISO 32000-1, 9.6.4).
    return (known?.name ?? font).replace(/^[A-Z]{6}\+/, '')
  }
  return together(runs, 0.3).flatMap((parts) => {
    const text = parts.map((part) => part.text).join('')
    const fonts = new Set(parts.filter((part) => /\d/.test(part.text)).map(({ font }) => nameOf(font)))
    return fonts.size > 1 && /\d.*\d.*\d/.test(text) ? [{ text, place: placeOf(parts) }] : []
  })
}

/** Runs that touch, as a share of their height. */
function together(runs: readonly Run[], share: number): Run[][] {
  const words: Run[][] = []
  for (const run of runs) {
    const last = words.at(-1)
    if (last && run.begins && touches(last.at(-1)!.place, run.place, share)) last.push(run)
    else words.push([run])
  }
  return words
}

const touches = (before: Place, after: Place, share: number) =>
  Math.abs(before.y - after.y) < before.height * 0.2 &&
  Math.abs(after.x - before.x - before.width) < Math.max(before.height, after.height) * share
