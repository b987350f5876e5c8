import type { Written } from '#contract/plainReply'
import type { DraftReply, EnquiryReply, FieldReply } from '#contract/reply'
import { readTyped } from '#core/dates/write'
import { againSaid, hoursSaid } from '#core/enquiries/asks'
import type { Question } from './question'

export type Standing = NonNullable<EnquiryReply['standing']>
export const fieldWords = ['agrees', 'differs', 'cannot say'] as const satisfies readonly FieldReply['says'][]
export const standings = ['good', 'restricted', 'suspended', 'revoked'] as const satisfies readonly Standing['state'][]

/** On which terms a licence can be restricted. */
export const terms = [
  'supervised',
  'not alone',
  'not at night',
  'listed places',
  'listed equipment',
] as const satisfies NonNullable<Standing['terms']>

/** An answer as it is being filled in. */
export type Answer = {
  known: boolean
  fields: Record<string, { says?: FieldReply['says']; value: string }>
  standing: {
    state?: Standing['state']
    from: string
    through: string
    terms: NonNullable<Standing['terms']>
    termsSaid: string
  }
  hours?: EnquiryReply['hours']
  again?: EnquiryReply['again']
  note: string
  respondent: string
  capacity: string
}

/** What was filled in before, by the same link. */
export function answerOf({ draft }: Question): Answer {
  const { known = true, fields = {}, standing, hours, again, note = '', respondent = '', capacity = '' } = draft ?? {}
  return {
    ...{ known, note, respondent, capacity, hours, again },
    fields: Object.fromEntries(
      Object.entries(fields).map(([key, field]) => [
        key,
        { says: field.says, value: field.says === 'differs' ? field.value : '' },
      ]),
    ),
    standing: {
      ...{ state: standing?.state, from: standing?.from ?? '', through: standing?.through ?? '' },
      ...{ terms: standing?.terms ?? [], termsSaid: standing?.termsSaid ?? '' },
    },
  }
}

export const isComplete = (field: Answer['fields'][string] | undefined) =>
  Boolean(field?.says) && (field?.says !== 'differs' || field.value.trim() !== '')

export const hasAuthor = ({ respondent }: Answer) => respondent.trim().length >= 2

/** Everything that was asked is right. */
export const allRight = ({ fields }: Question): Answer['fields'] =>
  Object.fromEntries(fields.map(({ key }) => [key, { says: 'agrees' as const, value: '' }]))

/** Whether nothing that is needed is missing. */
export const isReady = ({ fields, asks }: Question, answer: Answer) =>
  hasAuthor(answer) &&
  (!answer.known ||
    (fields.every(({ key }) => isComplete(answer.fields[key])) && (!asks.standing || Boolean(answer.standing.state))))

export const datesOf = ({ fields }: Question) =>
  new Set<string>(fields.filter(({ kind }) => kind === 'date').map(({ key }) => key))

/** Dates are sent in their ISO form where they can be read; anything else goes as it was written. */
function fieldOf({ says, value }: Answer['fields'][string], isDate: boolean): FieldReply | undefined {
  if (says !== 'differs') return says && { says }
  const typed = (isDate && readTyped(value)) || value.trim()
  return typed ? { says, value: typed } : undefined
}

/** What was written into the form of the page without script; a value without a word beside it is one that is not so. */
export function answerOfForm(question: Question, written: Written): Answer {
  const text = (name: string) => (written[name] ?? '').trim()
  const day = (name: string) => readTyped(text(name)) ?? text(name)
  const one = <V extends string>(among: readonly V[], name: string) => among.find((value) => value === written[name])
  const saidOf = (key: string) => one(fieldWords, `says ${key}`) ?? (text(`value ${key}`) ? 'differs' : undefined)
  return {
    known: written.unknown === undefined,
    fields:
      written.act === 'all right'
        ? allRight(question)
        : Object.fromEntries(
            question.fields.map(({ key }) => [key, { says: saidOf(key), value: text(`value ${key}`) }]),
          ),
    standing: {
      ...{ state: one(standings, 'standing'), from: day('standing from'), through: day('standing through') },
      terms: terms.filter((term) => written[`term ${term}`] !== undefined),
      termsSaid: text('terms said'),
    },
    hours: one(hoursSaid, 'hours'),
    again: one(againSaid, 'again'),
    ...{ note: text('note'), respondent: text('respondent'), capacity: text('capacity') },
  }
}

/** As much of the answer as there is. */
export function draftOf(question: Question, answer: Answer): DraftReply {
  const dates = datesOf(question)
  const { known, standing, hours, again, note, respondent, capacity } = answer
  const fields = Object.fromEntries(
    Object.entries(answer.fields).flatMap(([key, field]) => {
      const said = fieldOf(field, dates.has(key))
      return said ? [[key, said] as const] : []
    }),
  )
  const { state, from, through, termsSaid } = standing
  // Terms are those of a restriction.
  const onTerms = state === 'restricted' && {
    ...(standing.terms.length > 0 ? { terms: standing.terms } : {}),
    ...(termsSaid.trim() ? { termsSaid: termsSaid.trim() } : {}),
  }
  return {
    ...{ known, fields, note, respondent, capacity },
    ...(state ? { standing: { state, ...(from ? { from } : {}), ...(through ? { through } : {}), ...onTerms } } : {}),
    ...(hours ? { hours } : {}),
    ...(again ? { again } : {}),
  }
}

/** The answer as it is sent; what was not asked, or of somebody unknown, is left out. */
export function replyOf(question: Question, answer: Answer): EnquiryReply {
  const { standing, hours, again, fields = {}, ...rest } = draftOf(question, answer)
  const { known } = answer
  const { asks } = question
  return {
    ...{ note: '', respondent: '', capacity: '', ...rest, known, fields: known ? fields : {} },
    ...(known && asks.standing && standing ? { standing } : {}),
    ...(known && asks.hours && hours ? { hours } : {}),
    ...(known && asks.again && again ? { again } : {}),
  }
}
