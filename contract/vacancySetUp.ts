import { type Static, Type } from '@sinclair/typebox'
import { startingPoints } from '#core/rules/startingPoints'
import { DryRunState } from './dryRuns'
import { endpoint } from './endpoint'
import { strict } from './ruleShapes'
import { RulesDraft } from './rules'
import { Day, Id, Moment, oneOf, orNull, Version } from './shapes'

const byId = Type.Object({ id: Id })

export const vacancyStates = ['draft', 'open', 'closed', 'filled'] as const

export type VacancyState = (typeof vacancyStates)[number]

/** Rich text: headings, lists, links, as the nodes of a ProseMirror document. */
const RichText = Type.Object({
  type: Type.Literal('doc'),
  content: Type.Optional(Type.Array(Type.Any(), { maxItems: 400 })),
})

const vacancyFields = {
  title: Type.String({ minLength: 1, maxLength: 200 }),
  family: Type.String({ maxLength: 80 }),
  place: Type.String({ maxLength: 120 }),
  payFrom: Type.Integer({ minimum: 0, description: 'Cents a year' }),
  payTo: Type.Integer({ minimum: 0, description: 'Cents a year' }),
  contract: Type.String({ maxLength: 80 }),
  hours: Type.String({ maxLength: 80 }),
  headcount: Type.Integer({ minimum: 1, maximum: 500 }),
  summary: Type.String({ maxLength: 2000 }),
  duties: RichText,
  opensAt: Moment,
  closesAt: Moment,
  timeZone: Type.String({ maxLength: 60 }),
  targetStart: Day,
  paperLanguages: Type.Array(Type.String({ pattern: '^[a-z]{2}$' }), {
    maxItems: 12,
    uniqueItems: true,
    description: 'Languages papers are read in, ISO 639-1; none means any',
  }),
  decidedBy: Type.String({ maxLength: 120, description: 'Mail address of who decides' }),
}

const VacancyFields = Type.Object(vacancyFields)

export type VacancyFields = Static<typeof VacancyFields>

export const readDeskVacancy = endpoint({
  method: 'GET',
  path: '/api/desk/vacancies/:id',
  summary: 'A vacancy as it is set up: what is said of it, its rules being edited, its published versions',
  access: 'vacancies.read',
  params: byId,
  reply: Type.Intersect([
    VacancyFields,
    Type.Object({
      id: Id,
      slug: Type.String(),
      state: oneOf(vacancyStates),
      version: Version,
      decidesOn: orNull(Day),
      waiting: Type.Integer({ description: 'How many have applied and wait for a decision' }),
      group: orNull(Type.Object({ id: Id, title: Type.String(), rankUpTo: Type.Integer() })),
      rulesVersion: Type.Integer({ description: 'The published version; 0 before the first' }),
      draft: RulesDraft,
      versions: Type.Array(
        Type.Object({
          version: Type.Integer(),
          note: Type.String(),
          savedBy: Type.String(),
          savedAt: Moment,
          applications: Type.Integer({ description: 'Sent under it' }),
        }),
      ),
      today: Day,
      checks: Type.Record(Type.String(), Type.String(), {
        description: 'Titles of the skills checks there are, by key',
      }),
      deciders: Type.Array(Type.Object({ mail: Type.String(), name: Type.String() })),
      families: Type.Array(Type.String(), { description: 'Kinds of work to choose from' }),
      places: Type.Array(Type.String()),
      lacks: Type.Array(Type.String(), { description: 'What is still missing before it can be opened' }),
      dryRun: orNull(DryRunState),
      people: Type.Array(Type.Object({ id: Id, name: Type.String(), reference: Type.String() }), {
        description: 'Up to a hundred who have sent, to try rules with',
      }),
    }),
  ]),
  invalidates: ['vacancies', 'rules'],
})

export type DeskVacancy = Static<typeof readDeskVacancy.reply>

export const createVacancy = endpoint({
  method: 'POST',
  path: '/api/desk/vacancies',
  summary: 'Set up a vacancy, from a starting point or as a copy of an earlier one; never from nothing',
  access: 'vacancies.set-up',
  body: Type.Object({
    title: vacancyFields.title,
    start: Type.Optional(oneOf(startingPoints)),
    copyOf: Type.Optional(Id),
  }),
  reply: Type.Object({ id: Id }),
  idempotent: true,
  invalidates: ['vacancies', 'desk'],
})

export const saveVacancy = endpoint({
  method: 'PATCH',
  path: '/api/desk/vacancies/:id',
  summary: 'Save what is said of a vacancy',
  access: 'vacancies.set-up',
  params: byId,
  body: Type.Object({ version: Version, changes: Type.Partial(VacancyFields, strict) }),
  reply: Type.Object({ version: Version }),
  invalidates: ['vacancies'],
})

export const setVacancyState = endpoint({
  method: 'POST',
  path: '/api/desk/vacancies/:id/state',
  summary: 'Open, close, or mark a vacancy as filled. Refused with 409 while something is missing for it to open',
  access: 'vacancies.set-up',
  params: byId,
  body: Type.Object({ version: Version, state: oneOf(vacancyStates) }),
  reply: Type.Object({ version: Version }),
  idempotent: true,
  invalidates: ['vacancies', 'desk'],
})

export const setDecisionDay = endpoint({
  method: 'POST',
  path: '/api/desk/vacancies/:id/decision-day',
  summary: 'Promise a day of decision, or move it: then everybody who waits is told, with the reason',
  access: 'vacancies.set-up',
  params: byId,
  body: Type.Object({ version: Version, day: orNull(Day), reason: Type.String({ maxLength: 500 }) }),
  reply: Type.Object({ version: Version }),
  idempotent: true,
  invalidates: ['vacancies', 'desk'],
})
