import type { WhereOptions } from 'sequelize'
import { type Right, type RightsTable, rightsOf } from '#core/rights/rights'
import { readVersioned } from '../../platform/database/settings'
import type { Account as Actor } from '../../platform/deps'
import { Account, actorOf, TeamMember, TeamVacancy } from './model'

/** The table of rights as it was last decided; what nobody decided is held as usual. */
export const decidedRights = async (): Promise<Partial<RightsTable>> =>
  (await readVersioned<Partial<RightsTable>>('rights')).value ?? {}

/** Everybody who works here, by name: also who was invited and has not come, and who is suspended. */
export const colleagues = (): Promise<Account[]> =>
  Account.findAll({ where: { works: true } as WhereOptions, order: ['name', 'id'] })

/** Those who can sign in now. */
export const activeColleagues = async (): Promise<Account[]> => (await colleagues()).filter(isActive)

export const isActive = ({ confirmedAt, suspendedAt }: Pick<Account, 'confirmedAt' | 'suspendedAt'>) =>
  confirmedAt !== null && !suspendedAt

/** Everybody who can sign in and holds a right, by name. */
export async function accountsWithRight(right: Right): Promise<Account[]> {
  const table = await decidedRights()
  return (await activeColleagues()).filter(({ roles }) => rightsOf(roles, table).includes(right))
}

/** The vacancies somebody’s teams work on. */
export async function vacanciesOfTeams(accountId: string): Promise<string[]> {
  const teams = await TeamMember.findAll({ where: { accountId } })
  const vacancies = await TeamVacancy.findAll({ where: { teamId: teams.map(({ teamId }) => teamId) } })
  return [...new Set(vacancies.map(({ vacancyId }) => vacancyId))]
}

/** An account as somebody who acts, by the rights and teams of now. */
export const actingColleague = async (account: Account): Promise<Actor> =>
  actorOf(account, {
    table: await decidedRights(),
    ...(account.teamsOnly ? { vacancies: await vacanciesOfTeams(account.id) } : {}),
  })
