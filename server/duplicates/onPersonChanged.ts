import type { Change } from '../platform/changes'
import type { Deps } from '../platform/deps'
import { Candidate } from '../records/accounts/model'
import { refreshKeys } from '../records/people/known'
import { detectDuplicates } from './detect'

/** Whom changes are about, each once; files that were erased meanwhile are nobody's. */
async function peopleIn(changes: readonly Change[]): Promise<string[]> {
  const ids = [...new Set(changes.flatMap(({ candidateId }) => candidateId ?? []))]
  const there = await Candidate.findAll({ where: { id: ids }, attributes: ['id'], order: ['id'] })
  return there.map(({ id }) => id)
}

/** What numbers somebody holds has changed: they are found by them. */
export async function refreshKeysOf(_deps: Deps, changes: readonly Change[]) {
  for (const id of await peopleIn(changes)) await refreshKeys(id)
}

/** Who somebody is has changed: they are found by it, and compared with others anew. */
export async function refreshIdentities(deps: Deps, changes: readonly Change[]) {
  for (const id of await peopleIn(changes)) if (await refreshKeys(id)) await detectDuplicates(deps, id)
}
