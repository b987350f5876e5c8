import * as contract from '#contract/accounts'
import { chooseLanguage, confirmMail, readSession, signIn, signOut, signUp } from '#contract/accounts'
import * as colleagues from '#contract/colleagues'
import { say } from '#core/words/say'
import { inTransaction } from '../platform/database/connection'
import type { Actor, Deps } from '../platform/deps'
import { invalidField } from '../platform/errors/problems'
import { bind } from '../platform/http/bind'
import { countAttempt, countMailTo, networkOf } from '../platform/http/limits'
import { newToken } from '../platform/http/tokens'
import { Account } from '../records/accounts/model'
import { shownOrganisation } from '../records/organisation/shown'
import { confirmMail as confirm } from './confirmMail'
import { deviceDays, rememberAccount } from './devices'
import { acceptInvitation, readInvitation } from './join'
import {
  accountWithPassword,
  askReset,
  changeMail,
  changePassword,
  confirmMailChange,
  ownAccount,
  readAccount,
  resetPassword,
  signOutElsewhere,
} from './lookAfter'
import { beginOneTimeCodes, confirmOneTimeCodes, dropOneTimeCodes, needsCodes, takeCode } from './oneTimeCodes'
import { closeSession, confirmSession } from './session'
import { signIn as enter } from './signIn'
import { signUp as makeAccount } from './signUp'
import { withPassword } from './withPassword'

const signUpHours = 48
const signUpLimit = { most: 30, seconds: 3600 }
const resetLimit = { most: 20, seconds: 3600 }

export const accountRoutes = [
  bind(readSession, async ({ deps, actor, csrf }) => viewOf(deps, actor, csrf())),
  bind(chooseLanguage, async ({ actor, input }) => {
    await Account.update({ language: input.body.language }, { where: { id: actor.id } })
    return { done: true as const }
  }),
  bind(
    signUp,
    async ({ deps, input, address, browser }) => {
      await countAttempt(deps, `sign-up ${networkOf(address)}`, signUpLimit)
      await countMailTo(deps, input.body.mail)
      const secret = browser.read('signUp') ?? newToken().token
      browser.write('signUp', secret, signUpHours / 24)
      return inTransaction(deps.sequelize, () => makeAccount(deps, input.body, secret))
    },
    { transaction: false },
  ),
  bind(confirmMail, async ({ deps, actor: before, input, session, browser, csrf }) => {
    const confirmed = await confirm(deps, { token: input.body.token, browser: browser.read('signUp') })
    if (confirmed.session) {
      session.set(confirmed.session)
      browser.write('device', rememberAccount(deps, browser.read('device'), confirmed.actor.id), deviceDays)
    }
    const actor = confirmed.session ? confirmed.actor : before
    return { ...(await viewOf(deps, actor, csrf())), next: confirmed.next, signedIn: confirmed.session !== undefined }
  }),
  bind(
    signIn,
    async ({ deps, input, session, address, browser, csrf }) => {
      const device = browser.read('device')
      const { actor, token } = await enter(deps, input.body, { address, device })
      session.set(token)
      browser.write('device', rememberAccount(deps, device, actor.id), deviceDays)
      return viewOf(deps, actor, csrf())
    },
    { transaction: false },
  ),
  withPassword(contract.confirmSession, async ({ deps, actor, input, session }) => {
    const account = await accountWithPassword(actor, input.body.password)
    if (account.otpOnSince && !(await takeCode(deps, account, input.body.code ?? '')))
      throw invalidField('/body/code', say('problem.thisCodeDoesNotFit'))
    await confirmSession(session.token ?? '')
    return { done: true as const }
  }),
  bind(colleagues.readInvitation, ({ deps, input }) => readInvitation(deps, input.params.token)),
  bind(colleagues.acceptInvitation, async ({ deps, input, session, browser }) => {
    const { session: opened, actor } = await acceptInvitation(deps, { ...input.params, ...input.body })
    session.set(opened)
    browser.write('device', rememberAccount(deps, browser.read('device'), actor.id), deviceDays)
    return { done: true as const }
  }),
  bind(contract.readConfirmed, async () => ({ done: true as const })),
  bind(signOut, async ({ session }) => {
    if (session.token) await closeSession(session.token)
    session.set(undefined)
    return { done: true as const }
  }),
  bind(
    contract.askReset,
    async ({ deps, input, address }) => {
      await countAttempt(deps, `reset ${networkOf(address)}`, resetLimit)
      await countMailTo(deps, input.body.mail)
      return askReset(input.body.mail)
    },
    { transaction: false },
  ),
  bind(contract.resetPassword, ({ deps, input }) => resetPassword(deps, input.body)),
  bind(contract.confirmMailChange, ({ deps, input }) => confirmMailChange(deps, input.body.token)),
  bind(contract.readAccount, ({ deps, actor }) => readAccount(deps, actor)),
  withPassword(contract.changePassword, ({ deps, actor, input, session }) =>
    changePassword(deps, actor, input.body, session.token),
  ),
  withPassword(contract.changeMail, ({ deps, actor, input }) => changeMail(deps, actor, input.body)),
  bind(contract.signOutElsewhere, ({ actor, session }) => signOutElsewhere(actor, session.token)),
  withPassword(contract.beginOneTimeCodes, async ({ deps, actor, input }) =>
    beginOneTimeCodes(deps, await accountWithPassword(actor, input.body.password)),
  ),
  bind(contract.confirmOneTimeCodes, async ({ deps, actor, input }) =>
    confirmOneTimeCodes(deps, actor, await ownAccount(actor), input.body.code),
  ),
  withPassword(contract.dropOneTimeCodes, async ({ deps, actor, input }) =>
    dropOneTimeCodes(deps, actor, await accountWithPassword(actor, input.body.password), input.body.code),
  ),
]

/** Who is signed in, and whether their role has to set up one-time codes before anything else. */
async function viewOf(deps: Deps, actor: Actor, csrf: string) {
  const { demo } = deps.config
  const organisation = await shownOrganisation(deps)
  if (actor.kind !== 'account') return { csrf, organisation, account: null, demo, codesFirst: false }
  const { id, name, mail, roles, rights } = actor
  const { language, otpOnSince } = await ownAccount(actor)
  const codesFirst = needsCodes(deps, actor) && otpOnSince === null
  return {
    csrf,
    organisation,
    account: { id, name, mail, roles: [...roles], rights: [...rights], language },
    demo,
    codesFirst,
  }
}
