import { literal, type Utils } from 'sequelize'
import { Claim } from './model'

const listed = (ids: readonly string[]) => ids.map((id) => Claim.sequelize!.escape(id)).join(', ') || 'NULL'

/** A column of the claims of candidates as a subquery, for what is read beside the claims and not after them. */
export const ofClaims = (
  column: 'id' | 'sourceId' | 'proposedSourceId',
  candidateIds: readonly string[],
): Utils.Literal => literal(`(SELECT ${column} FROM claims WHERE candidateId IN (${listed(candidateIds)}))`)

/** The applications of candidates, likewise. */
export const applicationsOfCandidates = (candidateIds: readonly string[]): Utils.Literal =>
  literal(`(SELECT id FROM applications WHERE candidateId IN (${listed(candidateIds)}))`)
