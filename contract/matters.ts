import { type Static, Type } from '@sinclair/typebox'
import { matterOutcomes } from '#core/requirements/matter'
import { endpoint } from './endpoint'
import { Day, Done, Id, oneOf, orNull, Version } from './shapes'

const Reason = Type.String({ minLength: 1, maxLength: 2000, pattern: '\\S' })
const Conditions = Type.Array(
  Type.Object({
    title: Type.String({ minLength: 1, maxLength: 200, pattern: '\\S' }),
    text: Type.String({ maxLength: 2000 }),
  }),
  { maxItems: 6 },
)

const Matter = Type.Object({
  requirement: Type.String(),
  title: Type.String(),
  answer: Type.String({ description: 'What was declared, as it reads; empty where the reader may not know' }),
  explanation: orNull(Type.String({ description: 'Nothing where the reader may not know it' })),
  papers: Type.Array(Type.Object({ id: Id, fileName: Type.String() })),
  state: oneOf(['waiting', 'split', ...matterOutcomes] as const),
  decidedOn: orNull(Day),
  deciders: Type.Array(Type.Object({ id: Id, name: Type.String() })),
  together: Type.Boolean(),
  votes: Type.Array(
    Type.Object({ name: Type.String(), outcome: oneOf(matterOutcomes), reason: Type.String(), conditions: Conditions }),
  ),
  /** Decided for an earlier application. */
  earlier: Type.Array(Type.Object({ outcome: oneOf(matterOutcomes), on: Day, reason: Type.String() })),
  mayDecide: Type.Boolean(),
  version: Version,
})
export type Matter = Static<typeof Matter>

export const readMatters = endpoint({
  method: 'GET',
  path: '/api/desk/applications/:id/matters',
  summary: 'What somebody declared that is for a person to decide, who decides, and what was decided',
  access: 'files.read',
  params: Type.Object({ id: Id }),
  reply: Type.Array(Matter),
  invalidates: ['desk'],
})

const ofMatter = Type.Object({ id: Id, requirement: Type.String({ maxLength: 120 }) })

export const decideMatter = endpoint({
  method: 'POST',
  path: '/api/desk/applications/:id/matters/:requirement/decide',
  summary:
    'Say how a declared matter is decided, with the reason; of several who decide together all have to say the same',
  access: 'matters.decide',
  params: ofMatter,
  body: Type.Object({
    version: Version,
    outcome: oneOf(matterOutcomes),
    reason: Reason,
    conditions: Type.Optional(Conditions),
  }),
  reply: Type.Object({ state: oneOf(['waiting', 'split', ...matterOutcomes] as const) }),
  idempotent: true,
  invalidates: ['desk'],
})

export const askAboutMatter = endpoint({
  method: 'POST',
  path: '/api/desk/applications/:id/matters/:requirement/ask',
  summary: 'Ask the candidate back about a declared matter; the answer comes into the conversation',
  access: 'matters.decide',
  params: ofMatter,
  body: Type.Object({ text: Reason }),
  reply: Done,
  idempotent: true,
  invalidates: ['desk'],
})

export const listMatterDeciders = endpoint({
  method: 'GET',
  path: '/api/desk/matter-deciders',
  summary: 'Those who may decide what candidates declare, to be named in the rules of a vacancy',
  access: 'vacancies.read',
  reply: Type.Array(Type.Object({ mail: Type.String(), name: Type.String() })),
  invalidates: ['colleagues'],
})
