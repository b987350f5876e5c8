import { recordEvent } from '../audit/record'
import type { Account, Deps } from '../deps'
import { refreshStanding } from '../hiring/standing'
import { conflict } from '../http/problems'
import { ownApplication } from './find'

export async function withdraw(deps: Deps, actor: Account, id: string) {
  const application = await ownApplication(deps, actor, id, { lock: true })
  if (application.stage === 'cleared')
    throw conflict('already-cleared', 'You are cleared to start. Write to us instead.')
  await application.update({ stage: 'withdrawn', version: application.version + 1 })
  await recordEvent(deps, actor, {
    code: 'withdrawn',
    what: 'Withdrew the application',
    forCandidate: 'You withdrew this application.',
    candidateId: application.candidateId,
    applicationId: id,
  })
  await refreshStanding(deps, application)
  return { done: true as const }
}
