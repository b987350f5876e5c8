import { say } from '#core/words/say'
import type { Account, Deps } from '../platform/deps'
import { invalidField } from '../platform/errors/problems'
import { countAttempt } from '../platform/http/limits'
import { openResearch } from '../sources/research'
import { ownClaim } from './change'
import { problems } from './problems'

const limit = { most: 20, seconds: 86_400 }

/**
 * Asks about a programme that nobody here knows, before anything is sent and also ahead of finishing: then a link to it stands
 * for the papers there are not yet.
 *
 * @throws Problem `programme-known` where there is nothing to look into
 */
export async function askAboutProgramme(deps: Deps, actor: Account, id: string) {
  const claim = await ownClaim(deps, actor, id)
  const { details } = claim
  if (details.kind === 'study' && details.outcome === 'in progress' && !details.link)
    throw invalidField('/body/link', say('problem.giveTheLinkToTheProgramme'))
  await countAttempt(deps, `programme asked ${actor.id}`, limit)
  if (!(await openResearch(deps, actor, claim))) throw problems.programmeKnown()
  return { done: true as const }
}
