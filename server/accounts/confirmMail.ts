import { recordEvent } from '../audit/record'
import type { Actor, Deps } from '../deps'
import { candidateOf } from './candidate'
import { takeLink } from './links'
import { Account } from './model'
import { actorOf, openSession } from './session'

/** Confirms an address with the link that was sent to it and opens a session. A link works once. */
export async function confirmMail(deps: Deps, _actor: Actor, input: { token: string }) {
  const link = await takeLink(deps, input.token, ['confirm'])
  const account = await Account.findByPk(link.accountId, { rejectOnEmpty: true })
  if (!account.confirmedAt) await account.update({ confirmedAt: deps.clock.now() })
  const self = actorOf(account)
  await candidateOf(deps, self)
  await recordEvent(deps, self, { code: 'address-confirmed', what: 'Confirmed the mail address', about: account.mail })
  return { token: await openSession(account.id), next: link.next }
}
