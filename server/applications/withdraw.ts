import { isActive, isCleared, isDraft, mayGo } from '#core/hiring/stages'
import { recordEvent } from '../platform/audit/record'
import { compareAndSet } from '../platform/database/compareAndSet'
import type { Account, Actor, Deps } from '../platform/deps'
import { applicationsOf, ownApplication } from '../records/applications/find'
import { problems } from './problems'

export async function withdraw(deps: Deps, actor: Account, id: string) {
  const application = await ownApplication(actor, id, { lock: true })
  if (isCleared(application)) throw problems.alreadyCleared()
  if (isDraft(application)) throw problems.notSent()
  if (!mayGo('withdraw', application)) throw problems.endedAlready()
  await compareAndSet(application, application.version, { stage: 'withdrawn', endedAt: deps.clock.now() })
  await recordEvent(deps, actor, { code: 'withdrawn', candidateId: application.candidateId, applicationId: id })
  return { done: true as const }
}

/** Withdraws every application of a file that is under way. */
export async function withdrawAll(deps: Deps, actor: Actor, candidateId: string) {
  for (const application of await applicationsOf(candidateId)) {
    if (!isActive(application)) continue
    await compareAndSet(application, application.version, { stage: 'withdrawn', endedAt: deps.clock.now() })
    await recordEvent(deps, actor, {
      code: 'withdrawn',
      words: 'withdrawn.toBeErased',
      candidateId,
      applicationId: application.id,
    })
  }
}
