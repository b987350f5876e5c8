import { factsOf } from '#core/conditions/condition'
import type { Answers } from '#core/form/answer'
import { questionKeyOf, questionsOf } from '#core/form/form'
import { isDraft, nextGateOf } from '#core/hiring/stages'
import { gates } from '#core/requirements/requirement'
import type { Readiness } from '../readiness/readiness'
import { answersSent } from '../records/applications/find'
import type { Application } from '../records/applications/model'

/**
 * The questions that a gate ahead of a sent application rests on and that were blank when it was sent: an answer, the
 * answer that decides a condition, a document. They may be answered after sending, and corrected until the gate is passed;
 * whatever was sent stays as it was sent.
 *
 * @returns keys of questions
 */
export async function stillAsked(
  application: Application,
  { requirements, rules }: Pick<Readiness, 'requirements' | 'rules'>,
): Promise<Set<string>> {
  const gate = nextGateOf(application)
  if (isDraft(application) || !gate) return new Set()
  const sent: Answers = (await answersSent(application.id)) ?? {}
  const choice = questionsOf(rules.form).find(({ kind }) => kind === 'recipients')
  const asked = requirements
    .filter(
      // What a body asks that was added since, of whom it was not asked when they sent it.
      ({ gate: own, forRecipients }) => gates.indexOf(own) >= gates.indexOf(gate) || forRecipients,
    )
    .flatMap(({ asks, alternatives = [], when, exempt }) => [
      ...[asks, ...alternatives].flatMap((ask) => ('question' in ask ? [ask.question] : [])),
      ...[when, exempt?.when].flatMap((condition) => (condition ? factsOf(condition) : [])),
    ])
    .map((fact) => questionKeyOf(fact).replace(/\.(country|region)$/, ''))
  const questions = new Set(questionsOf(rules.form).map(({ key }) => key))
  return new Set(asked.filter((key) => questions.has(key) && key !== choice?.key && sent[key] === undefined))
}
