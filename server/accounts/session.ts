import { literal, Op } from 'sequelize'
import type { Account as AccountActor } from '../deps'
import { hashOf, newToken } from '../http/tokens'
import { Account, Session } from './model'

const sessionDays = 14

/** Opens a session and gives the secret for its cookie; only the hash is kept. */
export async function openSession(accountId: string): Promise<string> {
  const { token, tokenHash } = newToken()
  // Sessions go by the machine's clock: moving the demo's clock forward signs nobody out.
  const now = new Date()
  await Session.create({
    tokenHash,
    accountId,
    createdAt: now,
    expiresAt: new Date(now.getTime() + sessionDays * 86_400_000),
  })
  return token
}

export async function closeSession(token: string) {
  await Session.destroy({ where: { tokenHash: hashOf(token) } })
}

export async function accountOfSession(token: string): Promise<AccountActor | undefined> {
  const { sequelize } = Session
  const open = `(SELECT accountId FROM sessions WHERE tokenHash = ${sequelize!.escape(hashOf(token))} AND expiresAt > ${sequelize!.escape(new Date())})`
  const account = await Account.findOne({ where: { id: { [Op.in]: literal(open) } } })
  return account ? actorOf(account) : undefined
}

export const actorOf = ({ id, name, mail, roles }: Account): AccountActor => ({
  kind: 'account',
  id,
  name,
  mail,
  roles,
})
