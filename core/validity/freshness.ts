import type { Temporal } from 'temporal-polyfill'
import type { IssuedClaim } from '../sources/source'

/** For how many months what was confirmed is not asked again, by the kind of claim; null for as long as the file is kept. */
export type FreshMonths = Readonly<Record<IssuedClaim, number | null>>

/**
 * How long is usual. What somebody learnt or did stays as it was; a licence is looked at anew every year, since what its body
 * says of it may have changed.
 */
export const usualFreshness: FreshMonths = {
  study: null,
  licence: 12,
  certificate: 24,
  language: 24,
  attestation: null,
  work: 24,
}

/**
 * The last day on which what was confirmed serves without being asked again.
 *
 * @param confirmedOn the day somebody decided that it is so
 * @param goingOn what it says may have changed since, such as a job that was held when it was confirmed; what was over then
 *   has stayed as it was
 * @returns the day, included; null where there is none
 */
export function freshThrough(
  kind: IssuedClaim,
  confirmedOn: Temporal.PlainDate,
  goingOn: boolean,
  policy: FreshMonths,
): Temporal.PlainDate | null {
  const months = policy[kind]
  if (months === null || (kind === 'work' && !goingOn)) return null
  return confirmedOn.add({ months })
}

/** Whether what was confirmed still serves on a day. */
export const isFresh = ({ until }: { until: string | null }, today: Temporal.PlainDate): boolean =>
  until === null || until >= today.toString()
