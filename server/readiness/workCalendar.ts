import Holidays from 'date-holidays'
import { bothWork, type WorkCalendar } from '#core/calendar/workingDays'
import type { Deps } from '../platform/deps'

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
  const calendar = { weekend: weekendIn(country), holidays: new Set(holidaysIn(country, region, year)) }
  made.set(key, calendar)
  return calendar
}

/** The days we work. */
export const ownCalendar = (deps: Pick<Deps, 'clock' | 'config'>): WorkCalendar =>
  workCalendar(deps, deps.config.country, deps.config.region)

/** The days on which somebody in another country and we both work. */
export const sharedCalendar = (deps: Pick<Deps, 'clock' | 'config'>, country: string): WorkCalendar =>
  bothWork(ownCalendar(deps), workCalendar(deps, country))

function holidaysIn(country: string, region: string | undefined, from: number): string[] {
  const holidays = region ? new Holidays(country, region) : new Holidays(country)
  return Array.from({ length: yearsAhead + 1 }, (_, nth) => holidays.getHolidays(from + nth) ?? []).flatMap((year) =>
    year.filter(({ type }) => type === 'public').map(({ date }) => date.slice(0, 10)),
  )
}

type WeekInfo = { weekend: number[] }

function weekendIn(country: string): number[] {
  const locale = new Intl.Locale(`und-${country}`) as Intl.Locale & {
    weekInfo?: WeekInfo
    getWeekInfo?: () => WeekInfo
  }
  return [...((locale.getWeekInfo?.() ?? locale.weekInfo)?.weekend ?? [6, 7])]
}
