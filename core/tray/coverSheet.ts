import { readReference, writeReference } from '../references/reference'

const prefix = 'CS'
/** Codes of other papers are not ours; this begins those that are. */
const sign = 'PROBATUM '

/** What people read on a cover sheet, such as `CS-7K3Q-R9`: its number with two check characters. */
export const sheetReference = (number: number) => writeReference(prefix, number)

/** What the square on a cover sheet says. */
export const sheetCode = (number: number) => `${sign}${sheetReference(number)}`

/** Of an enquiry: what people read on its letter, such as `EQ-7K3Q-R9`. */
const enquiryPrefix = 'EQ'
/** Behind the code on a form: the page is part of the answer, and not only a sheet on top. */
const formSign = '/F'

export const enquiryReference = (number: number) => writeReference(enquiryPrefix, number)
export const enquirySheetCode = (reference: string) => `${sign}${reference}`
export const enquiryFormCode = (reference: string) => `${sign}${reference}${formSign}`

export type SheetReading =
  | { ok: true; number: number; reference: string; of?: 'sheet' }
  | { ok: true; reference: string; of: 'enquiry'; isForm: boolean }
  /** Ours, but misread: what it most likely said, where one slip explains it. */
  | { ok: false; likely?: string }

/** Reads what a camera made of a square; `undefined` where it is none of ours. */
export function readSheetCode(text: string): SheetReading | undefined {
  if (!text.startsWith(sign)) return undefined
  const said = text.slice(sign.length)
  if (said.startsWith(enquiryPrefix)) {
    const isForm = said.endsWith(formSign)
    const reading = readReference(enquiryPrefix, isForm ? said.slice(0, -formSign.length) : said)
    return reading.ok
      ? { ok: true, of: 'enquiry', reference: reading.reference, isForm }
      : { ok: false, likely: reading.likely }
  }
  const reading = readReference(prefix, said)
  if (reading.ok) return { ok: true, number: reading.number, reference: reading.reference }
  return { ok: false, likely: reading.likely }
}

/** The references of enquiries that stand in a text, such as the subject of a mail; misread ones are none. */
export const enquiryReferencesIn = (text: string): string[] => [
  ...new Set(
    [...text.toUpperCase().matchAll(/\bEQ[-\s]?[0-9A-Z]{4,8}[-\s]?[0-9A-Z]{2}\b/g)].flatMap(([found]) => {
      const reading = readReference(enquiryPrefix, found)
      return reading.ok ? [reading.reference] : []
    }),
  ),
]
