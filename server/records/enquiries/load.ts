import { Op } from 'sequelize'
import { rowsOf } from '../../platform/database/rows'
import { notFound } from '../../platform/errors/problems'
import { Claim } from '../claims/model'
import { ofClaims } from '../claims/subquery'
import { withUndone } from '../decisions/reviews'
import type { Source } from '../sources/model'
import { Finding } from './model'

export async function claimById(id: string): Promise<Claim> {
  const claim = await Claim.findByPk(id)
  if (!claim || claim.removedAt) throw notFound()
  return claim
}

/** What was decided about any claim of a candidate, oldest first. */
export const findingsOf = async (candidateId: string): Promise<Finding[]> =>
  withUndone(await rowsOf(Finding, { claimId: { [Op.in]: ofClaims('id', [candidateId]) } }, ['decidedAt', 'id']))

export const bySourceId = (sources: readonly Source[]) => new Map(sources.map((source) => [source.id, source]))
