import { type Static, Type } from '@sinclair/typebox'
import { stages } from '#core/hiring/stages'
import { gates } from '#core/requirements/requirement'
import type { Change, Effect } from '#core/rules/effect'
import { endpoint } from './endpoint'
import { Id, listOfCore, Moment, oneOf, orNull, Reason } from './shapes'

const byId = Type.Object({ id: Id })

export const DryRunState = Type.Object({
  id: Id,
  state: oneOf(['waiting', 'running', 'done', 'failed'] as const),
  done: Type.Integer(),
  total: Type.Integer(),
  startedBy: Type.String(),
  startedAt: Moment,
  finishedAt: orNull(Moment),
  /** The draft has been changed since. */
  outdated: Type.Boolean(),
})

export type DryRunState = Static<typeof DryRunState>

export const startDryRun = endpoint({
  method: 'POST',
  path: '/api/desk/vacancies/:id/dry-runs',
  summary: 'Compute what the rules being edited would change for every application in progress',
  access: 'vacancies.set-up',
  params: byId,
  reply: Type.Object({ id: Id }),
  idempotent: true,
  invalidates: ['rules'],
})

const effects = ['gains', 'loses', 'other'] as const

export const readDryRun = endpoint({
  method: 'GET',
  path: '/api/desk/dry-runs/:id',
  summary: 'How far a dry run is, what it found, and the people concerned, a page at a time',
  access: 'vacancies.read',
  params: byId,
  query: Type.Object({
    requirement: Type.Optional(Type.String({ maxLength: 90 })),
    effect: Type.Optional(oneOf(effects)),
    gate: Type.Optional(oneOf(gates)),
    text: Type.Optional(Type.String({ maxLength: 80 })),
    after: Type.Optional(Id),
  }),
  reply: Type.Intersect([
    DryRunState,
    Type.Object({
      vacancyId: Id,
      affected: Type.Integer({ description: 'Applications that come out differently' }),
      counts: Type.Array(
        Type.Object({
          requirement: Type.String(),
          title: Type.String(),
          gate: oneOf(gates),
          gains: Type.Integer(),
          loses: Type.Integer(),
          other: Type.Integer(),
        }),
      ),
      people: Type.Array(
        Type.Object({
          id: Id,
          candidate: Type.String(),
          reference: orNull(Type.String()),
          stage: oneOf(stages),
          rulesVersion: Type.Integer(),
          changes: listOfCore<Change>(),
          gates: listOfCore<Effect['gates'][number]>(),
        }),
      ),
      next: orNull(Id),
    }),
  ]),
  invalidates: ['rules'],
})

export const moveApplications = endpoint({
  method: 'POST',
  path: '/api/desk/vacancies/:id/move',
  summary: 'Judge applications that were sent by the newest version of the rules; each candidate is told',
  access: 'vacancies.set-up',
  params: byId,
  body: Type.Object({ applications: Type.Array(Id, { minItems: 1, maxItems: 500 }), reason: Reason }),
  reply: Type.Object({ moved: Type.Integer() }),
  idempotent: true,
  invalidates: ['rules', 'desk', 'vacancies'],
})
