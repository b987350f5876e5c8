import { Temporal } from 'temporal-polyfill'
import { writeDay } from './write'

/** The day a moment falls on in a time zone. */
export const dayAt = (moment: Date, timeZone: string): Temporal.PlainDate =>
  Temporal.Instant.fromEpochMilliseconds(moment.getTime()).toZonedDateTimeISO(timeZone).toPlainDate()

/** A moment as people write it where they work, with how far that is from UTC: `24 Nov 2026, 09:05 (UTC+01:00)`. */
export function writeMomentAt(moment: Date, timeZone: string): string {
  const there = Temporal.Instant.fromEpochMilliseconds(moment.getTime()).toZonedDateTimeISO(timeZone)
  const time = there.toPlainTime().toString({ smallestUnit: 'minute' })
  return `${writeDay(there.toPlainDate())}, ${time} (UTC${there.offset})`
}

/** The moment a day begins in a time zone. */
export const beginOf = (day: Temporal.PlainDate, timeZone: string): Date =>
  new Date(day.toZonedDateTime(timeZone).epochMilliseconds)
