import { worksHere } from '#core/rights/rights'
import { recordEvent } from '../platform/audit/record'
import { changeWhere } from '../platform/database/compareAndSet'
import type { Account as Actor, Deps } from '../platform/deps'
import { Account } from '../records/accounts/model'
import { actingColleague } from '../records/accounts/staff'
import { readLink, takeLink, voidLinks } from './links'
import { hashOfNewPassword, wordsOfHouse } from './password'
import { problems } from './problems'
import { openSession } from './session'
import { comesThroughProvider } from './throughProvider'

/** Who is invited by a link. */
export async function readInvitation(deps: Deps, token: string) {
  const link = await readLink(deps, token, ['invite'])
  const { name, mail, roles } = await Account.findByPk(link.accountId, { rejectOnEmpty: true })
  const provider = deps.config.identityProvider
  return {
    ...{ name, mail, roles, organisation: deps.organisation.name },
    throughProvider: provider?.only ? provider.name : null,
  }
}

/** Takes an invitation: the password is chosen, the address is known to be theirs, and they are signed in. */
export async function acceptInvitation(
  deps: Deps,
  { token, password }: { token: string; password: string },
): Promise<{ session: string; actor: Actor }> {
  const link = await readLink(deps, token, ['invite'])
  const account = await Account.findByPk(link.accountId, { rejectOnEmpty: true })
  if (comesThroughProvider(deps, account)) throw problems.throughProvider(deps.config.identityProvider!.name)
  const passwordHash = await hashOfNewPassword(password, [account.name, account.mail, ...wordsOfHouse(deps)])
  await takeLink(deps, token, ['invite'])
  const now = deps.clock.now()
  // One who was suspended meanwhile does not come in by a link of before.
  if (account.suspendedAt || !(await changeWhere(account, { confirmedAt: null }, { confirmedAt: now, passwordHash })))
    throw problems.linkUsed()
  await voidLinks(account.id)
  await account.update({ signedInAt: new Date() })
  const actor = await actingColleague(account)
  const code = worksHere(account.roles) ? 'colleague-came' : 'employer-person-came'
  await recordEvent(deps, actor, { code, about: account.mail })
  return { session: await openSession(account.id), actor }
}
