import type { Temporal } from 'temporal-polyfill'
import { dayNumber, dayOf, isoOfDay, spanInDays } from '../dates/dayNumber'
import { type PartialDate, spanOf } from '../dates/partialDate'

/** How long a thing holds, as its paper or its issuer says. */
export type Term = { from?: PartialDate; through: PartialDate | 'does not expire' | 'unknown' }

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
  standing: 'good' | 'suspended' | 'revoked' = 'good',
): Validity {
  const lastDay = lastDayOf(term)
  const daysLeft = lastDay && asOf.until(lastDay, { largestUnit: 'day' }).days
  const renewBy = lastDay?.subtract({ days: leadDays })
  const timed = { lastDay, daysLeft, renewBy }
  if (standing !== 'good') return { state: standing, ...timed }
  if (term.from && daysBetween(asOf, firstDayOf(term.from)) > 0) return { state: 'not yet valid', ...timed }
  if (term.through === 'does not expire') return { state: 'does not expire' }
  if (daysLeft === undefined) return { state: 'unknown' }
  if (daysLeft < 0) return { state: 'lapsed', ...timed }
  return { state: daysLeft <= leadDays ? 'expiring' : 'valid', ...timed }
}

export type ThroughResult =
  | { holds: true }
  /** The days as ISO texts. */
  | { holds: false; lastDay: string; needed: string; shortBy: number }
  | { holds: 'undecided' }

/** Whether a thing is still valid on the last day of "start plus N days". The start itself is day 0. */
export function validThrough(term: Term, start: Temporal.PlainDate, plusDays: number): ThroughResult {
  if (term.through === 'does not expire') return { holds: true }
  const last = lastDayNumber(term)
  if (last === undefined) return { holds: 'undecided' }
  const needed = dayNumber(start) + plusDays
  return last >= needed
    ? { holds: true }
    : { holds: false, lastDay: isoOfDay(last), needed: isoOfDay(needed), shortBy: needed - last }
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
