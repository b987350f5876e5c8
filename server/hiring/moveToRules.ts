import { differencesOf } from '#core/rules/difference'
import { say } from '#core/words/say'
import { recordEvent } from '../platform/audit/record'
import { compareAndSet } from '../platform/database/compareAndSet'
import type { Account, Deps } from '../platform/deps'
import { inLanguage } from '../platform/http/language'
import { queueMail } from '../platform/mail/queueMail'
import { candidateWithMail } from '../records/accounts/candidate'
import { contactMail } from '../records/applications/answers'
import { sentApplication } from '../records/applications/find'
import { OnboardingTask } from '../records/hiring/model'
import { checkTitles } from '../records/skills/checks'
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
  const titles = await checkTitles()
  let moved = 0
  for (const id of applications) {
    const application = await sentApplication(id, { lock: true })
    const { rulesVersion } = vacancy
    if (application.vacancyId !== vacancyId || application.rulesVersion === rulesVersion) continue
    const before = await rulesOfVacancy(vacancy, { version: application.rulesVersion, ranking: false })
    await compareAndSet(application, application.version, { rulesVersion })
    if (application.stage === 'offered')
      await OnboardingTask.bulkCreate(
        rules.onboarding.map((task) => ({ applicationId: id, ...task })),
        { ignoreDuplicates: true },
      )
    const person = await candidateWithMail(application.candidateId)
    const said = inLanguage(person.language, () =>
      differencesOf(before, rules, titles)
        .filter(({ of }) => of === 'requirement' || of === 'question')
        .map(({ title, before: was, after }) => {
          if (after === undefined) return say('mail.rulesChanged.gone', { title })
          return say(was === undefined ? 'mail.rulesChanged.added' : 'mail.rulesChanged.now', { after })
        }),
    )
    await queueMail(deps, {
      to: { ...person, mail: contactMail(application) ?? person.mail },
      words: 'rulesChanged',
      values: {
        vacancy: vacancy.title,
        reason: reason.trim(),
        changes: said.join('\n'),
        link: `${deps.config.publicUrl}/applications/${id}`,
      },
      about: application,
    })
    await recordEvent(deps, actor, {
      code: 'moved-to-rules',
      values: { version: rulesVersion, reason: reason.trim() },
      about: application.reference ?? undefined,
      candidateId: application.candidateId,
      applicationId: id,
    })
    moved += 1
  }
  return { moved }
}
