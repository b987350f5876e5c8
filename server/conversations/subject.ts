import type { ConversationSubject } from '#core/messages/conversation'
import type { Ask } from '#core/requirements/requirement'
import { translated } from '#core/words/translations'
import type { Application } from '../records/applications/model'
import { labelOf } from '../records/claims/label'
import { Claim } from '../records/claims/model'
import { OnboardingTask } from '../records/hiring/model'
import { rulesOfVacancy, vacancyById } from '../records/vacancies/vacancies'

/** What a claim, a task or a fee of an application is called, in the reader’s language; null where there is none such. */
export async function titleOf(
  application: Application,
  kind: ConversationSubject,
  key: string,
): Promise<string | null> {
  const requirementOf = async (asked: Ask['kind']) => {
    const vacancy = await vacancyById(application.vacancyId)
    const { requirements } = await rulesOfVacancy(vacancy, { version: application.rulesVersion, ranking: false })
    const requirement = requirements.find((one) => one.key === key && one.asks.kind === asked)
    return requirement ? translated(requirement).title : null
  }
  const of: Record<ConversationSubject, () => Promise<string | null>> = {
    nothing: async () => null,
    claim: async () => {
      const claim = await Claim.findOne({ where: { id: key, candidateId: application.candidateId } })
      return claim && labelOf(claim.details)
    },
    task: async () => {
      const task = await OnboardingTask.findOne({ where: { applicationId: application.id, key } })
      return task?.title ?? null
    },
    fee: () => requirementOf('fee'),
    matter: () => requirementOf('declaration'),
  }
  return of[kind]()
}
