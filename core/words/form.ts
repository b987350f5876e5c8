import { writeWhen } from '../dates/write'
import { type AnswerFault, type AnswerValue, addressParts, isBlank, type Parts } from '../form/answer'
import type { Blank, Question, QuestionKind } from '../form/form'
import { say, spokenLocale } from './say'

export const blankWords: Record<Blank, string> = {
  unknown: 'I don’t know, because…',
  'does not apply': 'Does not apply',
  'does not expire': 'Does not expire',
  present: 'Still so today',
}

export const kindWords: Record<QuestionKind, string> = {
  text: 'a line of text',
  'long text': 'a longer text',
  number: 'a number',
  money: 'an amount of money',
  date: 'a day',
  'partial date': 'a day, month or year',
  'yes or no': 'yes or no',
  'one of': 'one of several',
  'several of': 'any of several',
  'ranked choice': 'a choice in order of preference',
  country: 'a country',
  'country and region': 'a country and region',
  address: 'an address',
  phone: 'a phone number',
  mail: 'a mail address',
  'identity number': 'an identity number, masked',
  document: 'a document',
  declaration: 'a statement to agree to',
  records: 'a list of records',
}

/** A question of a form as a sentence: what is asked, how it is answered, and what an answer leads to. */
export function questionSentence(question: Question): string {
  const { label, kind, required, options, limit, explain, paper, blanks, seenBy, parts, help } = question
  const details = [
    kindWords[kind],
    options?.length ? options.join(', ') : '',
    question.rankUpTo ? `up to ${question.rankUpTo} in order` : '',
    limit ? `up to ${limit} characters` : '',
    question.least !== undefined ? `at least ${question.least}` : '',
    question.most !== undefined ? `at most ${question.most}` : '',
    question.unit ?? '',
    parts?.length ? parts.map((part) => part.label).join(', ') : '',
    required ? 'has to be answered' : 'may be left out',
  ].filter(Boolean)
  const after = [
    explain ? `A ${explain} asks what happened.` : '',
    paper ? `A ${paper} asks for a document.` : '',
    blanks?.length ? `“${blanks.map((blank) => blankWords[blank]).join('”, “')}” will do.` : '',
    seenBy?.length ? `Only read by: ${seenBy.join(', ')}.` : '',
    help ? `Help: ${help}` : '',
  ].filter(Boolean)
  return [`${label} (${details.join('; ')}).`, ...after].join(' ')
}

/** An answer as people read it; an identity number shows its last three characters only. */
export function answerWords(question: Question | undefined, value: AnswerValue): string {
  if (typeof value === 'string') return textWords(question, value)
  if (isBlank(value)) {
    if (value.blank === 'unknown') return say('Not known: {{because}}', { because: value.because ?? '' })
    return say(blankWords[value.blank])
  }
  if (Array.isArray(value)) {
    const items = value as readonly (string | Parts)[]
    return question?.kind === 'ranked choice'
      ? items.map((item, index) => `${index + 1}. ${item}`).join(' ')
      : items
          .map((item) => (typeof item === 'string' ? say(item) : recordWords(question, item)))
          .join(question?.kind === 'records' ? '; ' : ', ')
  }
  const parts = value as Parts
  const order = addressParts.filter((part) => parts[part])
  return [...order].map((part) => parts[part]).join(', ')
}

function textWords(question: Question | undefined, value: string): string {
  switch (question?.kind) {
    case 'one of':
      return say(value)
    case 'date':
    case 'partial date':
      return writeWhen(value)
    case 'money':
      return `${(Number(value) / 100).toLocaleString(spokenLocale(), { minimumFractionDigits: 2 })} ${question.unit ?? 'EUR'}`
    case 'number':
      return question.unit ? `${value} ${say(question.unit)}` : value
    case 'identity number':
      return masked(value)
    case 'yes or no':
      return value === 'yes' ? say('Yes') : say('No')
    case 'declaration':
      return say('Agreed')
    default:
      return value
  }
}

/** All but the last three characters hidden; short numbers wholly. */
export const masked = (value: string) =>
  value.length > 5 ? '•'.repeat(value.length - 3) + value.slice(-3) : '•'.repeat(value.length)

const recordWords = (question: Question | undefined, record: Parts) =>
  (question?.parts ?? [])
    .filter(({ key }) => record[key])
    .map((part) => textWords(part, record[part.key]!))
    .join(', ')

/** What is wrong with an answer, and how to put it right. */
export function answerFaultWords(fault: AnswerFault): string {
  switch (fault.code) {
    case 'too-long':
      return say('At most {{limit}} characters fit here.', { limit: fault.limit })
    case 'not-a-mail-address':
      return say('This is not a mail address.')
    case 'not-a-phone-number':
      return say('Begin with + and the country, such as +43 512 555 0100.')
    case 'not-a-date':
      return say('This is not a day, such as 1997-02-03.')
    case 'not-an-option':
      return say('Choose one of those shown.')
    case 'not-a-number':
      return say('This is not a number.')
    case 'too-small':
      return say('This must be at least {{least}}.', { least: fault.least })
    case 'too-large':
      return say('This must be at most {{most}}.', { most: fault.most })
    case 'too-many':
      return say('At most {{most}} fit here.', { most: fault.most })
    case 'named-twice':
      return say('One of them is named twice.')
    case 'part-missing':
      return say('Still missing: {{part}}.', { part: fault.part })
    case 'blank-not-allowed':
      return say('This needs an answer.')
    case 'wrong-shape':
      return say('This answer has another form than the question asks for.')
  }
}
