import { literal, type Utils } from 'sequelize'
import { Claim } from './model'

/** A column of the claims of candidates as a subquery, for what is read beside the claims and not after them. */
export function ofClaims(column: 'id' | 'sourceId', candidateIds: readonly string[]): Utils.Literal {
  const { sequelize } = Claim
  const ids = candidateIds.map((id) => sequelize!.escape(id)).join(', ')
  return literal(`(SELECT ${column} FROM claims WHERE candidateId IN (${ids || 'NULL'}))`)
}
