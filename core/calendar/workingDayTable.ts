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

const placeAt = ({ placeOf, worked }: WorkingDayTable, day: number) =>
  day < horizon ? placeOf[day]! : worked.length + Math.floor(((day - horizon) * worked.length) / horizon)

/** The same as `addWorkingDays`, in days from the first of the table. */
export function workingDayAfter(table: WorkingDayTable, day: number, count: number): number {
  const { worked } = table
  const place = placeAt(table, day) + count
  if (place < worked.length) return worked[place]!
  return horizon + Math.ceil(((place - worked.length) * horizon) / worked.length)
}

/**
 * The same for many days at once, which is most of what a simulation does.
 *
 * @param counts for each of the days so many are added: working days, or days after which the next working day counts
 */
export function workingDaysAfter(
  table: WorkingDayTable,
  days: Int16Array,
  counts: Int16Array,
  counted: 'days' | 'working days',
): Int16Array {
  const { placeOf, worked } = table
  const ends = new Int16Array(days.length)
  const inDays = counted === 'days'
  for (let nth = 0; nth < days.length; nth += 1) {
    const day = inDays ? days[nth]! + counts[nth]! : days[nth]!
    const count = inDays ? 0 : counts[nth]!
    const place = day < horizon ? placeOf[day]! + count : worked.length
    ends[nth] = place < worked.length ? worked[place]! : workingDayAfter(table, day, count)
  }
  return ends
}

/** How many working days lie between two days, from the first of the table: `from` not counted and `to` counted; 0 backwards. */
export const workingDaysBetween = (table: WorkingDayTable, from: number, to: number): number =>
  Math.max(0, placeAt(table, to + 1) - placeAt(table, from + 1))
