import type { Temporal } from 'temporal-polyfill'
import { dayNumber, dayOf, isoOfDay, spanInDays } from '../dates/dayNumber'
import { type PartialDate, spanOf } from '../dates/partialDate'

/** How long a thing holds, as its paper or its issuer says. */
export type Term = { from?: PartialDate; through: PartialDate | 'does not expire' | 'unknown' }

export const standingStates = ['good', 'restricted', 'suspended', 'revoked'] as const

/** On which terms a licence can be restricted; what else a body wrote is kept as it wrote it. */
export const restrictionTerms = [
  'supervised',
  'not alone',
  'not at night',
  'listed places',
  'listed equipment',
] as const
export type RestrictionTerm = (typeof restrictionTerms)[number]

/** What a licensing body says of a licence beyond its dates; absent days are open ends. */
export type Standing = {
  state: (typeof standingStates)[number]
  /** ISO days, first and last. */
  from?: string
  through?: string
  /** Of a restriction. */
  terms?: RestrictionTerm[]
  termsSaid?: string
}

export type ValidityState =
  | 'not yet valid'
  | 'valid'
  | 'expiring'
  | 'lapsed'
  | 'does not expire'
  | 'suspended'
  | 'revoked'
  | 'unknown'

export type Validity = {
  state: ValidityState
  /** The last day it certainly holds; absent where it does not expire or is unknown. */
  lastDay?: Temporal.PlainDate
  /** Days after `asOf` that it still holds; 0 on the last day, negative once lapsed. */
  daysLeft?: number
  /** The day by which a renewal has to be begun. */
  renewBy?: Temporal.PlainDate
}

/**
 * Whether something is valid on a day. It is valid on its last day itself. A month or a year said as the end runs to the
 * last day of it, as is printed on cards ("valid through 03/2027"); "about" is read with care, as the earliest day it can mean.
 *
 * @param leadDays how many days a renewal takes, by its kind; within that time it is expiring
 * @param standing what the issuer says beyond dates
 */
export function validityOn(
  asOf: Temporal.PlainDate,
  term: Term,
  leadDays: number,
  standing: Standing['state'] = 'good',
): Validity {
  const lastDay = lastDayOf(term)
  const daysLeft = lastDay && asOf.until(lastDay, { largestUnit: 'day' }).days
  const renewBy = lastDay?.subtract({ days: leadDays })
  const timed = { lastDay, daysLeft, renewBy }
  if (standing === 'suspended' || standing === 'revoked') return { state: standing, ...timed }
  if (term.from && daysBetween(asOf, firstDayOf(term.from)) > 0) return { state: 'not yet valid', ...timed }
  if (term.through === 'does not expire') return { state: 'does not expire' }
  if (daysLeft === undefined) return { state: 'unknown' }
  if (daysLeft < 0) return { state: 'lapsed', ...timed }
  return { state: daysLeft <= leadDays ? 'expiring' : 'valid', ...timed }
}

export type ThroughResult =
  | { holds: true }
  /** The days as ISO texts. */
  | { holds: false; why: 'ends early'; lastDay: string; needed: string; shortBy: number }
  | { holds: false; why: 'begins late'; firstDay: string; needed: string; lateBy: number }
  | { holds: 'undecided' }

/**
 * Whether a thing is valid from the start through "start plus N days". The start itself is day 0; one that lies in the past
 * counts as today, since nobody begins before today. It has to have begun by then: both its first and its last day count.
 * A beginning given as a month or a year that could be after the start is undecided.
 *
 * @param today absent where the start is known to lie ahead
 */
export function validThrough(
  term: Term,
  start: Temporal.PlainDate,
  plusDays: number,
  today: Temporal.PlainDate = start,
): ThroughResult {
  const day = Math.max(dayNumber(start), dayNumber(today))
  const begins = term.from && spanInDays(term.from)
  if (begins && begins.earliest > day)
    return {
      holds: false,
      why: 'begins late',
      firstDay: isoOfDay(begins.earliest),
      needed: isoOfDay(day),
      lateBy: begins.earliest - day,
    }
  const ends = endsEarly(term, day + plusDays)
  if (ends.holds === true && begins && begins.latest > day) return { holds: 'undecided' }
  return ends
}

function endsEarly(term: Term, needed: number): ThroughResult {
  if (term.through === 'does not expire') return { holds: true }
  const last = lastDayNumber(term)
  if (last === undefined) return { holds: 'undecided' }
  return last >= needed
    ? { holds: true }
    : { holds: false, why: 'ends early', lastDay: isoOfDay(last), needed: isoOfDay(needed), shortBy: needed - last }
}

/**
 * What stands against a licence on any day from today to the start: the standing itself where it is not good and neither
 * over before today nor beginning only after the start. Nothing where it is good.
 */
export function standingAgainst(
  standing: Standing | undefined,
  today: Temporal.PlainDate,
  start: Temporal.PlainDate,
): Exclude<Standing['state'], 'good'> | undefined {
  if (!standing || standing.state === 'good') return undefined
  const over = standing.through !== undefined && standing.through < today.toString()
  const last = [today.toString(), start.toString()].sort()[1]!
  const ahead = standing.from !== undefined && standing.from > last
  return over || ahead ? undefined : standing.state
}

/** The last day it certainly holds. "About" may be earlier than said: only the earliest day it can mean counts. */
function lastDayNumber({ through }: Term): number | undefined {
  if (typeof through === 'string') return undefined
  const { earliest, latest } = spanInDays(through)
  return through.about ? earliest : latest
}

function lastDayOf(term: Term): Temporal.PlainDate | undefined {
  const last = lastDayNumber(term)
  return last === undefined ? undefined : dayOf(last)
}

const firstDayOf = (from: PartialDate) => spanOf(from).earliest
const daysBetween = (a: Temporal.PlainDate, b: Temporal.PlainDate) => a.until(b, { largestUnit: 'day' }).days
