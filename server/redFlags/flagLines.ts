import type { FlagLine } from '#contract/redFlags'
import { isSent } from '#core/hiring/stages'
import { sayStored } from '#core/words/stored'
import { Application } from '../records/applications/model'
import { shownNames } from '../records/people/shownNames'
import { settlementsOf } from '../records/redFlags/flags'
import type { Flag } from '../records/redFlags/model'

/** Red flags as the desk reads them: the other person by the name they are shown with, and where to look at their file. */
export async function flagLines(flags: readonly Flag[]): Promise<FlagLine[]> {
  const others = [...new Set(flags.flatMap(({ otherCandidateId }) => otherCandidateId ?? []))]
  const [names, applications, settlements] = await Promise.all([
    shownNames(others),
    Application.findAll({
      where: { candidateId: others },
      attributes: ['id', 'candidateId', 'stage'],
      order: ['createdAt'],
    }),
    settlementsOf(flags.map(({ id }) => id)),
  ])
  return flags.map((flag): FlagLine => {
    const last = settlements.findLast(({ flagId }) => flagId === flag.id)
    const who = flag.otherCandidateId ? (names.get(flag.otherCandidateId) ?? '') : ''
    const sent = applications.filter((one) => one.candidateId === flag.otherCandidateId && isSent(one))
    return {
      ...{ id: flag.id, version: flag.version, kind: flag.kind, raisedAt: flag.raisedAt.toISOString() },
      state: flag.state as FlagLine['state'],
      says: sayStored(`flags.says.${flag.kind}`, { ...flag.flagValues, who }),
      ...{ claimId: flag.claimId, documentId: flag.documentId, enquiryId: flag.enquiryId },
      place: flag.place ?? null,
      other: flag.otherCandidateId
        ? { name: who, applicationId: sent.at(-1)?.id ?? null, claimId: flag.otherClaimId }
        : null,
      settled: last
        ? { by: last.settledBy, at: last.settledAt.toISOString(), outcome: last.outcome, reason: last.reason }
        : null,
    }
  })
}

/** The same for whoever may not see what a claim holds: that there is something, and nothing of what. */
export const coveredFlag = (line: FlagLine): FlagLine => ({
  ...line,
  says: sayStored('flags.covered'),
  ...{ place: null, documentId: null, enquiryId: null, other: null },
  settled: line.settled && { ...line.settled, reason: '' },
})
