import { callOffEnquiries } from '../enquiries/callOff'
import { recordEvent } from '../platform/audit/record'
import type { Account, Deps } from '../platform/deps'
import { ownApplication } from '../records/applications/find'
import { withdrawPermission as takeBack } from '../records/permissions/permissions'
import { problems } from './problems'

/** Takes the permission to check back: open questions are called off, nothing more is asked, what was found stays on record. */
export async function withdrawPermission(deps: Deps, actor: Account, id: string) {
  const application = await ownApplication(actor, id, { lock: true })
  if (!(await takeBack(deps, id))) throw problems.notSigned()
  const calledOff = await callOffEnquiries(deps, actor, id)
  await recordEvent(deps, actor, {
    code: 'permission-withdrawn',
    values: { count: calledOff },
    candidateId: application.candidateId,
    applicationId: id,
  })
  return { calledOff }
}
