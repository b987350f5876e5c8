import * as contract from '#contract/accounts'
import { confirmMail, readSession, signIn, signOut, signUp } from '#contract/accounts'
import { inTransaction } from '../database/connection'
import type { Account, Actor, Deps } from '../deps'
import { bind } from '../http/bind'
import { countAttempt } from '../http/limits'
import { confirmMail as confirm } from './confirmMail'
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
import { beginOneTimeCodes, confirmOneTimeCodes, dropOneTimeCodes } from './oneTimeCodes'
import { closeSession } from './session'
import { signIn as enter } from './signIn'
import { signUp as makeAccount } from './signUp'
import { withPassword } from './withPassword'

export const accountRoutes = [
  bind(readSession, async ({ deps, actor, csrf }) => faceOf(deps, actor, csrf())),
  bind(
    signUp,
    async ({ deps, actor, input, address }) => {
      await countAttempt(deps, `sign-up ${address}`, 30, 3600)
      return inTransaction(deps.sequelize, () => makeAccount(deps, actor, input.body))
    },
    { transaction: false },
  ),
  bind(confirmMail, async ({ deps, actor, input, session }) => {
    const { token, next } = await confirm(deps, actor, input.body)
    session.set(token)
    return { next }
  }),
  bind(
    signIn,
    async ({ deps, input, session, address, csrf }) => {
      const { actor, token } = await enter(deps, input.body, address)
      session.set(token)
      return faceOf(deps, actor, csrf())
    },
    { transaction: false },
  ),
  bind(signOut, async ({ session }) => {
    if (session.token) await closeSession(session.token)
    session.set(undefined)
    return { done: true as const }
  }),
  bind(
    contract.askReset,
    async ({ deps, input, address }) => {
      await countAttempt(deps, `reset ${address}`, 20, 3600)
      await countAttempt(deps, `reset ${input.body.mail.trim().toLowerCase()}`, 5, 3600)
      return inTransaction(deps.sequelize, () => askReset(deps, input.body.mail))
    },
    { transaction: false },
  ),
  bind(contract.resetPassword, ({ deps, input }) => resetPassword(deps, input.body)),
  bind(contract.confirmMailChange, ({ deps, input }) => confirmMailChange(deps, input.body.token)),
  bind(contract.readAccount, ({ deps, actor }) => readAccount(deps, actor as Account)),
  withPassword(contract.changePassword, ({ deps, actor, input, session }) =>
    changePassword(deps, actor as Account, input.body, session.token),
  ),
  withPassword(contract.changeMail, ({ deps, actor, input }) => changeMail(deps, actor as Account, input.body)),
  bind(contract.signOutElsewhere, ({ actor, session }) => signOutElsewhere(actor as Account, session.token)),
  withPassword(contract.beginOneTimeCodes, async ({ deps, actor, input }) =>
    beginOneTimeCodes(deps, await accountWithPassword(actor as Account, input.body.password)),
  ),
  bind(contract.confirmOneTimeCodes, async ({ deps, actor, input }) =>
    confirmOneTimeCodes(deps, actor as Account, await ownAccount(actor as Account), input.body.code),
  ),
  withPassword(contract.dropOneTimeCodes, async ({ deps, actor, input }) =>
    dropOneTimeCodes(deps, actor as Account, await accountWithPassword(actor as Account, input.body.password)),
  ),
]

const faceOf = ({ config }: Deps, actor: Actor, csrf: string) => ({
  csrf,
  account:
    actor.kind === 'account' ? { id: actor.id, name: actor.name, mail: actor.mail, roles: [...actor.roles] } : null,
  demo: config.demo,
})
