import type { Static } from '@sinclair/typebox'
import type { Temporal } from 'temporal-polyfill'
import type { FindingLine, Proof } from '#contract/verification'
import { type ClaimComparison, compareClaim } from '#core/comparison/compareClaim'
import { fieldsOf } from '#core/comparison/fields'
import { compareNames, type KnownName } from '#core/comparison/names'
import { type Proposal, proposeDecision } from '#core/comparison/proposeDecision'
import { isForSource } from '#core/documents/papers'
import { zoneAgainst } from '#core/identity/zoneAgainst'
import { accreditationIn, programmeOf } from '#core/sources/programmes'
import { sellerOf } from '#core/sources/sellers'
import { type Standing, standingAgainst } from '#core/validity/validity'
import { comparisonSentence, standingSentence } from '#core/words/comparison'
import { say } from '#core/words/say'
import { writeValue } from '#core/words/stored'
import { stepLine } from '../enquiries/read'
import { labelOf } from '../records/claims/label'
import type { Claim } from '../records/claims/model'
import type { ClaimReview } from '../records/decisions/model'
import type { Document } from '../records/documents/model'
import { standingOf } from '../records/enquiries/licenceStanding'
import type { Enquiry, EnquiryStepRow, Finding } from '../records/enquiries/model'
import { claimedStatement } from '../records/enquiries/statement'
import type { Source } from '../records/sources/model'
import { type ProgrammeResearch, researchFor } from '../records/sources/research'
import { sellerMatch, type Watchlist } from '../records/sources/watchlist'

export type FileForProof = {
  person: { name: string; born: string | null; otherNames: readonly string[] }
  claims: readonly Claim[]
  documents: readonly Document[]
  enquiries: readonly Enquiry[]
  /** What happened to them. */
  steps: readonly EnquiryStepRow[]
  findings: readonly Finding[]
  /** Decisions that go on. */
  reviews: readonly ClaimReview[]
  /** Those its claims name, or propose. */
  sources: ReadonlyMap<string, Source>
  research: readonly ProgrammeResearch[]
  watchlist: Watchlist
  today: Temporal.PlainDate
}

export type Weighed = {
  claimed: Record<string, string>
  comparison: ClaimComparison
  /** The newest answer. */
  latest: Enquiry | undefined
  /** What the newest answer that says anything of it says of the licence beyond its dates. */
  standing: Standing | undefined
  proposed: Proposal | undefined
}

/** Compares a claim with its latest seen document and its latest reply. */
export function weigh(claim: Claim, file: FileForProof): Weighed {
  const own = <T extends { claimId: string; credentialVersion: number }>(rows: readonly T[]) =>
    rows.filter((row) => row.claimId === claim.id && row.credentialVersion === claim.credentialVersion)
  const seen = own(file.documents).filter(({ state, part }) => state === 'seen' && !isForSource(part))
  // What several papers say together; where two say something of one field, the newer.
  const read = seen.length > 0 ? Object.assign({}, ...seen.map(({ reads }) => reads)) : undefined
  const latest = own(file.enquiries)
    .filter(({ state }) => state === 'answered')
    .at(-1)
  const claimed = latest?.claimed ?? claimedStatement(claim.details, file.person)
  const reply = latest ? (latest.statement ?? {}) : undefined
  const comparison = compareClaim(fieldsOf(claim.kind, claimed), claimed, read, reply, knownNames(claim, file))
  const known = !latest || latest.statement !== null
  const standing = standingOf(own(file.enquiries))
  const against = standingAgainst(standing, file.today, file.today)
  const outcome = !known ? 'contradicts' : against && comparison.outcome === 'agrees' ? 'look' : comparison.outcome
  const last = own(file.enquiries).at(-1)
  const over = !latest && (last?.state === 'silent' || last?.state === 'declined')
  const proposed = over ? 'unconfirmable' : proposeDecision({ outcome, known, against, weighing: comparison.weighing! })
  return { claimed, latest, standing, proposed, comparison: { ...comparison, outcome } }
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
    return about ? [{ name: former, evidencedBy: labelOf(about.details) }] : []
  })
}

