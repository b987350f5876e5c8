import { type Answers, isAsked, isBlank } from '../form/answer'
import { type Blank, becauseKey, type Form } from '../form/form'
import { openAt, upToGate } from './evaluate'
import type { FileFacts, Outcome, OutcomeReason } from './requirement'

/** What a first look at an application that came in asks: could this person be chosen, as far as they say. */
export type FirstLook = {
  /** `no`: something asked for is missing that nobody can send after it. `undecided`: it turns on what is not known yet. */
  eligible: 'yes' | 'no' | 'undecided'
  /** What speaks against it, or leaves it open. */
  because: Outcome[]
  /** Questions answered honestly with there being no answer. */
  blanks: { label: string; blank: Blank; because: string }[]
  /** Requirements up to the shortlist that are settled. */
  settled: { done: number; of: number }
}

/** What stands against somebody whatever papers still come. Proof that is merely outstanding does not. */
const against = new Set<OutcomeReason['code']>(['answer-other', 'too-little-experience', 'contradicted', 'standing'])
/** The same where it is asked for before the shortlist; by a later gate it may still be given. */
const againstEarly = new Set<OutcomeReason['code']>(['nothing-claimed', 'no-work-entries'])
const open = new Set<OutcomeReason['code']>([
  'unconfirmable',
  'condition-undecided',
  'validity-unknown',
  'experience-unclear',
])

/** Looks at what came in, before any proof is asked for. */
export function firstLook(
  outcomes: readonly Outcome[],
  form: Form,
  answers: Answers,
  facts: FileFacts['answers'],
): FirstLook {
  const early = new Set(upToGate(outcomes, 'shortlist'))
  const says = outcomes.filter(
    (outcome) =>
      outcome.state === 'unmet' &&
      (against.has(outcome.reason.code) || (early.has(outcome) && againstEarly.has(outcome.reason.code))),
  )
  const leaves = outcomes.filter(
    (outcome) => early.has(outcome) && (outcome.state === 'undecided' || open.has(outcome.reason.code)),
  )
  const counted = [...early].filter(({ state }) => state !== 'not needed')
  return {
    eligible: says.length > 0 ? 'no' : leaves.length > 0 ? 'undecided' : 'yes',
    because: says.length > 0 ? says : leaves,
    blanks: blanksIn(form, answers, facts),
    settled: { done: counted.length - openAt(counted, 'shortlist').length, of: counted.length },
  }
}

function blanksIn(form: Form, answers: Answers, facts: FileFacts['answers']): FirstLook['blanks'] {
  return form.flatMap((section) =>
    !isAsked(section, facts)
      ? []
      : section.questions.flatMap((question) => {
          const answer = answers[question.key]
          if (answer === undefined || !isBlank(answer) || !isAsked(question, facts)) return []
          const said = answers[becauseKey(question.key)]
          return [
            {
              label: question.label,
              blank: answer.blank,
              because: answer.because ?? (typeof said === 'string' ? said : ''),
            },
          ]
        }),
  )
}
