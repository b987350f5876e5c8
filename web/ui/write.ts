import { writeWhen } from '#core/dates/write'
import { say, spokenLocale } from '#core/words/say'

/** Hundredths of a currency, whole: 5 800 000 in `EUR` is `€58,000`. */
export const writeMoney = (cents: number, currency: string) =>
  new Intl.NumberFormat(spokenLocale(), { style: 'currency', currency, maximumFractionDigits: 0 }).format(cents / 100)

/** A moment as day and time in a time zone: `Fri 4 Dec 2026, 17:00`. */
export const writeMoment = (iso: string, timeZone?: string) =>
  new Intl.DateTimeFormat(spokenLocale(), {
    timeZone,
    weekday: 'short',
    day: 'numeric',
    month: 'short',
    year: 'numeric',
    hour: '2-digit',
    minute: '2-digit',
  })
    .format(new Date(iso))
    .replace(/,? (at|um) /, ', ')

/** The time of day of a moment, where the reader is: `08:42`. */
export const writeTime = (iso: string) =>
  new Intl.DateTimeFormat(spokenLocale(), { hour: '2-digit', minute: '2-digit' }).format(new Date(iso))

/** The day of a moment: `24 Nov 2026`. */
export const writeDayOf = (iso: string) => writeWhen(iso.slice(0, 10))

/** A day without its year, for lists: `24 Nov`. */
export const writeShortDay = (iso: string) => writeWhen(iso.slice(0, 10)).replace(/ \d{4}$/, '')

export const writeSize = (bytes: number) =>
  bytes < 1_000_000 ? `${Math.max(1, Math.round(bytes / 1000))} kB` : `${(bytes / 1_000_000).toFixed(1)} MB`

/** Slack with its sign: `+9 d`, `−6 d`. */
export const writeSlack = (days: number) => `${days < 0 ? '−' : '+'}${say('ui.daysShort', { days: Math.abs(days) })}`

/** The last day before a moment at which something ends, such as a link at midnight. */
export const writeLastDay = (endsAt: string): string => writeDayOf(new Date(Date.parse(endsAt) - 1).toISOString())
