import { Op } from 'sequelize'
import { openReviewStates } from '#core/decisions/secondPerson'
import { rowsOf } from '../../platform/database/rows'
import { notFound } from '../../platform/errors/problems'
import { ofClaims } from '../claims/subquery'
import { ClaimReview, FindingUndo, ReviewView } from './model'

export async function reviewById(id: string): Promise<ClaimReview> {
  const review = await ClaimReview.findByPk(id)
  if (!review) throw notFound()
  return review
}

/** What people have said in a review, in the order in which they did. */
export const viewsOf = (reviewIds: readonly string[]): Promise<ReviewView[]> =>
  reviewIds.length === 0 ? Promise.resolve([]) : rowsOf(ReviewView, { reviewId: [...reviewIds] }, ['at', 'accountId'])

/** The reviews that go on, of the claims of candidates. */
export const openReviewsOfCandidates = (candidateIds: readonly string[]): Promise<ClaimReview[]> =>
  candidateIds.length === 0
    ? Promise.resolve([])
    : rowsOf(ClaimReview, {
        state: [...openReviewStates],
        claimId: { [Op.in]: ofClaims('id', [...candidateIds]) },
      })

/** Fills in which decisions were undone. */
export async function withUndone<F extends { id: string; undoneAt?: Date | null }>(findings: F[]): Promise<F[]> {
  if (findings.length === 0) return findings
  const undone = await FindingUndo.findAll({ where: { findingId: findings.map(({ id }) => id) } })
  const at = new Map(undone.map(({ findingId, undoneAt }) => [findingId, undoneAt]))
  for (const finding of findings) finding.undoneAt = at.get(finding.id) ?? null
  return findings
}
