import { Type } from '@sinclair/typebox'
import { endpoint } from './endpoint'
import { Id, Ids, Moment, oneOf } from './shapes'

export const listLetters = endpoint({
  method: 'GET',
  path: '/api/desk/letters',
  summary: 'Letters that wait for the printer, those to one address together',
  access: 'proof.settle',
  reply: Type.Array(
    Type.Object({
      batchId: Id,
      what: oneOf(['letter', 'reminder'] as const),
      source: Type.String(),
      address: Type.String(),
      people: Type.Array(Type.Object({ id: Id, candidate: Type.String(), claim: Type.String() })),
      pages: Type.Integer(),
      since: Moment,
    }),
  ),
  invalidates: ['desk'],
})

export const readLetters = endpoint({
  method: 'GET',
  path: '/api/desk/letters/letters.pdf',
  summary: 'Letters as one PDF: cover page, questions, permission, reply form; nothing is marked by it',
  access: 'proof.settle',
  query: Type.Object({ batchIds: Ids }),
  reply: Type.Any(),
  file: true,
})

export const markPrinted = endpoint({
  method: 'POST',
  path: '/api/desk/letters/send',
  summary: 'Say that letters are printed and on their way: their time to answer begins',
  access: 'proof.settle',
  body: Type.Object({ batchIds: Type.Array(Id, { minItems: 1, maxItems: 100, uniqueItems: true }) }),
  reply: Type.Object({ printed: Type.Integer() }),
  idempotent: true,
  invalidates: ['desk'],
})
