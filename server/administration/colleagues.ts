import { Op, QueryTypes } from 'sequelize'
import { v7 as uuid } from 'uuid'
import type * as contract from '#contract/colleagues'
import type { Reply } from '#contract/endpoint'
import { type StaffRole, worksHere } from '#core/rights/rights'
import { type Language, say } from '#core/words/say'
import { mailInvitation, rolesValue } from '../accounts/invite'
import { holdAdministrators, requireAdministrator } from '../accounts/lastAdministrator'
import { voidLinks } from '../accounts/links'
import { comesThroughProvider } from '../accounts/throughProvider'
import { recordEvent } from '../platform/audit/record'
import { compareAndSet } from '../platform/database/compareAndSet'
import type { Account as Actor, Deps } from '../platform/deps'
import { invalidField, requireVersion } from '../platform/errors/problems'
import { countMailTo } from '../platform/http/limits'
import { Account, AccountLink, Session, Team, TeamMember, TeamVacancy } from '../records/accounts/model'
import { activeColleagues, colleagues, isActive } from '../records/accounts/staff'
import { countOfFiles, handOverFiles } from '../records/applications/owners'
import { allVacancies } from '../records/vacancies/vacancies'
import { absenceOf } from './absence'
import { colleagueById } from './colleague'
import { problems } from './problems'
import { joinTeams } from './teams'

/** Everybody who works here, with their teams. */
export async function listColleagues(deps: Deps): Promise<Reply<typeof contract.listColleagues>> {
  const [people, members, teams, vacancies, sessions, files, links] = await Promise.all([
    colleagues(),
    TeamMember.findAll(),
    teamsWithVacancies(),
    allVacancies(),
    countSessions(),
    countOfFiles(),
    AccountLink.findAll({ where: { purpose: 'invite', usedAt: null, expiresAt: { [Op.gt]: deps.clock.now() } } }),
  ])
  const invited = new Set(links.map(({ accountId }) => accountId))
  return {
    colleagues: people.map((person) => ({
      id: person.id,
      name: person.name,
      mail: person.mail,
      roles: person.roles as StaffRole[],
      language: person.language,
      state: stateOf(person, invited),
      version: person.version,
      teams: members.filter(({ accountId }) => accountId === person.id).map(({ teamId }) => teamId),
      teamsOnly: person.teamsOnly,
      absence: absenceOf(person),
      signedInAt: person.signedInAt?.toISOString() ?? null,
      sessions: sessions.get(person.id) ?? 0,
      codesOn: person.otpOnSince !== null,
      throughProvider: comesThroughProvider(deps, person),
      breakGlass: person.breakGlass,
      files: files.get(person.id) ?? 0,
    })),
    teams,
    vacancies: vacancies.map(({ id, title, place }) => ({ id, title, place })),
    rolesFromProvider: Boolean(deps.config.identityProvider?.rolesClaim),
  }
}

function stateOf(person: Account, invited: ReadonlySet<string>) {
  if (person.suspendedAt) return 'suspended' as const
  if (person.confirmedAt) return 'active' as const
  return invited.has(person.id) ? ('invited' as const) : ('invitation over' as const)
}

async function countSessions(): Promise<Map<string, number>> {
  const rows = await Session.sequelize!.query<{ accountId: string; open: number }>(
    `SELECT s.accountId, COUNT(*) AS open FROM sessions s JOIN accounts a ON a.id = s.accountId
     WHERE a.works AND s.expiresAt > :now GROUP BY s.accountId`,
    { replacements: { now: new Date() }, type: QueryTypes.SELECT },
  )
  return new Map(rows.map(({ accountId, open }) => [accountId, Number(open)]))
}

async function teamsWithVacancies() {
  const [teams, vacancies] = await Promise.all([Team.findAll({ order: ['name'] }), TeamVacancy.findAll()])
  return teams.map(({ id, name, version }) => ({
    id,
    name,
    version,
    vacancies: vacancies.filter(({ teamId }) => teamId === id).map(({ vacancyId }) => vacancyId),
  }))
}

type Invitation = { name: string; mail: string; roles: StaffRole[]; language: Language }

/** Invites somebody who works here: an account that a link opens, with a password of their own choice. */
export async function inviteColleague(deps: Deps, actor: Actor, { mail: typed, ...given }: Invitation) {
  const mail = typed.trim().toLowerCase()
  const name = given.name.trim()
  if (name === '') throw invalidField('/body/name', say('problem.giveTheNameYouGo'))
  const known = await Account.findOne({ where: { mail } })
  if (known) throw !worksHere(known.roles) ? problems.candidatesAddress() : problems.knownAddress()
  const account = await Account.create({
    ...given,
    id: uuid(),
    mail,
    name,
    passwordHash: 'none',
    confirmedAt: null,
    invitedAt: deps.clock.now(),
    createdAt: deps.clock.now(),
  })
  await mailInvitation(deps, account)
  await recordEvent(deps, actor, {
    code: 'colleague-invited',
    values: { colleague: name, roles: rolesValue(account.roles) },
    about: mail,
  })
  return { id: account.id }
}

