import { createRequire } from 'node:module'
import { Temporal } from 'temporal-polyfill'
import { bothWork, type WorkCalendar } from '#core/calendar/workingDays'
import type { Deps } from '../platform/deps'

const load = createRequire(import.meta.url)
/** The holidays of the world are a megabyte, loaded with the first calendar. */
export const holidaysLibrary = (): typeof import('date-holidays').default => load('date-holidays')

/** Years of holidays that are looked ahead: no deadline lies further away. */
const yearsAhead = 2

const made = new Map<string, WorkCalendar>()

/**
 * Which days are worked in a country, from this year on: its weekend (CLDR) and its public holidays, those of a region with
 * it where one is given. A country nobody knows the holidays of has none.
 *
 * @param country ISO 3166-1, two letters
 * @param region ISO 3166-2 without the country, such as `7` for Tyrol
 */
export function workCalendar({ clock }: Pick<Deps, 'clock'>, country: string, region?: string): WorkCalendar {
  const { year } = clock.today()
  const key = `${country} ${region ?? ''} ${year}`
  const known = made.get(key)
  if (known) return known
  const years = Array.from({ length: yearsAhead + 1 }, (_, nth) => year + nth)
  const holidays = publicHolidays(country, region, undefined, years).map(({ day }) => day)
  const calendar = { weekend: weekendIn(country), holidays: new Set(holidays) }
  made.set(key, calendar)
  return calendar
}

/** The days we work: without public holidays, weekends, and the days the organisation is closed beside them. */
export function ownCalendar(deps: Pick<Deps, 'clock' | 'organisation'>): WorkCalendar {
  const { country, region, closedDays } = deps.organisation
  const { weekend, holidays } = workCalendar(deps, country, region)
  if (closedDays.length === 0) return { weekend, holidays }
  const { year } = deps.clock.today()
  const closed = closedDays.flatMap(({ day }) =>
    day.length > 5 ? [day] : Array.from({ length: yearsAhead + 1 }, (_, nth) => `${year + nth}-${day}`),
  )
  return { weekend, holidays: new Set([...holidays, ...closed]) }
}

/** Where somebody else works, and when they are closed beside the holidays there; days are ISO, both included. */
type Elsewhere = { country: string; region: string; closures: readonly { from: string; to: string }[] }

/** By what the organisation was when they were made: a night asks for the same few a hundred thousand times. */
const shared = new WeakMap<Deps['organisation'], Map<string, WorkCalendar>>()

/** The days on which somebody elsewhere and we both work. */
export function sharedCalendar(deps: Pick<Deps, 'clock' | 'organisation'>, elsewhere: Elsewhere): WorkCalendar {
  const { country, region, closures } = elsewhere
  const own = shared.get(deps.organisation) ?? new Map<string, WorkCalendar>()
  shared.set(deps.organisation, own)
  const key = JSON.stringify([deps.clock.today().year, country, region, closures])
  const calendar = own.get(key) ?? makeShared(deps, elsewhere)
  own.set(key, calendar)
  return calendar
}

function makeShared(
  deps: Pick<Deps, 'clock' | 'organisation'>,
  { country, region, closures }: Elsewhere,
): WorkCalendar {
  const { weekend, holidays } = workCalendar(deps, country, region || undefined)
  const closed = closures.flatMap(({ from, to }) => daysFrom(from, to))
  return bothWork(ownCalendar(deps), { weekend, holidays: new Set([...holidays, ...closed]) })
}

/** No closure is longer than this; what claims to be would close somebody for good. */
const longestClosure = 366

function daysFrom(from: string, to: string): string[] {
  const first = Temporal.PlainDate.from(from)
  const { days } = first.until(Temporal.PlainDate.from(to), { largestUnit: 'day' })
  return Array.from({ length: Math.min(days + 1, longestClosure) }, (_, nth) => first.add({ days: nth }).toString())
}

/**
 * The public holidays of years, by day, with what they are called (date-holidays).
 *
 * @param language ISO 639-1 of the names; the country's own where it is not given or not known
 */
export function publicHolidays(
  country: string,
  region: string | undefined,
  language: string | undefined,
  years: readonly number[],
): { day: string; name: string }[] {
  const Holidays = holidaysLibrary()
  const holidays = region ? new Holidays(country, region) : new Holidays(country)
  return years
    .flatMap((year) => holidays.getHolidays(year, language) ?? [])
    .flatMap(({ type, date, name }) => (type === 'public' ? [{ day: date.slice(0, 10), name }] : []))
}

type WeekInfo = { weekend: number[] }

function weekendIn(country: string): number[] {
  const locale = new Intl.Locale(`und-${country}`) as Intl.Locale & {
    weekInfo?: WeekInfo
    getWeekInfo?: () => WeekInfo
  }
  return [...((locale.getWeekInfo?.() ?? locale.weekInfo)?.weekend ?? [6, 7])]
}
