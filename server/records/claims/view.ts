import { Op } from 'sequelize'
import type { Claim as ClaimView } from '#contract/claims'
import type { ClaimFacts } from '#core/requirements/requirement'
import { plainRowsOf, rowsOf } from '../../platform/database/rows'
import { documentLine, documentsOfCandidates } from '../documents/documents'
import type { Document } from '../documents/model'
import { labelOf } from './label'
import { Claim, EarlierCredential } from './model'
import { ofClaims } from './subquery'

/** The claims of a file in the order they were put or else given, without those taken back. */
export const claimsOf = (candidateId: string): Promise<Claim[]> => claimsOfAll([candidateId])

/** `only` gives plain rows with these columns, and spares the making of models where there are many. */
export function claimsOfAll(candidateIds: readonly string[], only?: (keyof Claim['_attributes'])[]): Promise<Claim[]> {
  const where = { candidateId: [...candidateIds], removedAt: { [Op.is]: null } }
  if (!only) return rowsOf(Claim, where, ['place', 'createdAt', 'id'])
  const order: [string, 'ASC'][] = [
    ['place', 'ASC'],
    ['createdAt', 'ASC'],
    ['id', 'ASC'],
  ]
  return plainRowsOf(Claim, only, { where, order }) as Promise<Claim[]>
}

/** What credentials of candidates were before they were renewed, oldest first. */
export const earlierOfCandidates = (candidateIds: readonly string[]): Promise<EarlierCredential[]> =>
  rowsOf(EarlierCredential, { claimId: { [Op.in]: ofClaims('id', candidateIds) } }, ['credentialVersion'])

type Beside = {
  documents: readonly Document[]
  earlier: readonly EarlierCredential[]
  /** How they are judged, where they have been. */
  facts?: { claims: readonly Pick<ClaimFacts, 'id' | 'confirmed'>[] }
}

/**
 * Claims as they are shown, with their documents and earlier versions, newest first.
 *
 * @param known what the caller has read already
 */
export async function claimFaces(claims: readonly Claim[], known?: Beside): Promise<ClaimView[]> {
  const { documents, earlier, facts } =
    known ?? (await besideOf([...new Set(claims.map(({ candidateId }) => candidateId))]))
  return claims.map((claim) => {
    const lines = (version: number) =>
      documents
        .filter(({ claimId, credentialVersion }) => claimId === claim.id && credentialVersion === version)
        .map(documentLine)
    return {
      id: claim.id,
      version: claim.version,
      credentialVersion: claim.credentialVersion,
      details: claim.details,
      label: labelOf(claim.details),
      rung: claim.rung,
      confirmed: facts?.claims.find(({ id }) => id === claim.id)?.confirmed ?? null,
      saidAt: (claim.saidAt ?? claim.createdAt).toISOString(),
      documents: lines(claim.credentialVersion),
      earlier: earlier
        .filter(({ claimId }) => claimId === claim.id)
        .reverse()
        .map(({ credentialVersion, details, rung, replacedAt }) => ({
          credentialVersion,
          details,
          rung,
          replacedAt: replacedAt.toISOString(),
          documents: lines(credentialVersion),
        })),
    }
  })
}

async function besideOf(candidateIds: string[]): Promise<Beside> {
  const [documents, earlier] = await Promise.all([
    documentsOfCandidates(candidateIds),
    earlierOfCandidates(candidateIds),
  ])
  return { documents, earlier }
}

export const claimView = async (claim: Claim): Promise<ClaimView> => (await claimFaces([claim]))[0]!
