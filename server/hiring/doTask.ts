import { recordEvent } from '../platform/audit/record'
import { changeWhere } from '../platform/database/compareAndSet'
import type { Account, Deps } from '../platform/deps'
import { notFound } from '../platform/errors/problems'
import { ownApplication } from '../records/applications/find'
import { Offer, OnboardingTask } from '../records/hiring/model'
import { problems } from './problems'

/** The candidate acknowledges an onboarding task. Doing it again changes nothing. */
export async function doTask(deps: Deps, actor: Account, id: string, key: string) {
  const application = await ownApplication(actor, id, { lock: true })
  const task = await OnboardingTask.findOne({ where: { applicationId: id, key } })
  if (!task) throw notFound()
  if (task.doneAt) return { done: true as const }
  if ((await Offer.findByPk(id))?.answer !== 'accepted') throw problems.offerFirst()
  // Done at the same moment in two windows, it is done, and told, once.
  if (!(await changeWhere(task, { doneAt: null }, { doneAt: deps.clock.now() }))) return { done: true as const }
  await recordEvent(deps, actor, {
    code: 'task-done',
    values: { task: task.title },
    candidateId: application.candidateId,
    applicationId: id,
  })
  return { done: true as const }
}
