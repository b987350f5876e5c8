import { type Static, Type } from '@sinclair/typebox'
import { originalStates, originalWays } from '#core/documents/originals'
import { endpoint } from './endpoint'
import { Done, Id, Moment, oneOf, orNull, Version } from './shapes'

const byId = Type.Object({ id: Id })
const Line = Type.String({ minLength: 1, maxLength: 200, pattern: '\\S' })
const ComparedPage = Type.Object({
  page: Type.Integer({ minimum: 1, maximum: 200 }),
  same: Type.Boolean(),
  note: Type.String({ maxLength: 500 }),
})

const Original = Type.Object({
  id: Id,
  document: Id,
  title: Type.String({ description: 'What it is, as its claim is called' }),
  fileName: Type.String({ description: 'Of the scan it was compared with' }),
  pages: Type.Integer(),
  state: oneOf(originalStates),
  way: oneOf(originalWays),
  tracking: Type.String({ description: 'Number of the parcel it comes or came by' }),
  announcedAt: Moment,
  receivedAt: orNull(Moment),
  receivedFrom: Type.String({ description: 'Who handed it over' }),
  place: Type.String({ description: 'Where it is kept' }),
  compared: orNull(oneOf(['same', 'differs'] as const)),
  returnedAt: orNull(Moment),
  returnedTo: Type.String({ description: 'Who took it, or where it was sent' }),
  returnTracking: Type.String(),
  version: Version,
})
export type Original = Static<typeof Original>

export const listMyOriginals = endpoint({
  method: 'GET',
  path: '/api/my/applications/:id/originals',
  summary: 'The originals one has announced, which lie here, and which were returned; and the papers that could come',
  access: 'candidate',
  params: byId,
  reply: Type.Object({
    originals: Type.Array(Type.Omit(Original, ['place'])),
    papers: Type.Array(Type.Object({ document: Id, title: Type.String(), fileName: Type.String() })),
    address: Type.String({ description: 'Where it is brought or sent' }),
  }),
  invalidates: ['status'],
})

export const announceOriginal = endpoint({
  method: 'POST',
  path: '/api/my/applications/:id/originals',
  summary: 'Announce that the original of a paper will be brought or sent',
  access: 'candidate',
  params: byId,
  body: Type.Object({ document: Id, way: oneOf(originalWays), tracking: Type.String({ maxLength: 60 }) }),
  reply: Type.Object({ id: Id }),
  idempotent: true,
  invalidates: ['status'],
})

export const callOffOriginal = endpoint({
  method: 'DELETE',
  path: '/api/my/originals/:id',
  summary: 'Say that an original that was announced does not come',
  access: 'candidate',
  params: byId,
  reply: Done,
  invalidates: ['status'],
})

const DeskOriginal = Type.Intersect([
  Original,
  Type.Object({
    receivedBy: Type.String(),
    pagesCompared: Type.Array(ComparedPage),
    comparedBy: Type.String(),
    comparedAt: orNull(Moment),
    returnedBy: Type.String(),
    signed: Type.Boolean({ description: 'Whoever took it has signed for it' }),
  }),
])
export type DeskOriginal = Static<typeof DeskOriginal>

export const listOriginals = endpoint({
  method: 'GET',
  path: '/api/desk/applications/:id/originals',
  summary: 'The originals of a file, and the papers of which one could be received',
  access: 'files.read',
  params: byId,
  reply: Type.Object({
    originals: Type.Array(DeskOriginal),
    papers: Type.Array(Type.Object({ document: Id, title: Type.String(), fileName: Type.String() })),
  }),
  invalidates: ['desk'],
})

export const receiveOriginal = endpoint({
  method: 'POST',
  path: '/api/desk/applications/:id/originals',
  summary: 'Take an original in, announced or not: who handed it over, and where it is kept',
  access: 'tray.work',
  params: byId,
  body: Type.Object({ document: Id, way: oneOf(originalWays), from: Line, place: Line }),
  reply: Type.Object({ id: Id }),
  idempotent: true,
  invalidates: ['desk'],
})

export const moveOriginal = endpoint({
  method: 'POST',
  path: '/api/desk/originals/:id/move',
  summary: 'Keep an original in another place',
  access: 'tray.work',
  params: byId,
  body: Type.Object({ version: Version, place: Line }),
  reply: Done,
  idempotent: true,
  invalidates: ['desk'],
})

export const compareOriginal = endpoint({
  method: 'POST',
  path: '/api/desk/originals/:id/compare',
  summary: 'Write down what was found when an original lay beside its scan, page by page',
  access: 'tray.work',
  params: byId,
  body: Type.Object({ version: Version, pages: Type.Array(ComparedPage, { minItems: 1, maxItems: 200 }) }),
  reply: Type.Object({ compared: oneOf(['same', 'differs'] as const) }),
  idempotent: true,
  invalidates: ['desk'],
})

export const returnOriginal = endpoint({
  method: 'POST',
  path: '/api/desk/originals/:id/return',
  summary: 'Give an original back: in person against a signature, or by post with a tracking number',
  access: 'tray.work',
  params: byId,
  body: Type.Object({
    version: Version,
    way: oneOf(originalWays),
    to: Line,
    tracking: Type.String({ maxLength: 60 }),
    signature: Type.Optional(Type.String({ maxLength: 200_000, pattern: '^data:image/png;base64,[A-Za-z0-9+/=]+$' })),
  }),
  reply: Done,
  idempotent: true,
  invalidates: ['desk'],
})

export const readReturnSignature = endpoint({
  method: 'GET',
  path: '/api/desk/originals/:id/signature',
  summary: 'The signature of whoever took an original back, as PNG',
  access: 'files.read',
  params: byId,
  reply: Type.Any(),
  file: true,
})

export const readSafe = endpoint({
  method: 'GET',
  path: '/api/desk/safe',
  summary: 'Everything that lies in the safe, the longest there first',
  access: 'tray.work',
  reply: Type.Array(
    Type.Object({
      id: Id,
      title: Type.String(),
      name: Type.String({ description: 'Whose it is; the reference while names are hidden' }),
      application: Type.Object({ id: Id, reference: Type.String(), ended: Type.Boolean() }),
      place: Type.String(),
      since: Moment,
      days: Type.Integer(),
      compared: orNull(oneOf(['same', 'differs'] as const)),
    }),
  ),
  invalidates: ['desk'],
})
