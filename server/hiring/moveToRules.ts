import { nextGateOf } from '#core/hiring/stages'
import { recordEvent } from '../platform/audit/record'
import { compareAndSet } from '../platform/database/compareAndSet'
import type { Account, Deps } from '../platform/deps'
import { sentApplication } from '../records/applications/find'
import { OnboardingTask } from '../records/hiring/model'
import { rulesOfVacancy, vacancyById } from '../records/vacancies/vacancies'

/**
 * Judges applications that were sent by the newest version of their vacancy's rules. Each candidate is told what is asked
 * differently and why. Applications that have it already, or belong to another vacancy, are left as they are.
 */
export async function moveToRules(
  deps: Deps,
  actor: Account,
  vacancyId: string,
  { applications, reason }: { applications: readonly string[]; reason: string },
) {
  const vacancy = await vacancyById(vacancyId)
  const rules = await rulesOfVacancy(vacancy, { ranking: false })
  let moved = 0
  for (const id of applications) {
    const application = await sentApplication(id, { lock: true })
    const { rulesVersion } = vacancy
    if (application.vacancyId !== vacancyId || application.rulesVersion === rulesVersion) continue
    const before = application.rulesVersion
    await compareAndSet(application, application.version, { rulesVersion })
    if (nextGateOf(application) === 'start')
      await OnboardingTask.bulkCreate(
        rules.onboarding.map((task) => ({ applicationId: id, ...task })),
        { ignoreDuplicates: true },
      )
    await recordEvent(deps, actor, {
      code: 'moved-to-rules',
      values: { version: rulesVersion, reason: reason.trim() },
      about: application.reference ?? undefined,
      candidateId: application.candidateId,
      applicationId: id,
      details: { before, after: rulesVersion },
    })
    moved += 1
  }
  return { moved }
}
