import type { Deps } from '../platform/deps'
import { candidateWithMail } from '../records/accounts/candidate'
import { claimsOf } from '../records/claims/view'
import { openReviewsOfCandidates } from '../records/decisions/reviews'
import { documentsOfCandidates } from '../records/documents/documents'
import { enquiriesOfCandidates } from '../records/enquiries/enquiries'
import { bySourceId, findingsOf } from '../records/enquiries/load'
import { stepsOf } from '../records/enquiries/steps'
import { researchOfCandidates } from '../records/sources/research'
import { sourcesOfCandidates } from '../records/sources/sources'
import { currentWatchlist } from '../records/sources/watchlist'
import type { FileForProof } from './proof'

/** Everything that comparing the claims of a candidate needs, in a few queries. */
export async function fileForProof({ clock }: Pick<Deps, 'clock'>, candidateId: string): Promise<FileForProof> {
  const [claims, person, documents, enquiries, findings, sources, proposed, research, reviews, { watchlist }] =
    await Promise.all([
      claimsOf(candidateId),
      candidateWithMail(candidateId),
      documentsOfCandidates([candidateId]),
      enquiriesOfCandidates([candidateId]),
      findingsOf(candidateId),
      sourcesOfCandidates([candidateId]),
      sourcesOfCandidates([candidateId], 'proposedSourceId'),
      researchOfCandidates([candidateId]),
      openReviewsOfCandidates([candidateId]),
      currentWatchlist(),
    ])
  const steps = await stepsOf(enquiries.map(({ id }) => id))
  return {
    steps,
    person,
    claims,
    documents,
    enquiries,
    findings,
    sources: bySourceId([...sources, ...proposed]),
    research,
    reviews,
    watchlist,
    today: clock.today(),
  }
}
