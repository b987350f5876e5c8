import { recordEvent } from '../platform/audit/record'
import { compareAndSet } from '../platform/database/compareAndSet'
import type { Account, Actor, Deps } from '../platform/deps'
import { conflict } from '../platform/errors/problems'
import { applicationsOf, isActive, ownApplication } from '../records/applications/find'

export async function withdraw(deps: Deps, actor: Account, id: string) {
  const application = await ownApplication(actor, id, { lock: true })
  if (application.stage === 'cleared')
    throw conflict('already-cleared', 'You are cleared to start. Write to us instead.')
  if (application.stage === 'being written')
    throw conflict('not-sent', 'This application has not been sent; delete it instead.')
  if (!isActive(application)) throw conflict('ended', 'This application has ended already.')
  await compareAndSet(application, application.version, { stage: 'withdrawn', endedAt: deps.clock.now() })
  await recordEvent(deps, actor, {
    code: 'withdrawn',
    what: 'Withdrew the application',
    forCandidate: 'You withdrew this application.',
    candidateId: application.candidateId,
    applicationId: id,
  })
  return { done: true as const }
}

/** Withdraws every application of a file that is under way. */
export async function withdrawAll(deps: Deps, actor: Actor, candidateId: string) {
  for (const application of await applicationsOf(candidateId)) {
    if (!isActive(application)) continue
    await compareAndSet(application, application.version, { stage: 'withdrawn', endedAt: deps.clock.now() })
    await recordEvent(deps, actor, {
      code: 'withdrawn',
      what: 'Withdrew the application with the wish to be erased',
      candidateId,
      applicationId: application.id,
    })
  }
}
