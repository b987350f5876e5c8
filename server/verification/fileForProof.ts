import { candidateWithMail } from '../accounts/candidate'
import { claimsOf } from '../claims/face'
import type { Deps } from '../deps'
import { documentsOfCandidates } from '../documents/documents'
import { sourcesOfCandidates } from '../sources/sources'
import { enquiriesOfCandidates } from './enquiries'
import { bySourceId, findingsOf } from './load'
import type { FileForProof } from './proof'

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
