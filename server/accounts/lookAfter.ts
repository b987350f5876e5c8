import { verify } from '@node-rs/argon2'
import { Op } from 'sequelize'
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
import { hashOfNewPassword, wordsOfHouse } from './password'
import { tellOwner } from './tell'

/** What people do to look after their own account. */

export const ownAccount = (actor: Actor): Promise<Account> => Account.findByPk(actor.id, { rejectOnEmpty: true })

/** The account, once the password has been given again. */
export async function accountWithPassword(actor: Actor, password: string): Promise<Account> {
  const account = await ownAccount(actor)
  if (!(await verify(account.passwordHash, password)))
    throw invalidField('/body/password', 'This is not your password.')
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
  if (account?.confirmedAt) {
    const token = await newLink(deps, account.id, 'reset', { hours: 2 })
    await queueMail(deps, {
      to: { name: account.name, mail: account.mail, language: account.language },
      subject: 'Set a new password',
      text: `Open this link to set a new password:\n\n${deps.config.publicUrl}/new-password/${token}\n\nIt works once, for two hours. If you did not ask for it, do nothing; your password stays as it is.`,
    })
  }
}

/** Sets a new password by a link, and signs the account out everywhere. */
export async function resetPassword(deps: Deps, { token, password }: { token: string; password: string }) {
  const link = await takeLink(deps, token, ['reset'])
  const account = await Account.findByPk(link.accountId, { rejectOnEmpty: true })
  const passwordHash = await hashOfNewPassword(password, [account.name, account.mail, ...wordsOfHouse(deps)])
  await account.update({ passwordHash })
  await voidLinks(account.id)
  await Session.destroy({ where: { accountId: account.id } })
  await tellOwner(
    deps,
    account,
    'Your password was changed',
    'The password of your account was set anew, and the account signed out everywhere.',
  )
  await recordEvent(
    deps,
    { kind: 'system' },
    { code: 'password-reset', what: 'Set a new password by a link', about: account.mail },
  )
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
  await tellOwner(
    deps,
    account,
    'Your password was changed',
    'The password of your account was changed, and the account signed out everywhere else.',
  )
  await recordEvent(deps, actor, { code: 'password-changed', what: 'Changed the password', about: account.mail })
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
  if (newMail === account.mail) throw invalidField('/body/mail', 'This is your address already.')
  await countMailTo(deps, newMail)
  // A new change takes the place of one that was begun before.
  await AccountLink.destroy({ where: { accountId: account.id, purpose: ['leave mail', 'take mail'] } })
  const page = `${deps.config.publicUrl}/mail`
  const leave = await newLink(deps, account.id, 'leave mail', { hours: 48, newMail })
  await queueMail(deps, {
    to: { name: account.name, mail: account.mail, language: account.language },
    subject: 'Change of your mail address',
    text: `Your account is to move to ${newMail}. Open this link to agree:\n\n${page}/${leave}\n\nThe new address is asked as well. If it was not you, do nothing and change your password.`,
  })
  const taken = await Account.findOne({ where: { mail: newMail } })
  const take = await newLink(deps, account.id, 'take mail', { hours: 48, newMail })
  await queueMail(deps, {
    to: { name: account.name, mail: newMail, language: account.language },
    subject: 'Confirm your new mail address',
    text: taken
      ? 'Somebody wanted to use this address for another account. It belongs to an account already, so nothing was changed. Nothing is needed from you.'
      : `Open this link to use this address for your account:\n\n${page}/${take}\n\nThe old address is asked as well. If it was not you, do nothing.`,
  })
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
  await tellOwner(
    deps,
    account,
    'Your mail address was changed',
    `The mail address of your account was changed from ${before}.`,
  )
  await recordEvent(
    deps,
    { kind: 'system' },
    { code: 'mail-changed', what: `Changed the mail address from ${before}`, about: newMail },
  )
  return { changed: true, waitingFor: null }
}
