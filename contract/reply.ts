import { type Static, Type } from '@sinclair/typebox'
import type { Field } from '#core/comparison/compareClaim'
import { standingStates } from '#core/validity/validity'
import { endpoint } from './endpoint'
import { Day, LinkToken, LongText, Moment, ofCore, oneOf, orNull } from './shapes'

/** What a licensing body says of a licence beyond its dates. */
export const StandingSchema = Type.Object(
  { state: oneOf(standingStates), from: Type.Optional(Day), through: Type.Optional(Day) },
  { additionalProperties: false },
)

/** Per field: the source agrees, gives the right value, or cannot say. */
export const FieldReply = Type.Union([
  Type.Object({ says: Type.Literal('agrees') }),
  Type.Object({ says: Type.Literal('differs'), value: Type.String({ minLength: 1, maxLength: 300 }) }),
  Type.Object({ says: Type.Literal('cannot say') }),
])
export type FieldReply = Static<typeof FieldReply>

/** Full or part time; and whether they would employ somebody again, asked only where the law lets one. */
export const hoursSaid = ['full time', 'part time', 'cannot say'] as const
export const againSaid = ['yes', 'no', 'cannot say'] as const

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

export const Question = Type.Object({
  state: oneOf(['open', 'answered', 'declined', 'expired', 'withdrawn'] as const),
  operator: Type.String(),
  source: Type.String(),
  candidate: Type.String(),
  kind: Type.String(),
  answerBy: Day,
  claimed: Type.Record(Type.String(), Type.String()),
  fields: ofCore<Field[]>(Type.Array(Type.Object({}))),
  answeredAt: orNull(Moment),
  contact: Type.String(),
})

export const readEnquiry = endpoint({
  method: 'GET',
  path: '/api/enquiries/:token',
  summary: 'The question behind a link',
  access: 'bearer-of-link',
  params: byToken,
  reply: Question,
  invalidates: ['enquiry'],
})

export const replyToEnquiry = endpoint({
  method: 'POST',
  path: '/api/enquiries/:token/reply',
  summary: 'Answer the question; the link is used up',
  access: 'bearer-of-link',
  params: byToken,
  body: EnquiryReply,
  reply: Type.Object({ receivedAt: Moment, receipt: Type.String() }),
  idempotent: true,
  invalidates: ['enquiry'],
})
