import { Type } from '@sinclair/typebox'
import { endpoint } from './endpoint'
import { Day, Done, Id, Moment, orNull, Reason, Version } from './shapes'

/** Something in a file that is hidden from the reader's role. */
export const HiddenPart = Type.Object({
  subject: Type.String({ description: 'Its kind, and the claim it is in: `identity number 0190…`' }),
  label: Type.String(),
  mayReveal: Type.Boolean(),
})

export const reveal = endpoint({
  method: 'POST',
  path: '/api/desk/applications/:id/reveal',
  summary: 'Have something hidden shown for a quarter of an hour, with a reason that stays on record',
  access: 'files.read',
  params: Type.Object({ id: Id }),
  body: Type.Object({ subject: Type.String({ maxLength: 80 }), reason: Reason }),
  reply: Type.Object({ until: Moment }),
  idempotent: true,
  invalidates: ['desk'],
})

export const readAccessLog = endpoint({
  method: 'GET',
  path: '/api/desk/people/:candidateId/access-log',
  summary: 'Who saw what of a person, newest first',
  access: 'trail.read',
  params: Type.Object({ candidateId: Id }),
  query: Type.Object({ before: Type.Optional(Id) }),
  reply: Type.Object({
    name: Type.String(),
    entries: Type.Array(
      Type.Object({
        id: Id,
        at: Moment,
        who: Type.String(),
        what: Type.String(),
        reason: orNull(Type.String()),
        hidden: Type.Boolean(),
      }),
    ),
    next: orNull(Id),
  }),
  invalidates: ['desk'],
})

/** Something of a file that is kept, by which rule and until when; `null` while an application is under way. */
const Keeping = Type.Object({
  what: Type.String(),
  rule: Type.String(),
  until: orNull(Day),
})

export const readKeeping = endpoint({
  method: 'GET',
  path: '/api/my/data/keeping',
  summary: 'What is kept of one’s file, by which rule and for how long, and what erasing would leave',
  access: 'candidate',
  reply: Type.Object({ kept: Type.Array(Keeping), left: Type.Array(Keeping) }),
  invalidates: ['status'],
})

export const exportPersonalData = endpoint({
  method: 'GET',
  path: '/api/my/data.zip',
  summary: 'All that is known of oneself: JSON and papers, as ZIP',
  access: 'candidate',
  reply: Type.Any(),
  file: true,
})

export const eraseMe = endpoint({
  method: 'POST',
  path: '/api/my/data/request-erasure',
  summary: 'Have one’s file erased; what must be kept is kept until its day, and nothing else. Ends every session',
  access: 'candidate',
  body: Type.Object({ password: Type.String({ minLength: 1, maxLength: 200 }), agreed: Type.Literal(true) }),
  reply: Type.Object({ done: Type.Literal(true), left: Type.Array(Keeping) }),
  idempotent: true,
  invalidates: ['session', 'status'],
})

export const erasePerson = endpoint({
  method: 'POST',
  path: '/api/desk/people/:candidateId/erase',
  summary: 'Erase a person’s file at their wish, as they could themselves',
  access: 'people.erase',
  passwordAgain: true,
  params: Type.Object({ candidateId: Id }),
  body: Type.Object({ reason: Reason }),
  reply: Done,
  idempotent: true,
  invalidates: ['desk'],
})

export const discardDocument = endpoint({
  method: 'POST',
  path: '/api/desk/documents/:id/discard',
  summary: 'Discard a paper that should not be here: its bytes are erased, and its candidate is told why',
  access: 'proof.settle',
  params: Type.Object({ id: Id }),
  body: Type.Object({ version: Version, reason: Reason }),
  reply: Done,
  idempotent: true,
  invalidates: ['desk'],
})
