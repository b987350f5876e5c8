import { type Static, type TSchema, Type } from '@sinclair/typebox'
import type { Condition } from '#core/conditions/condition'
import { blanks, questionKinds, sectionHolds } from '#core/form/form'
import { stages } from '#core/hiring/stages'
import { videoLimits } from '#core/pages/limits'
import { gates, rungs } from '#core/requirements/requirement'
import type { Difference } from '#core/rules/difference'
import type { Change, Effect } from '#core/rules/effect'
import type { RulesFault } from '#core/rules/faults'
import type { Rules as CoreRules } from '#core/rules/rules'
import { languages } from '#core/words/say'
import { Answers } from './answers'
import { endpoint } from './endpoint'
import { roles } from './roles'
import { Day, Done, Id, listOfCore, Moment, ofCore, oneOf, orNull, Reason, ShortText, Version } from './shapes'

/** A vacancy's rules as data: the published JSON Schema of what is exported and imported is made from these. */

const Key = Type.String({
  pattern: '^[A-Za-z0-9][A-Za-z0-9._-]{0,59}$',
  description: 'Short name, unique within its list',
})
const FactName = Type.String({ minLength: 1, maxLength: 90 })
const strict = { additionalProperties: false }
const Value = Type.Union([Type.String({ maxLength: 200 }), Type.Number(), Type.Boolean()])

/** Conditions hold conditions: the one shape that others refer to by its name. */
export const ConditionSchema = {
  $id: 'https://probatum.example/schemas/condition-1.json',
  title: 'Condition over answers and facts',
  ...Type.Union([
    ...(['all', 'any', 'none'] as const).map((joint) =>
      Type.Object({ [joint]: Type.Array(Type.Unsafe({ $ref: '#' }), { maxItems: 12 }) }, strict),
    ),
    Type.Object({ fact: FactName, is: Value }, strict),
    Type.Object({ fact: FactName, oneOf: Type.Array(Value, { minItems: 1, maxItems: 60 }) }, strict),
    Type.Object({ fact: FactName, atLeast: Type.Number() }, strict),
    Type.Object({ fact: FactName, atMost: Type.Number() }, strict),
    Type.Object({ fact: FactName, holds: Type.String({ maxLength: 200 }) }, strict),
    Type.Object({ fact: FactName, onOrBefore: Day }, strict),
    Type.Object({ fact: FactName, onOrAfter: Day }, strict),
  ]),
}
const ConditionShape = Type.Unsafe<Condition>({ $ref: ConditionSchema.$id })

/** The same texts in other languages, as far as they were written. */
const translated = (texts: Record<string, TSchema>) =>
  Type.Optional(
    Type.Object(
      Object.fromEntries(
        languages.map((language) => [language, Type.Optional(Type.Partial(Type.Object(texts, strict)))]),
      ),
      strict,
    ),
  )
const text = (most: number) => Type.String({ maxLength: most })

const YesNo = oneOf(['yes', 'no'] as const)
const question = {
  key: Key,
  label: Type.String({ minLength: 1, maxLength: 300 }),
  kind: oneOf(questionKinds),
  required: Type.Boolean(),
  help: Type.Optional(Type.String({ maxLength: 500 })),
  when: Type.Optional(ConditionShape),
  options: Type.Optional(
    Type.Array(Type.String({ minLength: 1, maxLength: 120 }), { maxItems: 60, uniqueItems: true }),
  ),
  rankUpTo: Type.Optional(Type.Integer({ minimum: 1, maximum: 20 })),
  limit: Type.Optional(Type.Integer({ minimum: 1, maximum: 4000, description: 'Characters' })),
  least: Type.Optional(Type.Number()),
  most: Type.Optional(Type.Number()),
  unit: Type.Optional(Type.String({ maxLength: 20 })),
  explain: Type.Optional(YesNo),
  paper: Type.Optional(YesNo),
  videoSeconds: Type.Optional(Type.Integer({ minimum: 5, maximum: videoLimits.seconds })),
  blanks: Type.Optional(Type.Array(oneOf(blanks), { uniqueItems: true })),
  seenBy: Type.Optional(Type.Array(oneOf(roles), { uniqueItems: true })),
  nameless: Type.Optional(
    Type.Literal(true, { description: 'A written answer that is read also where names are hidden' }),
  ),
  fill: Type.Optional(Type.String({ maxLength: 40 })),
  translations: translated({
    label: text(300),
    help: text(500),
    unit: text(20),
    options: Type.Array(text(120), { maxItems: 60 }),
  }),
}
const Part = Type.Object(question, strict)
export const QuestionShape = Type.Object(
  { ...question, parts: Type.Optional(Type.Array(Part, { maxItems: 12 })) },
  strict,
)

