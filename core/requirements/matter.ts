/** How a declared matter is decided: it makes no difference, it does under conditions, or it speaks against the person. */
export const matterOutcomes = ['no bearing', 'conditions', 'refused'] as const
export type MatterOutcome = (typeof matterOutcomes)[number]

/** What was decided about something declared, as far as requirements look at it. */
export type MatterFact = {
  question: string
  /** What was declared when it was decided; declared otherwise since, it is another matter. */
  answer: string
  explanation: string
  outcome: MatterOutcome
  /** ISO day. */
  decidedOn: string
  /** In this application; otherwise in an earlier one of the same person. */
  own: boolean
}

/**
 * The decision that holds for something declared: that of this application, or an earlier one that it made no difference, where
 * nothing new is declared since. Conditions and refusals belong to the post they were decided for.
 */
export const decisionOn = (
  matters: readonly MatterFact[],
  declared: Pick<MatterFact, 'question' | 'answer' | 'explanation'>,
): MatterFact | undefined => {
  const same = matters.filter(
    ({ question, answer, explanation }) =>
      question === declared.question && answer === declared.answer && explanation === declared.explanation,
  )
  return same.find(({ own }) => own) ?? same.find(({ outcome }) => outcome === 'no bearing')
}

export type Vote = { by: string; outcome: MatterOutcome }
export type Tally = { state: 'decided'; outcome: MatterOutcome } | { state: 'waiting' | 'split' }

/**
 * What votes come to, one for each who has voted, the newest last.
 *
 * @param deciders who is to decide
 * @param together all of them have to say the same; otherwise any one decides
 */
export function tallyOf(votes: readonly Vote[], deciders: readonly string[], together: boolean): Tally {
  const counting = votes.filter(({ by }) => deciders.includes(by))
  const last = counting.at(-1)
  if (!last) return { state: 'waiting' }
  if (!together) return { state: 'decided', outcome: last.outcome }
  if (counting.some(({ outcome }) => outcome !== last.outcome)) return { state: 'split' }
  return counting.length < deciders.length ? { state: 'waiting' } : { state: 'decided', outcome: last.outcome }
}
