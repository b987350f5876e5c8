import { type Static, Type } from '@sinclair/typebox'
import { endpoint } from './endpoint'
import { Done, Id, LinkToken, Moment, oneOf, orNull, PartialDay, ShortText } from './shapes'

export const vouchingRelations = ['supervisor', 'instructor', 'colleague'] as const
export const vouchingStates = ['asked', 'done', 'called off'] as const
export const trusts = ['yes', 'with support', 'no'] as const

const VouchingAnswer = Type.Object({
  knownFrom: PartialDay,
  knownTo: Type.Union([PartialDay, Type.Literal('present')]),
  worked: oneOf(['every week', 'now and then', 'rarely'] as const),
  trust: oneOf(trusts),
  statement: Type.String({ minLength: 20, maxLength: 4000 }),
  respondent: Type.String({ minLength: 2, maxLength: 200 }),
  capacity: ShortText,
})
export type VouchingAnswer = Static<typeof VouchingAnswer>

export const Vouching = Type.Object({
  id: Id,
  name: Type.String(),
  relation: oneOf(vouchingRelations),
  state: oneOf(vouchingStates),
  askedAt: Moment,
  doneAt: orNull(Moment),
})

/** What the candidate hands over: never what was said. */
export const OwnVouching = Type.Intersect([
  Vouching,
  Type.Object({ mail: Type.String(), reference: Type.String(), code: Type.String() }),
])

/** What the desk reads. */
export const ReadVouching = Type.Intersect([Vouching, Type.Object({ answer: orNull(VouchingAnswer) })])

const byId = Type.Object({ id: Id })

export const nameVoucher = endpoint({
  method: 'POST',
  path: '/api/my/applications/:id/vouchings',
  summary: 'Name somebody who vouches; with a mail address they are sent a link',
  access: 'candidate',
  params: byId,
  body: Type.Object({
    name: Type.String({ minLength: 2, maxLength: 200 }),
    mail: Type.String({ maxLength: 254, pattern: '^(\\S+@\\S+\\.\\S+)?$' }),
    relation: oneOf(vouchingRelations),
  }),
  reply: OwnVouching,
  idempotent: true,
  invalidates: ['draft', 'status'],
})

export const callOffVoucher = endpoint({
  method: 'DELETE',
  path: '/api/my/applications/:id/vouchings/:vouching',
  summary: 'No longer ask somebody to vouch, while they have not',
  access: 'candidate',
  params: Type.Object({ id: Id, vouching: Id }),
  reply: Done,
  invalidates: ['draft', 'status'],
})

export const findVouching = endpoint({
  method: 'POST',
  path: '/api/vouching',
  summary: 'Find what one is asked to vouch for by the reference and the short code the candidate gave',
  access: 'anyone',
  body: Type.Object({ reference: Type.String({ maxLength: 40 }), code: Type.String({ maxLength: 12 }) }),
  reply: Type.Object({ token: LinkToken }),
})

export const readVouching = endpoint({
  method: 'GET',
  path: '/api/vouching/:token',
  summary: 'What somebody is asked to vouch for',
  access: 'bearer-of-link',
  params: Type.Object({ token: LinkToken }),
  reply: Type.Object({
    state: oneOf(vouchingStates),
    operator: Type.String(),
    contact: Type.String(),
    candidate: Type.String(),
    vacancy: Type.String(),
    name: Type.String(),
    relation: orNull(oneOf(vouchingRelations)),
    doneAt: orNull(Moment),
  }),
})

export const vouch = endpoint({
  method: 'POST',
  path: '/api/vouching/:token',
  summary: 'Vouch for a candidate, once',
  access: 'bearer-of-link',
  params: Type.Object({ token: LinkToken }),
  body: VouchingAnswer,
  reply: Type.Object({ receivedAt: Moment, receipt: Type.String() }),
  idempotent: true,
})
