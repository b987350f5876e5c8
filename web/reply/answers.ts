import type { DraftReply, EnquiryReply, FieldReply } from '#contract/reply'
import { readTyped } from '#core/dates/write'
import type { Question } from './question'

export type Standing = NonNullable<EnquiryReply['standing']>

/** An answer as it is being filled in. */
export type Answer = {
  known: boolean
  fields: Record<string, { says?: FieldReply['says']; value: string }>
  standing: { state?: Standing['state']; from: string; through: string }
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
    standing: { state: standing?.state, from: standing?.from ?? '', through: standing?.through ?? '' },
  }
}

export const isComplete = (field: Answer['fields'][string] | undefined) =>
  Boolean(field?.says) && (field?.says !== 'differs' || field.value.trim() !== '')

export const datesOf = ({ fields }: Question) =>
  new Set<string>(fields.filter(({ kind }) => kind === 'date').map(({ key }) => key))

/** Dates are sent in their ISO form where they can be read; anything else goes as it was written. */
function fieldOf({ says, value }: Answer['fields'][string], isDate: boolean): FieldReply | undefined {
  if (says !== 'differs') return says && { says }
  const typed = (isDate && readTyped(value)) || value.trim()
  return typed ? { says, value: typed } : undefined
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
  const { state, from, through } = standing
  return {
    ...{ known, fields, note, respondent, capacity },
    ...(state ? { standing: { state, ...(from ? { from } : {}), ...(through ? { through } : {}) } } : {}),
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
