import type { Form, Question } from '../form/form'
import { credentialKinds, studyFields, studyLevels } from '../requirements/catalogue'
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

/** Something a condition may look at, and what it can be compared with. */
export type KnownFact = {
  name: string
  label: string
  kind: FactKind
  /** The values it can have, where that is known. */
  options?: readonly { value: string; label: string }[]
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

const named = (names: readonly string[]) => names.map((value) => ({ value, label: value }))
const yesOrNo = [
  { value: 'yes', label: 'yes' },
  { value: 'no', label: 'no' },
]

/** The facts of the file itself. `checks` are the skills checks there are, by key and title. */
function factsOfTheFile(checks: Readonly<Record<string, string>>): KnownFact[] {
  const fields = Object.entries(studyFields).map(([value, label]) => ({ value, label }))
  const described: Record<FileFactName, Pick<KnownFact, 'label' | 'kind' | 'options' | 'whole'>> = {
    'file.studyLevel': {
      label: 'highest level of study',
      kind: 'number',
      whole: true,
      options: Object.entries(studyLevels).map(([value, label]) => ({ value, label })),
    },
    'file.studyFields': { label: 'fields of study', kind: 'choices', options: fields },
    'file.accreditedFields': { label: 'fields of accredited programmes', kind: 'choices', options: fields },
    'file.credentials': {
      label: 'licences and certificates',
      kind: 'choices',
      options: credentialKinds.map(({ key, name }) => ({ value: key, label: name })),
    },
    'file.workMonths': { label: 'months of work in all', kind: 'number', whole: true },
    'file.workTags': { label: 'kinds of work done', kind: 'choices' },
    'file.checksPassed': {
      label: 'skills checks passed',
      kind: 'choices',
      options: Object.entries(checks).map(([value, label]) => ({ value, label })),
    },
  }
  return fileFactNames.map((name) => ({ name, place: -1, ...described[name] }))
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
        ...(options && (kind === 'choice' || kind === 'yes or no')
          ? { values: options.map(({ value }) => value) }
          : {}),
        ...(whole ? { whole } : {}),
        ...(blanks ? { blanks } : {}),
      },
    ]),
  )
}

function factsOfQuestion({ key, kind, label, options = [] }: Question): Omit<KnownFact, 'place'>[] {
  switch (kind) {
    case 'yes or no':
      return [{ name: key, label, kind: 'yes or no', options: yesOrNo }]
    case 'declaration':
      return [{ name: key, label, kind: 'choice', options: [{ value: 'agreed', label: 'agreed' }] }]
    case 'one of':
      return [{ name: key, label, kind: 'choice', options: named(options) }]
    case 'several of':
    case 'ranked choice':
      return [{ name: key, label, kind: 'choices', options: named(options) }]
    case 'number':
    case 'money':
      return [{ name: key, label, kind: 'number' }]
    case 'records':
      return [{ name: key, label: `${label}: how many`, kind: 'number', whole: true }]
    case 'date':
    case 'partial date':
      return [{ name: key, label, kind: 'date' }]
    case 'address':
    case 'country and region':
      return [
        { name: `${key}.country`, label: `${label}: country`, kind: 'text' },
        { name: `${key}.region`, label: `${label}: region`, kind: 'text' },
      ]
    case 'document':
    case 'identity number':
      return []
    default:
      return [{ name: key, label, kind: 'text' }]
  }
}
