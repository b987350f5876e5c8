import type { Outcome } from '#core/requirements/requirement'
import type { Readiness } from '../readiness/readiness'

/**
 * What of a sent application is the candidate's to do now, in one place for every page and list that counts it. Onboarding
 * tasks come up once the offer is accepted, and an offer while it can be answered.
 */
export function dueFromCandidate({ outcomes, offer }: Pick<Readiness, 'outcomes' | 'offer'>): Outcome[] {
  return outcomes.filter(
    ({ steps, reason }) =>
      steps[0]?.who === 'candidate' &&
      // What waits for a payment is said once, where it is paid.
      (steps[0].what !== 'pay' || reason.code === 'fee-open') &&
      (reason.code !== 'task-open' || offer?.answer === 'accepted'),
  )
}
