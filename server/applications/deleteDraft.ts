import { recordEvent } from '../audit/record'
import type { Account, Deps } from '../deps'
import { conflict } from '../http/problems'
import { vacancyById } from '../vacancies/vacancies'
import { eraseDraft } from './erase'
import { ownApplication } from './find'

/** Deletes an application that was never sent, with its answers. What the file holds of its person stays. */
export async function deleteDraft(deps: Deps, actor: Account, id: string) {
  const application = await ownApplication(actor, id, { lock: true })
  if (application.stage !== 'being written')
    throw conflict('already-sent', 'This application has been sent; withdraw it instead.')
  const { title } = await vacancyById(application.vacancyId)
  await eraseDraft(deps, application)
  await recordEvent(deps, actor, {
    code: 'draft-deleted',
    what: `Deleted an application for ${title} that was not sent`,
    candidateId: application.candidateId,
  })
  return { done: true as const }
}
