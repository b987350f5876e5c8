import { Temporal } from 'temporal-polyfill'
import {
  comparePartial,
  liesWithin,
  type PartialDate,
  precisionOf,
  readPartialDate,
  spanOf,
} from '../dates/partialDate'
import { type FieldVerdict, verdictOf } from './verdict'

/**
 * Compares two partial dates by what they say: `2021-07` and `2021-07-09` agree as far as both go.
 * Both are ISO 8601-2 texts; a text that is no date counts as not stated.
 */
export function compareDates(ours: string, theirs: string): FieldVerdict {
  const left = readPartialDate(ours)
  const right = readPartialDate(theirs)
  if (!left.ok || !right.ok) return verdictOf('not stated')
  const a = left.value
  const b = right.value
  if (samePartial(a, b)) return verdictOf('same')
  if (liesWithin(a, b)) return verdictOf('equivalent', [{ code: 'less-exact', said: theirs.trim() }])
  if (liesWithin(b, a)) return verdictOf('equivalent', [{ code: 'less-exact', said: ours.trim() }])
  if (comparePartial(a, b) === 'possible')
    return verdictOf('close', [{ code: 'less-exact', said: a.about ? ours : theirs }])
  if (a.day && b.day && a.year === b.year && a.month === b.day && a.day === b.month) {
    return verdictOf('close', [{ code: 'day-and-month-swapped' }])
  }
  const unit = precisionOf(a) === precisionOf(b) ? precisionOf(a) : 'year'
  const [from, to] = [spanOf(a).earliest, spanOf(b).earliest]
  const [early, late] = Temporal.PlainDate.compare(from, to) < 0 ? [from, to] : [to, from]
  const apart = early.until(late, { largestUnit: unit })
  const count = { day: apart.days, month: apart.months, year: apart.years }[unit]
  if (count <= (unit === 'day' ? 3 : 1)) return verdictOf('close', [{ code: 'off-by', unit, count }])
  const sameDayOtherYear = a.day && a.day === b.day && a.month === b.month && Math.abs(a.year - b.year) === 1
  if (sameDayOtherYear) return verdictOf('close', [{ code: 'off-by', unit: 'year', count: 1 }])
  return verdictOf('different', [])
}

const samePartial = (a: PartialDate, b: PartialDate) =>
  a.year === b.year && a.month === b.month && a.day === b.day && a.about === b.about
