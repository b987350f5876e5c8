import { Temporal } from 'temporal-polyfill'
import { type PartialDate, precisionOf } from './readPartial'

export * from './readPartial'

/** The earliest and the latest day a partial date can mean. Both inclusive. */
export type DaySpan = { earliest: Temporal.PlainDate; latest: Temporal.PlainDate }

/** How far "about" reaches on each side: three days, one month or one year, by what was said. */
const aboutReach = { day: { days: 3 }, month: { months: 1 }, year: { years: 1 } } as const

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
