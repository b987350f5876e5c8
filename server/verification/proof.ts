import type { Static } from '@sinclair/typebox'
import type { FindingLine, Proof } from '#contract/verification'
import { type ClaimComparison, compareClaim } from '#core/comparison/compareClaim'
import { fieldsOf } from '#core/comparison/fields'
import { compareNames, type KnownName } from '#core/comparison/names'
import { comparisonSentence } from '#core/words/comparison'
import { labelOf } from '../claims/label'
import type { Claim } from '../claims/model'
import type { Document } from '../documents/model'
import type { Source } from '../sources/model'
import type { Enquiry, Finding } from './model'
import { claimedStatement } from './statement'

export type FileForProof = {
  person: { name: string; born: string | null; otherNames: readonly string[] }
  claims: readonly Claim[]
  documents: readonly Document[]
  enquiries: readonly Enquiry[]
  findings: readonly Finding[]
  sources: ReadonlyMap<string, Source>
}

export type Weighed = { claimed: Record<string, string>; comparison: ClaimComparison; latest: Enquiry | undefined }

/** Compares a claim with its latest seen document and its latest reply. */
export function weigh(claim: Claim, file: FileForProof): Weighed {
  const own = <T extends { claimId: string; credentialVersion: number }>(rows: readonly T[]) =>
    rows.filter((row) => row.claimId === claim.id && row.credentialVersion === claim.credentialVersion)
  const seen = own(file.documents)
    .filter(({ state }) => state === 'seen')
    .at(-1)
  const latest = own(file.enquiries)
    .filter(({ state }) => state === 'answered')
    .at(-1)
  const claimed = latest?.claimed ?? claimedStatement(claim.details, file.person)
  const reply = latest ? (latest.statement ?? {}) : undefined
  const comparison = compareClaim(fieldsOf(claim.kind), claimed, seen?.reads, reply, knownNames(claim, file))
  const unknownToSource = latest && latest.statement === null
  return { claimed, latest, comparison: unknownToSource ? { ...comparison, outcome: 'contradicts' } : comparison }
}

/** Former names that a seen document of another claim shows. A name nobody has evidenced explains nothing. */
function knownNames(claim: Claim, { person, claims, documents }: FileForProof): KnownName[] {
  return person.otherNames.flatMap((former) => {
    const evidence = documents.find(
      ({ claimId, state, reads }) =>
        claimId !== claim.id &&
        state === 'seen' &&
        reads.name &&
        ['same', 'equivalent'].includes(compareNames(former, reads.name).verdict),
    )
    const about = evidence && claims.find(({ id }) => id === evidence.claimId)
    return about ? [{ name: former, evidencedBy: `the paper of ${labelOf(about.details)}` }] : []
  })
}

/** What the desk sees behind a claim. */
export function proofOf(claim: Claim, file: FileForProof): Static<typeof Proof> {
  const { claimed, comparison, latest } = weigh(claim, file)
  const unknown = latest && latest.statement === null
  return {
    fields: [...fieldsOf(claim.kind)],
    claimed,
    comparison,
    sentence: unknown
      ? { head: 'The source knows nothing of this.', detail: latest.note ?? '' }
      : comparisonSentence(comparison),
    enquiries: file.enquiries
      .filter(({ claimId }) => claimId === claim.id)
      .map((enquiry) => ({
        id: enquiry.id,
        round: enquiry.round,
        channel: enquiry.channel,
        state: enquiry.state,
        source: file.sources.get(enquiry.sourceId)?.name ?? '',
        askedAt: enquiry.askedAt.toISOString(),
        askedBy: enquiry.askedBy,
        answerBy: enquiry.answerBy,
        answeredAt: enquiry.answeredAt?.toISOString() ?? null,
        respondent: enquiry.respondent ?? null,
        note: enquiry.note ?? null,
      })),
    findings: file.findings.filter(({ claimId }) => claimId === claim.id).map(findingLine),
    register: Boolean(claim.sourceId && file.sources.get(claim.sourceId)?.register),
  }
}

const findingLine = ({ id, decision, note, decidedBy, decidedAt, undoneAt }: Finding): Static<typeof FindingLine> => ({
  id,
  decision,
  note,
  by: decidedBy,
  at: decidedAt.toISOString(),
  undone: Boolean(undoneAt),
})
