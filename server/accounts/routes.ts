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
import { leaveForProvider, returnFromProvider } from './provider'
import { closeSession, confirmSession } from './session'
import { signIn as enter } from './signIn'
import { signUp as makeAccount } from './signUp'
import { comesThroughProvider } from './throughProvider'
import { withPassword } from './withPassword'

const signUpHours = 48
const signUpLimit = { most: 30, seconds: 3600 }
const providerLimit = { most: 60, seconds: 900 }
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
  bind(
    contract.leaveForProvider,
    async ({ deps, input, address, browser }) => {
      await countAttempt(deps, `provider ${networkOf(address)}`, providerLimit)
      return leave(deps, browser, { next: input.body.next })
    },
    { transaction: false },
  ),
  bind(contract.confirmThroughProvider, ({ deps, actor, browser }) => leave(deps, browser, { actor }), {
    transaction: false,
  }),
  bind(
    contract.returnFromProvider,
    async ({ deps, input, session, browser, csrf }) => {
      const returned = await returnFromProvider(deps, {
        search: input.body.search,
        browser: browser.read('provider'),
        session: session.token,
      })
      if (returned.what === 'signed in') session.set(returned.session)
      const { actor, next } = returned
      return { ...(await viewOf(deps, actor, csrf())), next, confirmed: returned.what === 'confirmed' }
    },
    { transaction: false },
  ),
  withPassword(contract.confirmSession, async ({ deps, actor, input, session }) => {
    const account = await accountWithPassword(actor, input.body.password)
    if (account.otpOnSince && !(await takeCode(deps, account, input.body.code ?? '')))
      throw invalidField('/body/code', say('problem.thisCodeDoesNotFit'))
    await confirmSession(session.token ?? '', actor.id)
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

type Browser = Parameters<Parameters<typeof bind<typeof contract.leaveForProvider>>[1]>[0]['browser']

/** Leaves for the identity provider, in this browser. */
function leave(deps: Deps, browser: Browser, more: { next?: string; actor?: Extract<Actor, { kind: 'account' }> }) {
  const secret = browser.read('provider') ?? newToken().token
  browser.write('provider', secret, 1 / 24)
  return leaveForProvider(deps, { browser: secret, ...more })
}

/** Who is signed in, and whether their role has to set up one-time codes before anything else. */
async function viewOf(deps: Deps, actor: Actor, csrf: string) {
  const { demo } = deps.config
  const organisation = await shownOrganisation(deps)
  const provider = deps.config.identityProvider?.name ?? null
  if (actor.kind !== 'account') return { csrf, organisation, account: null, provider, demo, codesFirst: false }
  const { id, name, mail, roles, rights } = actor
  const own = await ownAccount(actor)
  const { language, otpOnSince } = own
  const codesFirst = needsCodes(deps, own) && otpOnSince === null
  const throughProvider = comesThroughProvider(deps, own)
  return {
    csrf,
    organisation,
    account: { id, name, mail, roles: [...roles], rights: [...rights], language, throughProvider },
    provider,
    demo,
    codesFirst,
  }
}
