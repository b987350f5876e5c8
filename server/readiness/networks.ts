import type { WorkCalendar } from '#core/calendar/workingDays'
import { workingDaysBetween, workingDayTable } from '#core/calendar/workingDayTable'
import { waysFor } from '#core/enquiries/ways'
import { type Chain, type ClaimTimes, chainsOf } from '#core/forecast/chains'
import type { Curve } from '#core/turnaround/kaplanMeier'
import type { Deps } from '../platform/deps'
import type { Application } from '../records/applications/model'
import type { Claim } from '../records/claims/model'
import type { Enquiry } from '../records/enquiries/model'
import type { Source } from '../records/sources/model'
import { ourCurves, sourceCurves } from './dayCurves'
import type { Readiness } from './readiness'
import { ownCalendar, sharedCalendar } from './workCalendar'

/** An application and how it was judged. */
export type Judged = { application: Pick<Application, 'id' | 'stage'>; readiness: Readiness }

export type FileNetwork = { id: string; chains: Chain[]; start: number }

/** The open steps of each file, how long they take, and the calendars they go by. */
export async function networksOf(deps: Deps, all: readonly Judged[]) {
  const asked = [...new Map(all.flatMap(({ readiness }) => waitedFor(readiness)).map((one) => [one.id, one])).values()]
  const [anyWay, byTelephone, ours] = await Promise.all([
    sourceCurves(deps, asked, 'any way'),
    sourceCurves(deps, asked, 'telephone'),
    ourCurves(deps),
  ])
  const calendars = new Map<string, WorkCalendar>([['ours', ownCalendar(deps)]])
  const calendarOf = ({ country, known: { region, closures } }: Source) => {
    const key = JSON.stringify([country, region, closures])
    if (!calendars.has(key)) calendars.set(key, sharedCalendar(deps, { country, region, closures }))
    return key
  }
  const known: Known = { anyWay, byTelephone, calendarOf, workingDaysSince: sinceInWorkingDays(deps) }
  const files = all.map(({ application, readiness }): FileNetwork => {
    const { requirements, facts } = readiness
    const outcomes = readiness.outcomes.filter(({ forRecipients }) => !forRecipients)
    const claims = new Map(readiness.claims.map((claim) => [claim.id, timesOf(deps, claim, readiness, known)]))
    const chains = chainsOf({ outcomes, requirements, claims: facts.claims }, { calendar: 'ours', ours, claims })
    return {
      id: application.id,
      chains,
      start: facts.today.until(facts.targetStart, { largestUnit: 'day' }).days,
    }
  })
  return { files, calendars }
}

/** The sources whose answer is among the open steps. */
function waitedFor({ outcomes, claims, sources }: Readiness): Source[] {
  const about = new Set(
    outcomes.flatMap(({ steps, claims: of }) => (steps.some(({ what }) => what === 'reply') ? of : [])),
  )
  const ids = new Set(claims.flatMap(({ id, sourceId }) => (about.has(id) ? [sourceId] : [])))
  return sources.filter(({ id }) => ids.has(id))
}

type Known = {
  anyWay: ReadonlyMap<string, Curve>
  byTelephone: ReadonlyMap<string, Curve>
  calendarOf: (source: Source) => string
  workingDaysSince: (moment: Date | undefined) => number
}

/** How long what is open about a claim takes, and since when it has been. */
function timesOf(deps: Deps, claim: Claim, readiness: Readiness, known: Known): ClaimTimes {
  const source = readiness.sources.find(({ id }) => id === claim.sourceId)
  const curve = source && known.anyWay.get(source.id)
  const enquiry = readiness.enquiries
    .filter(({ claimId, credentialVersion }) => claimId === claim.id && credentialVersion === claim.credentialVersion)
    .at(-1)
  const waited = known.workingDaysSince(openSince(claim, enquiry, readiness))
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

/** For how many of our working days something has been open; the days are laid out once for all files. */
function sinceInWorkingDays(deps: Deps): (moment: Date | undefined) => number {
  const table = workingDayTable(deps.clock.today().subtract({ days: longestWait }), ownCalendar(deps))
  return (moment) =>
    moment === undefined
      ? 0
      : workingDaysBetween(table, longestWait - Math.min(longestWait, daysSince(deps, moment)), longestWait)
}
