import { createHash } from 'node:crypto'
import { availableParallelism } from 'node:os'
import type { Chain } from '#core/forecast/chains'
import type { Forecast, Levels } from '#core/forecast/forecast'
import { partition } from '#core/groupBy'
import { isCleared } from '#core/hiring/stages'
import type { Outcome } from '#core/requirements/requirement'
import type { Curve } from '#core/turnaround/kaplanMeier'
import type { Deps } from '../platform/deps'
import { inThread } from '../platform/jobs/threads'
import { FirstForecast, KeptForecast, keptForecasts } from '../records/hiring/forecasts'
import { levelsOfToday } from './dayCurves'
import computeForecasts, { type ForecastAsked } from './forecastThread'
import { type FileNetwork, type Judged, networksOf } from './networks'
import type { Readiness } from './readiness'

/** When an application is likely to be ready, as a person reads it. */
export type LikelyDate = {
  early: string
  likely: string
  late: string
  /** Days between the likely ready date and the target start; negative is late. */
  slack: number
  /** For the target start, in whole per cent. */
  chance: number
  heldUpBy: (NonNullable<Forecast['heldUpBy']> & { outcome: Outcome }) | null
  help: (NonNullable<Forecast['help']> & { outcome: Outcome }) | null
}

const thread = new URL('./forecastThread.ts', import.meta.url)
/** Fewer are computed as soon as they would be sent to a thread and back: one takes a few milliseconds. */
const worthSending = 4

/** The likely date of one application; the kept one where nothing has changed that it rests on. */
export const forecastOf = async (deps: Deps, application: Judged['application'], readiness: Readiness) =>
  (await forecastsOf(deps, [{ application, readiness }])).get(application.id)!

/** Those of many, computed anew only where something has changed, and kept. */
export async function forecastsAnew(deps: Deps, all: readonly Judged[]): Promise<Map<string, LikelyDate>> {
  const now = deps.clock.now()
  const today = deps.clock.today().toString()
  return forecastsOf(deps, all, async (made) => {
    await KeptForecast.bulkCreate(
      made.map(({ id, basis, forecast }) => ({ applicationId: id, basis, forecast, computedAt: now })),
      { updateOnDuplicate: ['basis', 'forecast', 'computedAt'] },
    )
    await FirstForecast.bulkCreate(
      made.map(({ id, forecast }) => ({ applicationId: id, madeOn: today, days: forecast.days })),
      { ignoreDuplicates: true },
    )
    // Whoever was cleared was ready, whatever of it lapses afterwards.
    const cleared = new Set(all.flatMap(({ application }) => (isCleared(application) ? [application.id] : [])))
    const [ready, open] = partition(made, ({ id, basedOn }) => cleared.has(id) || basedOn.length === 0)
    await FirstForecast.update(
      { readyOn: today },
      { where: { applicationId: ready.map(({ id }) => id), readyOn: null } },
    )
    await FirstForecast.update({ readyOn: null }, { where: { applicationId: open.map(({ id }) => id) } })
  })
}

type Made = { id: string; basis: string; basedOn: readonly Chain[]; forecast: Forecast }

async function forecastsOf(
  deps: Deps,
  all: readonly Judged[],
  keep: (made: Made[]) => Promise<void> = async () => undefined,
): Promise<Map<string, LikelyDate>> {
  const { files, calendars } = await networksOf(deps, all)
  const levels = await levelsOfToday(deps)
  const kept = await keptForecasts(files.map(({ id }) => id))
  const based = files.map((file) => ({ ...file, basis: basisOf(deps, file, levels) }))
  const changed = based.filter(({ id, basis }) => kept.get(id)?.basis !== basis)
  const computed = await compute({
    ...{ today: deps.clock.today().toString(), levels, calendars },
    files: changed.map(({ id, chains, start }) => ({ chains, start, seed: id })),
  })
  const made = changed.map(
    ({ id, basis, chains }, nth): Made => ({ id, basis, basedOn: chains, forecast: computed[nth]! }),
  )
  if (made.length > 0) await keep(made)
  const fresh = new Map(made.map(({ id, forecast }) => [id, forecast]))
  return new Map(
    all.map(({ application: { id }, readiness }) => [
      id,
      likelyDate(fresh.get(id) ?? kept.get(id)!.forecast, readiness),
    ]),
  )
}

/** The core that answers people stays theirs. */
const threads = Math.max(1, availableParallelism() - 1)

async function compute(asked: ForecastAsked): Promise<Forecast[]> {
  if (asked.files.length < worthSending) return computeForecasts(asked)
  const each = Math.ceil(asked.files.length / threads)
  const parts = Array.from({ length: threads }, (_, nth) => asked.files.slice(nth * each, (nth + 1) * each))
  const made = await Promise.all(
    parts
      .filter((files) => files.length > 0)
      .map((files) => inThread<ForecastAsked, Forecast[]>(thread, { ...asked, files }, threads)),
  )
  return made.flat()
}

/** What a forecast rests on, in a few characters: equal where it would come out the same. */
function basisOf({ clock }: Deps, { chains, start }: FileNetwork, levels: Levels): string {
  const inShort = (key: string, value: unknown) => (key === 'curve' ? digestOf(value as Curve) : value)
  return digest(JSON.stringify([clock.today().toString(), start, levels, chains], inShort))
}

const digest = (text: string) => createHash('sha256').update(text).digest('hex')

/** A curve is one all day long, and many files wait for it. */
const digests = new WeakMap<Curve, string>()
function digestOf(curve: Curve): string {
  const known = digests.get(curve) ?? digest(JSON.stringify(curve))
  digests.set(curve, known)
  return known
}

function likelyDate(forecast: Forecast, { outcomes, facts: { today, targetStart } }: Readiness): LikelyDate {
  const dayAfter = (days: number) => today.add({ days }).toString()
  const found = <P extends { requirement: string }>(place: P | null) => {
    const outcome = place && outcomes.find(({ requirement }) => requirement === place.requirement)
    return outcome ? { ...place, outcome } : null
  }
  return {
    early: dayAfter(forecast.early),
    likely: dayAfter(forecast.likely),
    late: dayAfter(forecast.late),
    slack: today.add({ days: forecast.likely }).until(targetStart, { largestUnit: 'day' }).days,
    chance: Math.round(100 * forecast.chance),
    heldUpBy: found(forecast.heldUpBy),
    help: found(forecast.help),
  }
}
