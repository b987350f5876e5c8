import { recordEvent } from '../platform/audit/record'
import type { Account, Deps } from '../platform/deps'
import { candidateWithMail } from '../records/accounts/candidate'
import { ownApplication } from '../records/applications/find'
import { permissionOf, type Signature, signPermission } from '../records/permissions/permissions'
import { vacancyById } from '../records/vacancies/vacancies'

/** Signs the permission to check for one application. */
export async function signForApplication(deps: Deps, actor: Account, id: string, signature: Signature) {
  const application = await ownApplication(actor, id, { lock: true })
  const person = await candidateWithMail(application.candidateId)
  const vacancy = await vacancyById(application.vacancyId)
  if (!(await permissionOf(id)))
    await signPermission(
      deps,
      id,
      { name: person.name, reference: vacancy.title },
      {
        ...signature,
        fullName: signature.fullName.trim(),
      },
    )
  await recordEvent(deps, actor, { code: 'permission-signed', candidateId: application.candidateId, applicationId: id })
  return { done: true as const }
}
