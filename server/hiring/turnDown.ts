import type { InLanguages } from '#contract/messages'
import { mayGo, stageAfter } from '#core/hiring/stages'
import { begunAnew } from '../applications/completion'
import { sendMessages } from '../messages/bulk'
import { recordEvent } from '../platform/audit/record'
import { compareAndSet } from '../platform/database/compareAndSet'
import type { Account, Deps } from '../platform/deps'
import { sentApplication } from '../records/applications/find'
import { GatePassage } from '../records/hiring/model'
import { problems } from './problems'

/** Goes on without these people and writes to each. Those who have an offer, or have ended, are left out. */
export async function turnDown(
  deps: Deps,
  actor: Account,
  { applications, reason, written }: { applications: readonly string[]; reason: string; written: InLanguages },
) {
  const turned: string[] = []
  for (const id of new Set(applications)) {
    const application = await sentApplication(id, { lock: true })
    if (!mayGo('turn down', application)) continue
    await compareAndSet(application, application.version, { stage: stageAfter('turn down'), endedAt: deps.clock.now() })
    await recordEvent(deps, actor, {
      code: 'turned-down',
      values: { reason: reason.trim() },
      about: application.reference ?? undefined,
      candidateId: application.candidateId,
      applicationId: id,
    })
    turned.push(id)
  }
  if (turned.length > 0) await sendMessages(deps, actor, written, turned)
  return { turnedDown: turned.length, left: applications.length - turned.length }
}

/** Takes up again who was turned down or set aside, in the stage they stood in. */
export async function takeUpAgain(deps: Deps, actor: Account, id: string, reason: string) {
  const application = await sentApplication(id, { lock: true })
  if (!mayGo('take up again, sent', application)) throw problems.notTurnedDown()
  const shortlisted = await GatePassage.findOne({ where: { applicationId: id, gate: 'shortlist' } })
  await compareAndSet(application, application.version, {
    stage: shortlisted ? 'shortlisted' : 'sent',
    endedAt: null,
    ...begunAnew(deps.clock.today()),
  })
  await recordEvent(deps, actor, {
    code: 'taken-up-again',
    values: { reason: reason.trim() },
    about: application.reference ?? undefined,
    candidateId: application.candidateId,
    applicationId: id,
  })
  return { done: true as const }
}