export const SectionShape = Type.Object(
  {
    key: Key,
    title: Type.String({ minLength: 1, maxLength: 80 }),
    heading: Type.String({ maxLength: 160 }),
    intro: Type.String({ maxLength: 600 }),
    holds: oneOf(sectionHolds),
    questions: Type.Array(QuestionShape, { maxItems: 60 }),
    when: Type.Optional(ConditionShape),
    shared: Type.Optional(Type.Object({ key: Key, version: Type.Integer({ minimum: 1 }) }, strict)),
    translations: translated({ title: text(80), heading: text(160), intro: text(600) }),
  },
  strict,
)

const ask = <K extends string, P extends Parameters<typeof Type.Object>[0]>(kind: K, more: P) =>
  Type.Object({ kind: Type.Literal(kind), ...more }, strict)
const AskShape = Type.Union([
  ask('answer', { question: Key }),
  ask('study', {
    levelAtLeast: Type.Integer({ minimum: 0, maximum: 8, description: 'ISCED 2011' }),
    fields: Type.Optional(
      Type.Array(Type.String({ pattern: '^\\d{4}$', description: 'ISCED-F 2013' }), { minItems: 1 }),
    ),
  }),
  ask('credential', { credential: Key }),
  ask('history', {
    years: Type.Integer({ minimum: 1, maximum: 30 }),
    toleratedGapDays: Type.Integer({ minimum: 0, maximum: 366 }),
    of: Type.Optional(Type.Literal('home')),
  }),
  ask('experience', {
    months: Type.Integer({ minimum: 1, maximum: 600 }),
    tags: Type.Array(Type.String({ minLength: 1, maxLength: 40 }), { maxItems: 8 }),
  }),
  ask('every work entry', {}),
  ask('skills check', { check: Key }),
  ask('permission', {}),
  ask('identity', {}),
  ask('vouching', { count: Type.Integer({ minimum: 1, maximum: 6 }) }),
  ask('document', { question: Key }),
  ask('declaration', { question: Key, mustBe: Type.String({ minLength: 1, maxLength: 120 }) }),
  ask('reference', { count: Type.Integer({ minimum: 1, maximum: 6 }) }),
  ask('fee', {
    amount: Type.Integer({ minimum: 1, description: 'Minor units' }),
    currency: Type.String({ pattern: '^[A-Z]{3}$', description: 'ISO 4217' }),
  }),
  ask('offer accepted', {}),
  ask('onboarding task', { task: Key }),
])

export const RequirementShape = Type.Object(
  {
    key: Key,
    title: Type.String({ minLength: 1, maxLength: 120 }),
    why: Type.String({ maxLength: 400 }),
    gate: oneOf(gates),
    asks: AskShape,
    alternatives: Type.Optional(Type.Array(AskShape, { maxItems: 6 })),
    rung: oneOf(['claimed', 'evidenced', 'confirmed'] as const),
    paper: Type.Optional(Type.Boolean()),
    validStartPlusDays: Type.Optional(Type.Integer({ minimum: 0, maximum: 3660 })),
    when: Type.Optional(ConditionShape),
    exempt: Type.Optional(
      Type.Object({ when: ConditionShape, because: Type.String({ minLength: 1, maxLength: 300 }) }, strict),
    ),
    waivableBy: Type.Array(oneOf(roles), { uniqueItems: true }),
    translations: translated({ title: text(120), why: text(400), because: text(300) }),
  },
  strict,
)

