import type { Actor, Deps } from '../deps'
import { callOffUnneeded } from '../verification/callOff'
import { callOffVouchings } from '../vouching/name'
import type { Application } from './model'

/**
 * What ends with an application that was withdrawn, declined or turned down: open questions to sources and to those who
 * vouch, and with them the links that tell of the person. In the transaction that ends it.
 */
export async function endWhatIsAsked(deps: Deps, actor: Actor, { id, candidateId }: Application) {
  await callOffVouchings(id)
  await callOffUnneeded(deps, actor, candidateId)
}
