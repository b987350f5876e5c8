import { type Static, Type } from '@sinclair/typebox'
import { decisions } from '#core/comparison/proposeDecision'
import { openReviewStates, reviewStates } from '#core/decisions/secondPerson'
import { endpoint } from './endpoint'
import { Day, Done, Id, Moment, oneOf, orNull, Version } from './shapes'

const byId = Type.Object({ id: Id })
const Said = Type.Object({ version: Version, decision: oneOf(decisions), note: Type.String({ maxLength: 1000 }) })
const State = Type.Object({ state: oneOf(reviewStates) })

/** A decision that takes more than one person, as far as its reader may know what others said of it. */
export const Review = Type.Object({
  id: Id,
  version: Version,
  state: oneOf(openReviewStates),
  openedAt: Moment,
  /** What others said; empty for whoever has yet to say it. */
  views: Type.Array(Type.Object({ by: Type.String(), decision: oneOf(decisions), note: Type.String(), at: Moment })),
  /** Who proposed it, which says nothing of what. */
  proposedBy: Type.String(),
  /** What its reader may do now. */
  may: Type.Object({ say: Type.Boolean(), conclude: Type.Boolean(), withdraw: Type.Boolean() }),
  alone: Type.Boolean({ description: 'There was nobody else who could have been the second' }),
  told: Type.Array(Type.String()),
  answerBy: orNull(Day),
  answer: orNull(Type.Object({ text: Type.String(), at: Moment, documents: Type.Array(Id) })),
})
export type Review = Static<typeof Review>

export const giveView = endpoint({
  method: 'POST',
  path: '/api/desk/reviews/:id/views',
  summary: 'Say what one thinks a claim comes to, as the second or third person, before reading what others said',
  access: 'proof.settle',
  params: byId,
  body: Said,
  reply: State,
  idempotent: true,
  invalidates: ['desk'],
})

export const withdrawReview = endpoint({
  method: 'DELETE',
  path: '/api/desk/reviews/:id',
  summary: 'Take back what one has just proposed, while nobody else has said anything',
  access: 'proof.settle',
  params: byId,
  reply: Done,
  invalidates: ['desk'],
})

export const concludeReview = endpoint({
  method: 'POST',
  path: '/api/desk/reviews/:id/conclude',
  summary: 'Decide for good after the candidate was heard, or where nobody else is left who could say something',
  access: 'proof.settle',
  params: byId,
  body: Said,
  reply: State,
  idempotent: true,
  invalidates: ['desk'],
})

const Hearing = Type.Object({
  id: Id,
  version: Version,
  claimId: Id,
  claim: Type.String(),
  told: Type.Array(Type.String({ description: 'What differs, in words' })),
  answerBy: Day,
  answered: orNull(Type.Object({ text: Type.String(), at: Moment })),
})
export type Hearing = Static<typeof Hearing>

export const listMyHearings = endpoint({
  method: 'GET',
  path: '/api/my/hearings',
  summary: 'What differs from what one has given, and can be answered before it is decided',
  access: 'candidate',
  reply: Type.Array(Hearing),
  invalidates: ['status'],
})

export const answerHearing = endpoint({
  method: 'POST',
  path: '/api/my/hearings/:id/answer',
  summary: 'Answer what differs, with papers one has put behind the claim',
  access: 'candidate',
  params: byId,
  body: Type.Object({
    version: Version,
    text: Type.String({ minLength: 1, maxLength: 4000, pattern: '\\S' }),
    documents: Type.Array(Id, { maxItems: 10, uniqueItems: true }),
  }),
  reply: Done,
  idempotent: true,
  invalidates: ['status'],
})
