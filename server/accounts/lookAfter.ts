import { verify } from '@node-rs/argon2'
import { Op } from 'sequelize'
import { say } from '#core/words/say'
import { recordEvent } from '../platform/audit/record'
import type { Account as Actor, Deps } from '../platform/deps'
import { invalidField } from '../platform/errors/problems'
import { countMailTo } from '../platform/http/limits'
import { hashOf } from '../platform/http/tokens'
import { queueJob } from '../platform/jobs/queue'
import { queueMail } from '../platform/mail/queueMail'
import { Account, AccountLink, Session } from '../records/accounts/model'
import { newLink, takeLink, voidLinks } from './links'
import { recoveryCodesLeft } from './oneTimeCodes'
import { hashOfNewPassword, noPassword, wordsOfHouse } from './password'
import { problems } from './problems'
import { comesThroughProvider } from './throughProvider'

/** What people do to look after their own account. */

export const ownAccount = (actor: Actor): Promise<Account> => Account.findByPk(actor.id, { rejectOnEmpty: true })

/** The account, once the password has been given again. */
export async function accountWithPassword(actor: Actor, password: string): Promise<Account> {
  const account = await ownAccount(actor)
  if (account.passwordHash === noPassword || !(await verify(account.passwordHash, password)))
    throw invalidField('/body/password', say('problem.thisIsNotYourPassword'))
  return account
}

export async function readAccount(deps: Deps, actor: Actor) {
  const account = await ownAccount(actor)
  const moving = await AccountLink.findOne({
    where: { accountId: account.id, purpose: 'take mail', expiresAt: { [Op.gt]: deps.clock.now() } },
    order: [['expiresAt', 'DESC']],
  })
  return {
    name: account.name,
    mail: account.mail,
    provider: comesThroughProvider(deps, account) ? deps.config.identityProvider!.name : null,
    codesOn: account.otpOnSince !== null,
    recoveryCodesLeft: await recoveryCodesLeft(account.id),
    sessions: await Session.count({ where: { accountId: account.id, expiresAt: { [Op.gt]: new Date() } } }),
    newMail: moving?.newMail && moving.newMail !== account.mail ? moving.newMail : null,
  }
}

/** Asks for a link to set a new password. What follows is a job, so that the time it takes says nothing of the address. */
export async function askReset(mail: string) {
  await queueJob('reset', { mail: mail.trim().toLowerCase() })
  return { done: true as const }
}

/** Mails the link, where the address is known. */
export async function answerReset(deps: Deps, { mail }: { mail: string }) {
  const account = await Account.findOne({ where: { mail } })
  if (account?.confirmedAt && comesThroughProvider(deps, account))
    await queueMail(deps, {
      to: { name: account.name, mail: account.mail, language: account.language },
      words: 'signInThroughProvider',
      values: { provider: deps.config.identityProvider!.name, link: `${deps.config.publicUrl}/sign-in` },
    })
  else if (account?.confirmedAt) {
    const token = await newLink(deps, account.id, 'reset', { hours: 2 })
    await queueMail(deps, {
      to: { name: account.name, mail: account.mail, language: account.language },
      words: 'setNewPassword',
      values: { link: `${deps.config.publicUrl}/new-password/${token}` },
    })
  }
}

/** Sets a new password by a link, and signs the account out everywhere. */
export async function resetPassword(deps: Deps, { token, password }: { token: string; password: string }) {
  const link = await takeLink(deps, token, ['reset'])
  const account = await Account.findByPk(link.accountId, { rejectOnEmpty: true })
  if (comesThroughProvider(deps, account)) throw problems.throughProvider(deps.config.identityProvider!.name)
  const passwordHash = await hashOfNewPassword(password, [account.name, account.mail, ...wordsOfHouse(deps)])
  await account.update({ passwordHash })
  await voidLinks(account.id)
  await Session.destroy({ where: { accountId: account.id } })
  await recordEvent(deps, { kind: 'system' }, { code: 'password-reset', about: account.mail })
  return { done: true as const }
}

/** Changes the password and signs out everywhere else. */
export async function changePassword(
  deps: Deps,
  actor: Actor,
  { password, next }: { password: string; next: string },
  token: string | undefined,
) {
  const account = await accountWithPassword(actor, password)
  const known = [account.name, account.mail, ...wordsOfHouse(deps)]
  await account.update({ passwordHash: await hashOfNewPassword(next, known, '/body/next') })
  // A link that was asked for before is as good as the old password.
  await voidLinks(account.id)
  await signOutElsewhere(actor, token)
  await recordEvent(deps, actor, { code: 'password-changed', about: account.mail })
  return { done: true as const }
}

/** Ends every session but the one it is called from. */
export async function signOutElsewhere(actor: Actor, token: string | undefined) {
  const ended = await Session.destroy({
    where: { accountId: actor.id, ...(token ? { tokenHash: { [Op.ne]: hashOf(token) } } : {}) },
  })
  return { ended }
}

/** Begins to change the mail address: both addresses are sent a link, and both have to be opened. */
export async function changeMail(deps: Deps, actor: Actor, { password, mail }: { password: string; mail: string }) {
  const account = await accountWithPassword(actor, password)
  const newMail = mail.trim().toLowerCase()
  if (newMail === account.mail) throw invalidField('/body/mail', say('problem.thisIsYourAddressAlready'))
  await countMailTo(deps, newMail)
  // A new change takes the place of one that was begun before.
  await AccountLink.destroy({ where: { accountId: account.id, purpose: ['leave mail', 'take mail'] } })
  const page = `${deps.config.publicUrl}/mail`
  const leave = await newLink(deps, account.id, 'leave mail', { hours: 48, newMail })
  await queueMail(deps, {
    to: { name: account.name, mail: account.mail, language: account.language },
    words: 'leaveAddress',
    values: { address: newMail, link: `${page}/${leave}` },
  })
  const taken = await Account.findOne({ where: { mail: newMail } })
  const take = await newLink(deps, account.id, 'take mail', { hours: 48, newMail })
  const to = { name: account.name, mail: newMail, language: account.language }
  if (taken) await queueMail(deps, { to, words: 'addressTaken', values: {} })
  else await queueMail(deps, { to, words: 'takeAddress', values: { link: `${page}/${take}` } })
  return { done: true as const }
}

/** One side of a change of address. It is changed once both links have been opened. */
export async function confirmMailChange(deps: Deps, token: string) {
  const link = await takeLink(deps, token, ['leave mail', 'take mail'])
  const account = await Account.findByPk(link.accountId, { rejectOnEmpty: true })
  const both = await AccountLink.findAll({ where: { accountId: account.id, purpose: ['leave mail', 'take mail'] } })
  const newMail = link.newMail!
  if (both.length < 2 || both.some(({ usedAt }) => !usedAt))
    return { changed: false, waitingFor: link.purpose === 'take mail' ? account.mail : newMail }
  await AccountLink.destroy({ where: { accountId: account.id, purpose: ['leave mail', 'take mail'] } })
  if (await Account.findOne({ where: { mail: newMail } })) return { changed: false, waitingFor: newMail }
  const before = account.mail
  await account.update({ mail: newMail })
  await recordEvent(deps, { kind: 'system' }, { code: 'mail-changed', values: { before }, about: newMail })
  return { changed: true, waitingFor: null }
}
