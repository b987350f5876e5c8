import type { Requirement } from '../requirements/requirement'

export type Question = {
  key: string
  label: string
  kind: 'text' | 'long text' | 'date' | 'mail' | 'phone' | 'yes or no' | 'one of' | 'country'
  required: boolean
  help?: string
  options?: readonly string[]
  /** Longest answer in characters. */
  limit?: number
  /** The answer that asks for an explanation, kept under `${key}.because`. */
  explain?: 'yes' | 'no'
  /** What the browser may fill in (HTML autocomplete token). */
  fill?: string
}

export type Section = {
  key: string
  title: string
  /** The question the section puts, as its heading. */
  heading: string
  intro: string
  holds: 'questions' | 'study' | 'work' | 'credentials' | 'permission' | 'send'
  questions: readonly Question[]
}

export type Form = readonly Section[]

/** A form with a required question asks for its answer before sending; so does the explanation a given answer needs. */
export function answerRequirements(form: Form): Requirement[] {
  return questionsOf(form).flatMap((question) => {
    const asked: Requirement = {
      key: `answer:${question.key}`,
      title: question.label,
      why: 'The form asks for it.',
      gate: 'send',
      asks: { kind: 'answer', question: question.key },
      rung: 'claimed',
      waivableBy: [],
    }
    const because: Requirement = {
      ...asked,
      key: `answer:${becauseKey(question.key)}`,
      title: `${question.label}: what happened`,
      asks: { kind: 'answer', question: becauseKey(question.key) },
      when: { fact: question.key, is: question.explain ?? '' },
    }
    return [...(question.required ? [asked] : []), ...(question.explain ? [because] : [])]
  })
}

export const questionsOf = (form: Form): Question[] => form.flatMap(({ questions }) => questions)

export const becauseKey = (question: string) => `${question}.because`

export type AnswerFault =
  | { code: 'too-long'; limit: number }
  | { code: 'not-a-mail-address' }
  | { code: 'not-a-phone-number' }
  | { code: 'not-a-date' }
  | { code: 'not-an-option' }

const dateShape = /^\d{4}-\d{2}-\d{2}$/

/**
 * Whether an answer can be kept as an answer to a question. An empty text is always fine: it is no answer yet.
 *
 * @returns what is wrong, or `undefined`
 */
export function faultOf(question: Question, answer: string): AnswerFault | undefined {
  if (answer === '') return undefined
  const limit = question.limit ?? 200
  if ([...answer].length > limit) return { code: 'too-long', limit }
  if (question.kind === 'mail' && !/^[^\s@]+@[^\s@]+\.[^\s@]+$/.test(answer)) return { code: 'not-a-mail-address' }
  if (question.kind === 'phone' && !/^\+\d[\d ()/-]{5,24}$/.test(answer)) return { code: 'not-a-phone-number' }
  if (question.kind === 'date' && !dateShape.test(answer)) return { code: 'not-a-date' }
  if (question.kind === 'yes or no' && answer !== 'yes' && answer !== 'no') return { code: 'not-an-option' }
  if (question.kind === 'one of' && !question.options?.includes(answer)) return { code: 'not-an-option' }
  return undefined
}

/** The section where a requirement is settled, or `undefined` where that is not in the form (a check, an offer, a task). */
export function sectionOf(form: Form, requirement: Requirement): Section | undefined {
  const { asks } = requirement
  if (asks.kind === 'answer') {
    const key = asks.question.replace(/\.because$/, '')
    return form.find(({ questions }) => questions.some((question) => question.key === key))
  }
  const holds = (
    {
      study: 'study',
      credential: 'credentials',
      history: 'work',
      experience: 'work',
      'every work entry': 'work',
      permission: 'permission',
    } as Partial<Record<typeof asks.kind, Section['holds']>>
  )[asks.kind]
  return form.find((section) => section.holds === holds)
}
