import { Type } from '@sinclair/typebox'
import { endpoint } from './endpoint'
import { Id, oneOf, Version } from './shapes'
import { vacancyStates } from './vacancySetUp'

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
  access: 'vacancies.read',
  reply: Type.Array(VacancyGroup),
  invalidates: ['vacancies'],
})

export const saveVacancyGroup = endpoint({
  method: 'POST',
  path: '/api/desk/groups',
  summary: 'Make a group of vacancies, or change one',
  access: 'vacancies.set-up',
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
