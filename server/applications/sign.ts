import { isStillAskedAbout } from '#core/sources/asked'
import { say } from '#core/words/say'
import { recordEvent } from '../platform/audit/record'
import type { Account, Deps } from '../platform/deps'
import { readinessOf } from '../readiness/readiness'
import { candidateWithMail } from '../records/accounts/candidate'
import { ownApplication } from '../records/applications/find'
import type { Application } from '../records/applications/model'
import { labelOf } from '../records/claims/label'
import { permissionOf, signPermission } from '../records/permissions/permissions'
import type { Signature } from '../records/permissions/signature'
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
      { name: person.name, reference: vacancy.title, sources: await sourcesAsked(deps, application) },
      signature,
    )
  await recordEvent(deps, actor, { code: 'permission-signed', candidateId: application.candidateId, applicationId: id })
  return { done: true as const }
}

/** Every source that would be asked, as the permission names it: about what, and from when on. */
async function sourcesAsked(deps: Deps, application: Application): Promise<string[]> {
  const { claims, facts } = await readinessOf(deps, application)
  return claims.flatMap(({ id, rung, details }) => {
    const known = facts.claims.find((one) => one.id === id)
    if (!isStillAskedAbout({ rung, details, confirmed: known?.confirmed })) return []
    const may = ('mayAsk' in details && details.mayAsk) || 'now'
    return [say(`permission.source.${may}`, { source: details.sourceName, claim: labelOf(details) })]
  })
}
