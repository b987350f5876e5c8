import type { Temporal } from 'temporal-polyfill'
import { dayNumber } from '../dates/dayNumber'
import type { Range } from './ranges'

/**
 * The days of the `years` before and up to `upTo`: five years up to 24 Nov 2026 begin on 25 Nov 2021.
 * From 29 February the window begins on 1 March of a common year.
 */
export function yearsUpTo(upTo: Temporal.PlainDate, years: number) {
  return { from: upTo.subtract({ years }).add({ days: 1 }), through: upTo }
}

/** The same window as day numbers. */
export function daysUpTo(upTo: Temporal.PlainDate, years: number): Range {
  const { year, month, day } = upTo
  const first = dayNumber({ year: year - years, month, day })
  // A 29 February that the earlier year does not have counts as its last day, the 28th.
  const missing = month === 2 && day === 29 && !isLeap(year - years)
  return { from: missing ? first : first + 1, through: dayNumber(upTo) }
}

const isLeap = (year: number) => (year % 4 === 0 && year % 100 !== 0) || year % 400 === 0
