import type { Temporal } from 'temporal-polyfill'
import { say, spokenLocale } from '../words/say'
import { readPartialDate } from './readPartial'

/** A day as people read it: `24 Nov 2026`, in German `24. Nov. 2026`. */
export function writeDay(date: Temporal.PlainDate): string {
  return inOrder(date)
}

/** An ISO day or partial date as people read it: `9 Jul 2021`, `Jul 2021`, `about 2021`. Other text comes back as it is. */
export function writeWhen(text: string): string {
  const reading = readPartialDate(text)
  if (!reading.ok) return text
  const { year, month, day, about } = reading.value
  return `${about ? say('dates.about') : ''}${inOrder({ year, month, day })}`
}

/** `9 Jul 2021`, in German `9. Juli 2021`, as the reader's language writes it. */
function inOrder({ year, month, day }: { year: number; month?: number; day?: number }): string {
  if (month === undefined) return String(year)
  // Noon of the day in universal time, written in universal time: no zone moves it.
  return writerFor(day !== undefined).format(Date.UTC(year, month - 1, day ?? 1, 12))
}

/** Making one takes longer than all that it writes. */
const writers = new Map<string, Intl.DateTimeFormat>()

function writerFor(withDay: boolean): Intl.DateTimeFormat {
  const locale = spokenLocale()
  const key = `${locale} ${withDay}`
  const known = writers.get(key)
  if (known) return known
  const made = new Intl.DateTimeFormat(locale, {
    year: 'numeric',
    month: 'short',
    ...(withDay ? { day: 'numeric' } : {}),
    timeZone: 'UTC',
  })
  writers.set(key, made)
  return made
}

/**
 * Reads a day, month or year as people type it: `9 Jul 2021`, `July 9, 2021`, `July 2021`, `2021`, `09.07.2021`, `9/7/2021`
 * and `9-7-2021` (day first), `2021-07-09`, `2021/07/09`, `20210709`, with `about`, `ca.` or `~` for "about".
 *
 * @returns the partial date in its ISO form, or `undefined` where the text is no date
 */
export function readTyped(text: string): string | undefined {
  let rest = text.trim().toLowerCase()
  let about = ''
  const stripped = rest.replace(/^(about|around|etwa|ungefähr|um|circa|ca\.?|c\.|~)\s*/, '').replace(/\s*~$/, '')
  if (stripped !== rest) about = '~'
  rest = stripped
  const iso = checked(rest + about)
  if (iso) return iso
  const named = /^(?:(\d{1,2})\.?\s+)?([a-zä]{3,9})\.?,?\s+(\d{4})$/.exec(rest)
  if (named) {
    const month = monthNamed(named[2]!)
    if (month === undefined) return undefined
    return checked(`${named[3]}-${two(month)}${named[1] ? `-${two(Number(named[1]))}` : ''}${about}`)
  }
  const american = /^([a-zä]{3,9})\.?\s+(\d{1,2})(?:st|nd|rd|th)?,?\s+(\d{4})$/.exec(rest)
  if (american) {
    const month = monthNamed(american[1]!)
    return month === undefined ? undefined : checked(`${american[3]}-${two(month)}-${two(Number(american[2]))}${about}`)
  }
  const yearFirst = /^(\d{4})(?:\/(\d{1,2})\/(\d{1,2})|(\d{2})(\d{2}))$/.exec(rest)
  if (yearFirst) {
    const [month, day] = [yearFirst[2] ?? yearFirst[4], yearFirst[3] ?? yearFirst[5]].map(Number)
    return checked(`${yearFirst[1]}-${two(month!)}-${two(day!)}${about}`)
  }
  const figures = /^(?:(\d{1,2})[./-])?(\d{1,2})[./-](\d{4})$/.exec(rest)
  if (figures)
    return checked(`${figures[3]}-${two(Number(figures[2]))}${figures[1] ? `-${two(Number(figures[1]))}` : ''}${about}`)
  return undefined
}

const wholeMonths = [
  ['january', 'jänner', 'januar'],
  ['february', 'feber', 'februar'],
  ['march', 'märz', 'maerz', 'mrz'],
  ['april'],
  ['may', 'mai'],
  ['june', 'juni'],
  ['july', 'juli'],
  ['august'],
  ['september'],
  ['october', 'oktober'],
  ['november'],
  ['december', 'dezember'],
]

/** The number of a month by its name in English or German: whole, or a beginning of it of three letters and more. */
function monthNamed(text: string): number | undefined {
  const at = wholeMonths.findIndex((names) => names.some((name) => text.length >= 3 && name.startsWith(text)))
  return at >= 0 ? at + 1 : undefined
}

const two = (value: number) => String(value).padStart(2, '0')
const checked = (iso: string) => (readPartialDate(iso).ok ? iso : undefined)

/** A length of time from one day to another, both worked: `3 y 5 m`, `5 m`, `12 days`. */
export function writeLength(from: Temporal.PlainDate, through: Temporal.PlainDate): string {
  const length = from.until(through.add({ days: 1 }), { largestUnit: 'year' })
  if (length.years === 0 && length.months === 0) return writeDays(length.days)
  return [
    length.years ? say('dates.years', { years: length.years }) : '',
    length.months ? say('dates.months', { months: length.months }) : '',
  ]
    .filter(Boolean)
    .join(' ')
}

/** A number of days: `1 day`, `118 days`. */
export function writeDays(days: number): string {
  return say('dates.days', { count: days })
}
