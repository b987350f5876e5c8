import { Temporal } from 'temporal-polyfill'
import type { WorkCalendar } from '#core/calendar/workingDays'
import { workingDayTable } from '#core/calendar/workingDayTable'
import type { Chain } from '#core/forecast/chains'
import { type Forecast, forecast, type Levels } from '#core/forecast/forecast'

/** What is to be played through: files of one day, and the calendars they go by. */
export type ForecastAsked = {
  today: string
  levels: Levels
  calendars: ReadonlyMap<string, WorkCalendar>
  files: readonly { chains: readonly Chain[]; start: number; seed: string }[]
}

/** Runs in a worker thread for many files, and where it is called for a few. */
export default function computeForecasts({ today, levels, calendars, files }: ForecastAsked): Forecast[] {
  const first = Temporal.PlainDate.from(today)
  const tables = new Map([...calendars].map(([key, calendar]) => [key, workingDayTable(first, calendar)]))
  return files.map(({ chains, start, seed }) => forecast({ chains, calendars: tables }, { start, seed, levels }))
}
