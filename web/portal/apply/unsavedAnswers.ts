import { type AnswerFault, type Answers, type AnswerValue, faultOf } from '#core/form/answer'
import { type Form, questionsOf } from '#core/form/form'
import type { Waiting } from '../keep'

/**
 * What is typed and not saved yet, and what becomes of it: when it is saved, when another place has changed the same, and
 * when somebody has chosen between the two. Nothing typed is ever let go without having been saved or chosen against.
 */
export type Typed = Record<string, Waiting>

export const same = (a: AnswerValue | undefined, b: AnswerValue | undefined) =>
  JSON.stringify(a ?? '') === JSON.stringify(b ?? '')

export const valuesOf = (typed: Typed): Answers =>
  Object.fromEntries(Object.entries(typed).map(([key, { value }]) => [key, value]))

export const without = <T>(record: Record<string, T>, gone: (key: string, value: T) => boolean): Record<string, T> =>
  Object.fromEntries(Object.entries(record).filter(([key, value]) => !gone(key, value)))

/** An answer as it is typed now; what it was when somebody began to type is remembered. */
export const changed = (typed: Typed, key: string, value: AnswerValue, saved: Answers): Typed => ({
  ...typed,
  [key]: { value, basedOn: typed[key]?.basedOn ?? saved[key] ?? '' },
})

/** Answers that are not what they were when somebody began to type here, and not what is typed either: what they are now. */
function changedElsewhere(typed: Typed, saved: Answers): Record<string, AnswerValue> {
  return Object.fromEntries(
    Object.entries(typed).flatMap(([key, { value, basedOn }]) =>
      same(saved[key], basedOn) || same(saved[key], value) ? [] : [[key, saved[key] ?? '']],
    ),
  )
}

/** What is wrong with answers as they are typed, by their keys. */
function faultsIn(form: Form, typed: Typed): Record<string, AnswerFault> {
  const questions = new Map(questionsOf(form).map((question) => [question.key, question]))
  return Object.fromEntries(
    Object.entries(valuesOf(typed)).flatMap(([key, answer]) => {
      const question = questions.get(key)
      const fault = question && faultOf(question, answer)
      return fault ? [[key, fault]] : []
    }),
  )
}

/**
 * What of the typed can be saved now.
 *
 * @param saved what the server is known to hold
 * @param clashes what somebody has still to choose about; it waits, and so does what turns out to be changed elsewhere
 * @returns `changes` to send; `elsewhere` what is newly found changed; `wrong` what cannot be kept as it is, which stays
 *   here and holds nothing else up
 */
export function toSave(form: Form, typed: Typed, saved: Answers, clashes: Readonly<Record<string, AnswerValue>>) {
  const elsewhere = without(changedElsewhere(typed, saved), (key) => key in clashes)
  const wrong = faultsIn(form, typed)
  const changes = without(valuesOf(typed), (key) => key in elsewhere || key in clashes || key in wrong)
  return { changes, elsewhere, wrong }
}

/** What is left when changes were saved: what was typed meanwhile, based on what is saved now. */
export function afterSaving(typed: Typed, changes: Answers, saved: Answers): Typed {
  const left = without(typed, (key, { value }) => same(changes[key], value) && key in changes)
  return Object.fromEntries(
    Object.entries(left).map(([key, own]) => [key, key in changes ? { ...own, basedOn: saved[key] ?? '' } : own]),
  )
}

/**
 * What is left when somebody has chosen. What the server holds meanwhile and nobody has seen here is not chosen against: it
 * turns out as changed elsewhere once more.
 *
 * @param clash what was shown beside what is typed here
 * @param theirs what the server holds; another where it has changed once more, or where the clash is something an earlier
 *   window of this device had left behind
 */
export function settled(
  typed: Typed,
  key: string,
  { keep, clash, theirs }: { keep: 'mine' | 'theirs'; clash: AnswerValue; theirs: AnswerValue },
): Typed {
  const own = typed[key]
  if (!own) return typed
  const seen = same(clash, theirs)
  if (keep === 'theirs' && seen) return without(typed, (other) => other === key)
  const value = keep === 'mine' ? own.value : clash
  return { ...typed, [key]: { value, basedOn: seen ? theirs : own.basedOn } }
}
