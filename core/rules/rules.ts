import { factsOf } from '../conditions/condition'
import type { FeeSchedule } from '../fees/schedule'
import { answerRequirements, type Form, questionsOf } from '../form/form'
import type { Completion } from '../hiring/completion'
import type { Requirement } from '../requirements/requirement'

/** What somebody reads, hands in or acknowledges after an offer. */
export type OnboardingTask = { key: string; title: string; text: string }

/** All that a vacancy asks and judges by: saved, published, compared and exported as one thing. */
export type Rules = {
  form: Form
  requirements: readonly Requirement[]
  onboarding: readonly OnboardingTask[]
  /** What applying costs; absent where it costs nothing. */
  fees?: readonly FeeSchedule[]
  /** The time there is to finish; absent where only the closing day counts. */
  completeWithin?: Completion
}

/** The keys of the skills checks that requirements ask for, also as an alternative. */
export const checksIn = (requirements: readonly Requirement[]): string[] => [
  ...new Set(
    requirements
      .flatMap(({ asks, alternatives = [] }) => [asks, ...alternatives])
      .flatMap((ask) => (ask.kind === 'skills check' ? [ask.check] : [])),
  ),
]

/** The schedules of fees that requirements ask for, also as an alternative. */
export const schedulesIn = (requirement: Requirement): string[] =>
  [requirement.asks, ...(requirement.alternatives ?? [])].flatMap((ask) => (ask.kind === 'fee' ? [ask.schedule] : []))

/** Everything an application is judged by: what the form itself requires, and the vacancy's own requirements. */
export function requirementsIn({ form, requirements }: Pick<Rules, 'form' | 'requirements'>): Requirement[] {
  const all = [...answerRequirements(form), ...requirements]
  const choice = questionsOf(form).find(({ kind }) => kind === 'recipients')
  if (!choice) return all
  const restsOnChoice = ({ asks, when }: Requirement) =>
    asks.kind === 'recipients' || (when !== undefined && factsOf(when).includes(choice.key))
  return all.map((requirement) => (restsOnChoice(requirement) ? { ...requirement, forRecipients: true } : requirement))
}
