import type { Standing } from '../validity/validity'
import type { ClaimComparison } from './compareClaim'

export type Decision = 'confirmed' | 'confirmed with a note' | 'contradicted' | 'unconfirmable'

type Evidence = {
  outcome: ClaimComparison['outcome']
  /** Whether the source knows of the person and the thing at all. */
  known: boolean
  /** What the source says of it beyond its dates, where that stands against it today. */
  against: Exclude<Standing['state'], 'good'> | undefined
}

/**
 * The decision the evidence proposes, or `undefined` where it proposes none: before a reply, and while a licence is
 * suspended, which is neither wrong nor in force.
 */
export function proposeDecision({ outcome, known, against }: Evidence): Decision | undefined {
  if (outcome === 'no reply') return undefined
  if (!known || outcome === 'contradicts' || against === 'revoked') return 'contradicted'
  if (against === 'suspended') return undefined
  return outcome === 'agrees' && !against ? 'confirmed' : 'confirmed with a note'
}
