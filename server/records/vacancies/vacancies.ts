import { Op, type WhereOptions } from 'sequelize'
import { v7 as uuid } from 'uuid'
import type { Input } from '#contract/endpoint'
import type { listVacancies as listContract } from '#contract/vacancies'
import type { Rules } from '#core/rules/rules'
import { say } from '#core/words/say'
import { rowOf } from '../../platform/database/rows'
import type { Deps } from '../../platform/deps'
import { notFound } from '../../platform/errors/problems'
import { addRulesVersion, publishedRules, withRanking } from '../rules/versions'
import { Vacancy, VacancyGroup } from './model'
import { payBandOf } from './payBand'

export type NewVacancy = Omit<
  Vacancy['_creationAttributes'],
  'id' | 'groupId' | 'state' | 'version' | 'rulesVersion' | 'createdAt' | 'payBand' | 'decidedBy' | 'paperLanguages'
> & { rules: Rules; decidedBy?: string; paperLanguages?: string[] }

/** Adds a vacancy that is open, with the first version of its rules. */
export async function addVacancy(deps: Pick<Deps, 'clock'>, { rules, ...given }: NewVacancy): Promise<Vacancy> {
  const vacancy = await Vacancy.create({
    id: uuid(),
    decidedBy: '',
    ...given,
    payBand: payBandOf(given.payFrom, given.payTo),
    state: 'open',
    version: 0,
    rulesVersion: 1,
    createdAt: deps.clock.now(),
  })
  await addRulesVersion(deps, vacancy.id, 1, rules, { note: '', savedBy: 'Probatum' })
  return vacancy
}

const facets = ['family', 'place', 'payBand', 'contract'] as const
type Facet = (typeof facets)[number]

/** Open vacancies by text and filters. Each facet counts what the other filters leave. */
export async function listVacancies(deps: Deps, query: Input<typeof listContract>['query']) {
  const now = deps.clock.now()
  const openNow = { state: 'open', opensAt: { [Op.lte]: now }, closesAt: { [Op.gt]: now } }
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

/** A vacancy by its address. A draft is only there for those who set it up. */
export async function vacancyBySlug(slug: string, options: { drafts?: boolean } = {}): Promise<Vacancy> {
  const vacancy = await Vacancy.findOne({ where: { slug } })
  if (!vacancy || (vacancy.state === 'draft' && !options.drafts)) throw notFound()
  return vacancy
}

export async function vacancyById(id: string): Promise<Vacancy> {
  const vacancy = await rowOf(Vacancy, { id })
  if (!vacancy) throw notFound()
  return vacancy
}

export async function vacanciesById(ids: readonly string[]): Promise<Map<string, Vacancy>> {
  const vacancies = await Vacancy.findAll({ where: { id: [...new Set(ids)] } })
  return new Map(vacancies.map((vacancy) => [vacancy.id, vacancy]))
}

/** What vacancies are called, by their identifiers. */
export async function titlesOfVacancies(ids: readonly string[]): Promise<Map<string, string>> {
  const vacancies = await Vacancy.findAll({ where: { id: [...new Set(ids)] }, attributes: ['id', 'title'] })
  return new Map(vacancies.map(({ id, title }) => [id, title]))
}

export const allVacancies = (): Promise<Vacancy[]> => Vacancy.findAll({ order: ['closesAt', 'id'] })

export const isOpen = ({ state, opensAt, closesAt }: Vacancy, now: Date) =>
  state === 'open' && opensAt <= now && closesAt > now

/** What a vacancy asks by one version of its rules; where it belongs to a group, with the ranking of posts. */
export async function rulesOfVacancy(
  vacancy: Vacancy,
  { version = vacancy.rulesVersion, ranking = true }: { version?: number; ranking?: boolean } = {},
): Promise<Rules> {
  const rules = await publishedRules(vacancy.id, version)
  if (!vacancy.groupId || !ranking) return rules
  const group = await VacancyGroup.findByPk(vacancy.groupId, { rejectOnEmpty: true })
  const posts = await vacanciesIn(group.id)
  return withRanking(
    rules,
    posts.map((post) => ({ name: postName(post), about: aboutPost(post) })),
    group.rankUpTo,
  )
}

/** The posts of a group that can be ranked, in the order of their titles. */
export const vacanciesIn = (groupId: string): Promise<Vacancy[]> =>
  Vacancy.findAll({ where: { groupId, state: { [Op.ne]: 'draft' } }, order: ['title', 'place', 'id'] })

/** What there is to know of a post where it is ranked: what it is and how many are wanted. */
const aboutPost = ({ summary, headcount, hours }: Vacancy) =>
  `${summary} ${say('status.countPlacesHours', { count: headcount, hours })}`.trim()

export const postName = ({ title, place }: Vacancy) => (place ? `${title}, ${place}` : title)

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
