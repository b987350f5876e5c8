import type { Deps } from '../deps'
import { Problem } from '../http/problems'
import { hashOf, newToken } from '../http/tokens'
import { AccountLink } from './model'

export type Purpose = AccountLink['purpose']

type More = { hours: number; next?: string | null; newMail?: string }

/** Makes a link's secret for one purpose; only its hash is kept. */
export async function newLink({ clock }: Deps, accountId: string, purpose: Purpose, { hours, next, newMail }: More) {
  const { token, tokenHash } = newToken()
  await AccountLink.create({
    tokenHash,
    accountId,
    purpose,
    next: next ?? null,
    newMail: newMail ?? null,
    expiresAt: new Date(clock.now().getTime() + hours * 3_600_000),
  })
  return token
}

/** A link that can still be used. Throws where it was used before, is too old, or is for something else. */
export async function readLink({ clock }: Deps, token: string, purposes: readonly Purpose[]): Promise<AccountLink> {
  const link = await AccountLink.findByPk(hashOf(token))
  if (!link || link.usedAt || link.expiresAt < clock.now() || !purposes.includes(link.purpose))
    throw new Problem(410, 'link-used', 'This link has been used or is too old. Ask for a new one.')
  return link
}

/** Uses a link up. Throws where it cannot be used. */
export async function takeLink(deps: Deps, token: string, purposes: readonly Purpose[]): Promise<AccountLink> {
  return (await readLink(deps, token, purposes)).update({ usedAt: deps.clock.now() })
}
