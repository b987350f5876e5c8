import { UniqueConstraintError } from 'sequelize'
import { v7 as uuid } from 'uuid'
import { say } from '#core/words/say'
import { recordEvent } from '../platform/audit/record'
import type { Deps } from '../platform/deps'
import { invalidField } from '../platform/errors/problems'
import { languageOfAccount } from '../platform/http/language'
import { hashOf } from '../platform/http/tokens'
import type { Jobs } from '../platform/jobs/jobs'
import { queueJob } from '../platform/jobs/queue'
import { queueMail } from '../platform/mail/queueMail'
import { Account } from '../records/accounts/model'
import { mailInvitation } from './invite'
import { newLink } from './links'
import { hashOfNewPassword, wordsOfHouse } from './password'

const linkHours = 48

type Wish = { name: string; mail: string; password: string; next?: string }

/**
 * Asks for an account for a candidate. What follows is a job: the reply, and the time it takes, say nothing of whether the
 * address is known; only the mail does.
 *
 * @param browser a secret that stays in the browser it is asked in
 */
export async function signUp(deps: Deps, wish: Wish, browser: string) {
  const mail = wish.mail.trim().toLowerCase()
  const name = wish.name.trim()
  if (name === '') throw invalidField('/body/name', say('problem.giveTheNameYouGo'))
  const passwordHash = await hashOfNewPassword(wish.password, [name, mail, ...wordsOfHouse(deps)])
  const next = wish.next?.startsWith('/') && !wish.next.startsWith('//') ? wish.next : null
  const asked: Asked = { name, mail, passwordHash, next, browserHash: hashOf(browser), language: languageOfAccount() }
  await queueJob('sign up', asked)
  return { done: true as const }
}

export type Asked = Jobs['sign up']

/**
 * Mails a link to confirm the address. Name and password stay with the link they were given with: whoever asks for an
 * account with somebody else's address changes nothing of what that person asked for.
 */
export async function answerSignUp(deps: Deps, { mail, language, ...asked }: Asked) {
  const known = await Account.findOne({ where: { mail } })
  if (known?.confirmedAt) {
    await queueMail(deps, {
      to: { name: known.name, mail, language: known.language },
      words: 'accountExists',
      values: { link: `${deps.config.publicUrl}/sign-in` },
    })
    return
  }
  // Whoever works here comes by the link of their invitation; nobody else's password is let in beside it.
  if (known?.invitedAt) return mailInvitation(deps, known)
  const account = known ?? (await unconfirmedAccount(deps, { mail, language, name: asked.name }))
  const token = await newLink(deps, account.id, 'confirm', { hours: linkHours, ...asked })
  await queueMail(deps, {
    to: { name: asked.name, mail, language },
    words: 'confirmAddress',
    values: { link: `${deps.config.publicUrl}/confirm/${token}` },
  })
  await recordEvent(deps, { kind: 'system' }, { code: 'account-made' })
}

/** An account nobody can sign in to before a link is opened; of two at once the first is taken. */
async function unconfirmedAccount(deps: Deps, { mail, language, name }: Pick<Account, 'mail' | 'language' | 'name'>) {
  return Account.create({
    id: uuid(),
    mail,
    name,
    passwordHash: 'none',
    roles: ['candidate'],
    language,
    confirmedAt: null,
    createdAt: deps.clock.now(),
  }).catch((error: unknown) => {
    if (!(error instanceof UniqueConstraintError)) throw error
    return Account.findOne({ where: { mail }, rejectOnEmpty: true, lock: true })
  })
}
