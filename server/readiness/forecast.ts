import { createHash } from 'node:crypto'
import { availableParallelism } from 'node:os'
import type { WorkCalendar } from '#core/calendar/workingDays'
import { workingDaysBetween, workingDayTable } from '#core/calendar/workingDayTable'
import { waysFor } from '#core/enquiries/ways'
import { type Chain, type ClaimTimes, chainsOf } from '#core/forecast/chains'
import type { Forecast, Levels } from '#core/forecast/forecast'
import { partition } from '#core/groupBy'
import { isCleared } from '#core/hiring/stages'
import type { Outcome } from '#core/requirements/requirement'
import type { Curve } from '#core/turnaround/kaplanMeier'
import type { Deps } from '../platform/deps'
import { inThread } from '../platform/jobs/threads'
import type { Application } from '../records/applications/model'
import type { Claim } from '../records/claims/model'
import type { Enquiry } from '../records/enquiries/model'
import { FirstForecast, KeptForecast, keptForecasts } from '../records/hiring/forecasts'
import type { Source } from '../records/sources/model'
import { levelsOfToday, ourCurves, sourceCurves } from './dayCurves'
import computeForecasts, { type ForecastAsked } from './forecastThread'
import type { Readiness } from './readiness'
import { ownCalendar, sharedCalendar } from './workCalendar'

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

type Judged = { application: Pick<Application, 'id' | 'stage'>; readiness: Readiness }

const own = 'ours'
const thread = new URL('./forecastThread.ts', import.meta.url)
/** Fewer are computed sooner than they are sent to a thread and back: one takes about a millisecond. */
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
  const { files, calendars, names } = await networksOf(deps, all)
  const levels = await levelsOfToday(deps)
  const kept = await keptForecasts(files.map(({ id }) => id))
  const based = files.map((file) => ({ ...file, basis: basisOf(deps, file, levels, names) }))
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
    parts.map((files) => inThread<ForecastAsked, Forecast[]>(thread, { ...asked, files }, threads)),
  )
  return made.flat()
}

type FileNetwork = { id: string; chains: Chain[]; start: number }

/** The open steps of each file, how long they take, and the calendars they go by. */
async function networksOf(deps: Deps, all: readonly Judged[]) {
  const named = new Map(all.flatMap(({ readiness }) => readiness.sources.map((source) => [source.id, source] as const)))
  const asked = [...named.values()].filter(({ id }) => all.some(({ readiness }) => waitsFor(readiness, id)))
  const [anyWay, byTelephone, ours] = await Promise.all([
    sourceCurves(deps, asked, 'any way'),
    sourceCurves(deps, asked, 'telephone'),
    ourCurves(deps),
  ])
  const calendars = new Map<string, WorkCalendar>([[own, ownCalendar(deps)]])
  const calendarOf = ({ country, known: { region, closures } }: Source) => {
    const key = JSON.stringify([country, region, closures])
    if (!calendars.has(key)) calendars.set(key, sharedCalendar(deps, { country, region, closures }))
    return key
  }
  const files = all.map(({ application, readiness }): FileNetwork => {
    const { outcomes, requirements, facts } = readiness
    const claims = new Map(
      readiness.claims.map((claim) => [claim.id, timesOf(deps, claim, readiness, { anyWay, byTelephone, calendarOf })]),
    )
    const chains = chainsOf({ outcomes, requirements, claims: facts.claims }, { calendar: own, ours, claims })
    return {
      id: application.id,
      chains,
      start: facts.today.until(facts.targetStart, { largestUnit: 'day' }).days,
    }
  })
  return { files, calendars, names: new Map([...anyWay, ...byTelephone].map(([id, curve]) => [curve, id])) }
}

/** Whether an answer of a source is among the open steps. */
function waitsFor({ outcomes, claims }: Readiness, sourceId: string): boolean {
  const waiting = new Set(
    outcomes.flatMap(({ steps, claims: about }) => (steps.some(({ what }) => what === 'reply') ? about : [])),
  )
  return claims.some((claim) => claim.sourceId === sourceId && waiting.has(claim.id))
}

type Known = {
  anyWay: ReadonlyMap<string, Curve>
  byTelephone: ReadonlyMap<string, Curve>
  calendarOf: (source: Source) => string
}

/** How long what is open about a claim takes, and since when it has been. */
function timesOf(deps: Deps, claim: Claim, readiness: Readiness, known: Known): ClaimTimes {
  const source = readiness.sources.find(({ id }) => id === claim.sourceId)
  const curve = source && known.anyWay.get(source.id)
  const enquiry = readiness.enquiries
    .filter(({ claimId, credentialVersion }) => claimId === claim.id && credentialVersion === claim.credentialVersion)
    .at(-1)
  const waited = workingDaysSince(deps, openSince(claim, enquiry, readiness))
  if (!source || !curve) return { waited }
  const telephone = mayBeCalled(source, claim, enquiry) ? known.byTelephone.get(source.id) : undefined
  return {
    waited,
    reply: {
      curve,
      calendar: known.calendarOf(source),
      waited: enquiry?.state === 'open' ? daysSince(deps, enquiry.askedAt) : 0,
      ...(telephone ? { byTelephone: telephone } : {}),
    },
  }
}

/** What has come and waits for us: an answer, or a paper of somebody who has sent their application. */
function openSince(claim: Claim, enquiry: Enquiry | undefined, { documents }: Readiness): Date | undefined {
  if (enquiry?.state === 'answered') return enquiry.answeredAt ?? undefined
  return documents.find(({ claimId, state }) => claimId === claim.id && state === 'to look at')?.uploadedAt
}

function mayBeCalled(source: Source, { kind, details }: Claim, enquiry: Enquiry | undefined): boolean {
  if (enquiry?.channel === 'telephone' || enquiry?.channel === 'register') return false
  const number = 'number' in details ? details.number : ''
  const { contacts, channels } = source.known
  return waysFor({ contacts, channels, register: source.register }, { kind, number }).some(
    ({ channel }) => channel === 'telephone',
  )
}

const daysSince = ({ clock }: Deps, moment: Date) =>
  Math.max(0, Math.floor((clock.now().getTime() - moment.getTime()) / 86_400_000))

/** What is older than this waits as long as anything does. */
const longestWait = 90

function workingDaysSince(deps: Deps, moment: Date | undefined): number {
  if (!moment) return 0
  const days = Math.min(longestWait, daysSince(deps, moment))
  const today = deps.clock.today()
  return workingDaysBetween(workingDayTable(today.subtract({ days }), ownCalendar(deps)), 0, days)
}

/**
 * What a forecast rests on, in a few characters: equal where it would come out the same. A curve is known by whose it is, since it is
 * one all day long.
 */
function basisOf({ clock }: Deps, { chains, start }: FileNetwork, levels: Levels, names: ReadonlyMap<Curve, string>) {
  const byName = (key: string, value: unknown) => (key === 'curve' ? (names.get(value as Curve) ?? own) : value)
  const rests = [clock.today().toString(), start, levels, chains]
  return createHash('sha256').update(JSON.stringify(rests, byName)).digest('hex')
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
