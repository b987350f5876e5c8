import { catalogue, type Named, offered } from '../catalogue/catalogue'
import { cefrLevels } from '../catalogue/cefr'
import type { FeeFact } from '../fees/schedule'
import { choicesOf, type Form, type Question } from '../form/form'
import type { Comparison } from './condition'
import type { Domains } from './outcomes'

/** What conditions may ask of a file beyond its answers, by name. They are known at any time, months of work within bounds. */
const fileFactNames = [
  'file.studyLevel',
  'file.studyFields',
  'file.accreditedFields',
  'file.credentials',
  'file.workMonths',
  'file.workTags',
  'file.checksPassed',
] as const
export type FileFactName = (typeof fileFactNames)[number]

export type FactKind = 'yes or no' | 'choice' | 'choices' | 'number' | 'date' | 'text'

/** What a fact tells of: a question of the form or a part of its answer, or the file; words are made from it. */
export type FactOf =
  | { question: Question; part?: 'howMany' | 'country' | 'region' }
  | { question: Question; language: string }
  | { file: FileFactName; titles?: Readonly<Record<string, string>> }
  /** What is asked for a fee alone, or how it is paid; only schedules of fees look at it. */
  | { fee: FeeFact }
  | { means: true }

/** Something a condition may look at, and what it can be compared with. */
export type KnownFact = {
  name: string
  of: FactOf
  kind: FactKind
  /** The values it can have, where that is known. */
  options?: readonly string[]
  /** Those of them that are offered to choose, where others stay only for what was chosen before. */
  offered?: readonly string[]
  /** A number without fractions. */
  whole?: boolean
  /** Honest blanks that may stand instead and are facts of their own. */
  blanks?: readonly string[]
  /** The question of the form it comes from, and its place there; facts of the file come from none. */
  question?: string
  place: number
}

export type Operator = 'is' | 'oneOf' | 'atLeast' | 'atMost' | 'holds' | 'onOrBefore' | 'onOrAfter'

/** Which comparisons fit which kind of fact; the first is the one to begin with. */
export const operatorsOf: Record<FactKind, readonly Operator[]> = {
  'yes or no': ['is'],
  choice: ['is', 'oneOf'],
  choices: ['holds'],
  number: ['atLeast', 'atMost', 'is'],
  date: ['onOrBefore', 'onOrAfter'],
  text: ['is', 'oneOf'],
}

export const operatorOf = (comparison: Comparison): Operator =>
  (['is', 'oneOf', 'atLeast', 'atMost', 'holds', 'onOrBefore', 'onOrAfter'] as const).find(
    (operator) => operator in comparison,
  )!

/** The facts of the file itself. `checks` are the skills checks there are, by key and title. */
function factsOfTheFile(checks: Readonly<Record<string, string>>): KnownFact[] {
  const keys = (things: readonly { key: string }[]) => things.map(({ key }) => key)
  const of = (things: readonly Named[]) => ({ options: keys(things), offered: keys(offered(things)) })
  const fields = of(catalogue().fields)
  const described: Record<FileFactName, Pick<KnownFact, 'kind' | 'options' | 'offered' | 'whole'>> = {
    'file.studyLevel': { kind: 'number', whole: true, ...of(catalogue().levels) },
    'file.studyFields': { kind: 'choices', ...fields },
    'file.accreditedFields': { kind: 'choices', ...fields },
    'file.credentials': { kind: 'choices', ...of(catalogue().credentials) },
    'file.workMonths': { kind: 'number', whole: true },
    'file.workTags': { kind: 'choices' },
    'file.checksPassed': { kind: 'choices', options: Object.keys(checks) },
  }
  return fileFactNames.map((name) => ({ name, of: { file: name, titles: checks }, place: -1, ...described[name] }))
}

/** Everything conditions of a form and its requirements may look at: the answers in the order they are asked, and the file. */
export function knownFacts(form: Form, checks: Readonly<Record<string, string>> = {}): KnownFact[] {
  const questions = form.flatMap((section) => section.questions)
  return [
    ...questions.flatMap((question, place) =>
      factsOfQuestion(question).map((fact) => ({ ...fact, ...blanksOf(question), question: question.key, place })),
    ),
    ...factsOfTheFile(checks),
  ]
}

/** "I don't know" leaves a fact open; the other blanks are facts by their own name. */
const blanksOf = ({ blanks = [] }: Question) => {
  const said = blanks.filter((blank) => blank !== 'unknown')
  return said.length > 0 ? { blanks: said } : {}
}

/** What each fact can be, for conditions to be judged by. */
export function domainsOf(known: readonly KnownFact[]): Domains {
  return new Map(
    known.map(({ name, kind, options, whole, blanks }) => [
      name,
      {
        ...(options && (kind === 'choice' || kind === 'yes or no') ? { values: options } : {}),
        ...(whole ? { whole } : {}),
        ...(blanks ? { blanks } : {}),
      },
    ]),
  )
}

function factsOfQuestion(question: Question): Omit<KnownFact, 'place'>[] {
  const { key, kind, options = [] } = question
  const fact = { name: key, of: { question } }
  switch (kind) {
    case 'yes or no':
      return [{ ...fact, kind: 'yes or no', options: ['yes', 'no'] }]
    case 'declaration':
      return [{ ...fact, kind: 'choice', options: ['agreed'] }]
    case 'one of':
      return [{ ...fact, kind: 'choice', options }]
    case 'recipients':
      return [{ ...fact, kind: 'choices', options: choicesOf(question) }]
    case 'several of':
    case 'ranked choice':
      return [{ ...fact, kind: 'choices', options }]
    case 'number':
    case 'money':
      return [{ ...fact, kind: 'number' }]
    case 'records':
      return [{ name: key, of: { question, part: 'howMany' }, kind: 'number', whole: true }]
    case 'languages':
      return catalogue().languages.map((language) => ({
        name: `${key}.${language.key}`,
        of: { question, language: language.key },
        kind: 'number',
        whole: true,
        options: ['0', ...cefrLevels.map((_, nth) => String(nth + 1))],
      }))
    case 'date':
    case 'partial date':
      return [{ ...fact, kind: 'date' }]
    case 'address':
    case 'country and region':
      return (['country', 'region'] as const).map((part) => ({
        name: `${key}.${part}`,
        of: { question, part },
        kind: 'text',
      }))
    case 'document':
    case 'identity number':
    case 'link':
      return []
    case 'text':
    case 'long text':
    case 'country':
    case 'phone':
    case 'mail':
      return [{ ...fact, kind: 'text' }]
  }
}
