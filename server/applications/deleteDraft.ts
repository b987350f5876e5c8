import { isSent } from '#core/hiring/stages'
import { coded } from '#core/words/say'
import { recordEvent } from '../platform/audit/record'
import type { Account, Deps } from '../platform/deps'
import { conflict } from '../platform/errors/problems'
import { ownApplication } from '../records/applications/find'
import { vacancyById } from '../records/vacancies/vacancies'
import { eraseDraft } from './erase'

/** Deletes an application that was never sent, with its answers. What the file holds of its person stays. */
export async function deleteDraft(deps: Deps, actor: Account, id: string) {
  const application = await ownApplication(actor, id, { lock: true })
  if (isSent(application)) throw conflict('already-sent', coded('problem.thisApplicationHasBeenSentWithdraw'))
  const { title } = await vacancyById(application.vacancyId)
  await eraseDraft(deps, application)
  await recordEvent(deps, actor, {
    code: 'draft-deleted',
    values: { vacancy: title },
    candidateId: application.candidateId,
  })
  return { done: true as const }
}