const TaskShape = Type.Object(
  { key: Key, title: Type.String({ minLength: 1, maxLength: 200 }), text: Type.String({ maxLength: 10_000 }) },
  strict,
)

const RulesShape = Type.Object(
  {
    form: Type.Array(SectionShape, { maxItems: 40 }),
    requirements: Type.Array(RequirementShape, { maxItems: 200 }),
    onboarding: Type.Array(TaskShape, { maxItems: 40 }),
  },
  strict,
)
/** The type is core's, whose values are read-only; the shape is checked. */
const Rules = ofCore<CoreRules>(RulesShape)

/** What is written to a file: the rules with the name and version of the format. */
export const RulesFile = Type.Object(
  {
    format: Type.Literal('probatum-rules'),
    formatVersion: Type.Literal(1),
    title: Type.Optional(Type.String({ maxLength: 200 })),
    rules: RulesShape,
  },
  { ...strict, $id: 'https://probatum.example/schemas/rules-1.json', title: 'Form and requirements of a vacancy' },
)

const desk = ['coordinator', 'administrator'] as const
const readers = ['coordinator', 'hiring manager', 'administrator'] as const
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

const RulesDraft = Type.Object({
  rules: Rules,
  version: Version,
  /** The published version it was begun from; 0 where there is none. */
  basedOn: Type.Integer(),
  changed: Type.Boolean({ description: 'Whether it says anything else than what is published' }),
  savedBy: Type.String(),
  savedAt: Moment,
  faults: listOfCore<RulesFault>(),
})
export type RulesDraft = Static<typeof RulesDraft>

