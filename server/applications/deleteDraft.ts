import { isSent } from '#core/hiring/stages'
import { recordEvent } from '../platform/audit/record'
import type { Account, Deps } from '../platform/deps'
import { ownApplication } from '../records/applications/find'
import { vacancyById } from '../records/vacancies/vacancies'
import { eraseDraft } from './erase'
import { problems } from './problems'

/** Deletes an application that was never sent, with its answers. What the file holds of its person stays. */
export async function deleteDraft(deps: Deps, actor: Account, id: string) {
  const application = await ownApplication(actor, id, { lock: true, setAside: true })
  if (isSent(application)) throw problems.sentSoWithdraw()
  const { title } = await vacancyById(application.vacancyId)
  await eraseDraft(deps, application)
  await recordEvent(deps, actor, {
    code: 'draft-deleted',
    values: { vacancy: title },
    candidateId: application.candidateId,
  })
  return { done: true as const }
}
