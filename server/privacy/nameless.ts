import type { Account, Deps } from '../platform/deps'
import { namesHiddenIn } from '../records/people/shownNames'
import { shownTo } from './accessLog'

/** Whether a vacancy hides the name of a person who has applied for it, and it is not shown to who asks. */
export const isNameless = async (deps: Deps, actor: Account, candidateId: string): Promise<boolean> =>
  (await namesHiddenIn([candidateId])).size > 0 && !(await shownTo(deps, actor, candidateId)).has('name')
