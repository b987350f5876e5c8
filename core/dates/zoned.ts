import { Temporal } from 'temporal-polyfill'
import { writeDay } from './write'

/** Since then every time zone is whole minutes away from UTC, so that days begin with a minute (IANA time zone database). */
const wholeMinutes = Date.UTC(1973, 0, 1)
const mostKnown = 5000
const known = new Map<string, Temporal.PlainDate>()

/** The day a moment falls on in a time zone. What was worked out for a minute is kept: whole nights ask for the same few. */
export function dayAt(moment: Date, timeZone: string): Temporal.PlainDate {
  const time = moment.getTime()
  const work = () => Temporal.Instant.fromEpochMilliseconds(time).toZonedDateTimeISO(timeZone).toPlainDate()
  if (!(time >= wholeMinutes)) return work()
  const key = `${Math.floor(time / 60_000)} ${timeZone}`
  const day = known.get(key) ?? work()
  if (known.size >= mostKnown) known.clear()
  known.set(key, day)
  return day
}

/** A moment as people write it where they work, with how far that is from UTC: `24 Nov 2026, 09:05 (UTC+01:00)`. */
export function writeMomentAt(moment: Date, timeZone: string): string {
  const there = Temporal.Instant.fromEpochMilliseconds(moment.getTime()).toZonedDateTimeISO(timeZone)
  const time = there.toPlainTime().toString({ smallestUnit: 'minute' })
  return `${writeDay(there.toPlainDate())}, ${time} (UTC${there.offset})`
}

/** The moment a day begins in a time zone. */
export const beginOf = (day: Temporal.PlainDate, timeZone: string): Date =>
  new Date(day.toZonedDateTime(timeZone).epochMilliseconds)
