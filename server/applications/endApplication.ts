import type { Deps } from '../deps'
import type { Change } from '../platform/changes'
import { callOffUnneeded } from '../verification/callOff'
import { callOffVouchings } from '../vouching/name'

/**
 * What ends with an application that was withdrawn, declined or turned down: open questions to sources and to those who
 * vouch, and with them the links that tell of the person. In the transaction that ends it.
 */
export async function endWhatIsAsked(deps: Deps, changes: readonly Change[]) {
  for (const { actor, applicationId, candidateId } of changes) {
    await callOffVouchings(applicationId!)
    await callOffUnneeded(deps, actor, candidateId!)
  }
}
