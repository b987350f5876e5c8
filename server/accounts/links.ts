import { changeWhere } from '../platform/database/compareAndSet'
import type { Deps } from '../platform/deps'
import { hashOf, newToken } from '../platform/http/tokens'
import { AccountLink } from '../records/accounts/model'
import { problems } from './problems'

export type Purpose = AccountLink['purpose']

type More = { hours: number } & Partial<Pick<AccountLink, 'next' | 'newMail' | 'name' | 'passwordHash' | 'browserHash'>>

/** Makes a link's secret for one purpose; only its hash is kept. */
export async function newLink({ clock }: Deps, accountId: string, purpose: Purpose, { hours, ...more }: More) {
  const { token, tokenHash } = newToken()
  await AccountLink.create({
    tokenHash,
    accountId,
    purpose,
    next: null,
    ...more,
    expiresAt: new Date(clock.now().getTime() + hours * 3_600_000),
  })
  return token
}

/** A link that can still be used. Throws where it was used before, is too old, or is for something else. */
export async function readLink({ clock }: Deps, token: string, purposes: readonly Purpose[]): Promise<AccountLink> {
  const link = await AccountLink.findByPk(hashOf(token))
  if (!link || link.usedAt || link.expiresAt < clock.now() || !purposes.includes(link.purpose))
    throw problems.linkUsed()
  return link
}

/** Uses a link up, once, however many open it at the same moment. Throws where it cannot be used. */
export async function takeLink(deps: Deps, token: string, purposes: readonly Purpose[]): Promise<AccountLink> {
  const link = await readLink(deps, token, purposes)
  if (!(await changeWhere(link, { usedAt: null }, { usedAt: deps.clock.now() }))) throw problems.linkUsed()
  return link
}

/** Every link of an account ends: its password has changed, or its address is confirmed. */
export const voidLinks = async (accountId: string, purposes?: readonly Purpose[]) =>
  void (await AccountLink.destroy({ where: { accountId, ...(purposes ? { purpose: [...purposes] } : {}) } }))
