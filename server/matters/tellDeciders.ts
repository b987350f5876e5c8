import { requirementTitle } from '#core/words/requirementTitle'
import type { Change } from '../platform/changes'
import type { Deps } from '../platform/deps'
import { inLanguage } from '../platform/http/language'
import { queueMail } from '../platform/mail/queueMail'
import { readinessOf } from '../readiness/readiness'
import { applicationById } from '../records/applications/find'
import { decidersOf, declaredIn } from './matter'

/** Tells those whom the rules name that something was declared which they are to decide. Who has declared it is read in the file. */
export async function tellDeciders(deps: Deps, changes: readonly Change[]) {
  for (const id of new Set(changes.flatMap(({ applicationId }) => applicationId ?? []))) {
    const application = await applicationById(id)
    const readiness = await readinessOf(deps, application)
    for (const { requirement, ask } of declaredIn(application, readiness)) {
      const { who, named } = await decidersOf(ask)
      const open = readiness.outcomes.find((outcome) => outcome.requirement === requirement.key)
      if (!named || open?.reason.code !== 'answer-other') continue
      for (const { name, mail, language } of who)
        await queueMail(deps, {
          to: { name, mail, language },
          words: 'matterToDecide',
          values: {
            matter: inLanguage(language, () => requirementTitle(requirement)),
            reference: application.reference ?? '',
            link: `${deps.config.publicUrl}/desk/today/${id}`,
          },
          about: application,
        })
    }
  }
}