/** What the desk sees behind a claim. */
export function proofOf(claim: Claim, file: FileForProof): Proof {
  const { claimed, comparison, latest, standing, proposed } = weigh(claim, file)
  const { details } = claim
  return {
    version: claim.version,
    fields: [...fieldsOf(claim.kind, claimed)],
    claimed,
    comparison,
    standing: standing ?? null,
    // Who reads it decides what of it they may know: added where that is known.
    review: null,
    flags: [],
    proposed: proposed ?? null,
    sentence: sentenceOf(comparison, latest, standingAgainst(standing, file.today, file.today) && standing),
    enquiries: file.enquiries
      .filter(({ claimId }) => claimId === claim.id)
      .map((enquiry) => ({
        ...{ id: enquiry.id, reference: enquiry.reference ?? null, paper: Boolean(enquiry.paper) },
        lacks: (enquiry.lacks ?? []).map(writeValue),
        steps: file.steps.filter(({ enquiryId }) => enquiryId === enquiry.id).map(stepLine),
        round: enquiry.round,
        channel: enquiry.channel,
        state: enquiry.state,
        source: file.sources.get(enquiry.sourceId)?.name ?? '',
        askedAt: enquiry.askedAt.toISOString(),
        askedBy: enquiry.askedBy,
        answerBy: enquiry.answerBy,
        answeredAt: enquiry.answeredAt?.toISOString() ?? null,
        respondent: enquiry.respondent ?? null,
        note: noteOf(enquiry),
      })),
    findings: file.findings.filter(({ claimId }) => claimId === claim.id).map(findingLine),
    register: Boolean(claim.sourceId && file.sources.get(claim.sourceId)?.register),
    ...sourceOfClaim(claim, file),
    zone: details.kind === 'identity' && details.zone !== '' ? zoneAgainst(details, file.today) : null,
  }
}

/** What is known of whoever a claim says has issued it. */
function sourceOfClaim(claim: Claim, { sources, watchlist, research }: FileForProof) {
  const { sourceId, proposedSourceId, details } = claim
  const looked = researchFor(claim, research)
  const source = sources.get(sourceId ?? proposedSourceId ?? '')
  const said = 'sourceSaid' in details ? details.sourceSaid?.mail : undefined
  const seller = source
    ? sellerMatch(source, watchlist)
    : sellerOf({ names: [details.sourceName], mails: said ? [said] : [] }, watchlist.sellers)
  const programme = details.kind === 'study' && source ? programmeOf(details, source.programmes) : undefined
  return {
    source: source ? { id: source.id, state: source.state } : null,
    seller: seller ?? null,
    research: looked
      ? {
          ...{ id: looked.id, state: looked.state },
          recognised: looked.state === 'done' ? (looked.outcome?.recognised ?? null) : null,
          why: looked.state === 'done' ? (looked.outcome?.why ?? '') : '',
        }
      : null,
    programme: programme
      ? {
          title: programme.title,
          accreditation: (details.kind === 'study' && accreditationIn(programme, details.to)) || null,
        }
      : null,
  }
}

/** What the source wrote with its answer; a register writes nothing, and where it has no entry that is said. */
const noteOf = ({ note, channel, state, statement, claimed }: Enquiry): string | null =>
  note ??
  (channel === 'register' && state === 'answered' && statement === null
    ? say('proof.registerHasNoEntry', { number: claimed.number ?? '' })
    : null)

function sentenceOf(comparison: ClaimComparison, latest: Enquiry | undefined, against: Standing | undefined) {
  if (latest && latest.statement === null) return { head: say('proof.sourceDoesNotKnow'), detail: noteOf(latest) ?? '' }
  const { head, detail } = comparisonSentence(comparison)
  return against ? { head: standingSentence(against), detail: `${head} ${detail}`.trim() } : { head, detail }
}

const findingLine = ({
  id,
  decision,
  note,
  decidedBy,
  basis,
  decidedAt,
  undoneAt,
}: Finding): Static<typeof FindingLine> => ({
  id,
  decision,
  note,
  by: decidedBy,
  basis: basis ?? null,
  at: decidedAt.toISOString(),
  undone: Boolean(undoneAt),
})
