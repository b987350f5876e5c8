import { Type } from '@sinclair/typebox'
import { stages } from '#core/hiring/stages'
import { importFields } from '#core/imports/fields'
import { rungs } from '#core/requirements/requirement'
import { endpoint } from './endpoint'
import { Done, Id, Moment, oneOf, orNull } from './shapes'

export const importStates = ['mapping', 'waiting', 'done', 'failed', 'undone'] as const

const Mapping = Type.Record(Type.String({ maxLength: 200 }), oneOf(importFields))
const Fault = Type.Object({
  row: Type.Integer({ description: 'As a spreadsheet counts, the heading being row 1' }),
  column: Type.String(),
  message: Type.String(),
})

const Line = {
  id: Id,
  fileName: Type.String(),
  format: oneOf(['csv', 'json resume'] as const),
  state: oneOf(importStates),
  total: Type.Integer(),
  done: Type.Integer(),
  by: Type.String(),
  at: Moment,
  finishedAt: orNull(Moment),
}

const Import = Type.Object({
  ...Line,
  columns: Type.Array(Type.String()),
  sample: Type.Array(Type.Array(Type.String())),
  mapping: Mapping,
  /** What the dry run found; the first of them. */
  faults: Type.Array(Fault),
  faultCount: Type.Integer(),
  faultyRows: Type.Integer({ description: 'Rows that do not go in; they come back as a file to put right' }),
  /** What was read by a rule that may be wrong, such as a name of four words; the first of them. */
  doubts: Type.Array(Fault),
  doubtCount: Type.Integer(),
  people: Type.Object({ made: Type.Integer(), known: Type.Integer(), claims: Type.Integer() }),
  note: orNull(Type.String()),
  /** Who came with it, once it is imported; the first of them by name. */
  brought: Type.Array(Type.Object({ candidateId: Id, name: Type.String(), claims: Type.Integer() })),
})

const byId = Type.Object({ id: Id })

export const listImports = endpoint({
  method: 'GET',
  path: '/api/desk/imports',
  summary: 'Imports of people, newest first',
  access: 'people.import',
  reply: Type.Array(Type.Object(Line)),
  invalidates: ['imports'],
})

export const readImportedPerson = endpoint({
  method: 'GET',
  path: '/api/desk/people/:candidateId',
  summary: 'A person who came with an import, and what it brought; they need not have applied',
  access: 'people.import',
  params: Type.Object({ candidateId: Id }),
  reply: Type.Object({
    candidateId: Id,
    name: Type.String(),
    mail: Type.String(),
    phone: orNull(Type.String()),
    born: orNull(Type.String()),
    hasAccount: Type.Boolean({ description: 'They can sign in; until then the desk may write for them' }),
    came: Type.Array(Type.Object({ importId: Id, fileName: Type.String(), at: Moment, by: Type.String() })),
    claims: Type.Array(
      Type.Object({
        id: Id,
        label: Type.String(),
        source: Type.String(),
        number: Type.String(),
        from: orNull(Type.String({ description: 'As exact as it was given: a year, a month or a day' })),
        to: orNull(Type.String({ description: 'The same, `present`, or the last day a credential is valid' })),
        rung: oneOf(rungs),
      }),
    ),
    applications: Type.Array(
      Type.Object({ id: Id, reference: orNull(Type.String()), title: Type.String(), stage: oneOf(stages) }),
    ),
  }),
  invalidates: ['imports', 'desk'],
})

export const beginImport = endpoint({
  method: 'POST',
  path: '/api/desk/imports',
  summary: 'Take in a CSV or JSON Resume file, up to 10 MB; nothing is imported yet',
  access: 'people.import',
  query: Type.Object({ fileName: Type.String({ minLength: 1, maxLength: 200 }) }),
  body: Type.Any(),
  bytes: true,
  reply: Type.Object({ id: Id }),
  invalidates: ['imports'],
})

export const readImport = endpoint({
  method: 'GET',
  path: '/api/desk/imports/:id',
  summary: 'An import: its columns, what they are taken for, and what a dry run finds',
  access: 'people.import',
  params: byId,
  reply: Import,
  invalidates: ['imports'],
})

export const mapImport = endpoint({
  method: 'PUT',
  path: '/api/desk/imports/:id/mapping',
  summary: 'Say which column holds what',
  access: 'people.import',
  params: byId,
  body: Type.Object({ mapping: Mapping }),
  reply: Done,
  invalidates: ['imports'],
})

export const runImport = endpoint({
  method: 'POST',
  path: '/api/desk/imports/:id/run',
  summary: 'Import every row that is right; refused with 409 where none is',
  access: 'people.import',
  params: byId,
  reply: Done,
  idempotent: true,
  invalidates: ['imports'],
})

export const readLeftRows = endpoint({
  method: 'GET',
  path: '/api/desk/imports/:id/left.csv',
  summary: 'The rows that are wrong, as they came and with what is wrong, to put right and import again',
  access: 'people.import',
  params: byId,
  reply: Type.Any(),
  file: true,
})

export const undoImport = endpoint({
  method: 'POST',
  path: '/api/desk/imports/:id/undo',
  summary: 'Take back a whole import; refused where something of it has been used since',
  access: 'people.import',
  params: byId,
  reply: Done,
  idempotent: true,
  invalidates: ['imports', 'desk'],
})
