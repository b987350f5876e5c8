import { type Static, Type } from '@sinclair/typebox'
import { turns } from '#core/enquiries/enquiry'
import { isSent, stages } from '#core/hiring/stages'
import { channels } from '#core/sources/source'
import { queues, whoseFiles } from './desk'
import { endpoint } from './endpoint'
import { InLanguages } from './messages'
import { Day, Done, Id, Moment, oneOf, orNull } from './shapes'

export const eligibilities = ['yes', 'no', 'undecided'] as const
export const sentStages = stages.filter((stage) => isSent({ stage }))
export const tableOrders = ['slack', 'sent', 'score', 'name'] as const
const yes = oneOf(['yes'] as const)

/** What the table of applications is narrowed to; the page's address carries the same. */
export const TableFilter = {
  vacancy: Type.Optional(Id),
  stage: Type.Optional(oneOf(sentStages)),
  eligible: Type.Optional(oneOf(eligibilities)),
  sentFrom: Type.Optional(Day),
  sentTo: Type.Optional(Day),
  late: Type.Optional(yes),
  blanks: Type.Optional(yes),
  changed: Type.Optional(yes),
  duplicates: Type.Optional(yes),
  unscored: Type.Optional(yes),
  text: Type.Optional(Type.String({ maxLength: 80 })),
  order: Type.Optional(oneOf(tableOrders)),
}
export type TableFilter = { [Name in keyof typeof TableFilter]?: Static<(typeof TableFilter)[Name]> }

export const TableRow = Type.Object({
  id: Id,
  name: Type.String(),
  reference: orNull(Type.String()),
  vacancy: Type.String(),
  stage: oneOf(stages),
  sentAt: orNull(Moment),
  met: Type.Object({ done: Type.Integer(), of: Type.Integer() }),
  eligible: oneOf(eligibilities),
  blanks: Type.Integer(),
  changes: Type.Integer(),
  reviews: Type.Integer(),
  score: orNull(Type.Integer()),
  slack: Type.Integer(),
  likely: Day,
  heldUpBy: orNull(Type.String()),
  duplicates: Type.Boolean(),
})
export type TableRow = Static<typeof TableRow>

/** More rows than this are not counted one by one. */
export const mostCounted = 10_000

export const readTable = endpoint({
  method: 'GET',
  path: '/api/desk/applications',
  summary: 'Applications as a table, narrowed and in an order, a page at a time, with how many there are',
  access: 'files.read',
  query: Type.Object({ ...TableFilter, after: Type.Optional(Type.String({ maxLength: 300 })) }),
  reply: Type.Object({
    rows: Type.Array(TableRow),
    next: orNull(Type.String()),
    total: Type.Integer({ description: `Counted up to ${mostCounted}; one more says that there are more` }),
  }),
  invalidates: ['desk'],
})

export const lists = [
  'applications',
  'queue',
  'behalf',
  'tray',
  'imports',
  'duplicates',
  'sources',
  'enquiries',
  'vacancies',
  'outbox',
  'safe',
  'trail',
  'fingerprint',
  'access-log',
] as const

/** What a list is narrowed to: as its page is, and for `queue` which, for `sights` whose. */
const ListFilter = {
  ...TableFilter,
  queue: Type.Optional(oneOf(queues)),
  whose: Type.Optional(oneOf(whoseFiles)),
  candidate: Type.Optional(Id),
  turn: Type.Optional(oneOf(turns)),
  channel: Type.Optional(oneOf(channels)),
  country: Type.Optional(Type.String({ pattern: '^[A-Z]{2}$' })),
  sourceId: Type.Optional(Id),
  overdue: Type.Optional(yes),
}
export type ListFilter = { [Name in keyof typeof ListFilter]?: Static<(typeof ListFilter)[Name]> }

export const exportList = endpoint({
  method: 'GET',
  path: '/api/desk/lists/:list',
  summary: 'A list as CSV (RFC 4180, UTF-8), with the filters of its page, streamed',
  access: 'lists.export',
  passwordAgain: true,
  params: Type.Object({ list: oneOf(lists) }),
  query: Type.Object(ListFilter),
  reply: Type.Any(),
  file: true,
})

const SavedView = Type.Object({ id: Id, name: Type.String(), query: Type.String() })

export const listViews = endpoint({
  method: 'GET',
  path: '/api/desk/views',
  summary: 'One’s own saved views of the table',
  access: 'files.read',
  reply: Type.Array(SavedView),
  invalidates: ['settings'],
})

export const saveView = endpoint({
  method: 'POST',
  path: '/api/desk/views',
  summary: 'Keep filters, order and columns under a name; the same name is kept anew',
  access: 'files.read',
  body: Type.Object({
    name: Type.String({ minLength: 1, maxLength: 80 }),
    query: Type.String({ maxLength: 1000, pattern: '^[\\w%=&.,:+-]*$' }),
  }),
  reply: SavedView,
  invalidates: ['settings'],
})

export const removeView = endpoint({
  method: 'DELETE',
  path: '/api/desk/views/:id',
  summary: 'Forget a saved view',
  access: 'files.read',
  params: Type.Object({ id: Id }),
  reply: Done,
  invalidates: ['settings'],
})

const Several = Type.Array(Id, { minItems: 1, maxItems: 500 })

export const turnDown = endpoint({
  method: 'POST',
  path: '/api/desk/applications/turn-down',
  summary: 'Go on without these people, and write to each of them. Only before an offer',
  access: 'applications.turn-down',
  body: Type.Object({
    applications: Several,
    reason: Type.String({ minLength: 3, maxLength: 500, description: 'For the record; they do not read it' }),
    written: InLanguages,
  }),
  reply: Type.Object({ turnedDown: Type.Integer(), left: Type.Integer() }),
  idempotent: true,
  invalidates: ['desk'],
})

export const takeUpAgain = endpoint({
  method: 'POST',
  path: '/api/desk/applications/:id/take-up',
  summary: 'Take up again who was turned down, where they stood, with a reason',
  access: 'applications.turn-down',
  params: Type.Object({ id: Id }),
  body: Type.Object({ reason: Type.String({ minLength: 3, maxLength: 500 }) }),
  reply: Done,
  idempotent: true,
  invalidates: ['desk'],
})
