import type { Review } from '#contract/reviews'
import { isOpenReview } from '#core/decisions/secondPerson'
import { writeValue } from '#core/words/stored'
import type { Account, Deps } from '../platform/deps'
import { othersBeside } from '../records/accounts/policies'
import { accountsWithRight } from '../records/accounts/staff'
import type { ClaimReview } from '../records/decisions/model'
import { viewsOf } from '../records/decisions/reviews'
import { undoMs } from './reviews'

/**
 * A decision that goes on, as one person at the desk sees it: whoever has yet to say what they think sees the evidence and not
 * what others said. A third, who settles between two, says it before reading them too.
 */
export async function reviewView(deps: Deps, actor: Account, review: ClaimReview | undefined): Promise<Review | null> {
  if (!review || !isOpenReview(review.state)) return null
  const [views, holders, { two }] = await Promise.all([
    viewsOf([review.id]),
    accountsWithRight('proof.settle'),
    othersBeside(actor, 'claim-decision', 'proof.settle'),
  ])
  const own = views.find(({ accountId }) => accountId === actor.id)
  const settles = actor.rights.includes('proof.settle')
  const waits = review.state === 'second' || review.state === 'third'
  const alone = holders.every(({ id }) => views.some(({ accountId }) => accountId === id))
  const proposed = views[0]?.accountId === actor.id
  return {
    id: review.id,
    version: review.version,
    state: review.state,
    openedAt: review.openedAt.toISOString(),
    proposedBy: views[0]?.name ?? '',
    views:
      own || !waits
        ? views.map(({ name, decision, note, at }) => ({ by: name, decision, note, at: at.toISOString() }))
        : [],
    may: {
      say: settles && waits && !own,
      conclude: settles && (waits ? alone && own !== undefined : alone || review.alone || !two || !proposed),
      withdraw:
        proposed &&
        review.state === 'second' &&
        views.length === 1 &&
        deps.clock.now().getTime() - review.openedAt.getTime() < undoMs,
    },
    alone: review.alone,
    told: (review.told ?? []).map(writeValue),
    answerBy: review.answerBy ?? null,
    answer:
      review.answer && review.answeredAt
        ? { text: review.answer, at: review.answeredAt.toISOString(), documents: review.answerDocuments ?? [] }
        : null,
  }
}
