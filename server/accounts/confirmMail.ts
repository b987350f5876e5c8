import { recordEvent } from '../platform/audit/record'
import { changeWhere } from '../platform/database/compareAndSet'
import type { Account as AccountActor, Deps } from '../platform/deps'
import { hashOf } from '../platform/http/tokens'
import { candidateOf } from '../records/accounts/candidate'
import { Account, actorOf } from '../records/accounts/model'
import { takeLink, voidLinks } from './links'
import { problems } from './problems'
import { openSession } from './session'

/**
 * Confirms an address with a link that was sent to it: the name and the password it was asked for with count, and every
 * other link ends. Only the browser the account was asked for in is signed in by it.
 */
export async function confirmMail(
  deps: Deps,
  { token, browser }: { token: string; browser: string | undefined },
): Promise<{ session: string | undefined; actor: AccountActor; next: string | null }> {
  const link = await takeLink(deps, token, ['confirm'])
  const account = await Account.findByPk(link.accountId, { rejectOnEmpty: true })
  const confirmed = await changeWhere(
    account,
    { confirmedAt: null },
    {
      confirmedAt: deps.clock.now(),
      ...(link.name && link.passwordHash ? { name: link.name, passwordHash: link.passwordHash } : {}),
    },
  )
  if (!confirmed) throw problems.confirmedAlready()
  await voidLinks(account.id)
  const actor = actorOf(account)
  await candidateOf(deps, actor)
  await recordEvent(deps, actor, { code: 'address-confirmed', about: account.mail })
  const own = browser !== undefined && link.browserHash === hashOf(browser)
  return { session: own ? await openSession(account.id) : undefined, actor, next: link.next }
}
