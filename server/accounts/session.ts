import { QueryTypes } from 'sequelize'
import type { RightsTable } from '#core/rights/rights'
import { type Account as Actor, isStaff } from '../platform/deps'
import type { OpenSession } from '../platform/http/callers'
import { hashOf, newToken } from '../platform/http/tokens'
import { type Account, actorOf, Session } from '../records/accounts/model'
import { vacanciesOfTeams } from '../records/accounts/staff'

const hourMs = 3_600_000
const candidateDays = 14
/** People who see the files of others sign in each day, and again after half an hour away. */
const staffHours = 12
const staffIdleMs = hourMs / 2
/** How exactly it is known when a session was last used. */
const touchEveryMs = 60_000
/** For so long after the password was given nobody asks for it again. */
const confirmedMs = 10 * 60_000

/** Opens a session and gives the secret for its cookie; only the hash is kept. */
export async function openSession(accountId: string): Promise<string> {
  const { token, tokenHash } = newToken()
  // Sessions go by the machine's clock: moving the demo's clock forward signs nobody out.
  const now = new Date()
  await Session.create({
    tokenHash,
    accountId,
    createdAt: now,
    seenAt: now,
    confirmedAt: now,
    expiresAt: new Date(now.getTime() + candidateDays * 24 * hourMs),
  })
  return token
}

export async function closeSession(token: string) {
  await Session.destroy({ where: { tokenHash: hashOf(token) } })
}

/** Notes that somebody has shown again that it is they, in a session of theirs; whether it is one. */
export async function confirmSession(token: string, accountId: string): Promise<boolean> {
  const [confirmed] = await Session.update(
    { confirmedAt: new Date() },
    { where: { tokenHash: hashOf(token), accountId } },
  )
  return confirmed > 0
}

type Row = Pick<Account, 'id' | 'name' | 'mail'> & {
  roles: string | Actor['roles']
  decided: string | Partial<RightsTable> | null
  teamsOnly: number | boolean
  codesOn: number | boolean
  providerSubject: string | null
  breakGlass: number | boolean
  createdAt: Date
  seenAt: Date
  confirmedAt: Date
}

/** What a column of JSON holds, whichever way the connector gives it. */
const parsed = <T extends object>(value: string | T): T => (typeof value === 'string' ? JSON.parse(value) : value)

/**
 * The session behind a secret, where it still holds.
 *
 * @param active whether a person is at it; what a page asks by itself keeps no session alive
 */
export async function openedSession(token: string, { active }: { active: boolean }): Promise<OpenSession | undefined> {
  const tokenHash = hashOf(token)
  const now = new Date()
  const [row] = await Session.sequelize!.query<Row>(
    `SELECT a.id, a.name, a.mail, a.roles, a.teamsOnly, a.providerSubject, a.breakGlass, a.otpOnSince IS NOT NULL AS codesOn, s.createdAt, s.seenAt, s.confirmedAt,
       (SELECT value FROM setting_versions WHERE name = 'rights' ORDER BY version DESC LIMIT 1) AS decided
     FROM sessions s JOIN accounts a ON a.id = s.accountId
     WHERE s.tokenHash = :tokenHash AND s.expiresAt > :now AND a.suspendedAt IS NULL`,
    { replacements: { tokenHash, now }, type: QueryTypes.SELECT },
  )
  if (!row) return undefined
  const account = actorOf(
    { ...row, roles: parsed(row.roles) },
    {
      ...(row.decided === null ? {} : { table: parsed(row.decided) }),
      ...(row.teamsOnly ? { vacancies: await vacanciesOfTeams(row.id) } : {}),
    },
  )
  const since = (moment: Date) => now.getTime() - moment.getTime()
  if (isStaff(account) && (since(row.createdAt) > staffHours * hourMs || since(row.seenAt) > staffIdleMs)) {
    await closeSession(token)
    return undefined
  }
  if (active && since(row.seenAt) > touchEveryMs) await Session.update({ seenAt: now }, { where: { tokenHash } })
  const { providerSubject } = row
  return {
    account,
    confirmed: since(row.confirmedAt) < confirmedMs,
    codesOn: Boolean(row.codesOn),
    entrance: { roles: account.roles, providerSubject, breakGlass: Boolean(row.breakGlass) },
  }
}
