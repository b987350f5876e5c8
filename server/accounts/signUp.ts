import { v7 as uuid } from 'uuid'
import type { signUp as contract } from '#contract/accounts'
import type { Input } from '#contract/endpoint'
import { spokenLanguage } from '#core/words/say'
import { recordEvent } from '../audit/record'
import type { Actor, Deps } from '../deps'
import { invalidField } from '../http/problems'
import { queueMail } from '../messages/queueMail'
import { newLink } from './links'
import { Account } from './model'
import { hashOfNewPassword } from './password'

const linkHours = 48

/**
 * Makes an account for a candidate and mails a link to confirm the address. Whether the address is known shows only in
 * that mail, never in the reply.
 */
export async function signUp(deps: Deps, actor: Actor, input: Input<typeof contract>['body']) {
  const mail = input.mail.trim().toLowerCase()
  const name = input.name.trim()
  if (name === '') throw invalidField('/body/name', 'Give the name you go by.')
  const known = await Account.findOne({ where: { mail } })
  // Hash in both cases, so that the time taken says nothing either.
  const passwordHash = await hashOfNewPassword(input.password, [name, mail])
  if (known?.confirmedAt) {
    await queueMail(deps, {
      to: { name: known.name, mail, language: known.language },
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
        language: spokenLanguage(),
        confirmedAt: null,
        createdAt: deps.clock.now(),
      })
  const next = input.next?.startsWith('/') && !input.next.startsWith('//') ? input.next : null
  const token = await newLink(deps, account.id, 'confirm', { hours: linkHours, next })
  await queueMail(deps, {
    to: { name, mail, language: spokenLanguage() },
    subject: 'Confirm your address',
    text: `Open this link to confirm your address and go on where you were:\n\n${deps.config.publicUrl}/confirm/${token}\n\nIt works for two days. If you did not ask for an account, do nothing.`,
  })
  await recordEvent(deps, actor, { code: 'account-made', what: 'Made an account' })
  return { done: true as const }
}
