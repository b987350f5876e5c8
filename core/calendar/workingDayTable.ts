import type { Temporal } from 'temporal-polyfill'
import { dayNumber } from '../dates/dayNumber'
import { isWorked, type WorkCalendar } from './workingDays'

/** So far ahead days are looked up; beyond it each week has as many as this stretch has on average. */
const horizon = 1100

/** Working days from a day on, laid out so that thousands of additions a millisecond are lookups. */
export type WorkingDayTable = {
  /** By days from the first: the place, among the working days, of it or of the next that is worked. */
  placeOf: Uint16Array
  /** The working days, as days from the first. */
  worked: Uint16Array
}

/** @throws RangeError for a calendar that works on no day of the week */
export function workingDayTable(first: Temporal.PlainDate, calendar: WorkCalendar): WorkingDayTable {
  if (new Set(calendar.weekend).size >= 7) throw new RangeError('a calendar needs a working day')
  const from = dayNumber(first)
  const placeOf = new Uint16Array(horizon)
  const worked: number[] = []
  for (let day = 0; day < horizon; day += 1) {
    placeOf[day] = worked.length
    if (isWorked(from + day, calendar)) worked.push(day)
  }
  return { placeOf, worked: Uint16Array.from(worked) }
}

/** The same as `addWorkingDays`, in days from the first of the table. */
export function workingDayAfter({ placeOf, worked }: WorkingDayTable, day: number, count: number): number {
  const place = (day < horizon ? placeOf[day]! : worked.length + day - horizon) + count
  if (place < worked.length) return worked[place]!
  return horizon + Math.ceil(((place - worked.length) * horizon) / worked.length)
}

/** How many working days lie between two days, the first not counted and the last counted. */
export function workingDaysBetween(from: Temporal.PlainDate, to: Temporal.PlainDate, calendar: WorkCalendar): number {
  let count = 0
  const last = dayNumber(to)
  for (let day = dayNumber(from) + 1; day <= last; day += 1) if (isWorked(day, calendar)) count += 1
  return count
}
