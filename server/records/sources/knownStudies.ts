import { knownProgramme } from '#core/sources/knownAward'
import type { KnownStudy } from '#core/sources/knownStudy'
import type { Claim } from '../claims/model'
import type { Source } from './model'
import { researchFor, researchOfCandidates } from './research'

/** What is known of the programmes of somebody's studies, where their institutions are known. */
export async function knownStudies(claims: readonly Claim[], sources: readonly Source[]): Promise<KnownStudy[]> {
  const studies = claims.filter(({ details, sourceId }) => details.kind === 'study' && sourceId)
  if (studies.length === 0) return []
  const research = await researchOfCandidates([studies[0]!.candidateId])
  return studies.flatMap((claim): KnownStudy[] => {
    const source = sources.find(({ id }) => id === claim.sourceId)
    const { details, awardStatedAt } = claim
    if (!source?.checkedAt || details.kind !== 'study') return []
    const found = researchFor(claim, research)
    return [
      {
        ...{ claim: claim.id, source: source.name, ...knownProgramme(details, source.programmes) },
        stated: Boolean(awardStatedAt),
        research: found ? { state: found.state, outcome: (found.state === 'done' && found.outcome) || null } : null,
      },
    ]
  })
}
