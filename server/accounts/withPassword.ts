import type { Endpoint, Reply } from '#contract/endpoint'
import type { Right } from '#core/rights/rights'
import { inTransaction } from '../platform/database/connection'
import type { Account } from '../platform/deps'
import { bind, type Call } from '../platform/http/bind'
import { countAttempt, forgetAttempts } from '../platform/http/limits'

/** An act for which the password is given again. Guessing is slowed down; the count stays when the act is refused. */
export function withPassword<E extends Endpoint & { access: 'signed-in' | 'candidate' | Right }>(
  endpoint: E,
  handle: (call: Call<E>) => Promise<Reply<E>>,
) {
  const guarded = async (call: Call<E>) => {
    const { deps } = call
    const actor = call.actor as Account
    await countAttempt(deps, `password again ${actor.id}`, { most: 10, seconds: 900 })
    const reply = await inTransaction(deps.sequelize, () => handle(call))
    await forgetAttempts(deps, `password again ${actor.id}`)
    return reply
  }
  return bind(endpoint, guarded, { transaction: false })
}
