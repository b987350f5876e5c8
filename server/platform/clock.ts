import { dayAt } from '#core/dates/zoned'
import type { Config } from './config'
import { readSetting, writeSetting } from './database/settings'
import type { Clock } from './deps'

const dayInMs = 86_400_000

/** A clock that stands `offset` milliseconds ahead of the machine's. */
export function clockAhead(offset: number, timeZone: string): Clock {
  const now = () => new Date(Date.now() + offset)
  return { now, today: () => dayAt(now(), timeZone) }
}

/** A clock that stands still, for loading the demo's past and for tests. */
export function clockAt(moment: Date, timeZone: string): Clock {
  return { now: () => moment, today: () => dayAt(moment, timeZone) }
}

/** The clock the application goes by now. Only the demo can be ahead; the offset is in the database, so every copy agrees. */
export async function currentClock(config: Config): Promise<Clock> {
  return clockAhead(config.demo ? (await daysAhead()) * dayInMs : 0, config.timeZone)
}

export const daysAhead = async () => (await readSetting<number>('demo-days-ahead')) ?? 0

export async function moveClockAhead(days: number) {
  await writeSetting('demo-days-ahead', (await daysAhead()) + days)
}
