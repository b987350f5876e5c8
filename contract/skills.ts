import { Type } from '@sinclair/typebox'
import { endpoint } from './endpoint'
import { Day, Done, Id, Moment, oneOf, orNull, Reason } from './shapes'

const byId = Type.Object({ id: Id })

export const Sitting = Type.Object({
  id: Id,
  title: Type.String(),
  applicationId: Id,
  state: oneOf(['under way', 'marked'] as const),
  dueAt: Moment,
  secondsLeft: Type.Integer({ description: 'By the server’s clock; 0 once time is up' }),
  questions: Type.Array(
    Type.Object({
      id: Id,
      text: Type.String(),
      options: Type.Array(Type.Object({ id: Type.String(), text: Type.String() })),
    }),
  ),
  answers: Type.Record(Type.String(), Type.Array(Type.String())),
  result: orNull(
    Type.Object({
      right: Type.Integer(),
      of: Type.Integer(),
      percent: Type.Integer(),
      passed: Type.Boolean(),
      passPercent: Type.Integer(),
    }),
  ),
})

export const describeCheck = endpoint({
  method: 'GET',
  path: '/api/my/applications/:id/checks/:check',
  summary: 'What a skills check is like, before it is begun',
  access: 'candidate',
  params: Type.Object({ id: Id, check: Type.String() }),
  reply: Type.Object({
    title: Type.String(),
    minutes: Type.Integer(),
    questions: Type.Integer(),
    passPercent: Type.Integer(),
    topics: Type.Array(Type.String()),
    sitting: orNull(Id),
    notBefore: orNull(Day),
    today: Day,
  }),
  invalidates: ['sitting'],
})

export const beginSitting = endpoint({
  method: 'POST',
  path: '/api/my/applications/:id/checks/:check',
  summary: 'Begin a skills check, or come back to the one under way',
  access: 'candidate',
  params: Type.Object({ id: Id, check: Type.String() }),
  reply: Type.Object({ id: Id }),
  idempotent: true,
  invalidates: ['sitting', 'status'],
})

export const allowResit = endpoint({
  method: 'POST',
  path: '/api/desk/applications/:id/resits',
  summary: 'Give leave to sit a failed skills check again, with another paper, after its waiting time',
  access: 'applications.turn-down',
  params: byId,
  body: Type.Object({ check: Type.String({ maxLength: 40 }), reason: Reason }),
  reply: Type.Object({ notBefore: Day }),
  idempotent: true,
  invalidates: ['desk', 'status'],
})

export const readSitting = endpoint({
  method: 'GET',
  path: '/api/my/sittings/:id',
  summary: 'A paper with the answers given so far',
  access: 'candidate',
  params: byId,
  reply: Sitting,
  invalidates: ['sitting'],
})

export const saveSittingAnswer = endpoint({
  method: 'PUT',
  path: '/api/my/sittings/:id/answers/:question',
  summary: 'Save the answer to one question',
  access: 'candidate',
  params: Type.Object({ id: Id, question: Id }),
  body: Type.Object({ given: Type.Array(Type.String({ maxLength: 8 }), { maxItems: 8 }) }),
  reply: Done,
})

export const handInSitting = endpoint({
  method: 'POST',
  path: '/api/my/sittings/:id/hand-in',
  summary: 'Hand the paper in; it is marked at once',
  access: 'candidate',
  params: byId,
  reply: Sitting,
  idempotent: true,
  invalidates: ['sitting', 'status'],
})
