import type { Standing } from '../validity/validity'
import type { ClaimComparison } from './compareClaim'
import { isMostlyAgreed, type Weighing } from './weigh'

export const decisions = ['confirmed', 'confirmed with a note', 'contradicted', 'unconfirmable'] as const
export type Decision = (typeof decisions)[number]
/** What the evidence proposes; asking again is no decision. */
export type Proposal = Decision | 'ask again'

type Evidence = {
  outcome: ClaimComparison['outcome']
  weighing: Weighing
  /** Whether the source knows of the person and the thing at all. */
  known: boolean
  /** What the source says of it beyond its dates, where that stands against it today. */
  against: Exclude<Standing['state'], 'good'> | undefined
}

/**
 * The decision the evidence proposes, or `undefined` where it proposes none: before a reply, and while a licence is
 * suspended, which is neither wrong nor in force. Where too little was said, or too little of it agrees, to ask again.
 */
export function proposeDecision({ outcome, weighing, known, against }: Evidence): Proposal | undefined {
  if (outcome === 'no reply') return undefined
  if (!known || outcome === 'contradicts' || against === 'revoked') return 'contradicted'
  if (against === 'suspended') return undefined
  if (outcome === 'agrees') return against ? 'confirmed with a note' : 'confirmed'
  return isMostlyAgreed(weighing) ? 'confirmed with a note' : 'ask again'
}
