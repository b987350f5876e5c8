import type { Facts } from '#core/conditions/condition'
import { type AnswerValue, isAsked, isBlank, isEmpty, linksIn } from '#core/form/answer'
import { becauseKey, type Form, type Question, questionKeyOf, type Section } from '#core/form/form'
import { type HiddenKind, hiddenKindOfQuestion, readNameless, sees } from '#core/privacy/hidden'
import type { Right, Role } from '#core/rights/rights'
import { answerWords } from '#core/words/form'
import { rolesWords } from '#core/words/roles'
import { say } from '#core/words/say'
import { translated } from '#core/words/translations'
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

/** A form with only the questions whose answers a reader sees as things stand. */
export const readableForm = (form: Form, covering: Covering): Form =>
  form.map((section) => ({
    ...section,
    questions: section.questions.filter(
      (question) => mayRead(question, covering.roles) && !coveredAs(section, question, covering),
    ),
  }))

/** Which answers are covered for a reader: what their roles do not need and what is not shown to them at the moment. */
export type Covering = {
  roles: readonly Role[]
  rights: readonly Right[]
  shown: ReadonlySet<string>
  /** The vacancy hides names in this stage, and with them whatever somebody could be known by. */
  hidesName?: boolean
}

/** Whether somebody reads without names, as things stand. */
export const readsNameless = ({ hidesName, shown }: Covering): boolean => Boolean(hidesName) && !shown.has('name')

/** Answers without what was written beside them to explain them: that is free text, where somebody may name themselves. */
export const withoutExplanations = (answers: Application['answers']): Application['answers'] =>
  Object.fromEntries(
    Object.entries(answers).flatMap(([key, answer]) =>
      questionKeyOf(key) === key ? [[key, isBlank(answer) ? { blank: answer.blank } : answer]] : [],
    ),
  )

const coveredAs = (section: Section, question: Question, covering: Covering): HiddenKind | undefined => {
  const { rights, shown } = covering
  if (readsNameless(covering) && !readNameless(section, question)) return 'name'
  const kind = hiddenKindOfQuestion(section, question)
  return kind && !sees(rights, kind) && !shown.has(kind) ? kind : undefined
}

/** The answers as the desk reads them: those that are asked as things stand, and that the reader's roles may see. */
export function answersForDesk(form: Form, answers: Application['answers'], facts: Facts, covering: Covering) {
  return form.flatMap((section) =>
    section.questions.flatMap((question) => {
      const answer: AnswerValue | undefined = answers[question.key]
      if (isEmpty(answer) || !isAsked(section, facts) || !isAsked(question, facts)) return []
      const line = { section: translated(section).title, label: translated(question).label, hidden: null, links: [] }
      if (!mayRead(question, covering.roles))
        return [{ ...line, answer: say('form.readBy', { roles: rolesWords(question.seenBy ?? []) }) }]
      const kind = coveredAs(section, question, covering)
      if (kind) return [{ ...line, answer: say('hidden.hidden'), hidden: kind as string }]
      const because = answers[becauseKey(question.key)]
      const open = question.kind === 'identity number' && typeof answer === 'string'
      const shown = open ? answer : answerWords(question, answer!)
      return [
        {
          ...line,
          hidden: null as string | null,
          links: linksIn(question, answer!),
          answer: typeof because === 'string' && because ? `${shown}: ${because}` : shown,
        },
      ]
    }),
  )
}
