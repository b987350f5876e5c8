import { dayNumber, dayOf } from '../dates/dayNumber'
import { readingsOf } from '../history/coverage'
import { intersect, isRange, lengthOf } from '../history/ranges'
import type { ClaimOfFlags, FlagFacts } from './facts'
import type { RedFlag } from './redFlag'

/** Per cent of full time that two jobs may come to together. */
const mostShare = 150
/** Days that two jobs overlap while one is handed over. */
const mostDays = 62

/** Two jobs that, under every reading of their days, took more time than a person has. */
export function jobsAtOnce({ claims, today }: FlagFacts): RedFlag[] {
  const jobs = claims.flatMap((claim) => {
    const { from, to, isPresent, share } = claim
    if (claim.kind !== 'work' || !from || !(to || isPresent) || !share) return []
    const { certain } = readingsOf({ id: claim.id, from, to: isPresent ? 'present' : to! }, dayNumber(today))
    return isRange(certain) ? [{ claim, certain, share }] : []
  })
  return jobs.flatMap((one, nth) =>
    jobs.slice(nth + 1).flatMap((other): RedFlag[] => {
      const shared = intersect(one.certain, other.certain)
      if (!isRange(shared) || lengthOf(shared) <= mostDays || one.share + other.share <= mostShare) return []
      const [first, second] = inOrder(one.claim, other.claim)
      return [
        {
          kind: 'two full-time jobs',
          about: `${first.id} ${second.id}`,
          at: { claimId: second.id },
          values: {
            ...{ one: first.label, other: second.label, share: one.share + other.share, count: lengthOf(shared) },
            ...{ from: { day: dayOf(shared.from).toString() }, through: { day: dayOf(shared.through).toString() } },
          },
        },
      ]
    }),
  )
}

/** The same two however the file lists them. */
const inOrder = (one: ClaimOfFlags, other: ClaimOfFlags) =>
  (one.id < other.id ? [one, other] : [other, one]) as [ClaimOfFlags, ClaimOfFlags]
