import type { AnswerValue } from '#core/form/answer'
import type { Question } from '#core/form/form'

/** What every place to answer a question is given. */
export type AnswerProps = {
  question: Question
  value: AnswerValue
  onChange: (value: AnswerValue) => void
  error?: string
}
