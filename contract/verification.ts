import { type Static, Type } from '@sinclair/typebox'
import type { ClaimComparison, Field } from '#core/comparison/compareClaim'
import { decisions, type Proposal } from '#core/comparison/proposeDecision'
import type { CredentialBasis } from '#core/credentials/judge'
import type { ZoneAgainst } from '#core/identity/zoneAgainst'
import { type LetterReading, letterParts } from '#core/reading/letter'
import type { ReadValues } from '#core/reading/readFields'
import type { AwardBasis } from '#core/sources/knownAward'
import { researchStates } from '#core/sources/research'
import type { SellerMatch } from '#core/sources/sellers'
import type { Accreditation } from '#core/sources/source'
import { portraitFindings } from './documents'
import { endpoint } from './endpoint'
import { EnquiryLine } from './enquiries'
import { FlagLine } from './redFlags'
import { StandingSchema } from './reply'
import { Review } from './reviews'
import { Done, Id, listOfCore, Moment, ofCore, oneOf, orNull, Version } from './shapes'
import { sourceStates } from './sources'

const LetterFindingsShape = Type.Object(
  Object.fromEntries(letterParts.map((part) => [part, Type.Optional(oneOf(['there', 'missing']))])),
  { additionalProperties: false, description: 'Of a letter of work: which of its parts are there' },
)

export const seeDocument = endpoint({
  method: 'POST',
  path: '/api/desk/documents/:id/seen',
  summary: 'Mark a document as seen, with what it says: the claim is evidenced',
  access: 'proof.settle',
  params: Type.Object({ id: Id }),
  body: Type.Object({
    version: Version,
    reads: Type.Record(Type.String(), Type.String({ maxLength: 300 })),
    absent: Type.Optional(Type.Array(Type.String(), { maxItems: 20, description: 'Fields that are not on the paper' })),
    letter: Type.Optional(LetterFindingsShape),
  }),
  reply: Done,
  invalidates: ['desk'],
})

/** What a machine makes of a paper, for the fields of the claim it stands behind. */
export const DocumentReading = Type.Object({
  state: oneOf(['waiting', 'read', 'no recognition', 'failed', 'nothing to read']),
  values: ofCore<ReadValues>(Type.Object({})),
  /** Of a letter of work: where each of its parts was found. */
  letter: orNull(ofCore<LetterReading>(Type.Object({}))),
})
export type DocumentReading = Static<typeof DocumentReading>

export const readByMachine = endpoint({
  method: 'GET',
  path: '/api/desk/documents/:id/reading',
  summary: 'What a machine read on a document, each value with its place on the page',
  access: 'documents.read',
  params: Type.Object({ id: Id }),
  reply: DocumentReading,
  invalidates: ['desk'],
})

export const comparePortrait = endpoint({
  method: 'POST',
  path: '/api/desk/documents/:id/compare-portrait',
  summary:
    'Say whether a live portrait and the paper of identity show the same person; it can be undone like having seen',
  access: 'proof.settle',
  params: Type.Object({ id: Id }),
  body: Type.Object({ version: Version, holder: oneOf(portraitFindings), note: Type.String({ maxLength: 1000 }) }),
  reply: Done,
  idempotent: true,
  invalidates: ['desk'],
})

export const unseeDocument = endpoint({
  method: 'DELETE',
  path: '/api/desk/documents/:id/seen',
  summary: 'Undo having seen a document, while nobody has been asked on its strength',
  access: 'proof.settle',
  params: Type.Object({ id: Id }),
  reply: Done,
  invalidates: ['desk'],
})

export const sendDocumentBack = endpoint({
  method: 'POST',
  path: '/api/desk/documents/:id/send-back',
  summary: 'Send a document back with a reason; the candidate gets a mail and a task',
  access: 'proof.settle',
  params: Type.Object({ id: Id }),
  body: Type.Object({
    version: Version,
    reason: Type.String({ maxLength: 1000, description: 'May be empty where it says what the letter lacks' }),
    lacks: Type.Optional(Type.Array(oneOf(letterParts), { maxItems: letterParts.length, uniqueItems: true })),
  }),
  reply: Done,
  idempotent: true,
  invalidates: ['desk'],
})

export const decideClaim = endpoint({
  method: 'POST',
  path: '/api/desk/claims/:id/decide',
  summary: 'Decide on a claim after comparing it with the reply',
  access: 'proof.settle',
  params: Type.Object({ id: Id }),
  body: Type.Object({ version: Version, decision: oneOf(decisions), note: Type.String({ maxLength: 1000 }) }),
  reply: Type.Object({
    findingId: orNull(Id),
    reviewId: orNull(Type.String({ description: 'Where it takes another person, or is told to the candidate first' })),
  }),
  idempotent: true,
  invalidates: ['desk'],
})

export const undoDecision = endpoint({
  method: 'DELETE',
  path: '/api/desk/findings/:id',
  summary: 'Undo a decision just made; both stay on record',
  access: 'proof.settle',
  params: Type.Object({ id: Id }),
  reply: Done,
  invalidates: ['desk'],
})

export const FindingLine = Type.Object({
  id: Id,
  decision: oneOf(decisions),
  note: Type.String(),
  by: Type.String({ description: 'Empty where it was confirmed by rule' }),
  basis: orNull(ofCore<AwardBasis | CredentialBasis>(Type.Object({}))),
  at: Moment,
  undone: Type.Boolean(),
})

export const Proof = Type.Object({
  /** Of the claim it stands behind: what is decided is decided on this. */
  version: Version,
  fields: listOfCore<Field>(),
  claimed: Type.Record(Type.String(), Type.String()),
  standing: orNull(StandingSchema),
  comparison: ofCore<ClaimComparison>(Type.Object({})),
  sentence: Type.Object({ head: Type.String(), detail: Type.String() }),
  enquiries: Type.Array(EnquiryLine),
  findings: Type.Array(FindingLine),
  /** A decision that goes on. */
  review: orNull(Review),
  /** Patterns about it that are worth a look, settled or not. */
  flags: Type.Array(FlagLine),
  /** The decision the evidence proposes; none where there is nothing to decide on. */
  proposed: orNull(oneOf([...decisions, 'ask again'] as const satisfies Proposal[])),
  register: Type.Boolean({ description: 'The source keeps a register that can be asked' }),
  /** What is known of the source that it names, or proposes. */
  source: orNull(Type.Object({ id: Id, state: oneOf(sourceStates) })),
  seller: orNull(ofCore<SellerMatch>(Type.Object({}))),
  /** The programme a study was of, where it is known, and what accredits it in the year of the award. */
  programme: orNull(
    Type.Object({ title: Type.String(), accreditation: orNull(ofCore<Accreditation>(Type.Object({}))) }),
  ),
  /** Whether somebody looks, or has looked, into the programme of a study that nobody knew. */
  research: orNull(
    Type.Object({ id: Id, state: oneOf(researchStates), recognised: orNull(Type.Boolean()), why: Type.String() }),
  ),
  /** What the machine-readable zone says of the claim, where one was captured. */
  zone: orNull(ofCore<ZoneAgainst>(Type.Object({}))),
})
export type Proof = Static<typeof Proof>
