import { type Static, Type } from '@sinclair/typebox'
import { endpoint } from './endpoint'
import { Done, Id, Moment, orNull } from './shapes'

const byId = Type.Object({ id: Id })
const Value = Type.Record(Type.String({ maxLength: 60 }), Type.String({ maxLength: 4000 }), { maxProperties: 80 })

/** What one has typed and not finished, by the fields of the form it was typed in. */
const Unfinished = Type.Object({ value: Value, savedAt: orNull(Moment) })
export type Unfinished = Static<typeof Unfinished>

export const readUnfinishedDocument = endpoint({
  method: 'GET',
  path: '/api/desk/documents/:id/unfinished',
  summary: 'What one has begun to read off a document and not finished',
  access: 'proof.settle',
  params: byId,
  reply: Unfinished,
})

export const keepUnfinishedDocument = endpoint({
  method: 'PUT',
  path: '/api/desk/documents/:id/unfinished',
  summary: 'Keep what one has begun to read off a document; nothing, to forget it',
  access: 'proof.settle',
  params: byId,
  body: Type.Object({ value: Value }),
  reply: Done,
})

export const readUnfinishedClaim = endpoint({
  method: 'GET',
  path: '/api/desk/claims/:id/unfinished',
  summary: 'The reason for a decision that one has begun to write and not finished',
  access: 'proof.settle',
  params: byId,
  reply: Unfinished,
})

export const keepUnfinishedClaim = endpoint({
  method: 'PUT',
  path: '/api/desk/claims/:id/unfinished',
  summary: 'Keep the reason for a decision that one has begun to write; nothing, to forget it',
  access: 'proof.settle',
  params: byId,
  body: Type.Object({ value: Value }),
  reply: Done,
})
