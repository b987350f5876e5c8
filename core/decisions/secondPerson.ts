import type { Decision } from '../comparison/proposeDecision'

/** What one person says a claim comes to, having looked at the evidence. */
export type View = { by: string; decision: Decision }

/** Who has to say something next, or what it comes to. */
export type Standing = { state: 'second' | 'third' } | { state: 'agreed'; decision: Decision }

/**
 * What several views come to. The first waits for a second person; where both say the same, that holds, whichever of them was
 * first; where they differ a third decides, and it is what the third says.
 *
 * @param views of different people, in the order in which they were given
 */
export function standingOf(views: readonly View[]): Standing {
  const [first, second, third] = views
  if (!first || !second) return { state: 'second' }
  if (first.decision === second.decision) return { state: 'agreed', decision: first.decision }
  return third ? { state: 'agreed', decision: third.decision } : { state: 'third' }
}

/** Whether a decision takes a second person: a contradiction always, and a confirmation while red flags stand against it. */
export const takesSecond = (decision: Decision, flagged: boolean): boolean =>
  decision === 'contradicted' || (flagged && decision.startsWith('confirmed'))

/** Where a decision stands that takes more than one person, or that the candidate is told before it is final. */
export const reviewStates = ['second', 'third', 'hearing', 'answered', 'concluded', 'withdrawn'] as const
export type ReviewState = (typeof reviewStates)[number]

/** Those that go on. */
export const openReviewStates = ['second', 'third', 'hearing', 'answered'] as const satisfies readonly ReviewState[]
export type OpenReviewState = (typeof openReviewStates)[number]
export const isOpenReview = (state: ReviewState): state is OpenReviewState =>
  openReviewStates.some((one) => one === state)
