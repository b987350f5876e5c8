import { type Static, Type } from '@sinclair/typebox'
import type { Field } from '#core/comparison/compareClaim'
import { againSaid, hoursSaid } from '#core/enquiries/asks'
import { declineReasons } from '#core/enquiries/enquiry'
import { restrictionTerms, standingStates } from '#core/validity/validity'
import { Mail } from './accounts'
import { endpoint } from './endpoint'
import { Day, Id, LinkToken, LongText, Moment, ofCore, oneOf, orNull } from './shapes'
import { singleLine } from './singleLine'

/** What a licensing body says of a licence beyond its dates. */
export const StandingSchema = Type.Object(
  {
    state: oneOf(standingStates),
    from: Type.Optional(Day),
    through: Type.Optional(Day),
    terms: Type.Optional(Type.Array(oneOf(restrictionTerms), { maxItems: restrictionTerms.length, uniqueItems: true })),
    termsSaid: Type.Optional(Type.String({ minLength: 1, maxLength: 300 })),
  },
  { additionalProperties: false },
)

/** Per field: the source agrees, gives the right value, or cannot say. */
export const FieldReply = Type.Union([
  Type.Object({ says: Type.Literal('agrees') }),
  Type.Object({ says: Type.Literal('differs'), value: Type.String({ minLength: 1, maxLength: 300 }) }),
  Type.Object({ says: Type.Literal('cannot say') }),
])
export type FieldReply = Static<typeof FieldReply>

export const EnquiryReply = Type.Object({
  known: Type.Boolean({ description: 'Whether the source knows of the person and the thing at all' }),
  fields: Type.Record(Type.String(), FieldReply),
  /** Asked of licences and certificates. */
  standing: Type.Optional(StandingSchema),
  /** Asked of work. */
  hours: Type.Optional(oneOf(hoursSaid)),
  again: Type.Optional(oneOf(againSaid)),
  note: LongText,
  respondent: Type.String({ minLength: 2, maxLength: 120 }),
  capacity: Type.String({ maxLength: 120 }),
})
export type EnquiryReply = Static<typeof EnquiryReply>

const byToken = Type.Object({ token: LinkToken })
/** Whoever fills in a form slips a few times; a program that tries what could pass is held up. */
const tries = { most: 20, seconds: 3600 }
/** A letter may have many people, of whom each is passed on by itself; nobody else's mailbox is filled with more. */
const passings = { most: 40, seconds: 86_400 }
/** Of a letter with several questions: which; the first that is open where none is named. */
const ofPart = { part: Type.Optional(Id) }

export const questionStates = ['open', 'answered', 'declined', 'expired', 'withdrawn'] as const
const State = oneOf(questionStates)

/** What has been filled in of an answer and is not sent: anything may be missing. */
export const DraftReply = Type.Partial(
  Type.Composite([
    Type.Omit(EnquiryReply, ['respondent']),
    Type.Object({ respondent: Type.String({ maxLength: 120 }) }),
  ]),
)
export type DraftReply = Static<typeof DraftReply>

export const Question = Type.Object({
  id: Id,
  state: State,
  operator: Type.String(),
  source: Type.String(),
  candidate: Type.String(),
  kind: Type.String(),
  answerBy: Day,
  claimed: Type.Record(Type.String(), Type.String()),
  fields: ofCore<Field[]>(Type.Array(Type.Object({}))),
  asks: Type.Object({ standing: Type.Boolean(), hours: Type.Boolean(), again: Type.Boolean() }),
  draft: orNull(DraftReply),
  draftVersion: Type.Integer(),
  /** The confirmation on paper that was put in. */
  paper: orNull(Type.String()),
  answeredAt: orNull(Moment),
  contact: Type.String(),
  /** All the questions of the letter, in order; whom those that are over were about is not told any more. */
  parts: Type.Array(Type.Object({ id: Id, state: State, candidate: Type.String() })),
})

export const readEnquiry = endpoint({
  method: 'GET',
  path: '/api/enquiries/:token',
  summary: 'The question behind a link, or one of those in its letter',
  access: 'bearer-of-link',
  params: byToken,
  query: Type.Object(ofPart),
  reply: Question,
  invalidates: ['enquiry'],
})

export const saveReplyDraft = endpoint({
  method: 'PUT',
  path: '/api/enquiries/:token/draft',
  summary: 'Keep what has been filled in, to be come back to by the same link',
  access: 'bearer-of-link',
  params: byToken,
  body: Type.Object({ ...ofPart, version: Type.Integer({ minimum: 0 }), draft: DraftReply }),
  reply: Type.Object({ version: Type.Integer() }),
})

export const replyToEnquiry = endpoint({
  method: 'POST',
  path: '/api/enquiries/:token/reply',
  summary: 'Answer the question; the link is used up for it',
  access: 'bearer-of-link',
  tries,
  params: byToken,
  query: Type.Object(ofPart),
  body: EnquiryReply,
  reply: Type.Object({ receivedAt: Moment, receipt: Type.String() }),
  idempotent: true,
  invalidates: ['enquiry'],
})

export const declineEnquiry = endpoint({
  method: 'POST',
  path: '/api/enquiries/:token/decline',
  summary: 'Say that the question will not be answered, and why',
  access: 'bearer-of-link',
  tries,
  params: byToken,
  body: Type.Object({
    ...ofPart,
    reason: oneOf(declineReasons),
    note: Type.String({ maxLength: 1000 }),
    respondent: Type.String({ minLength: 2, maxLength: 120 }),
    capacity: Type.String({ maxLength: 120 }),
  }),
  reply: Type.Object({ receivedAt: Moment, receipt: Type.String() }),
  idempotent: true,
  invalidates: ['enquiry'],
})

export const forwardEnquiry = endpoint({
  method: 'POST',
  path: '/api/enquiries/:token/forward',
  summary: 'Pass the question on to a colleague; beyond the source’s own domain the desk looks at it first',
  access: 'bearer-of-link',
  tries: passings,
  params: byToken,
  body: Type.Object({
    ...ofPart,
    toName: Type.String({ minLength: 2, maxLength: 120, pattern: singleLine }),
    toMail: Mail,
    by: Type.String({ minLength: 2, maxLength: 120, pattern: singleLine }),
  }),
  reply: Type.Object({ state: oneOf(['sent', 'to check'] as const) }),
  idempotent: true,
  invalidates: ['enquiry'],
})

export const uploadReplyPaper = endpoint({
  method: 'POST',
  path: '/api/enquiries/:token/paper',
  summary: 'Put in a confirmation on paper, as PDF or a picture, up to 10 MB',
  access: 'bearer-of-link',
  tries,
  params: byToken,
  query: Type.Object({ ...ofPart, fileName: Type.String({ minLength: 1, maxLength: 200 }) }),
  body: Type.Any(),
  bytes: true,
  reply: Type.Object({ fileName: Type.String() }),
  invalidates: ['enquiry'],
})

export const readReceipt = endpoint({
  method: 'GET',
  path: '/api/enquiries/:token/receipts/:receipt',
  summary: 'The receipt of an answer as PDF, for a day, for whoever has its number',
  access: 'bearer-of-link',
  params: Type.Object({ token: LinkToken, receipt: Type.String({ maxLength: 40 }) }),
  reply: Type.Any(),
  file: true,
})
