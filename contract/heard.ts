import { type Static, Type } from '@sinclair/typebox'
import { heardSources, heardStages } from '#core/hiring/heard'
import { endpoint } from './endpoint'
import { Done, Id, oneOf, orNull } from './shapes'

const byId = Type.Object({ id: Id })
const Heard = Type.Object({
  source: orNull(oneOf(heardSources)),
  recommendedBy: Type.String({ maxLength: 200, description: 'Who recommended us, where somebody did' }),
})
export type Heard = Static<typeof Heard>

export const readHeard = endpoint({
  method: 'GET',
  path: '/api/my/applications/:id/heard-of-us',
  summary: 'Where one heard of us, as given once for the vacancy or its group',
  access: 'candidate',
  params: byId,
  reply: Heard,
  invalidates: ['draft'],
})

export const saveHeard = endpoint({
  method: 'PUT',
  path: '/api/my/applications/:id/heard-of-us',
  summary: 'Say where one heard of us; it is optional, and asked once for the vacancy or its group',
  access: 'candidate',
  params: byId,
  body: Heard,
  reply: Done,
  invalidates: ['draft'],
})

export const readHeardOf = endpoint({
  method: 'GET',
  path: '/api/desk/applications/:id/heard-of-us',
  summary: 'Where somebody heard of us, and who recommended us; that name is hidden while names are',
  access: 'files.read',
  params: byId,
  reply: Heard,
  invalidates: ['desk'],
})

const Counts = Type.Object(Object.fromEntries(heardStages.map((stage) => [stage, Type.Integer()])))

export const countHeard = endpoint({
  method: 'GET',
  path: '/api/desk/vacancies/:id/heard-of-us',
  summary: 'How many of those who applied heard of a vacancy where, and how far they came, by gate',
  access: 'vacancies.read',
  params: byId,
  reply: Type.Object({
    rows: Type.Array(Type.Object({ source: orNull(oneOf(heardSources)), counts: Counts })),
  }),
  invalidates: ['vacancies'],
})
