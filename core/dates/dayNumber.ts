import { Temporal } from 'temporal-polyfill'
import { type PartialDate, precisionOf } from './partialDate'

/**
 * Days as numbers since 1 January 1970, so that long computations over dates are plain arithmetic.
 * Method: days from civil, H. Hinnant, "chrono-Compatible Low-Level Date Algorithms"; proleptic Gregorian calendar.
 */
export function dayNumber({ year, month, day }: { year: number; month: number; day: number }): number {
  const y = month <= 2 ? year - 1 : year
  const era = Math.floor(y / 400)
  const yearOfEra = y - era * 400
  const dayOfYear = Math.floor((153 * (month + (month > 2 ? -3 : 9)) + 2) / 5) + day - 1
  const dayOfEra = yearOfEra * 365 + Math.floor(yearOfEra / 4) - Math.floor(yearOfEra / 100) + dayOfYear
  return era * 146_097 + dayOfEra - 719_468
}

const epoch = Temporal.PlainDate.from('1970-01-01')

/** The date of a day number. */
export const dayOf = (number: number): Temporal.PlainDate => epoch.add({ days: number })

/** The ISO text of a day number, `2026-11-24`; years 0 to 9999. The way back of the same method. */
export function isoOfDay(number: number): string {
  const shifted = number + 719_468
  const era = Math.floor(shifted / 146_097)
  const dayOfEra = shifted - era * 146_097
  const yearOfEra = Math.floor(
    (dayOfEra - Math.floor(dayOfEra / 1460) + Math.floor(dayOfEra / 36_524) - Math.floor(dayOfEra / 146_096)) / 365,
  )
  const dayOfYear = dayOfEra - (365 * yearOfEra + Math.floor(yearOfEra / 4) - Math.floor(yearOfEra / 100))
  const monthFromMarch = Math.floor((5 * dayOfYear + 2) / 153)
  const day = dayOfYear - Math.floor((153 * monthFromMarch + 2) / 5) + 1
  const month = monthFromMarch < 10 ? monthFromMarch + 3 : monthFromMarch - 9
  const year = yearOfEra + era * 400 + (month <= 2 ? 1 : 0)
  return `${String(year).padStart(4, '0')}-${String(month).padStart(2, '0')}-${String(day).padStart(2, '0')}`
}

/** The first day of a month; months beyond 12 or below 1 run into the years beside. */
const firstOf = (year: number, month: number) =>
  dayNumber({ year: year + Math.floor((month - 1) / 12), month: ((((month - 1) % 12) + 12) % 12) + 1, day: 1 })

/** The earliest and latest day a partial date can mean, as day numbers: the same as `spanOf` gives as dates. */
export function spanInDays(date: PartialDate): { earliest: number; latest: number } {
  const { year, month = 1, day = 1, about } = date
  switch (precisionOf(date)) {
    case 'day': {
      const exact = dayNumber({ year, month, day })
      return about ? { earliest: exact - 3, latest: exact + 3 } : { earliest: exact, latest: exact }
    }
    case 'month':
      return about
        ? { earliest: firstOf(year, month - 1), latest: firstOf(year, month + 2) - 1 }
        : { earliest: firstOf(year, month), latest: firstOf(year, month + 1) - 1 }
    case 'year':
      return about
        ? { earliest: firstOf(year - 1, 1), latest: firstOf(year + 2, 1) - 1 }
        : { earliest: firstOf(year, 1), latest: firstOf(year + 1, 1) - 1 }
  }
}
