import { readPartialDate } from '../dates/readPartial'

/** A date in a text, in its ISO form, and where it stands. */
export type FoundDate = { value: string; from: number; to: number }

/** The months in English, German, French and Italian: whole or shortened, without accents and dots. */
const months = [
  'january janvier januar janner gennaio',
  'february fevrier februar feber febbraio',
  'march mars marz maerz mrz marzo',
  'april avril aprile avr',
  'may mai maggio mag',
  'june juin juni giugno giu',
  'july juillet juli luglio lug',
  'august aout agosto',
  'september septembre settembre sept set',
  'october octobre oktober ottobre ott okt',
  'november novembre nov',
  'december decembre dezember dicembre dez dic',
].map((names) => names.split(' '))

const plain = (text: string) => text.normalize('NFD').replace(/\p{M}/gu, '').toLowerCase()

function monthNamed(text: string): number | undefined {
  const name = plain(text)
  const exact = months.findIndex((names) => names.includes(name))
  const at =
    exact >= 0 ? exact : months.findIndex((names) => name.length >= 3 && names.some((whole) => whole.startsWith(name)))
  return at >= 0 ? at + 1 : undefined
}

type Form = { pattern: RegExp; iso: (parts: readonly string[]) => string | undefined }
const two = (value: string | number) => String(value).padStart(2, '0')
const named = (year: string, month: string, day?: string) => {
  const number = monthNamed(month)
  return number === undefined ? undefined : `${year}-${two(number)}${day ? `-${two(day)}` : ''}`
}

/** The ways dates are printed, the more exact first. Figures are day, month, year, as everywhere in Europe. */
const forms: readonly Form[] = [
  { pattern: /(?<!\d)(\d{4})-(\d{2})-(\d{2})(?!\d)/g, iso: ([year, month, day]) => `${year}-${month}-${day}` },
  {
    pattern: /(?<!\d)(\d{1,2})(?:\.|er|st|nd|rd|th|°|º)?\s*(?:de\s+)?(\p{L}{3,9})\.?,?\s+(\d{4})(?!\d)/giu,
    iso: ([day, month, year]) => named(year!, month!, day),
  },
  {
    pattern: /(?<!\p{L})(\p{L}{3,9})\.?\s+(\d{1,2})(?:st|nd|rd|th)?,\s*(\d{4})(?!\d)/gu,
    iso: ([month, day, year]) => named(year!, month!, day),
  },
  {
    pattern: /(?<![\d.])(\d{1,2})([./-])\s?(\d{1,2})\2\s?(\d{4})(?!\d)/g,
    iso: ([day, , month, year]) => `${year}-${two(month!)}-${two(day!)}`,
  },
  { pattern: /(?<!\p{L}|\d\.?\s)(\p{L}{3,9})\.?\s+(\d{4})(?!\d)/gu, iso: ([month, year]) => named(year!, month!) },
  { pattern: /(?<![\d./-])(\d{1,2})[./](\d{4})(?!\d)/g, iso: ([month, year]) => `${year}-${two(month!)}` },
]

/** All dates in a text, in order, none within another. What is no day of the calendar is no date. */
export function datesInText(text: string): FoundDate[] {
  const found: FoundDate[] = []
  for (const { pattern, iso } of forms)
    for (const match of text.matchAll(pattern)) {
      const [from, to] = [match.index, match.index + match[0].length]
      const value = iso(match.slice(1))
      const free = found.every((other) => to <= other.from || from >= other.to)
      if (value && free && readPartialDate(value).ok) found.push({ value, from, to })
    }
  return found.sort((a, b) => a.from - b.from)
}
