import { recordEvent } from '../platform/audit/record'
import type { Account, Deps } from '../platform/deps'
import { conflict } from '../platform/errors/problems'
import { ownApplication } from '../records/applications/find'
import { withdrawPermission as takeBack } from '../records/permissions/permissions'
import { callOffEnquiries } from '../verification/callOff'

/** Takes the permission to check back: open questions are called off, nothing more is asked, what was found stays on record. */
export async function withdrawPermission(deps: Deps, actor: Account, id: string) {
  const application = await ownApplication(actor, id, { lock: true })
  if (!(await takeBack(deps, id))) throw conflict('not-signed', 'There is no permission to withdraw.')
  const calledOff = await callOffEnquiries(deps, actor, id)
  await recordEvent(deps, actor, {
    code: 'permission-withdrawn',
    what: `Withdrew the permission to check; ${calledOff} open ${calledOff === 1 ? 'question was' : 'questions were'} called off`,
    forCandidate: 'You withdrew the permission to check.',
    candidateId: application.candidateId,
    applicationId: id,
  })
  return { calledOff }
}
