import { Op } from 'sequelize'
import { candidateWithMail } from '../accounts/candidate'
import { claimsOf } from '../claims/face'
import { Claim } from '../claims/model'
import { ofClaims } from '../claims/subquery'
import { rowsOf } from '../database/rows'
import type { Deps } from '../deps'
import { documentsOfCandidates } from '../documents/documents'
import { notFound } from '../http/problems'
import type { Source } from '../sources/model'
import { sourcesOfCandidates } from '../sources/sources'
import { enquiriesOfCandidates } from './enquiries'
import { Finding } from './model'
import type { FileForProof } from './proof'

export async function claimById(id: string): Promise<Claim> {
  const claim = await Claim.findByPk(id)
  if (!claim || claim.removedAt) throw notFound()
  return claim
}

/** What was decided about any claim of a candidate, oldest first. */
export const findingsOf = (candidateId: string): Promise<Finding[]> =>
  rowsOf(Finding, { claimId: { [Op.in]: ofClaims('id', [candidateId]) } }, ['decidedAt', 'id'])

/** Everything that comparing the claims of a candidate needs, in a few queries. */
export async function fileForProof({ clock }: Pick<Deps, 'clock'>, candidateId: string): Promise<FileForProof> {
  const [claims, person, documents, enquiries, findings, sources] = await Promise.all([
    claimsOf(candidateId),
    candidateWithMail(candidateId),
    documentsOfCandidates([candidateId]),
    enquiriesOfCandidates([candidateId]),
    findingsOf(candidateId),
    sourcesOfCandidates([candidateId]),
  ])
  return { person, claims, documents, enquiries, findings, sources: bySourceId(sources), today: clock.today() }
}

export const bySourceId = (sources: readonly Source[]) => new Map(sources.map((source) => [source.id, source]))
