import type { Facts, FactValue } from '../conditions/condition'
import { judge } from '../conditions/judge'
import { readPartialDate } from '../dates/partialDate'
import { type Blank, becauseKey, blanks, choicesOf, type Form, type Question, type QuestionKind } from './form'
import { languageLevels, partsOf } from './languages'
import { hostOf } from './links'

/** Several parts that are one answer, such as an address: `{ street, postcode, town, region, country }`. */
export type Parts = Readonly<Record<string, string>>
export type HonestBlank = { blank: Blank; because?: string }

/**
 * What was answered: text for most kinds (numbers in digits, money in cents, yes and no as such), a list for several of
 * and ranked choice (in order), parts for an address or a country with its region, a list of parts for records, or an
 * honest blank.
 */
export type AnswerValue = string | readonly string[] | Parts | readonly Parts[] | HonestBlank
export type Answers = Readonly<Record<string, AnswerValue>>

export const isBlank = (value: AnswerValue): value is HonestBlank =>
  typeof value === 'object' && !Array.isArray(value) && 'blank' in value

/** Nothing was said: an empty text, list, or parts that are all empty. An honest blank says something. */
export function isEmpty(value: AnswerValue | undefined): boolean {
  if (value === undefined) return true
  if (typeof value === 'string') return value === ''
  if (Array.isArray(value)) return value.length === 0
  return Object.values(value).every((part) => part === '')
}

export const addressParts = ['street', 'postcode', 'town', 'region', 'country'] as const

export type AnswerFault =
  | { code: 'too-long'; limit: number }
  | { code: 'not-a-mail-address' }
  | { code: 'not-a-phone-number' }
  | { code: 'not-a-link' }
  | { code: 'not-a-date' }
  | { code: 'not-an-option' }
  | { code: 'not-a-number' }
  | { code: 'too-small'; least: number }
  | { code: 'too-large'; most: number }
  | { code: 'too-many'; most: number }
  | { code: 'named-twice' }
  | { code: 'part-missing'; part: string }
  | { code: 'blank-not-allowed' }
  | { code: 'wrong-shape' }

const day = /^\d{4}-\d{2}-\d{2}$/
const mostRecords = 60

/**
 * Whether an answer can be kept as an answer to a question. An empty answer is always fine: it is none yet.
 *
 * @returns what is wrong, or `undefined`
 */
export function faultOf(question: Question, answer: AnswerValue): AnswerFault | undefined {
  if (isEmpty(answer)) return undefined
  if (isBlank(answer)) return faultOfBlank(question, answer)
  return faultsByKind[question.kind](question, answer)
}

function faultOfBlank({ blanks: allowed = [] }: Question, { blank }: HonestBlank): AnswerFault | undefined {
  return blanks.includes(blank) && allowed.includes(blank) ? undefined : { code: 'blank-not-allowed' }
}

type Judge = (question: Question, answer: AnswerValue) => AnswerFault | undefined

/** An answer that is text: no longer than it may be, and right by what else is asked of it. */
const text =
  (faultOfText: (answer: string, question: Question) => AnswerFault | undefined = () => undefined): Judge =>
  (question, answer) => {
    if (typeof answer !== 'string') return { code: 'wrong-shape' }
    const limit = question.limit ?? 200
    return [...answer].length > limit ? { code: 'too-long', limit } : faultOfText(answer, question)
  }
const unless = (fits: boolean, code: 'not-a-mail-address' | 'not-a-phone-number' | 'not-a-date' | 'not-an-option') =>
  fits ? undefined : { code }

