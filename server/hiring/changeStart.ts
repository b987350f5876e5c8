import { isActive } from '#core/hiring/stages'
import { say } from '#core/words/say'
import { recordEvent } from '../platform/audit/record'
import { compareAndSet } from '../platform/database/compareAndSet'
import type { Account, Deps } from '../platform/deps'
import { invalidField, requireVersion } from '../platform/errors/problems'
import { sentApplication } from '../records/applications/find'
import { Offer } from '../records/hiring/model'
import { problems } from './problems'

type Change = { version: number; targetStart: string; reason: string }

/**
 * Changes the target start of one application, also in an offer that was made on it. What is judged by the start (validity,
 * slack) follows.
 */
export async function changeStart(deps: Deps, actor: Account, id: string, { version, targetStart, reason }: Change) {
  const application = await sentApplication(id, { lock: true })
  requireVersion(version, application.version)
  if (!isActive(application)) throw problems.ended()
  const before = application.targetStart
  if (targetStart < deps.clock.today().toString())
    throw invalidField('/body/targetStart', say('problem.thisDayIsPastNobody'))
  if (targetStart === before) throw invalidField('/body/targetStart', say('problem.thisIsTheTargetStart'))
  await compareAndSet(application, version, { targetStart })
  await Offer.update({ startsOn: targetStart }, { where: { applicationId: id } })
  await recordEvent(deps, actor, {
    code: 'start-changed',
    values: { before: { day: before }, start: { day: targetStart }, reason: reason.trim() },
    about: application.reference ?? undefined,
    candidateId: application.candidateId,
    applicationId: id,
    details: { before, after: targetStart },
  })
  return { version: application.version }
}
