import { sectionOf } from '#core/form/form'
import { openAt } from '#core/requirements/evaluate'
import type { Outcome } from '#core/requirements/requirement'
import { type Rules, requirementsIn } from '#core/rules/rules'
import { outcomeWords } from '#core/words/requirements'
import { namesFor } from '../rules/versions'
import type { Application } from './model'
import { unconfirmedSections } from './takeOver'

/** What still keeps an application from being sent, each with the section where it is settled. */
export async function leftOf(rules: Rules, outcomes: readonly Outcome[], application: Pick<Application, 'takenOver'>) {
  const names = await namesFor(rules)
  const requirements = requirementsIn(rules)
  const open = openAt(outcomes, 'send')
  const unanswered = new Set(open.flatMap(({ reason }) => (reason.code === 'answer-missing' ? [reason.question] : [])))
  // What only hangs on an answer that is itself on the list is not a second thing to do.
  const counted = open.filter(
    ({ reason }) =>
      reason.code !== 'condition-undecided' || !reason.deciding.every((question) => unanswered.has(question)),
  )
  const toConfirm = unconfirmedSections(rules.form, application).map(({ key, title }) => ({
    section: key,
    title: `${title}: what we have from before`,
    why: 'Look through it, and confirm or correct it.',
  }))
  const toDo = counted.map((outcome) => {
    const requirement = requirements.find(({ key }) => key === outcome.requirement)!
    return {
      section: sectionOf(rules.form, requirement)?.key ?? null,
      title: outcome.title,
      why: outcomeWords(outcome, (key) => names[key] ?? key),
    }
  })
  return [...toConfirm, ...toDo]
}
