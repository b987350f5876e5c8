import { Temporal } from 'temporal-polyfill'

/** The day a moment falls on in a time zone. */
export const dayAt = (moment: Date, timeZone: string): Temporal.PlainDate =>
  Temporal.Instant.fromEpochMilliseconds(moment.getTime()).toZonedDateTimeISO(timeZone).toPlainDate()

/** The moment a day begins in a time zone. */
export const beginOf = (day: Temporal.PlainDate, timeZone: string): Date =>
  new Date(day.toZonedDateTime(timeZone).epochMilliseconds)
