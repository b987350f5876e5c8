import type { Temporal } from 'temporal-polyfill'
import { readZone, type ZoneReading } from '../identity/machineZone'
import { linesOf, type PaperText, type Place, placeOf } from './paperText'

const widths = [44, 36, 30]
/** What recognition makes of the filler and of spaces between characters. */
const tidy = (text: string) => text.replace(/\s/g, '').replaceAll('«', '<<').replaceAll('‹', '<').toUpperCase()

/**
 * The machine-readable zone among the lines of a paper, where every check digit agrees: two or three lines of one length
 * that hold nothing but capitals, digits and fillers.
 */
export function zoneIn(
  paper: PaperText,
  today: Temporal.PlainDate,
): { reading: ZoneReading; place: Place } | undefined {
  const lines = linesOf(paper.words).map((line) => ({ ...line, zone: tidy(line.text) }))
  for (const width of widths)
    for (const count of width === 30 ? [3] : [2]) {
      const rows = lines.filter(({ zone }) => zone.length === width && /^[A-Z0-9<]+$/.test(zone))
      for (let at = 0; at + count <= rows.length; at += 1) {
        const block = rows.slice(at, at + count)
        const reading = readZone(block.map(({ zone }) => zone).join('\n'), today)
        if (!('code' in reading) && reading.wrong.length === 0 && reading.mended.length === 0)
          return { reading, place: placeOf(block.flatMap(({ words }) => words)) }
      }
    }
  return undefined
}
