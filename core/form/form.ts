import type { Condition } from '../conditions/condition'
import type { Recipient } from '../recipients/choice'
import type { ClaimKind } from '../requirements/claimKind'
import type { Requirement } from '../requirements/requirement'
import type { Translations } from '../words/translations'

export const questionKinds = [
  'text',
  'long text',
  'number',
  'money',
  'date',
  'partial date',
  'yes or no',
  'one of',
  'several of',
  'ranked choice',
  'country',
  'country and region',
  'address',
  'phone',
  'mail',
  'link',
  'identity number',
  'document',
  'declaration',
  'records',
  'languages',
  'recipients',
] as const
export type QuestionKind = (typeof questionKinds)[number]

/** Answers that say honestly that there is none: nobody has to invent a value to get past a question. */
export const blanks = ['unknown', 'does not apply', 'does not expire', 'present'] as const
export type Blank = (typeof blanks)[number]

export type Question = {
  key: string
  label: string
  kind: QuestionKind
  required: boolean
  help?: string
  /** Asked only while this holds. */
  when?: Condition
  /** What may be chosen: one of, several of, ranked choice. */
  options?: readonly string[]
  /** What there is to know of a choice, by the choice; shown where it is made. */
  about?: Readonly<Record<string, string>>
  /** How many may be ranked. */
  rankUpTo?: number
  /** Longest answer in characters. */
  limit?: number
  /** Smallest and largest number; in whole units of the currency for money. */
  least?: number
  most?: number
  /** What a number counts, or the currency of money (ISO 4217). */
  unit?: string
  /** The answer that asks for an explanation, kept under `${key}.because`. */
  explain?: 'yes' | 'no'
  /** The answer that asks for a document. */
  paper?: 'yes' | 'no'
  /** What kind of document is asked for, by its key in the catalogue. */
  documentKind?: string
  /** The document asked for is a video of at most so many seconds. */
  videoSeconds?: number
  /** The honest blanks that may stand instead of an answer. */
  blanks?: readonly Blank[]
  /** Roles that may read the answer; absent means everybody at the desk. */
  seenBy?: readonly string[]
  /** A written answer that is read also where names are hidden; it asks to leave the name out. */
  nameless?: true
  /** The bodies outside of which some may be chosen to receive what is proven. */
  recipients?: readonly Recipient[]
  /** What each record of a list of records asks; plain kinds only. */
  parts?: readonly Question[]
  /** An address is asked with its street. */
  street?: true
  /** The answer will be read by everybody, in a register or a list; that is said where it is given. */
  public?: true
  /** What the browser may fill in (HTML autocomplete token). */
  fill?: string
  /** Its words in other languages; options in the same order. */
  translations?: Translations<'label' | 'help' | 'unit', 'options'>
}

export const sectionHolds = [
  'questions',
  'study',
  'work',
  'credentials',
  'identity',
  'vouching',
  'equality',
  'permission',
  'send',
] as const

export type Section = {
  key: string
  title: string
  /** The question the section puts, as its heading. */
  heading: string
  intro: string
  holds: (typeof sectionHolds)[number]
  questions: readonly Question[]
  /** Asked only while this holds. */
  when?: Condition
  /** The section of the common library this one is a copy of, and which version of it. */
  shared?: { key: string; version: number }
  translations?: Translations<'title' | 'heading' | 'intro'>
}

export type Form = readonly Section[]

/** A question of a form asks for its answer before sending; so does the explanation or the document a given answer needs. */
export function answerRequirements(form: Form): Requirement[] {
  return form.flatMap((section) =>
    (section.holds === 'equality' ? [] : section.questions).flatMap((question) => {
      const while_ = (...conditions: (Condition | undefined)[]) => bothOf(section.when, question.when, ...conditions)
      const asked: Requirement = {
        key: `answer:${question.key}`,
        title: question.label,
        ...(question.translations ? { translations: titlesFrom(question.translations) } : {}),
        why: '',
        gate: 'send',
        asks: asksFor(question),
        rung: 'claimed',
        ...(question.kind === 'document' ? { paper: true } : {}),
        when: while_(),
        waivableBy: [],
      }
      const because: Requirement = {
        ...asked,
        key: `answer:${becauseKey(question.key)}`,
        part: 'because',
        asks: { kind: 'answer', question: becauseKey(question.key) },
        when: while_({ fact: question.key, is: question.explain ?? '' }),
      }
      const paper: Requirement = {
        ...asked,
        key: `paper:${question.key}`,
        part: 'document',
        asks: { kind: 'document', question: question.key },
        paper: true,
        when: while_({ fact: question.key, is: question.paper ?? '' }),
      }
      return [
        ...(question.required || question.kind === 'recipients' ? [asked] : []),
        ...(question.explain ? [because] : []),
        ...(question.paper ? [paper] : []),
      ]
    }),
  )
}

/** Whoever may be chosen has to be open to who chooses, and allowed to be told, also where nobody has to be chosen. */
function asksFor({ key: question, kind, required, recipients = [] }: Question): Requirement['asks'] {
  if (kind === 'document') return { kind: 'document', question }
  return kind === 'recipients' ? { kind: 'recipients', question, required, recipients } : { kind: 'answer', question }
}

/** What can be chosen where a question offers something to choose. */
export const choicesOf = ({ kind, options = [], recipients = [] }: Question): readonly string[] =>
  kind === 'recipients' ? recipients.map(({ key }) => key) : options

/** What a question is called is what its requirement is called. */
export const titlesFrom = (translations: Question['translations'] = {}): Requirement['translations'] =>
  Object.fromEntries(
    Object.entries(translations).flatMap(([language, { label }]) => (label ? [[language, { title: label }]] : [])),
  )

function bothOf(...conditions: (Condition | undefined)[]): Condition | undefined {
  const given = conditions.filter((condition) => condition !== undefined)
  return given.length > 1 ? { all: given } : given[0]
}

/** The questions whose answers belong to the application; the voluntary ones are answered apart from it. */
export const questionsOf = (form: Form): Question[] =>
  form.flatMap(({ holds, questions }) => (holds === 'equality' ? [] : questions))

export const becauseKey = (question: string) => `${question}.because`

/** The question a key belongs to, also where it is the key of an explanation. */
export const questionKeyOf = (key: string) => key.replace(/\.because$/, '')

/** Which claims each section of a form holds. */
export const claimsIn: Partial<Record<Section['holds'], readonly ClaimKind[]>> = {
  study: ['study'],
  work: ['work', 'residence'],
  credentials: ['licence', 'certificate', 'language', 'attestation'],
  identity: ['identity'],
}

/** The section where a requirement is settled, or `undefined` where that is not in the form (a check, an offer, a task). */
export function sectionOf(form: Form, requirement: Requirement): Section | undefined {
  const { asks } = requirement
  if ('question' in asks) {
    const key = questionKeyOf(asks.question)
    return form.find(({ questions }) => questions.some((question) => question.key === key))
  }
  const holds = (
    {
      study: 'study',
      credential: 'credentials',
      language: 'credentials',
      history: 'work',
      experience: 'work',
      'every work entry': 'work',
      reference: 'work',
      identity: 'identity',
      vouching: 'vouching',
      permission: 'permission',
    } as Partial<Record<typeof asks.kind, Section['holds']>>
  )[asks.kind]
  return form.find((section) =>
    asks.kind === 'source condition' ? claimsIn[section.holds]?.includes(asks.of) : section.holds === holds,
  )
}