const DryRunState = Type.Object({
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

export const readDeskVacancy = endpoint({
  method: 'GET',
  path: '/api/desk/vacancies/:id',
  summary: 'A vacancy as it is set up: what is said of it, its rules being edited, its published versions',
  access: readers,
  params: byId,
  reply: Type.Intersect([
    VacancyFields,
    Type.Object({
      id: Id,
      slug: Type.String(),
      state: oneOf(vacancyStates),
      version: Version,
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
      checks: Type.Record(Type.String(), Type.String(), {
        description: 'Titles of the skills checks there are, by key',
      }),
      deciders: Type.Array(Type.Object({ mail: Type.String(), name: Type.String() })),
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
  summary: 'Set up a vacancy, from nothing or as a copy of an earlier one',
  access: desk,
  body: Type.Object({ title: vacancyFields.title, copyOf: Type.Optional(Id) }),
  reply: Type.Object({ id: Id }),
  idempotent: true,
  invalidates: ['vacancies', 'desk'],
})

export const saveVacancy = endpoint({
  method: 'PATCH',
  path: '/api/desk/vacancies/:id',
  summary: 'Save what is said of a vacancy',
  access: desk,
  params: byId,
  body: Type.Object({ version: Version, changes: Type.Partial(VacancyFields, strict) }),
  reply: Type.Object({ version: Version }),
  invalidates: ['vacancies'],
})

export const setVacancyState = endpoint({
  method: 'POST',
  path: '/api/desk/vacancies/:id/state',
  summary: 'Open, close, or mark a vacancy as filled. Refused with 409 while something is missing for it to open',
  access: desk,
  params: byId,
  body: Type.Object({ version: Version, state: oneOf(vacancyStates) }),
  reply: Type.Object({ version: Version }),
  idempotent: true,
  invalidates: ['vacancies', 'desk'],
})

export const saveRulesDraft = endpoint({
  method: 'PUT',
  path: '/api/desk/vacancies/:id/rules',
  summary: 'Save the rules being edited; what is published stays as it is',
  access: desk,
  params: byId,
  body: Type.Object({ version: Version, rules: Rules }),
  reply: Type.Object({ version: Version, savedAt: Moment, faults: listOfCore<RulesFault>(), changed: Type.Boolean() }),
})

export const dropRulesDraft = endpoint({
  method: 'DELETE',
  path: '/api/desk/vacancies/:id/rules',
  summary: 'Go back to the rules as they are published',
  access: desk,
  params: byId,
  reply: Done,
  invalidates: ['rules'],
})

export const publishRules = endpoint({
  method: 'POST',
  path: '/api/desk/vacancies/:id/rules/versions',
  summary: 'Publish the rules being edited as the next version. Whoever has sent keeps theirs',
  access: desk,
  params: byId,
  body: Type.Object({ version: Version, note: Type.String({ maxLength: 500 }) }),
  reply: Type.Object({ rulesVersion: Type.Integer() }),
  idempotent: true,
  invalidates: ['rules', 'vacancies', 'desk'],
})

export const readRulesVersion = endpoint({
  method: 'GET',
  path: '/api/desk/vacancies/:id/rules/versions/:version',
  summary: 'The rules of one version, or of the draft',
  access: readers,
  params: Type.Object({ id: Id, version: Type.String({ pattern: '^(\\d+|draft)$' }) }),
  reply: Type.Object({ rules: Rules }),
  invalidates: ['rules'],
})

export const compareRules = endpoint({
  method: 'GET',
  path: '/api/desk/vacancies/:id/rules/comparison',
  summary: 'What two versions say differently, as sentences',
  access: readers,
  params: byId,
  query: Type.Object({
    from: Type.String({ pattern: '^(\\d+|draft)$' }),
    to: Type.String({ pattern: '^(\\d+|draft)$' }),
  }),
  reply: Type.Object({ differences: listOfCore<Difference>() }),
  invalidates: ['rules'],
})

export const importRules = endpoint({
  method: 'POST',
  path: '/api/desk/vacancies/:id/rules/import',
  summary:
    'Take rules from a file into the draft. A broken file is refused with 422, each fault with its JSON pointer, and changes nothing',
  access: desk,
  params: byId,
  body: Type.Object({ version: Version, text: Type.String({ maxLength: 400_000 }) }),
  reply: Type.Object({ version: Version }),
  idempotent: true,
  invalidates: ['rules'],
})

const MadeUp = Type.Object({
  answers: Answers,
  study: Type.Optional(
    Type.Object({
      level: Type.Integer({ minimum: 0, maximum: 8 }),
      field: Type.String({ pattern: '^\\d{4}$' }),
      accredited: Type.Boolean(),
      rung: oneOf(rungs),
    }),
  ),
  credentials: Type.Array(
    Type.Object({
      credential: Key,
      rung: oneOf(rungs),
      through: Type.Union([Day, Type.Literal('does not expire'), Type.Literal('')]),
    }),
    { maxItems: 30 },
  ),
  work: Type.Optional(
    Type.Object({
      months: Type.Integer({ minimum: 0, maximum: 600 }),
      tags: Type.Array(Type.String({ maxLength: 40 })),
      rung: oneOf(rungs),
    }),
  ),
  checksPassed: Type.Array(Key),
  permissionSigned: Type.Boolean(),
})
export type MadeUp = Static<typeof MadeUp>

export const tryRules = endpoint({
  method: 'POST',
  path: '/api/desk/vacancies/:id/trial',
  summary: 'How rules come out for a made-up person or an application; nothing is kept',
  access: readers,
  params: byId,
  body: Type.Object({
    rules: Rules,
    who: Type.Union([Type.Object({ madeUp: MadeUp }), Type.Object({ application: Id })]),
  }),
  reply: Type.Object({
    name: Type.String(),
    outcomes: Type.Array(
      Type.Object({
        requirement: Type.String(),
        title: Type.String(),
        gate: oneOf(gates),
        state: oneOf(['met', 'unmet', 'not needed', 'undecided'] as const),
        why: Type.String(),
        ball: Type.String(),
        deciding: Type.Array(Type.String(), { description: 'Labels of the unanswered questions that would decide it' }),
      }),
    ),
  }),
})

export const startDryRun = endpoint({
  method: 'POST',
  path: '/api/desk/vacancies/:id/dry-runs',
  summary: 'Compute what the rules being edited would change for every application in progress',
  access: desk,
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
  access: readers,
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
  path: '/api/desk/vacancies/:id/moves',
  summary: 'Judge applications that were sent by the newest version of the rules; each candidate is told',
  access: desk,
  params: byId,
  body: Type.Object({ applications: Type.Array(Id, { minItems: 1, maxItems: 500 }), reason: Reason }),
  reply: Type.Object({ moved: Type.Integer() }),
  idempotent: true,
  invalidates: ['rules', 'desk', 'vacancies'],
})

const SharedSection = Type.Object({
  key: Type.String(),
  version: Type.Integer(),
  section: ofCore<CoreRules['form'][number]>(SectionShape),
  note: Type.String(),
  savedBy: Type.String(),
  savedAt: Moment,
  usedBy: Type.Array(
    Type.Object({
      id: Id,
      title: Type.String(),
      version: Type.Integer(),
      where: oneOf(['published', 'draft'] as const),
    }),
  ),
})
export type SharedSection = Static<typeof SharedSection>

export const sharedSections = endpoint({
  method: 'GET',
  path: '/api/desk/sections',
  summary: 'The common library of sections, each in its newest version, and which vacancies use which',
  access: readers,
  reply: Type.Array(SharedSection),
  invalidates: ['rules'],
})

export const saveSharedSection = endpoint({
  method: 'POST',
  path: '/api/desk/sections/:key',
  summary: 'Save a new version of a shared section',
  access: desk,
  params: Type.Object({ key: Key }),
  body: Type.Object({
    basedOn: Type.Integer({ minimum: 0, description: 'The version it was begun from; 0 for a new section' }),
    section: ofCore<CoreRules['form'][number]>(SectionShape),
    note: ShortText,
  }),
  reply: Type.Object({ version: Type.Integer() }),
  idempotent: true,
  invalidates: ['rules'],
})

export const spreadSharedSection = endpoint({
  method: 'POST',
  path: '/api/desk/sections/:key/spread',
  summary: 'Put the newest version of a shared section into the drafts of vacancies; nothing is published by it',
  access: desk,
  params: Type.Object({ key: Key }),
  body: Type.Object({ vacancies: Type.Array(Id, { minItems: 1, maxItems: 200 }) }),
  reply: Type.Object({ changed: Type.Integer() }),
  idempotent: true,
  invalidates: ['rules'],
})

const VacancyGroup = Type.Object({
  id: Id,
  title: Type.String(),
  rankUpTo: Type.Integer(),
  version: Version,
  vacancies: Type.Array(
    Type.Object({ id: Id, title: Type.String(), place: Type.String(), state: oneOf(vacancyStates) }),
  ),
})
export const listVacancyGroups = endpoint({
  method: 'GET',
  path: '/api/desk/groups',
  summary: 'Groups of vacancies for which a candidate ranks several posts',
  access: readers,
  reply: Type.Array(VacancyGroup),
  invalidates: ['vacancies'],
})

export const saveVacancyGroup = endpoint({
  method: 'POST',
  path: '/api/desk/groups',
  summary: 'Make a group of vacancies, or change one',
  access: desk,
  body: Type.Object({
    id: Type.Optional(Id),
    version: Version,
    title: Type.String({ minLength: 1, maxLength: 120 }),
    rankUpTo: Type.Integer({ minimum: 1, maximum: 20 }),
    vacancies: Type.Array(Id, { maxItems: 50, uniqueItems: true }),
  }),
  reply: Type.Object({ id: Id }),
  idempotent: true,
  invalidates: ['vacancies', 'rules'],
})

export const findPlaces = endpoint({
  method: 'GET',
  path: '/api/places',
  summary: 'Towns and regions of a postcode; empty where the directory does not know it or does not answer',
  access: 'signed-in',
  query: Type.Object({
    country: Type.String({ maxLength: 60 }),
    postcode: Type.String({ minLength: 2, maxLength: 12 }),
  }),
  reply: Type.Array(Type.Object({ town: Type.String(), region: Type.String() })),
})

export const recordFee = endpoint({
  method: 'POST',
  path: '/api/desk/applications/:id/fees/:requirement',
  summary: 'Record that a fee has been received',
  access: desk,
  passwordAgain: true,
  params: Type.Object({ id: Id, requirement: Key }),
  body: Type.Object({ receivedOn: Day, note: ShortText }),
  reply: Done,
  idempotent: true,
  invalidates: ['desk'],
})
