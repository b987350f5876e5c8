import { type Static, Type } from '@sinclair/typebox'
import { endpoint } from './endpoint'
import { Day, Id, oneOf, orNull } from './shapes'

const Turnaround = Type.Object({
  own: Type.Object({ ended: Type.Integer(), open: Type.Integer() }),
  beside: orNull(
    Type.Object({
      scope: oneOf(['kind and country', 'kind', 'all'] as const),
      waits: Type.Integer(),
      countsAs: Type.Integer({ description: 'For how many of its own they count' }),
    }),
  ),
  median: orNull(Type.Object({ day: Type.Integer(), from: orNull(Type.Integer()), to: orNull(Type.Integer()) })),
  eighty: orNull(Type.Integer({ description: 'Days by which four of five have answered' })),
  steps: Type.Array(
    Type.Object({
      ...{ day: Type.Integer(), atRisk: Type.Number(), ended: Type.Number() },
      ...{ waits: Type.Number(), low: Type.Number(), high: Type.Number() },
    }),
  ),
})
export type Turnaround = Static<typeof Turnaround>

export const readTurnaround = endpoint({
  method: 'GET',
  path: '/api/desk/sources/:id/turnaround',
  summary:
    'How long a source takes to answer, from what it has answered and what it still owes; the last six months apart',
  access: 'sources.keep',
  params: Type.Object({ id: Id }),
  reply: Type.Object({ whole: Turnaround, recent: Turnaround, before: Turnaround, since: Day }),
  invalidates: ['desk'],
})
