import { Type } from '@sinclair/typebox'
import { paperParts } from '#core/documents/papers'
import type { LetterFindings } from '#core/reading/letter'
import type { Place } from '#core/reading/paperText'
import type { ReadValue } from '#core/reading/readFields'
import { endpoint } from './endpoint'
import { Day, Done, Id, Moment, ofCore, oneOf, orNull, Version } from './shapes'

export const documentStates = ['to look at', 'seen', 'sent back', 'replaced', 'discarded'] as const

/** What a person finds of a live portrait beside the paper. */
export const portraitFindings = ['same', 'other'] as const

/** How a value came to be known: read by machine and confirmed, read by a person, or found not to be on the paper. */
export type ReadBy =
  | { by: 'machine'; how: ReadValue['how']; place: Place }
  | { by: 'person' /** What the machine had made of it. */; machine?: string }
  | { by: 'absent' }

export const DocumentLine = Type.Object({
  id: Id,
  fileName: Type.String(),
  mediaType: Type.String(),
  size: Type.Integer(),
  pages: Type.Integer(),
  part: oneOf(paperParts),
  translationOf: orNull(Id),
  finalBy: orNull(Day),
  seconds: orNull(Type.Integer({ description: 'Length of a video' })),
  live: Type.Boolean({ description: 'A portrait that the capture device took' }),
  likeness: orNull(
    Type.Integer({ minimum: 0, maximum: 100, description: 'What the device says of both faces; advice' }),
  ),
  holder: orNull(oneOf(portraitFindings)),
  fromWord: Type.Boolean({ description: 'It came as a Word file, which is kept beside it' }),
  state: oneOf(documentStates),
  sentBackBecause: orNull(Type.String()),
  reads: Type.Record(Type.String(), Type.String(), { description: 'What the paper says, field by field' }),
  readBy: ofCore<Record<string, ReadBy>>(Type.Object({})),
  letter: orNull(ofCore<LetterFindings>(Type.Object({}))),
  uploadedAt: Moment,
  seenBy: orNull(Type.String()),
  seenAt: orNull(Moment),
  version: Version,
})

const WhatItIs = {
  fileName: Type.String({ minLength: 1, maxLength: 200 }),
  part: Type.Optional(oneOf(paperParts)),
  translationOf: Type.Optional(Id),
  finalBy: Type.Optional(Type.Union([Day], { description: 'Of an interim paper: the day the final one is owed' })),
}
const Uploaded = Type.Intersect([
  DocumentLine,
  Type.Object({ alsoBehind: orNull(Type.String({ description: 'Another claim with the same bytes' })) }),
])

export const uploadDocument = endpoint({
  method: 'POST',
  path: '/api/my/claims/:id/documents',
  summary:
    'Put a document behind a claim, in one piece: PDF, JPEG, PNG or Word (.docx, turned into PDF), up to 10 MB and 20 pages',
  access: 'candidate',
  behalf: true,
  params: Type.Object({ id: Id }),
  query: Type.Object(WhatItIs),
  body: Type.Any(),
  bytes: true,
  reply: Uploaded,
  invalidates: ['draft', 'status'],
})

export const attachUpload = endpoint({
  method: 'POST',
  path: '/api/my/claims/:id/documents/:upload',
  summary: 'Put what was uploaded in pieces (tus 1.0 at /api/my/uploads) behind a claim',
  access: 'candidate',
  behalf: true,
  params: Type.Object({ id: Id, upload: Type.String({ pattern: '^[0-9a-f-]{36}\\.[0-9a-f]{32}$' }) }),
  body: Type.Object(WhatItIs),
  reply: Uploaded,
  invalidates: ['draft', 'status'],
})

export const readDocument = endpoint({
  method: 'GET',
  path: '/api/documents/:id/bytes',
  summary: 'A document as it was sent, for its owner and for those at the desk who may see the file',
  access: 'signed-in',
  params: Type.Object({ id: Id }),
  reply: Type.Any(),
  file: true,
})

export const readOriginalFile = endpoint({
  method: 'GET',
  path: '/api/documents/:id/original',
  summary: 'The Word file a document was made of, for the same people',
  access: 'signed-in',
  params: Type.Object({ id: Id }),
  reply: Type.Any(),
  file: true,
})

export const removeDocument = endpoint({
  method: 'DELETE',
  path: '/api/my/documents/:id',
  summary: 'Take back a document nobody has looked at yet',
  access: 'candidate',
  behalf: true,
  params: Type.Object({ id: Id }),
  reply: Done,
  invalidates: ['draft', 'status'],
})
