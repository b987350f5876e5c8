import type { Role } from '#contract/endpoint'
import type { Facts } from '#core/conditions/condition'
import { type AnswerValue, isAsked, isEmpty } from '#core/form/answer'
import { becauseKey, type Form, type Question } from '#core/form/form'
import { answerWords } from '#core/words/form'
import type { Application } from './model'

/** An answer that is plain text, or nothing. */
export function textAnswer({ answers }: Pick<Application, 'answers'>, key: string): string | undefined {
  const answer = answers[key]
  return typeof answer === 'string' && answer !== '' ? answer : undefined
}

/** The address somebody gave for this application. */
export const contactMail = (application: Pick<Application, 'answers'>) => textAnswer(application, 'contact.mail')

/** Whether somebody with these roles may read the answer to a question. */
const mayRead = ({ seenBy }: Question, roles: readonly Role[]) =>
  !seenBy?.length || seenBy.some((role) => roles.some((own) => own === role))

/** A form with only the questions whose answers somebody with these roles may read. */
export const readableForm = (form: Form, roles: readonly Role[]): Form =>
  form.map((section) => ({ ...section, questions: section.questions.filter((question) => mayRead(question, roles)) }))

/** The answers as the desk reads them: those that are asked as things stand, and that the reader's roles may see. */
export function answersForDesk(
  form: Form,
  { answers }: Pick<Application, 'answers'>,
  facts: Facts,
  roles: readonly Role[],
) {
  return form.flatMap((section) =>
    section.questions.flatMap((question) => {
      const answer: AnswerValue | undefined = answers[question.key]
      if (isEmpty(answer) || !isAsked(section, facts) || !isAsked(question, facts)) return []
      if (!mayRead(question, roles))
        return [
          { section: section.title, label: question.label, answer: `Read only by: ${question.seenBy?.join(', ')}.` },
        ]
      const because = answers[becauseKey(question.key)]
      const shown = answerWords(question, answer!)
      return [
        {
          section: section.title,
          label: question.label,
          answer: typeof because === 'string' && because ? `${shown}: ${because}` : shown,
        },
      ]
    }),
  )
}