/** What an answer of each kind may be. Whoever adds a kind says it here. */
const faultsByKind: Record<QuestionKind, Judge> = {
  text: text(),
  'long text': text(),
  number: text((answer, question) => faultOfNumber(question, answer)),
  money: text((answer, question) => faultOfNumber(question, answer)),
  date: text((answer) => unless(day.test(answer) && readPartialDate(answer).ok, 'not-a-date')),
  'partial date': text((answer) => unless(readPartialDate(answer).ok, 'not-a-date')),
  'yes or no': text((answer) => unless(answer === 'yes' || answer === 'no', 'not-an-option')),
  'one of': text((answer, { options = [] }) => unless(options.includes(answer), 'not-an-option')),
  'several of': (question, answer) => faultOfChoices(question, answer),
  'ranked choice': (question, answer) => faultOfChoices(question, answer),
  country: text(),
  'country and region': (question, answer) => faultOfParts(question, answer),
  address: (question, answer) => faultOfParts(question, answer),
  phone: text((answer) => unless(/^\+\d[\d ()/-]{5,24}$/.test(answer), 'not-a-phone-number')),
  mail: text((answer) => unless(/^[^\s@]+@[^\s@]+\.[^\s@]+$/.test(answer), 'not-a-mail-address')),
  link: (question, answer) =>
    text((link) => (hostOf(link) ? undefined : { code: 'not-a-link' }))({ ...question, limit: 500 }, answer),
  'identity number': text(),
  document: text(),
  declaration: text((answer) => unless(answer === 'agreed', 'not-an-option')),
  records: (question, answer) => faultOfRecords(question, answer),
  languages: (question, answer) => faultOfLanguages(question, answer),
  recipients: (question, answer) => faultOfChoices(question, answer),
}

function faultOfNumber({ kind, least, most }: Question, answer: string): AnswerFault | undefined {
  if (!/^-?\d+(\.\d+)?$/.test(answer)) return { code: 'not-a-number' }
  if (kind === 'money' && !/^-?\d+$/.test(answer)) return { code: 'not-a-number' }
  const value = kind === 'money' ? Number(answer) / 100 : Number(answer)
  if (least !== undefined && value < least) return { code: 'too-small', least }
  if (most !== undefined && value > most) return { code: 'too-large', most }
  return undefined
}

function faultOfChoices(question: Question, answer: AnswerValue): AnswerFault | undefined {
  if (!Array.isArray(answer) || answer.some((item) => typeof item !== 'string')) return { code: 'wrong-shape' }
  const chosen = answer as readonly string[]
  if (chosen.some((item) => !choicesOf(question).includes(item))) return { code: 'not-an-option' }
  if (new Set(chosen).size < chosen.length) return { code: 'named-twice' }
  const most = question.kind === 'ranked choice' ? question.rankUpTo : undefined
  return most !== undefined && chosen.length > most ? { code: 'too-many', most } : undefined
}

function faultOfParts(question: Question, answer: AnswerValue): AnswerFault | undefined {
  if (typeof answer === 'string' || Array.isArray(answer)) return { code: 'wrong-shape' }
  const parts = answer as Parts
  const known: readonly string[] = question.kind === 'address' ? addressParts : ['country', 'region']
  if (Object.keys(parts).some((part) => !known.includes(part))) return { code: 'wrong-shape' }
  return Object.values(parts).some((part) => [...part].length > 200) ? { code: 'too-long', limit: 200 } : undefined
}

function faultOfLanguages(question: Question, answer: AnswerValue): AnswerFault | undefined {
  const fault = faultOfRecords(question, answer)
  if (fault) return fault
  const named = (answer as readonly Parts[]).flatMap(({ language }) => language || [])
  return new Set(named).size < named.length ? { code: 'named-twice' } : undefined
}

function faultOfRecords(question: Question, answer: AnswerValue): AnswerFault | undefined {
  const parts = partsOf(question)
  if (!Array.isArray(answer)) return { code: 'wrong-shape' }
  if (answer.length > mostRecords) return { code: 'too-many', most: mostRecords }
  for (const record of answer as readonly (Parts | string)[]) {
    if (typeof record !== 'object') return { code: 'wrong-shape' }
    for (const [key, value] of Object.entries(record)) {
      const part = parts.find((candidate) => candidate.key === key)
      const fault = part ? faultOf(part, value) : ({ code: 'wrong-shape' } as const)
      if (fault) return fault
    }
  }
  return undefined
}

/**
 * What is still missing in an answer that has been begun: the parts of an address, the required parts of a record, the
 * reason why something is not known.
 * `undefined` where it is whole.
 */
