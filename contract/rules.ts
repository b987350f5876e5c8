import { type Static, Type } from '@sinclair/typebox'
import { cefrLevels } from '#core/catalogue/cefr'
import { gates, rungs } from '#core/requirements/requirement'
import type { Difference } from '#core/rules/difference'
import type { RulesFault } from '#core/rules/faults'
import { Answers } from './answers'
import { endpoint } from './endpoint'
import { Key, Rules } from './ruleShapes'
import { Day, Done, Id, listOfCore, Moment, oneOf, Version } from './shapes'

const byId = Type.Object({ id: Id })

export const RulesDraft = Type.Object({
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

export const saveRulesDraft = endpoint({
  method: 'PUT',
  path: '/api/desk/vacancies/:id/rules',
  summary: 'Save the rules being edited; what is published stays as it is',
  access: 'vacancies.set-up',
  params: byId,
  body: Type.Object({ version: Version, rules: Rules }),
  reply: Type.Object({ version: Version, savedAt: Moment, faults: listOfCore<RulesFault>(), changed: Type.Boolean() }),
})

export const dropRulesDraft = endpoint({
  method: 'DELETE',
  path: '/api/desk/vacancies/:id/rules',
  summary: 'Go back to the rules as they are published',
  access: 'vacancies.set-up',
  params: byId,
  reply: Done,
  invalidates: ['rules'],
})

export const publishRules = endpoint({
  method: 'POST',
  path: '/api/desk/vacancies/:id/rules/versions',
  summary: 'Publish the rules being edited as the next version. Whoever has sent keeps theirs',
  access: 'vacancies.set-up',
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
  access: 'vacancies.read',
  params: Type.Object({ id: Id, version: Type.String({ pattern: '^(\\d+|draft)$' }) }),
  reply: Type.Object({ rules: Rules }),
  invalidates: ['rules'],
})

export const compareRules = endpoint({
  method: 'GET',
  path: '/api/desk/vacancies/:id/rules/comparison',
  summary: 'What two versions say differently, as sentences',
  access: 'vacancies.read',
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
  access: 'vacancies.set-up',
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
  languages: Type.Optional(
    Type.Array(Type.Object({ language: Type.String({ pattern: '^[a-z]{2}$' }), level: oneOf(cefrLevels) }), {
      maxItems: 20,
    }),
  ),
  checksPassed: Type.Array(Key),
  permissionSigned: Type.Boolean(),
})

export type MadeUp = Static<typeof MadeUp>

export const tryRules = endpoint({
  method: 'POST',
  path: '/api/desk/vacancies/:id/try',
  summary: 'How rules come out for a made-up person or an application; nothing is kept',
  access: 'vacancies.read',
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
