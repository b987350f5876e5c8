import type { Temporal } from 'temporal-polyfill'

/** Which days are not worked: ISO weekdays (1 Monday to 7 Sunday) and single days as ISO dates. */
export type WorkCalendar = { weekend: readonly number[]; holidays: readonly string[] }

export const mondayToFriday: WorkCalendar = { weekend: [6, 7], holidays: [] }

export function isWorkingDay(day: Temporal.PlainDate, calendar: WorkCalendar): boolean {
  return !calendar.weekend.includes(day.dayOfWeek) && !calendar.holidays.includes(day.toString())
}

/**
 * The day that lies `count` working days after `day`. 0 gives the day itself or, if it is not worked, the next that is.
 * Throws `RangeError` for a negative count or a calendar that works on no day of the week.
 */
export function addWorkingDays(day: Temporal.PlainDate, count: number, calendar: WorkCalendar): Temporal.PlainDate {
  if (count < 0) throw new RangeError('working days are counted forwards')
  if (new Set(calendar.weekend).size >= 7) throw new RangeError('a calendar needs a working day')
  let reached = day
  while (!isWorkingDay(reached, calendar)) reached = reached.add({ days: 1 })
  // Where every week is alike, whole weeks are passed at once.
  const inAWeek = 7 - new Set(calendar.weekend).size
  const weeks = calendar.holidays.length === 0 ? Math.floor(count / inAWeek) : 0
  if (weeks > 0) reached = reached.add({ days: 7 * weeks })
  for (let left = count - weeks * inAWeek; left > 0; left -= 1) {
    do reached = reached.add({ days: 1 })
    while (!isWorkingDay(reached, calendar))
  }
  return reached
}
