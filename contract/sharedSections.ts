import { type Static, Type } from '@sinclair/typebox'
import type { Rules as CoreRules } from '#core/rules/rules'
import { endpoint } from './endpoint'
import { Key, SectionShape } from './ruleShapes'
import { Id, Moment, ofCore, oneOf, ShortText } from './shapes'

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
  access: 'vacancies.read',
  reply: Type.Array(SharedSection),
  invalidates: ['rules'],
})

export const saveSharedSection = endpoint({
  method: 'POST',
  path: '/api/desk/sections/:key',
  summary: 'Save a new version of a shared section',
  access: 'vacancies.set-up',
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
  access: 'vacancies.set-up',
  params: Type.Object({ key: Key }),
  body: Type.Object({ vacancies: Type.Array(Id, { minItems: 1, maxItems: 200 }) }),
  reply: Type.Object({ changed: Type.Integer() }),
  idempotent: true,
  invalidates: ['rules'],
})
