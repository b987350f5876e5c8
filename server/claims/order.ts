import { Op } from 'sequelize'
import type { Account, Deps } from '../platform/deps'
import { notFound } from '../platform/errors/problems'
import { candidateOf } from '../records/accounts/candidate'
import { Claim } from '../records/claims/model'

/** Puts claims of one's own in an order; those that are not among them stay behind, as they were given. */
export async function orderClaims(deps: Deps, actor: Account, ids: readonly string[]) {
  const { id: candidateId } = await candidateOf(deps, actor)
  const own = { candidateId, removedAt: { [Op.is]: null } }
  const found = await Claim.count({ where: { ...own, id: [...ids] } })
  if (found < ids.length) throw notFound()
  for (const [nth, id] of ids.entries()) await Claim.update({ place: nth + 1 }, { where: { ...own, id } })
  return { done: true as const }
}
