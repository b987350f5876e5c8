import { sectionOf } from '#core/form/form'
import { openAt } from '#core/requirements/evaluate'
import type { Outcome } from '#core/requirements/requirement'
import { outcomeWords } from '#core/words/requirements'
import { namesFor, requirementsOf } from '../vacancies/vacancies'
import type { Vacancy } from '../vacancies/model'

/** What still keeps an application from being sent, each with the section where it is settled. */
export async function leftOf(vacancy: Vacancy, outcomes: readonly Outcome[]) {
  const names = await namesFor(vacancy)
  const requirements = requirementsOf(vacancy)
  return openAt(outcomes, 'send').map((outcome) => {
    const requirement = requirements.find(({ key }) => key === outcome.requirement)!
    return {
      section: sectionOf(vacancy.form, requirement)?.key ?? null,
      title: outcome.title,
      why: outcomeWords(outcome, (key) => names[key] ?? key),
    }
  })
}
