import { hash } from '@node-rs/argon2'
import { v7 as uuid } from 'uuid'
import type { signUp as contract } from '#contract/accounts'
import type { Input } from '#contract/endpoint'
import { recordEvent } from '../audit/record'
import type { Actor, Deps } from '../deps'
import { invalidField } from '../http/problems'
import { newToken } from '../http/tokens'
import { queueMail } from '../messages/queueMail'
import { Account, AccountLink } from './model'

const linkHours = 48

/**
 * Makes an account for a candidate and mails a link to confirm the address. Whether the address is known shows only in
 * that mail, never in the reply.
 */
export async function signUp(deps: Deps, actor: Actor, input: Input<typeof contract>['body']) {
  const mail = input.mail.trim().toLowerCase()
  const name = input.name.trim()
  if (name === '') throw invalidField('/body/name', 'Give the name you go by.')
  if (input.password.toLowerCase().includes(mail.split('@')[0]!))
    throw invalidField('/body/password', 'The password holds your mail address. Choose another.')
  const known = await Account.findOne({ where: { mail } })
  // Hash in both cases, so that the time taken says nothing either.
  const passwordHash = await hash(input.password)
  if (known?.confirmedAt) {
    await queueMail(deps, {
      to: { name: known.name, mail },
      subject: 'You already have an account',
      text: `Somebody, most likely you, wanted to make an account with this address. You already have one.\n\nSign in: ${deps.config.publicUrl}/sign-in\n\nIf it was not you, nothing has happened and nothing is needed.`,
    })
    return { done: true as const }
  }
  const account = known
    ? await known.update({ name, passwordHash })
    : await Account.create({
        id: uuid(),
        mail,
        name,
        passwordHash,
        roles: ['candidate'],
        confirmedAt: null,
        createdAt: deps.clock.now(),
      })
  const { token, tokenHash } = newToken()
  const next = input.next?.startsWith('/') && !input.next.startsWith('//') ? input.next : null
  await AccountLink.create({
    tokenHash,
    accountId: account.id,
    next,
    expiresAt: new Date(deps.clock.now().getTime() + linkHours * 3_600_000),
  })
  await queueMail(deps, {
    to: { name, mail },
    subject: 'Confirm your address',
    text: `Open this link to confirm your address and go on where you were:\n\n${deps.config.publicUrl}/confirm/${token}\n\nIt works for two days. If you did not ask for an account, do nothing.`,
  })
  await recordEvent(deps, actor, { code: 'account-made', what: `Made an account for ${name}`, about: mail })
  return { done: true as const }
}
