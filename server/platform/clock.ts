import { dayAt } from '#core/dates/zoned'
import { type Organisation, unnamedOrganisation } from '#core/organisation/organisation'
import { goByNewestCatalogue } from './catalogue'
import type { Config } from './config'
import { readSetting, readStanding, readVersioned, writeSetting } from './database/settings'
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

/**
 * What a use case needs, as things stand now: the organisation as it was last described, and the clock of its time zone; the
 * process goes by the newest catalogue. Only
 * the demo's clock can be ahead. Both are in the database, so every copy agrees.
 */
export async function depsNow<Fixed extends { config: Pick<Config, 'demo'> }>(
  fixed: Fixed,
): Promise<Fixed & { clock: Clock; organisation: Organisation }> {
  const standing = await readStanding()
  await goByNewestCatalogue(standing.catalogueVersion)
  const organisation = described(standing.organisation)
  const ahead = fixed.config.demo ? standing.daysAhead * dayInMs : 0
  return { ...fixed, organisation, clock: clockAhead(ahead, organisation.timeZone) }
}

/** The organisation as it was last described; what came into the description since then is as usual. */
export async function currentOrganisation(): Promise<Organisation> {
  return described((await readVersioned<Partial<Organisation>>('organisation')).value)
}

const described = (value: Partial<Organisation> | undefined): Organisation => ({ ...unnamedOrganisation, ...value })

export const daysAhead = async () => (await readSetting<number>('demo-days-ahead')) ?? 0

export async function moveClockAhead(days: number) {
  await writeSetting('demo-days-ahead', (await daysAhead()) + days)
}
