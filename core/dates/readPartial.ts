/** A date as far as it is known: the day, the month or the year, and whether it is only about right. */
export type PartialDate = {
  year: number
  month?: number
  day?: number
  about: boolean
}

export type Reading<T> = { ok: true; value: T } | { ok: false; code: 'empty' | 'not-a-date' | 'no-such-day' }

const pattern = /^(\d{4})(?:-(\d{2})(?:-(\d{2}))?)?(~)?$/

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
    // Day 0 of the next month is the last of this one.
    const last = new Date(Date.UTC(year, month, 0)).getUTCDate()
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
