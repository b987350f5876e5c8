import { Op, type WhereOptions } from 'sequelize'
import { v7 as uuid } from 'uuid'
import type { Input } from '#contract/endpoint'
import type { listVacancies as listContract } from '#contract/vacancies'
import { answerRequirements, questionsOf } from '#core/form/form'
import type { Requirement } from '#core/requirements/requirement'
import type { Deps } from '../deps'
import { notFound } from '../http/problems'
import { checkTitles } from '../skills/checks'
import { Vacancy } from './model'

export type NewVacancy = Omit<Vacancy['_creationAttributes'], 'id'>

export const addVacancy = (given: NewVacancy): Promise<Vacancy> => Vacancy.create({ id: uuid(), ...given })

const facets = ['family', 'place', 'payBand', 'contract'] as const
type Facet = (typeof facets)[number]

/** Open vacancies by text and filters. Each facet counts what the other filters leave. */
export async function listVacancies(deps: Deps, query: Input<typeof listContract>['query']) {
  const now = deps.clock.now()
  const openNow = { opensAt: { [Op.lte]: now }, closesAt: { [Op.gt]: now } }
  const words = (query.text ?? '').split(/\s+/).filter(Boolean)
  const matching = words.map((word) => {
    const like = { [Op.like]: `%${word.replace(/[\\%_]/g, '\\$&')}%` }
    return { [Op.or]: [{ title: like }, { summary: like }, { place: like }, { family: like }] }
  })
  const where = (without?: Facet): WhereOptions => ({
    ...openNow,
    [Op.and]: matching,
    ...Object.fromEntries(
      facets.filter((facet) => facet !== without && query[facet]).map((facet) => [facet, query[facet]]),
    ),
  })
  const counted = async (facet: Facet) => {
    const rows = await Vacancy.count({ where: where(facet), group: [facet] })
    return rows
      .map((row) => ({ value: String(row[facet]), count: row.count }))
      .sort((a, b) => (a.value < b.value ? -1 : 1))
  }
  const [vacancies, family, place, payBand, contract] = await Promise.all([
    Vacancy.findAll({ where: where(), order: ['closesAt', 'id'], limit: 200 }),
    ...facets.map(counted),
  ])
  return {
    vacancies: vacancies.map(vacancyLine),
    facets: { family: family!, place: place!, payBand: payBand!, contract: contract! },
  }
}

export async function vacancyBySlug(slug: string): Promise<Vacancy> {
  const vacancy = await Vacancy.findOne({ where: { slug } })
  if (!vacancy) throw notFound()
  return vacancy
}

export const vacancyById = (id: string): Promise<Vacancy> => Vacancy.findByPk(id, { rejectOnEmpty: true })

export const allVacancies = (): Promise<Vacancy[]> => Vacancy.findAll({ order: ['closesAt', 'id'] })

export const isOpen = (vacancy: Vacancy, now: Date) => vacancy.opensAt <= now && vacancy.closesAt > now

/** All a vacancy asks: what its form requires, and its own requirements. */
export const requirementsOf = (vacancy: Vacancy): Requirement[] => [
  ...answerRequirements(vacancy.form),
  ...vacancy.requirements,
]

/** Names for keys that requirements mention: questions, checks, tasks. */
export async function namesFor(vacancy: Vacancy): Promise<Record<string, string>> {
  return {
    ...(await checkTitles()),
    ...Object.fromEntries(
      questionsOf(vacancy.form).flatMap(({ key, label }) => [
        [key, label],
        [`${key}.because`, `${label}, what happened`],
      ]),
    ),
    ...Object.fromEntries(vacancy.onboarding.map(({ key, title }) => [key, title])),
  }
}

export const vacancyLine = (vacancy: Vacancy) => ({
  id: vacancy.id,
  slug: vacancy.slug,
  title: vacancy.title,
  family: vacancy.family,
  place: vacancy.place,
  payFrom: vacancy.payFrom,
  payTo: vacancy.payTo,
  payBand: vacancy.payBand,
  contract: vacancy.contract,
  hours: vacancy.hours,
  closesAt: vacancy.closesAt.toISOString(),
  timeZone: vacancy.timeZone,
  targetStart: vacancy.targetStart,
  summary: vacancy.summary,
})
