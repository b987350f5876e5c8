import { Temporal } from 'temporal-polyfill'

/** A date as far as it is known: the day, the month or the year, and whether it is only about right. */
export type PartialDate = {
  year: number
  month?: number
  day?: number
  about: boolean
}

/** The earliest and the latest day a partial date can mean. Both inclusive. */
export type DaySpan = { earliest: Temporal.PlainDate; latest: Temporal.PlainDate }

export type Reading<T> = { ok: true; value: T } | { ok: false; code: 'empty' | 'not-a-date' | 'no-such-day' }

const pattern = /^(\d{4})(?:-(\d{2})(?:-(\d{2}))?)?(~)?$/

/** How far "about" reaches on each side: three days, one month or one year, by what was said. */
const aboutReach = { day: { days: 3 }, month: { months: 1 }, year: { years: 1 } } as const

/**
 * Reads the part of ISO 8601-2 (Extended Date/Time Format level 1) that people need: `2021`, `2021-03`,
 * `2021-03-09`, each with an optional `~` for "about".
 *
 * @param text what was written; surrounding space is ignored. Years 1000 to 9999.
 * @returns the partial date, or why it is none; never throws
 */
export function readPartialDate(text: string): Reading<PartialDate> {
  const trimmed = text.trim()
  if (trimmed === '') return { ok: false, code: 'empty' }
  const match = pattern.exec(trimmed)
  if (!match) return { ok: false, code: 'not-a-date' }
  const year = Number(match[1])
  const month = match[2] === undefined ? undefined : Number(match[2])
  const day = match[3] === undefined ? undefined : Number(match[3])
  if (year < 1000) return { ok: false, code: 'no-such-day' }
  if (month !== undefined && (month < 1 || month > 12)) return { ok: false, code: 'no-such-day' }
  if (day !== undefined && month !== undefined) {
    const last = Temporal.PlainYearMonth.from({ year, month }).daysInMonth
    if (day < 1 || day > last) return { ok: false, code: 'no-such-day' }
  }
  return { ok: true, value: { year, month, day, about: match[4] === '~' } }
}

/** The partial date of a text that is known to be one. Throws `RangeError` where it is not. */
export function partialDate(text: string): PartialDate {
  const reading = readPartialDate(text)
  if (!reading.ok) throw new RangeError(`not a partial date: "${text}" (${reading.code})`)
  return reading.value
}

/** Writes a partial date the way `readPartialDate` reads it. */
export function writePartialDate(date: PartialDate): string {
  const parts = [String(date.year).padStart(4, '0')]
  if (date.month !== undefined) parts.push(String(date.month).padStart(2, '0'))
  if (date.day !== undefined) parts.push(String(date.day).padStart(2, '0'))
  return parts.join('-') + (date.about ? '~' : '')
}

/** Which part was said: `day`, `month` or `year`. */
export function precisionOf(date: PartialDate): 'day' | 'month' | 'year' {
  if (date.day !== undefined) return 'day'
  return date.month !== undefined ? 'month' : 'year'
}

/**
 * The earliest and latest day a partial date can mean.
 * "About" widens the span by three days, one month or one year on each side, by what was said.
 */
export function spanOf(date: PartialDate): DaySpan {
  const earliest = Temporal.PlainDate.from({ year: date.year, month: date.month ?? 1, day: date.day ?? 1 })
  const precision = precisionOf(date)
  const length = { day: { days: 1 }, month: { months: 1 }, year: { years: 1 } }[precision]
  const latest = earliest.add(length).subtract({ days: 1 })
  if (!date.about) return { earliest, latest }
  const reach = aboutReach[precision]
  // A reach in months or years is counted from the start of the period, so that month ends do not shift.
  return { earliest: earliest.subtract(reach), latest: earliest.add(length).add(reach).subtract({ days: 1 }) }
}

/**
 * Three-valued order of two partial dates.
 *
 * @returns `before` or `after` where that holds under every reading, `same` where both are the same exact day,
 *   `possible` where the readings overlap and nothing is certain
 */
export function comparePartial(a: PartialDate, b: PartialDate): 'before' | 'after' | 'same' | 'possible' {
  const left = spanOf(a)
  const right = spanOf(b)
  const compare = Temporal.PlainDate.compare
  if (compare(left.latest, right.earliest) < 0) return 'before'
  if (compare(left.earliest, right.latest) > 0) return 'after'
  const exact = compare(left.earliest, left.latest) === 0 && compare(right.earliest, right.latest) === 0
  return exact ? 'same' : 'possible'
}

/** Whether every reading of `inner` is also a reading of `outer`: `2021-07-09` lies within `2021-07`. */
export function liesWithin(inner: PartialDate, outer: PartialDate): boolean {
  const small = spanOf(inner)
  const large = spanOf(outer)
  const compare = Temporal.PlainDate.compare
  return compare(small.earliest, large.earliest) >= 0 && compare(small.latest, large.latest) <= 0
}
