import type { Hearing } from '#contract/reviews'
import { writeValue } from '#core/words/stored'
import type { Account, Deps } from '../platform/deps'
import { candidateOf } from '../records/accounts/candidate'
import { labelOf } from '../records/claims/label'
import { Claim } from '../records/claims/model'
import { openReviewsOfCandidates } from '../records/decisions/reviews'

/** What differs from what somebody has given, and can be answered before it is decided. */
export async function listMyHearings(deps: Deps, actor: Account): Promise<Hearing[]> {
  const candidate = await candidateOf(deps, actor)
  const reviews = (await openReviewsOfCandidates([candidate.id])).filter(({ told, answerBy }) => told && answerBy)
  const claims = new Map(
    (await Claim.findAll({ where: { id: reviews.map(({ claimId }) => claimId) } })).map((claim) => [claim.id, claim]),
  )
  return reviews.flatMap((review) => {
    const claim = claims.get(review.claimId)
    if (!claim || claim.removedAt || claim.credentialVersion !== review.credentialVersion) return []
    return {
      id: review.id,
      version: review.version,
      claimId: claim.id,
      claim: labelOf(claim.details),
      told: review.told!.map(writeValue),
      answerBy: review.answerBy!,
      answered: review.answeredAt ? { text: review.answer ?? '', at: review.answeredAt.toISOString() } : null,
    }
  })
}
