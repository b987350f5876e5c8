import { Type } from '@sinclair/typebox'
import { endpoint } from './endpoint'
import { Id, Moment, oneOf, orNull } from './shapes'

export const readTrail = endpoint({
  method: 'GET',
  path: '/api/desk/trail',
  summary: 'The audit trail, newest first, a page at a time',
  access: 'trail.read',
  query: Type.Object({ before: Type.Optional(Id), text: Type.Optional(Type.String({ maxLength: 80 })) }),
  reply: Type.Object({
    events: Type.Array(
      Type.Object({
        id: Id,
        at: Moment,
        who: Type.String(),
        what: Type.String(),
        about: orNull(Type.String()),
        applicationId: orNull(Id),
      }),
    ),
    next: orNull(Id),
  }),
  invalidates: ['desk'],
})

const breaks = ['changed', 'missing', 'added', 'erased without a record', 'end cut off', 'written anew'] as const

const Verification = Type.Object({
  chains: Type.Integer(),
  links: Type.Integer(),
  erased: Type.Integer({ description: 'Links whose words were erased; their hashes still hold' }),
  broken: Type.Array(
    Type.Object({
      chain: Type.String(),
      person: orNull(Type.String()),
      seq: Type.Integer(),
      id: orNull(Id),
      fault: oneOf(breaks),
      at: orNull(Moment),
      what: orNull(Type.String()),
    }),
  ),
})

export const verifyTrail = endpoint({
  method: 'POST',
  path: '/api/desk/trail/verify',
  summary: 'Follow the chain of one file, or of all, and name the first broken link of each',
  access: 'trail.read',
  body: Type.Object({ candidateId: Type.Optional(Id) }),
  reply: Verification,
})

export const verifySince = endpoint({
  method: 'POST',
  path: '/api/desk/trail/verify-since',
  summary:
    'The same for all, and that nothing was written anew since a fingerprint was kept: that list as CSV, up to 10 MB',
  access: 'trail.read',
  body: Type.Any(),
  bytes: true,
  reply: Verification,
})
