import type { Temporal } from 'temporal-polyfill'
import { dayNumber, dayOf, isoOfDay } from '../dates/dayNumber'

/** Which days are not worked: ISO weekdays (1 Monday to 7 Sunday) and single days as ISO dates. */
export type WorkCalendar = { weekend: readonly number[]; holidays: ReadonlySet<string> }

export const mondayToFriday: WorkCalendar = { weekend: [6, 7], holidays: new Set() }

export const isWorkingDay = (day: Temporal.PlainDate, calendar: WorkCalendar): boolean =>
  isWorked(dayNumber(day), calendar)

/** 1 January 1970 was a Thursday. */
const weekdayOf = (day: number) => ((((day + 3) % 7) + 7) % 7) + 1
/** The same of a day number. */
export const isWorked = (day: number, { weekend, holidays }: WorkCalendar) =>
  !weekend.includes(weekdayOf(day)) && (holidays.size === 0 || !holidays.has(isoOfDay(day)))

/** A calendar in which only days are worked that both work. */
export const bothWork = (a: WorkCalendar, b: WorkCalendar): WorkCalendar => ({
  weekend: [...new Set([...a.weekend, ...b.weekend])],
  holidays: new Set([...a.holidays, ...b.holidays]),
})

/**
 * The day that lies `count` working days after `day`. 0 gives the day itself or, if it is not worked, the next that is.
 * Throws `RangeError` for a negative count or a calendar that works on no day of the week.
 */
export function addWorkingDays(day: Temporal.PlainDate, count: number, calendar: WorkCalendar): Temporal.PlainDate {
  if (count < 0) throw new RangeError('working days are counted forwards')
  if (new Set(calendar.weekend).size >= 7) throw new RangeError('a calendar needs a working day')
  let reached = dayNumber(day)
  while (!isWorked(reached, calendar)) reached += 1
  for (let left = count; left > 0; left -= 1) {
    do reached += 1
    while (!isWorked(reached, calendar))
  }
  return dayOf(reached)
}
