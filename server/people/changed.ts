import type { Deps } from '../deps'
import { detectDoubles } from '../doubles/detect'
import { refreshKeys } from './known'

/** Who somebody is has changed, or what numbers they hold: they are found by it, and compared with others anew. */
export async function personChanged(deps: Deps, candidateId: string) {
  if (await refreshKeys(candidateId)) await detectDoubles(deps, candidateId)
}
