import { v7 as uuid } from 'uuid'
import { say } from '#core/words/say'
import { recordEvent } from '../platform/audit/record'
import { compareAndSet } from '../platform/database/compareAndSet'
import type { Account, Deps } from '../platform/deps'
import { invalidField, notFound, requireVersion } from '../platform/errors/problems'
import { Vacancy, VacancyGroup } from '../records/vacancies/model'

/** Groups of vacancies, each with its posts. */
export async function listVacancyGroups() {
  const [groups, vacancies] = await Promise.all([
    VacancyGroup.findAll({ order: ['title', 'id'] }),
    Vacancy.findAll({ attributes: ['id', 'title', 'place', 'state', 'groupId'], order: ['title', 'place', 'id'] }),
  ])
  return groups.map(({ id, title, rankUpTo, version }) => ({
    id,
    title,
    rankUpTo,
    version,
    vacancies: vacancies
      .filter(({ groupId }) => groupId === id)
      .map(({ id: vacancyId, title: post, place, state }) => ({ id: vacancyId, title: post, place, state })),
  }))
}

type Given = { id?: string; version: number; title: string; rankUpTo: number; vacancies: string[] }

/** Makes a group or changes one. A vacancy belongs to one group at most. */
export async function saveVacancyGroup(deps: Deps, actor: Account, { id, version, title, rankUpTo, vacancies }: Given) {
  const existing = id ? await VacancyGroup.findByPk(id) : null
  if (id && !existing) throw notFound()
  if (existing) requireVersion(version, existing.version, { title: existing.title, rankUpTo: existing.rankUpTo })
  const chosen = await Vacancy.findAll({ where: { id: vacancies } })
  if (chosen.length !== vacancies.length) throw invalidField('/body/vacancies', say('problem.oneOfTheseVacanciesIs'))
  const elsewhere = chosen.find(({ groupId }) => groupId && groupId !== id)
  if (elsewhere)
    throw invalidField('/body/vacancies', say('problem.belongsToAnotherGroupTake', { title: elsewhere.title }))
  const own = existing ?? (await VacancyGroup.create({ id: uuid(), title, rankUpTo, version: 0 }))
  await compareAndSet(own, own.version, { title, rankUpTo })
  await Vacancy.update({ groupId: null }, { where: { groupId: own.id } })
  await Vacancy.update({ groupId: own.id }, { where: { id: vacancies } })
  await recordEvent(deps, actor, {
    code: 'intake-saved',
    values: { count: vacancies.length, group: title, ranked: rankUpTo },
    about: title,
  })
  return { id: own.id }
}
