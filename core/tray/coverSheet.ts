import { readReference, writeReference } from '../references/reference'

const prefix = 'CS'
/** Codes of other papers are not ours; this begins those that are. */
const sign = 'PROBATUM '

/** What people read on a cover sheet, such as `CS-7K3Q-R9`: its number with two check characters. */
export const sheetReference = (number: number) => writeReference(prefix, number)

/** What the square on a cover sheet says. */
export const sheetCode = (number: number) => `${sign}${sheetReference(number)}`

export type SheetReading =
  | { ok: true; number: number; reference: string }
  /** Ours, but misread: what it most likely said, where one slip explains it. */
  | { ok: false; likely?: string }

/** Reads what a camera made of a square; `undefined` where it is none of ours. */
export function readSheetCode(text: string): SheetReading | undefined {
  if (!text.startsWith(sign)) return undefined
  const reading = readReference(prefix, text.slice(sign.length))
  if (reading.ok) return { ok: true, number: reading.number, reference: reading.reference }
  return { ok: false, likely: reading.likely }
}
