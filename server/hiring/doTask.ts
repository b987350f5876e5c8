import { ownApplication } from '../applications/find'
import { recordEvent } from '../audit/record'
import { changeWhere } from '../database/compareAndSet'
import type { Account, Deps } from '../deps'
import { conflict, notFound } from '../http/problems'
import { Offer, OnboardingTask } from './model'

/** The candidate acknowledges an onboarding task. Doing it again changes nothing. */
export async function doTask(deps: Deps, actor: Account, id: string, key: string) {
  const application = await ownApplication(actor, id, { lock: true })
  const task = await OnboardingTask.findOne({ where: { applicationId: id, key } })
  if (!task) throw notFound()
  if (task.doneAt) return { done: true as const }
  if ((await Offer.findByPk(id))?.answer !== 'accepted') throw conflict('offer-first', 'Answer the offer first.')
  // Done at the same moment in two windows, it is done, and told, once.
  if (!(await changeWhere(task, { doneAt: null }, { doneAt: deps.clock.now() }))) return { done: true as const }
  await recordEvent(deps, actor, {
    code: 'task-done',
    what: `Acknowledged: ${task.title}`,
    forCandidate: `You acknowledged “${task.title}”.`,
    candidateId: application.candidateId,
    applicationId: id,
  })
  return { done: true as const }
}