export function missingIn(question: Question, answer: AnswerValue): AnswerFault | undefined {
  if (isBlank(answer))
    return answer.blank === 'unknown' && !answer.because?.trim() ? { code: 'part-missing', part: 'because' } : undefined
  if (question.kind === 'address' || question.kind === 'country and region') {
    const needed =
      question.kind === 'address' ? [...(question.street ? ['street'] : []), 'town', 'country'] : ['country']
    const part = needed.find((name) => !(answer as Parts)[name])
    return part ? { code: 'part-missing', part } : undefined
  }
  if ((question.kind === 'records' || question.kind === 'languages') && Array.isArray(answer)) {
    const lacking = partsOf(question).find(
      ({ key, required }) => required && (answer as readonly Parts[]).some((record) => !record[key]),
    )
    return lacking ? { code: 'part-missing', part: lacking.label || lacking.key } : undefined
  }
  return undefined
}

/**
 * Answers as facts that conditions can look at. An honest "I don't know" leaves its fact open; the other blanks are
 * facts by their own name. Money counts in whole units; an address gives `key.country` and `key.region`; an answer that
 * is begun and not whole is not yet a fact.
 */
export function factsOfAnswers(form: Form, answers: Answers): Facts {
  const facts: Record<string, FactValue> = {}
  for (const { questions } of form) {
    for (const question of questions) {
      const { key } = question
      const because = answers[becauseKey(key)]
      if (typeof because === 'string' && because !== '') facts[becauseKey(key)] = because
      const answer = answers[key]
      // Whom nobody has chosen they have not chosen; that is known at any time.
      if (question.kind === 'recipients' && (answer === undefined || isEmpty(answer))) facts[key] = []
      if (answer === undefined || isEmpty(answer)) continue
      Object.assign(facts, factsOf(question, answer))
    }
  }
  return facts
}

function factsOf(question: Question, answer: AnswerValue): Record<string, FactValue> {
  const { key, kind } = question
  if (isBlank(answer)) return answer.blank === 'unknown' ? {} : { [key]: answer.blank }
  if (missingIn(question, answer)) return {}
  if (kind === 'number') return { [key]: Number(answer) }
  if (kind === 'money') return { [key]: Number(answer) / 100 }
  if (kind === 'address' || kind === 'country and region') {
    const { country = '', region = '' } = answer as Parts
    return { [key]: country, [`${key}.country`]: country, [`${key}.region`]: region }
  }
  if (kind === 'records') return { [key]: (answer as readonly Parts[]).length }
  if (kind === 'languages')
    return Object.fromEntries(
      Object.entries(languageLevels(answer as readonly Parts[])).map(([language, level]) => [
        `${key}.${language}`,
        level,
      ]),
    )
  return { [key]: answer as string | readonly string[] }
}

/** The keys that are answered for good: a whole answer or an honest blank. */
export function answeredKeys(form: Form, answers: Answers): Set<string> {
  const keys = new Set<string>()
  for (const { questions } of form) {
    for (const question of questions) {
      const answer = answers[question.key]
      if (answer !== undefined && !isEmpty(answer) && !missingIn(question, answer)) keys.add(question.key)
      if (!isEmpty(answers[becauseKey(question.key)])) keys.add(becauseKey(question.key))
    }
  }
  return keys
}

/** Whether something is asked as things stand. What is undecided is not asked yet. */
export const isAsked = ({ when }: { when?: Question['when'] }, facts: Facts): boolean =>
  when === undefined || judge(when, facts).truth === true

/** The links in an answer: the answer itself, or those in the records of one. */
export function linksIn({ kind, parts = [] }: Question, answer: AnswerValue): string[] {
  if (kind === 'link') return typeof answer === 'string' ? [answer] : []
  if (kind !== 'records' || isBlank(answer) || !Array.isArray(answer)) return []
  const keys = parts.flatMap((part) => (part.kind === 'link' ? [part.key] : []))
  return (answer as readonly Parts[]).flatMap((record) => keys.flatMap((key) => record[key] || []))
}
