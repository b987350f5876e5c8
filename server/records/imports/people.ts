import { QueryTypes, type Sequelize } from 'sequelize'
import { candidatesById } from '../accounts/candidate'
import type { Candidate } from '../accounts/model'

/** By which imports people came. */

export type Came = {
  candidateId: string
  importId: string
  fileName: string
  at: Date
  by: string
  claims: string[]
  hasAccount: boolean
}

/** A file of its own: neither erased nor merged into another. */
export const isThere = ({ erasedAt, eraseOn, mergedInto }: Candidate) => !erasedAt && !eraseOn && !mergedInto

/** By which imports people came, the newest first, also by one under way, without those that were taken back. */
export async function importsOf(
  { sequelize }: { sequelize: Sequelize },
  candidateIds: readonly string[],
): Promise<Came[]> {
  if (candidateIds.length === 0) return []
  const rows = await sequelize.query<
    Omit<Came, 'claims' | 'hasAccount'> & { claims: string | string[]; confirmedAt: Date | null }
  >(
    `SELECT p.candidateId, p.importId, p.claims, i.fileName, i.createdAt AS at, i.importedBy AS \`by\`, a.confirmedAt
     FROM imported_people p JOIN imports i ON i.id = p.importId
     JOIN candidates c ON c.id = p.candidateId JOIN accounts a ON a.id = c.accountId
     WHERE p.candidateId IN (:ids) AND i.state IN ('waiting', 'done') ORDER BY i.createdAt DESC`,
    { replacements: { ids: [...candidateIds] }, type: QueryTypes.SELECT },
  )
  return rows.map(({ confirmedAt, ...row }) => ({
    ...row,
    hasAccount: confirmedAt !== null,
    claims: typeof row.claims === 'string' ? (JSON.parse(row.claims) as string[]) : row.claims,
  }))
}

/**
 * Those of some people who came with an import and have not made their account their own: their names, and with what they
 * came.
 */
export async function importedAmong(deps: { sequelize: Sequelize }, candidateIds: readonly string[]) {
  const came = (await importsOf(deps, candidateIds)).filter(({ hasAccount }) => !hasAccount)
  const people = await candidatesById([...new Set(came.map(({ candidateId }) => candidateId))])
  return people.filter(isThere).map(({ id, name }) => ({
    candidateId: id,
    name,
    fileName: came.find(({ candidateId }) => candidateId === id)!.fileName,
  }))
}
