import type { StoredValue } from '../words/stored'
import type { Outcome, OutcomeReason, Step } from './requirement'

/** What a requirement comes to. */
export type Result = Pick<Outcome, 'state' | 'reason' | 'steps' | 'claims'>

export const met = (claim?: StoredValue): Result => ({
  state: 'met',
  reason: { code: 'met', claim },
  steps: [],
  claims: [],
})
export const notNeeded = (reason: OutcomeReason): Result => ({ state: 'not needed', reason, steps: [], claims: [] })
export const unmet = (reason: OutcomeReason, steps: Step[]): Result => ({ state: 'unmet', reason, steps, claims: [] })
export const undecided = (reason: OutcomeReason, steps: Step[]): Result => ({
  state: 'undecided',
  reason,
  steps,
  claims: [],
})

/** Of several ways to the same end the one that is there, or else the one with the fewest steps left; in any order. */
export function nearest(results: readonly Result[]): Result {
  return results.reduce((best, result) => (byDistance(result, best) < 0 ? result : best))
}

const open = { met: 0, 'not needed': 0, undecided: 1, unmet: 1 }
const known = { met: 0, 'not needed': 0, undecided: 0, unmet: 1 }
const byDistance = (a: Result, b: Result) =>
  open[a.state] - open[b.state] || a.steps.length - b.steps.length || known[a.state] - known[b.state]
