import { Temporal } from 'temporal-polyfill'
import {
  comparePartial,
  liesWithin,
  type PartialDate,
  precisionOf,
  readPartialDate,
  spanOf,
} from '../dates/partialDate'
import { isMisread } from './numbers'
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
  const [from, to] = [a, b].map((date) => spanOf({ ...date, about: false }).earliest) as [
    Temporal.PlainDate,
    Temporal.PlainDate,
  ]
  const [early, late] = Temporal.PlainDate.compare(from, to) < 0 ? [from, to] : [to, from]
  const apart = early.until(late, { largestUnit: unit })
  const count = { day: apart.days, month: apart.months, year: apart.years }[unit]
  if (count <= (unit === 'day' ? 3 : 1)) return verdictOf('close', [{ code: 'off-by', unit, count }])
  const sameDayOtherYear = a.day && a.day === b.day && a.month === b.month && Math.abs(a.year - b.year) === 1
  if (sameDayOtherYear) return verdictOf('close', [{ code: 'off-by', unit: 'year', count: 1 }])
  const pairs = a.day && b.day ? differingDigits(ours.trim(), theirs.trim()) : []
  // Numbers that people and machines take for each other, as in numbers of papers; they are not days apart.
  if (pairs.length === 1 && pairs.every(isMisread)) return verdictOf('close', [{ code: 'misread', pairs }])
  const { years, months } = early.until(late, { largestUnit: 'year' })
  if (unit === 'day' && years > 0) return verdictOf('different', [{ code: 'off-by', unit: 'year', count: years }])
  if (unit === 'day' && months > 0) return verdictOf('different', [{ code: 'off-by', unit: 'month', count: months }])
  return verdictOf('different', [{ code: 'off-by', unit, count }])
}

const differingDigits = (ours: string, theirs: string) =>
  ours.length === theirs.length
    ? [...ours].flatMap((digit, at) => (digit === theirs[at] ? [] : [{ ours: digit, theirs: theirs[at]! }]))
    : []

const samePartial = (a: PartialDate, b: PartialDate) =>
  a.year === b.year && a.month === b.month && a.day === b.day && a.about === b.about
