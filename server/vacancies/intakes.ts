import { v7 as uuid } from 'uuid'
import { recordEvent } from '../platform/audit/record'
import { compareAndSet } from '../platform/database/compareAndSet'
import type { Account, Deps } from '../platform/deps'
import { invalidField, notFound, requireVersion } from '../platform/errors/problems'
import { Intake, Vacancy } from '../records/vacancies/model'

/** Groups of vacancies, each with its posts. */
export async function listIntakes() {
  const [intakes, vacancies] = await Promise.all([
    Intake.findAll({ order: ['title', 'id'] }),
    Vacancy.findAll({ attributes: ['id', 'title', 'place', 'state', 'intakeId'], order: ['title', 'place', 'id'] }),
  ])
  return intakes.map(({ id, title, rankUpTo, version }) => ({
    id,
    title,
    rankUpTo,
    version,
    vacancies: vacancies
      .filter(({ intakeId }) => intakeId === id)
      .map(({ id: vacancyId, title: post, place, state }) => ({ id: vacancyId, title: post, place, state })),
  }))
}

type Given = { id?: string; version: number; title: string; rankUpTo: number; vacancies: string[] }

/** Makes a group or changes one. A vacancy belongs to one group at most. */
export async function saveIntake(deps: Deps, actor: Account, { id, version, title, rankUpTo, vacancies }: Given) {
  const existing = id ? await Intake.findByPk(id) : null
  if (id && !existing) throw notFound()
  if (existing) requireVersion(version, existing.version, { title: existing.title, rankUpTo: existing.rankUpTo })
  const chosen = await Vacancy.findAll({ where: { id: vacancies } })
  if (chosen.length !== vacancies.length) throw invalidField('/body/vacancies', 'One of these vacancies is not there.')
  const elsewhere = chosen.find(({ intakeId }) => intakeId && intakeId !== id)
  if (elsewhere)
    throw invalidField('/body/vacancies', `${elsewhere.title} belongs to another group; take it out there first.`)
  const own = existing ?? (await Intake.create({ id: uuid(), title, rankUpTo, version: 0 }))
  await compareAndSet(own, own.version, { title, rankUpTo })
  await Vacancy.update({ intakeId: null }, { where: { intakeId: own.id } })
  await Vacancy.update({ intakeId: own.id }, { where: { id: vacancies } })
  await recordEvent(deps, actor, {
    code: 'intake-saved',
    what: `Grouped ${vacancies.length} vacancies as “${title}”, ranked up to ${rankUpTo}`,
    about: title,
  })
  return { id: own.id }
}
