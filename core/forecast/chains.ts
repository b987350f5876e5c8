import { proofResult } from '../requirements/provenClaim'
import { type ClaimFacts, gates, type Outcome, type Requirement, type Step } from '../requirements/requirement'
import type { Curve } from '../turnaround/kaplanMeier'
import { type Duration, saysSomething } from './duration'
import { usual } from './usual'

/** One open step, and how long it takes. */
export type Task = {
  /** What is done to what: the same work in two chains takes as long in both. */
  work: string
  step: Step
  took: Duration
  /** Whose working days it ends on: a key of the calendars that the simulation is given. */
  calendar: string
  /** How long it takes by another way, where there is one. */
  instead?: { how: 'telephone'; took: Duration }
}

/** Open steps of one requirement, one after the other, and the chains that have to be done before the first of them; none is empty. */
export type Chain = { requirement: string; claim?: string; tasks: Task[]; after: number[] }

/** What is known of how long the open steps about a claim take. */
export type ClaimTimes = {
  /** How long its source takes, in days, and for how many days it has been asked. */
  reply?: { curve: Curve; waited: number; calendar: string; byTelephone?: Curve }
  /** For how many of our working days its next step has been open. */
  waited: number
}

export type Times = {
  /** The key of our own calendar. */
  calendar: string
  /** What we take for a step, in our working days. */
  ours: Partial<Record<Step['what'], Curve>>
  claims: ReadonlyMap<string, ClaimTimes>
}

/** What an application is judged by, and how that came out. */
export type Judged = {
  outcomes: readonly Outcome[]
  requirements: readonly Requirement[]
  claims: readonly ClaimFacts[]
}

/**
 * The open steps of an application as chains that run side by side: a requirement is one, and every open job of a history one of its
 * own. An offer is made once everything up to it is done, and what is to be done after it waits until it is accepted.
 *
 * @param judged outcomes of all gates up to start
 */
export function chainsOf({ outcomes, requirements, claims }: Judged, times: Times): Chain[] {
  const facts = new Map(claims.map((claim) => [claim.id, claim]))
  const rules = new Map(requirements.map((requirement) => [requirement.key, requirement]))
  const open = outcomes.filter(({ steps }) => steps.length > 0)
  const chains: (Chain & { outcome: Outcome })[] = []
  for (const outcome of [...open].sort((a, b) => turnOf(a) - turnOf(b))) {
    const after = chains.flatMap((chain, nth) => (comesBefore(chain.outcome, outcome) ? [nth] : []))
    for (const { claim, steps } of partsOf(outcome, rules.get(outcome.requirement), facts))
      chains.push({
        outcome,
        requirement: outcome.requirement,
        ...(claim ? { claim } : {}),
        tasks: tasksOf(steps, claim ?? outcome.requirement, times),
        after,
      })
  }
  return chains.map(({ outcome: _, ...chain }) => chain)
}

const offerCodes: readonly string[] = ['no-offer', 'offer-open', 'offer-expired', 'offer-declined']
const isOffer = ({ reason }: Outcome) => offerCodes.includes(reason.code)
const isTask = ({ reason }: Outcome) => reason.code === 'task-open'

/** First what goes side by side, then the offer, then what waits for it. */
const turnOf = (outcome: Outcome) => Number(isOffer(outcome)) + 2 * Number(isTask(outcome))

function comesBefore(earlier: Outcome, later: Outcome): boolean {
  if (isTask(later)) return isOffer(earlier)
  // One that has been made waits for nothing but its answer.
  if (!isOffer(later) || later.reason.code === 'offer-open') return false
  return !isOffer(earlier) && gates.indexOf(earlier.gate) <= gates.indexOf('offer')
}

type Part = { claim?: string; steps: readonly Step[] }

/** The steps of a requirement; where every job is asked for, of each that is open. */
function partsOf(
  { claims, steps }: Outcome,
  requirement: Requirement | undefined,
  facts: ReadonlyMap<string, ClaimFacts>,
): Part[] {
  const whole = [claims[0] ? { claim: claims[0], steps } : { steps }]
  if (requirement?.asks.kind !== 'every work entry') return whole
  const jobs = claims
    .map((claim) => ({ claim, steps: proofResult(facts.get(claim)!, requirement).steps }))
    .filter(({ steps: left }) => left.length > 0)
  // Something else that does instead is nearer than the jobs.
  return jobs.length > 0 ? jobs : whole
}

function tasksOf(steps: readonly Step[], about: string, times: Times): Task[] {
  const claim = times.claims.get(about)
  const seen = new Map<string, number>()
  return steps.map((step, nth) => {
    const time = (seen.get(step.what) ?? 0) + 1
    seen.set(step.what, time)
    const task = { work: `${about} ${step.what} ${time}`, step }
    const isNext = nth === 0
    if (step.what === 'reply' && claim?.reply && saysSomething(claim.reply.curve))
      return { ...task, ...replyOf(claim.reply, isNext) }
    return { ...task, took: oursOrTheirs(step, times, isNext ? (claim?.waited ?? 0) : 0), calendar: times.calendar }
  })
}

function replyOf(
  { curve, waited, calendar, byTelephone }: NonNullable<ClaimTimes['reply']>,
  isNext: boolean,
): Pick<Task, 'took' | 'calendar' | 'instead'> {
  const took = (of: Curve, since: number): Duration => ({ kind: 'measured', curve: of, in: 'days', waited: since })
  return {
    took: took(curve, isNext ? waited : 0),
    calendar,
    ...(byTelephone && saysSomething(byTelephone)
      ? { instead: { how: 'telephone' as const, took: took(byTelephone, 0) } }
      : {}),
  }
}

function oursOrTheirs({ who, what }: Step, { ours }: Times, waited: number): Duration {
  const curve = who === 'candidate' ? undefined : ours[what]
  if (curve && saysSomething(curve)) return { kind: 'measured', curve, in: 'working days', waited }
  const [early, likely, late] = usual[what]
  return { kind: 'assumed', early, likely, late, waited }
}
