import { writeWhen } from '../dates/write'
import { type AnswerFault, type AnswerValue, addressParts, isBlank, type Parts } from '../form/answer'
import { type Blank, choicesOf, type Question, type QuestionKind } from '../form/form'
import { partsOf } from '../form/languages'
import { documentName } from './names'
import { optionWords } from './options'
import { rolesWords } from './roles'
import { say, spokenLocale } from './say'
import { translated } from './translations'

export const blankWords = (blank: Blank): string => say(`names.blank.${blank}`)

export const kindWords = (kind: QuestionKind): string => say(`form.kind.${kind}`)

/** A question of a form as a sentence: what is asked, how it is answered, and what an answer leads to. */
export function questionSentence(question: Question): string {
  const { label, help, unit } = translated(question)
  const { kind, required, limit, rankUpTo, least, most, explain, paper, blanks, seenBy, parts, nameless } = question
  const { documentKind } = question
  const details = [
    kindWords(kind),
    choicesOf(question)
      .map((option) => optionWords(question, option))
      .join(', '),
    documentKind ? say('form.ofKind', { name: documentName(documentKind) }) : '',
    rankUpTo ? say('form.upToInOrder', { count: rankUpTo }) : '',
    limit ? say('form.upToCharacters', { limit }) : '',
    least !== undefined ? say('form.atLeast', { least }) : '',
    most !== undefined ? say('form.atMost', { most }) : '',
    unit ?? '',
    parts?.map((part) => translated(part).label).join(', ') ?? '',
    say(required ? 'form.required' : 'form.optional'),
  ].filter(Boolean)
  const after = [
    explain ? say(`form.asksWhatHappened.${explain}`) : '',
    paper ? say(`form.asksForDocument.${paper}`) : '',
    blanks?.length ? say('form.blanksWillDo', { blanks: blanks.map(blankWords).join('”, “') }) : '',
    seenBy?.length ? say('form.readBy', { roles: rolesWords(seenBy) }) : '',
    nameless ? say('form.readNameless') : '',
    question.public ? say('form.public') : '',
    question.street ? say('form.withStreet') : '',
    help ? say('form.help', { help }) : '',
  ].filter(Boolean)
  return [`${label} (${details.join('; ')}).`, ...after].join(' ')
}

/** An answer as people read it; an identity number shows its last three characters only. */
export function answerWords(question: Question | undefined, value: AnswerValue): string {
  if (typeof value === 'string') return textWords(question, value)
  if (isBlank(value)) {
    if (value.blank === 'unknown') return say('form.notKnown', { because: value.because ?? '' })
    return blankWords(value.blank)
  }
  if (Array.isArray(value)) {
    const items = value as readonly (string | Parts)[]
    return question?.kind === 'ranked choice'
      ? items.map((item, index) => `${index + 1}. ${chosenWords(question, String(item))}`).join(' ')
      : items
          .map((item) => (typeof item === 'string' ? chosenWords(question, item) : recordWords(question, item)))
          .join(question?.kind === 'records' || question?.kind === 'languages' ? '; ' : ', ')
  }
  const parts = value as Parts
  const order = addressParts.filter((part) => parts[part])
  return [...order].map((part) => parts[part]).join(', ')
}

const textWords = (question: Question | undefined, value: string): string =>
  question ? wordsByKind[question.kind](value, question) : value

const asItIs = (value: string) => value

/** How an answer that is text is written for people, by the kind of its question. */
const wordsByKind: Record<QuestionKind, (value: string, question: Question) => string> = {
  text: asItIs,
  'long text': asItIs,
  number: (value, question) => (question.unit ? `${value} ${translated(question).unit}` : value),
  money: (value, { unit }) =>
    `${(Number(value) / 100).toLocaleString(spokenLocale(), { minimumFractionDigits: 2 })} ${unit ?? 'EUR'}`,
  date: writeWhen,
  'partial date': writeWhen,
  'yes or no': (value) => (value === 'yes' ? say('form.yes') : say('form.no')),
  'one of': (value, question) => optionWords(question, value),
  'several of': asItIs,
  'ranked choice': asItIs,
  country: asItIs,
  'country and region': asItIs,
  address: asItIs,
  phone: asItIs,
  mail: asItIs,
  link: asItIs,
  'identity number': (value) => masked(value),
  document: asItIs,
  declaration: () => say('form.agreed'),
  records: asItIs,
  languages: asItIs,
  recipients: asItIs,
}

const chosenWords = (question: Question | undefined, option: string) =>
  question ? optionWords(question, option) : option

/** All but the last three characters hidden; short numbers wholly. */
export const masked = (value: string) =>
  value.length > 5 ? '•'.repeat(value.length - 3) + value.slice(-3) : '•'.repeat(value.length)

const recordWords = (question: Question | undefined, record: Parts) =>
  (question ? partsOf(question) : [])
    .filter(({ key }) => record[key])
    .map((part) => textWords(part, record[part.key]!))
    .join(', ')

const ownParts = ['street', 'town', 'country', 'because', 'language', 'level'] as const

/** What a part of an answer is called: the house's own by a code, those of a record as they were written. */
function partWords(part: string): string {
  const own = ownParts.find((known) => known === part)
  return own ? say(`form.part.${own}`) : part
}

/** What is wrong with an answer, and how to put it right. */
export function answerFaultWords(fault: AnswerFault): string {
  switch (fault.code) {
    case 'too-long':
      return say('form.fault.too-long', { limit: fault.limit })
    case 'not-a-link':
      return say('form.fault.not-a-link')
    case 'not-a-mail-address':
      return say('form.fault.not-a-mail-address')
    case 'not-a-phone-number':
      return say('form.fault.not-a-phone-number')
    case 'not-a-date':
      return say('form.fault.not-a-date')
    case 'not-an-option':
      return say('form.fault.not-an-option')
    case 'not-a-number':
      return say('form.fault.not-a-number')
    case 'too-small':
      return say('form.fault.too-small', { least: fault.least })
    case 'too-large':
      return say('form.fault.too-large', { most: fault.most })
    case 'too-many':
      return say('form.fault.too-many', { most: fault.most })
    case 'named-twice':
      return say('form.fault.named-twice')
    case 'part-missing':
      return say('form.fault.part-missing', { part: partWords(fault.part) })
    case 'blank-not-allowed':
      return say('form.fault.blank-not-allowed')
    case 'wrong-shape':
      return say('form.fault.wrong-shape')
  }
}
