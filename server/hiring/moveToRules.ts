import { differencesOf } from '#core/rules/difference'
import { recordEvent } from '../platform/audit/record'
import { compareAndSet } from '../platform/database/compareAndSet'
import type { Account, Deps } from '../platform/deps'
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
  let moved = 0
  for (const id of applications) {
    const application = await sentApplication(id, { lock: true })
    const { rulesVersion } = vacancy
    if (application.vacancyId !== vacancyId || application.rulesVersion === rulesVersion) continue
    const before = await rulesOfVacancy(vacancy, { version: application.rulesVersion, ranking: false })
    const differences = differencesOf(before, rules, await checkTitles()).filter(
      ({ of }) => of === 'requirement' || of === 'question',
    )
    await compareAndSet(application, application.version, { rulesVersion })
    if (application.stage === 'offered')
      await OnboardingTask.bulkCreate(
        rules.onboarding.map((task) => ({ applicationId: id, ...task })),
        { ignoreDuplicates: true },
      )
    const person = await candidateWithMail(application.candidateId)
    const said = differences.map(({ title, before: was, after: is }) =>
      is === undefined ? `- No longer asked: ${title}` : was === undefined ? `- Asked as well: ${is}` : `- Now: ${is}`,
    )
    await queueMail(deps, {
      to: { ...person, mail: contactMail(application) ?? person.mail },
      subject: `What we ask for ${vacancy.title} has changed`,
      text: `What we ask of you for ${vacancy.title} has changed: ${reason.trim()}\n\n${said.join('\n')}\n\nWhat this means for you is on your status page:\n${deps.config.publicUrl}/applications/${id}`,
      about: application,
    })
    await recordEvent(deps, actor, {
      code: 'moved-to-rules',
      what: `Moved to version ${rulesVersion} of the rules: ${reason.trim()}`,
      forCandidate: `What we ask of you has changed: ${reason.trim()}`,
      about: application.reference ?? undefined,
      candidateId: application.candidateId,
      applicationId: id,
    })
    moved += 1
  }
  return { moved }
}
