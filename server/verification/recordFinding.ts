import { v7 as uuid } from 'uuid'
import type { Decision } from '#core/comparison/proposeDecision'
import type { Rung } from '#core/requirements/requirement'
import { recordEvent } from '../platform/audit/record'
import { compareAndSet } from '../platform/database/compareAndSet'
import type { Actor, Deps } from '../platform/deps'
import { labelValue } from '../records/claims/label'
import type { Claim } from '../records/claims/model'
import { settleEnquiries } from '../records/enquiries/enquiries'
import { Finding } from '../records/enquiries/model'
import type { Weighed } from './proof'

const rungAfter: Record<Decision, Rung> = {
  confirmed: 'confirmed',
  'confirmed with a note': 'confirmed',
  contradicted: 'contradicted',
  unconfirmable: 'unconfirmable',
}

type Decided = {
  decision: Decision
  note: string
  weighed: Pick<Weighed, 'comparison' | 'latest'>
  /** Who decided, as it is read in two years. */
  by: string
  reviewId?: string
}

/** Writes a decision down for good: the claim's rung, what the decision rests on, and the trail. */
export async function recordFinding(
  deps: Deps,
  actor: Actor,
  claim: Claim,
  version: number,
  { decision, note, weighed, by, reviewId }: Decided,
) {
  const rungBefore = claim.rung
  await compareAndSet(claim, version, { rung: rungAfter[decision] })
  const finding = await Finding.create({
    id: uuid(),
    claimId: claim.id,
    credentialVersion: claim.credentialVersion,
    enquiryId: weighed.latest?.id ?? null,
    decision,
    note,
    comparison: weighed.comparison,
    rungBefore,
    decidedBy: by,
    decidedAt: deps.clock.now(),
    reviewId: reviewId ?? null,
  })
  await settleEnquiries(deps, claim.id)
  await recordEvent(deps, actor, {
    code: 'claim-decided',
    words: `claim-decided.${decision}${note ? '.note' : ''}`,
    values: { claim: labelValue(claim.details), note },
    candidateId: claim.candidateId,
    claimId: claim.id,
    details: { outcome: weighed.comparison.outcome, ...(reviewId ? { review: reviewId } : {}) },
  })
  return finding
}
