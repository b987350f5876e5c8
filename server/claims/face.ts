import { Op } from 'sequelize'
import type { Claim as ClaimFace } from '#contract/claims'
import { say } from '#core/words/say'
import { documentLine, documentsOf } from '../documents/documents'
import type { Document } from '../documents/model'
import { labelOf } from './label'
import { Claim, EarlierCredential } from './model'

/** The claims of a file in the order they were given, without those taken back. */
export const claimsOf = (candidateId: string): Promise<Claim[]> => claimsOfAll([candidateId])

/** `only` gives plain rows with these columns, and spares the making of models where there are many. */
export const claimsOfAll = (candidateIds: readonly string[], only?: (keyof Claim['_attributes'])[]): Promise<Claim[]> =>
  Claim.findAll({
    ...(only ? { attributes: only, raw: true } : {}),
    where: { candidateId: [...candidateIds], removedAt: { [Op.is]: null } },
    order: ['createdAt', 'id'],
  })

/** Claims as they are shown, with their documents and earlier versions. */
export async function claimFaces(claims: readonly Claim[], documents?: readonly Document[]): Promise<ClaimFace[]> {
  const ids = claims.map(({ id }) => id)
  const papers = documents ?? (await documentsOf(ids))
  const earlier =
    ids.length === 0
      ? []
      : await EarlierCredential.findAll({ where: { claimId: ids }, order: [['credentialVersion', 'DESC']] })
  return claims.map((claim) => {
    const lines = (version: number) =>
      papers
        .filter(({ claimId, credentialVersion }) => claimId === claim.id && credentialVersion === version)
        .map(documentLine)
    return {
      id: claim.id,
      version: claim.version,
      credentialVersion: claim.credentialVersion,
      details: claim.details,
      label: say(labelOf(claim.details)),
      rung: claim.rung,
      saidAt: (claim.saidAt ?? claim.createdAt).toISOString(),
      documents: lines(claim.credentialVersion),
      earlier: earlier
        .filter(({ claimId }) => claimId === claim.id)
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

export const claimFace = async (claim: Claim): Promise<ClaimFace> => (await claimFaces([claim]))[0]!