/** Mails a new link to somebody who has not come yet. */
export async function inviteAgain(deps: Deps, actor: Actor, id: string) {
  const account = await colleagueById(id)
  if (account.confirmedAt) throw problems.cameAlready()
  await countMailTo(deps, account.mail)
  await mailInvitation(deps, account)
  await recordEvent(deps, actor, {
    code: 'colleague-invited',
    values: { colleague: account.name, roles: rolesValue(account.roles) },
    about: account.mail,
  })
  return { done: true as const }
}

type Changes = { version: number; name?: string; roles?: StaffRole[]; teams?: string[]; teamsOnly?: boolean }

/** Changes what somebody is called, does and sees. */
export async function changeColleague(deps: Deps, actor: Actor, id: string, { version, teams, ...changes }: Changes) {
  const account = await colleagueById(id)
  requireVersion(version, account.version, { name: account.name })
  if (changes.name?.trim() === '') throw invalidField('/body/name', say('problem.giveTheNameYouGo'))
  const rolesBefore = account.roles
  if (changes.roles) await holdAdministrators(deps)
  await compareAndSet(account, version, {
    ...changes,
    ...(changes.name ? { name: changes.name.trim() } : {}),
  })
  if (changes.roles) await requireAdministrator()
  if (teams) await joinTeams(id, teams)
  const changed = {
    code: 'colleague-changed' as const,
    about: account.mail,
    details: { ...changes, ...(teams ? { teams } : {}) },
  }
  const { name: colleague } = account
  if (changes.roles) {
    const values = { colleague, before: rolesValue(rolesBefore), roles: rolesValue(changes.roles) }
    await recordEvent(deps, actor, { ...changed, words: 'colleague-changed.roles', values })
  } else await recordEvent(deps, actor, { ...changed, values: { colleague } })
  return { version: account.version }
}

/** Lets somebody sign in by password even where everybody else comes through the identity provider, or no longer. */
export async function setBreakGlass(
  deps: Deps,
  actor: Actor,
  id: string,
  { version, breakGlass }: { version: number; breakGlass: boolean },
) {
  const account = await colleagueById(id)
  requireVersion(version, account.version, { breakGlass: account.breakGlass })
  await compareAndSet(account, version, { breakGlass })
  await recordEvent(deps, actor, {
    code: 'break-glass-changed',
    values: { colleague: account.name },
    about: account.mail,
    details: { breakGlass },
  })
  return { version: account.version }
}

type Suspending = { version: number; filesTo?: string }

/** Lets somebody sign in no more; their sessions end at once, and their files may go to somebody else. */
export async function suspendColleague(deps: Deps, actor: Actor, id: string, { version, filesTo }: Suspending) {
  if (id === actor.id) throw problems.yourself()
  const account = await colleagueById(id)
  requireVersion(version, account.version, {})
  await holdAdministrators(deps)
  await compareAndSet(account, version, { suspendedAt: account.suspendedAt ?? deps.clock.now() })
  await requireAdministrator()
  await endSessions(id)
  // A link that was mailed before would open the door again.
  await voidLinks(id)
  if (filesTo) await handOverFiles(deps, id, await colleagueWhoCan(filesTo))
  await recordEvent(deps, actor, {
    code: 'colleague-suspended',
    values: { colleague: account.name },
    about: account.mail,
    details: { filesTo },
  })
  return { version: account.version }
}

/** Somebody who can sign in, to whom something is given. */
async function colleagueWhoCan(id: string): Promise<string> {
  const account = await colleagueById(id)
  if (!isActive(account))
    throw invalidField('/body/filesTo', say('problem.cannotSignInAtPresent', { name: account.name }))
  return id
}

export async function restoreColleague(deps: Deps, actor: Actor, id: string, { version }: { version: number }) {
  const account = await colleagueById(id)
  requireVersion(version, account.version, {})
  await compareAndSet(account, version, { suspendedAt: null })
  await recordEvent(deps, actor, {
    code: 'colleague-restored',
    values: { colleague: account.name },
    about: account.mail,
  })
  return { version: account.version }
}

/** Takes back an invitation nobody has followed. */
export async function removeInvitation(deps: Deps, actor: Actor, id: string) {
  const account = await colleagueById(id)
  await voidLinks(id)
  await TeamMember.destroy({ where: { accountId: id } })
  const removed = await Account.destroy({ where: { id, confirmedAt: null } })
  if (removed === 0) throw problems.cameAlready()
  await recordEvent(deps, actor, {
    code: 'invitation-removed',
    values: { colleague: account.name },
    about: account.mail,
  })
  return { done: true as const }
}

const endSessions = (accountId: string) => Session.destroy({ where: { accountId } })

export async function signOutColleague(deps: Deps, actor: Actor, id: string) {
  const account = await colleagueById(id)
  const ended = await endSessions(id)
  await recordEvent(deps, actor, {
    code: 'colleague-signed-out',
    values: { colleague: account.name },
    about: account.mail,
  })
  return { ended }
}

/** How many people have each role, those who cannot sign in left out. */
export async function peopleByRole(): Promise<Record<string, number>> {
  const people = await activeColleagues()
  const counts: Record<string, number> = {}
  for (const { roles } of people) for (const role of roles) counts[role] = (counts[role] ?? 0) + 1
  return counts
}
