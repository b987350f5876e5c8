import { confirmMail, readSession, signIn, signOut, signUp } from '#contract/accounts'
import { inTransaction } from '../database/connection'
import type { Actor, Deps } from '../deps'
import { bind } from '../http/bind'
import { countAttempt } from '../http/limits'
import { confirmMail as confirm } from './confirmMail'
import { closeSession } from './session'
import { signIn as enter } from './signIn'
import { signUp as makeAccount } from './signUp'

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
]

const faceOf = ({ config }: Deps, actor: Actor, csrf: string) => ({
  csrf,
  account:
    actor.kind === 'account' ? { id: actor.id, name: actor.name, mail: actor.mail, roles: [...actor.roles] } : null,
  demo: config.demo,
})
