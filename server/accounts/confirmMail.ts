import { recordEvent } from '../audit/record'
import type { Actor, Deps } from '../deps'
import { Problem } from '../http/problems'
import { hashOf } from '../http/tokens'
import { candidateOf } from './candidate'
import { Account, AccountLink } from './model'
import { actorOf, openSession } from './session'

/** Confirms an address with the link that was sent to it and opens a session. A link works once. */
export async function confirmMail(deps: Deps, _actor: Actor, input: { token: string }) {
  const link = await AccountLink.findByPk(hashOf(input.token))
  if (!link || link.usedAt || link.expiresAt < deps.clock.now()) {
    throw new Problem(
      410,
      'link-used',
      'This link has been used or is too old. Sign in, or make the account again to get a new link.',
    )
  }
  const account = await Account.findByPk(link.accountId, { rejectOnEmpty: true })
  await link.update({ usedAt: deps.clock.now() })
  if (!account.confirmedAt) await account.update({ confirmedAt: deps.clock.now() })
  const self = actorOf(account)
  await candidateOf(deps, self)
  await recordEvent(deps, self, { code: 'address-confirmed', what: 'Confirmed the mail address', about: account.mail })
  return { token: await openSession(account.id), next: link.next }
}
