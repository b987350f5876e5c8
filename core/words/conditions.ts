import type { Comparison, Condition } from '../conditions/condition'
import type { ConditionFault } from '../conditions/faults'
import type { KnownFact, Operator } from '../conditions/vocabulary'
import { writeWhen } from '../dates/write'
import { say } from './say'

export const operatorWords: Record<Operator, string> = {
  is: 'is',
  oneOf: 'is one of',
  atLeast: 'is at least',
  atMost: 'is at most',
  holds: 'include',
  onOrBefore: 'is on or before',
  onOrAfter: 'is on or after',
}

/** A condition as half a sentence, to stand behind "if": `May you drive? is yes, and months of work in all is at least 24`. */
export function conditionWords(condition: Condition, known: readonly KnownFact[]): string {
  return words(condition, known, false)
}

function words(condition: Condition, known: readonly KnownFact[], inner: boolean): string {
  if ('fact' in condition) return comparisonWords(condition, known)
  const [parts, joint, lead] =
    'all' in condition
      ? ([condition.all, say(' and '), ''] as const)
      : 'any' in condition
        ? ([condition.any, say(' or '), ''] as const)
        : ([condition.none, say(' or '), say('neither holds: ')] as const)
  if (parts.length === 0) return 'all' in condition || 'none' in condition ? say('always') : say('never')
  const text = parts.map((part) => words(part, known, parts.length > 1)).join(joint)
  const plain = lead === '' && (parts.length === 1 || !inner)
  return plain ? text : `(${lead}${text})`
}

function comparisonWords(comparison: Comparison, known: readonly KnownFact[]): string {
  const fact = known.find(({ name }) => name === comparison.fact)
  const label = fact ? `“${say(fact.label).replace(/[?:.]$/, '')}”` : `“${comparison.fact}”`
  const named = (value: string | number | boolean) =>
    say(fact?.options?.find((option) => option.value === String(value))?.label ?? String(value))
  if ('is' in comparison) return say('{{label}} is {{is}}', { label, is: named(comparison.is) })
  if ('oneOf' in comparison)
    return say('{{label}} is {{values}}', { label, values: comparison.oneOf.map(named).join(say(' or ')) })
  if ('atLeast' in comparison)
    return say('{{label}} is at least {{atLeast}}', { label, atLeast: named(comparison.atLeast) })
  if ('atMost' in comparison) return say('{{label}} is at most {{atMost}}', { label, atMost: named(comparison.atMost) })
  if ('holds' in comparison) return say('{{label}} include {{holds}}', { label, holds: named(comparison.holds) })
  if ('onOrBefore' in comparison)
    return say('{{label}} is on or before {{onOrBefore}}', { label, onOrBefore: writeWhen(comparison.onOrBefore) })
  return say('{{label}} is on or after {{onOrAfter}}', { label, onOrAfter: writeWhen(comparison.onOrAfter) })
}

/** What is wrong with a condition, and how to put it right. */
export function conditionFaultWords(fault: ConditionFault, known: readonly KnownFact[]): string {
  const labelOf = (name: string) => known.find((fact) => fact.name === name)?.label ?? name
  switch (fault.code) {
    case 'unknown-fact':
      return `The condition looks at “${fault.fact}”, which is not asked here. Choose a question that is.`
    case 'unfit-comparison':
      return `“${labelOf(fault.fact)}” cannot be compared like that. Choose the comparison again.`
    case 'unknown-option':
      return `“${labelOf(fault.fact)}” never has the value “${fault.option}”. Choose one it can have.`
    case 'asked-later':
      return `The condition looks at “${labelOf(fault.fact)}”, which is asked later. Move that question up, or choose an earlier one.`
    case 'never-holds':
      return 'The condition can never hold, whatever is answered. Take one part out.'
    case 'always-holds':
      return 'The condition always holds, whatever is answered. It can be left out.'
  }
}
