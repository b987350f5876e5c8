import { Op } from 'sequelize'
import { say } from '#core/words/say'
import { recordEvent } from '../platform/audit/record'
import { compareAndSet } from '../platform/database/compareAndSet'
import type { Account as Actor, Deps } from '../platform/deps'
import { invalidField, notFound } from '../platform/errors/problems'
import { Team, TeamMember, TeamVacancy } from '../records/accounts/model'
import { allVacancies } from '../records/vacancies/vacancies'

type TeamGiven = { version: number; name: string; vacancies: string[] }

/** Makes a team, or changes what it is called and works on. */
export async function saveTeam(deps: Deps, actor: Actor, id: string, { version, name: typed, vacancies }: TeamGiven) {
  const name = typed.trim()
  if (name === '') throw invalidField('/body/name', say('problem.giveTheTeamAName'))
  const other = await Team.findOne({ where: { name, id: { [Op.ne]: id } } })
  if (other) throw invalidField('/body/name', say('problem.thereIsATeamOfThisName'))
  const there = new Set((await allVacancies()).map((vacancy) => vacancy.id))
  if (vacancies.some((vacancy) => !there.has(vacancy)))
    throw invalidField('/body/vacancies', say('problem.thereIsNoSuchVacancy'))
  if (version === 0) await Team.create({ id, name, version: 1 })
  else {
    const team = await Team.findByPk(id)
    if (!team) throw notFound()
    await compareAndSet(team, version, { name })
  }
  await TeamVacancy.destroy({ where: { teamId: id } })
  await TeamVacancy.bulkCreate(vacancies.map((vacancyId) => ({ teamId: id, vacancyId })))
  await recordEvent(deps, actor, { code: 'team-saved', values: { team: name }, about: name, details: { vacancies } })
  return { version: version + 1 }
}

export async function removeTeam(deps: Deps, actor: Actor, id: string) {
  const team = await Team.findByPk(id)
  if (!team) throw notFound()
  for (const model of [TeamMember, TeamVacancy]) await (model as typeof TeamMember).destroy({ where: { teamId: id } })
  await team.destroy()
  await recordEvent(deps, actor, { code: 'team-removed', values: { team: team.name }, about: team.name })
  return { done: true as const }
}

/** Puts somebody into these teams and no others. */
export async function joinTeams(accountId: string, teams: readonly string[]) {
  const there = await Team.findAll({ where: { id: [...teams] }, attributes: ['id'] })
  if (there.length < teams.length) throw invalidField('/body/teams', say('problem.thereIsNoSuchTeam'))
  await TeamMember.destroy({ where: { accountId } })
  await TeamMember.bulkCreate(teams.map((teamId) => ({ teamId, accountId })))
}
