import { candidateWithMail } from '../accounts/candidate'
import { claimsOf } from '../claims/face'
import { Claim } from '../claims/model'
import { documentsOf } from '../documents/documents'
import { notFound } from '../http/problems'
import { Source } from '../sources/model'
import { enquiriesOf } from './enquiries'
import { Finding } from './model'
import type { FileForProof } from './proof'

export async function claimById(id: string): Promise<Claim> {
  const claim = await Claim.findByPk(id)
  if (!claim || claim.removedAt) throw notFound()
  return claim
}

/**
 * Everything that comparing the claims of a candidate needs, in a few queries.
 *
 * @param known what the caller has read of them already
 */
export async function fileForProof(
  candidateId: string,
  known?: Pick<FileForProof, 'person' | 'claims' | 'documents' | 'enquiries'>,
): Promise<FileForProof> {
  const claims = known?.claims ?? (await claimsOf(candidateId))
  const ids = claims.map(({ id }) => id)
  const [person, documents, enquiries, findings, sources] = await Promise.all([
    known?.person ?? candidateWithMail(candidateId),
    known?.documents ?? documentsOf(ids),
    known?.enquiries ?? enquiriesOf(ids),
    ids.length === 0 ? [] : Finding.findAll({ where: { claimId: ids }, order: ['decidedAt', 'id'] }),
    Source.findAll({ where: { id: claims.flatMap(({ sourceId }) => sourceId ?? []) } }),
  ])
  return {
    person,
    claims,
    documents,
    enquiries,
    findings,
    sources: new Map(sources.map((source) => [source.id, source])),
  }
}
