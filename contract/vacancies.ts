import { Type } from '@sinclair/typebox'
import type { Form } from '#core/form/form'
import { stages } from '#core/hiring/stages'
import type { Requirement } from '#core/requirements/requirement'
import { CatalogueShape } from './catalogue'
import { endpoint } from './endpoint'
import { Day, Id, listOfCore, Moment, ofCore, oneOf, orNull } from './shapes'

const VacancyLine = Type.Object({
  id: Id,
  slug: Type.String(),
  title: Type.String(),
  family: Type.String(),
  place: Type.String(),
  payFrom: Type.Integer({ description: 'Cents a year' }),
  payTo: Type.Integer({ description: 'Cents a year' }),
  payBand: Type.String(),
  contract: Type.String(),
  hours: Type.String(),
  closesAt: Moment,
  timeZone: Type.String(),
  targetStart: Day,
  summary: Type.String(),
})
export type VacancyLine = typeof VacancyLine.static

const Facet = Type.Array(Type.Object({ value: Type.String(), count: Type.Integer() }))

export const listVacancies = endpoint({
  method: 'GET',
  path: '/api/vacancies',
  summary: 'Open vacancies, with how many each further choice would leave',
  access: 'anyone',
  query: Type.Object({
    text: Type.Optional(Type.String({ maxLength: 100 })),
    family: Type.Optional(Type.String()),
    place: Type.Optional(Type.String()),
    payBand: Type.Optional(Type.String()),
    contract: Type.Optional(Type.String()),
  }),
  reply: Type.Object({
    vacancies: Type.Array(VacancyLine),
    facets: Type.Object({ family: Facet, place: Facet, payBand: Facet, contract: Facet }),
  }),
  invalidates: ['vacancies'],
})

export const readVacancy = endpoint({
  method: 'GET',
  path: '/api/vacancies/:slug',
  summary: 'One vacancy with all it asks for',
  access: 'anyone',
  params: Type.Object({ slug: Type.String() }),
  reply: Type.Intersect([
    VacancyLine,
    Type.Object({
      duties: Type.Object({ type: Type.Literal('doc'), content: Type.Optional(Type.Array(Type.Any())) }),
      state: Type.String(),
      opensAt: Moment,
      decidesOn: orNull(Day),
      group: orNull(
        Type.Object({
          title: Type.String(),
          rankUpTo: Type.Integer(),
          others: Type.Array(Type.Object({ slug: Type.String(), title: Type.String(), place: Type.String() })),
        }),
      ),
      headcount: Type.Integer(),
      open: Type.Boolean(),
      requirements: listOfCore<Requirement>(),
      names: Type.Record(Type.String(), Type.String()),
      named: CatalogueShape,
      form: ofCore<Form>(Type.Array(Type.Object({}))),
      mine: orNull(Type.Object({ id: Id, stage: oneOf(stages) })),
    }),
  ]),
  invalidates: ['vacancies'],
})
