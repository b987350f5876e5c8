import { Type } from '@sinclair/typebox'
import { endpoint } from './endpoint'
import { Done, Id, orNull } from './shapes'

export const giveEqualityAnswers = endpoint({
  method: 'POST',
  path: '/api/my/applications/:id/equality',
  summary: 'Answer the voluntary questions, once; what is kept leads to nobody',
  access: 'candidate',
  params: Type.Object({ id: Id }),
  body: Type.Object({
    answers: Type.Record(Type.String({ maxLength: 80 }), Type.String({ minLength: 1, maxLength: 120 }), {
      maxProperties: 40,
    }),
  }),
  reply: Done,
  invalidates: ['draft'],
})

export const equalityCounts = endpoint({
  method: 'GET',
  path: '/api/desk/vacancies/:id/equality',
  summary: 'How the voluntary questions of a vacancy were answered, as counts with small groups left out',
  access: 'equality.count',
  params: Type.Object({ id: Id }),
  reply: Type.Object({
    questions: Type.Array(
      Type.Object({
        question: Type.String(),
        total: orNull(Type.Integer()),
        counts: Type.Array(Type.Object({ answer: Type.String(), count: orNull(Type.Integer()) })),
      }),
    ),
  }),
  invalidates: ['desk'],
})
