import type { Comparison, Condition } from '../conditions/condition'
import type { ConditionFault } from '../conditions/faults'
import type { KnownFact, Operator } from '../conditions/vocabulary'
import { writeWhen } from '../dates/write'
import { factLabel, factOptionLabel } from './facts'
import { say } from './say'

export const operatorWords = (operator: Operator): string => say(`condition.operator.${operator}`)

/** A condition as half a sentence, to stand behind "if": `May you drive? is yes, and months of work in all is at least 24`. */
export function conditionWords(condition: Condition, known: readonly KnownFact[]): string {
  return words(condition, known, false)
}

function words(condition: Condition, known: readonly KnownFact[], inner: boolean): string {
  if ('fact' in condition) return comparisonWords(condition, known)
  const [parts, joint, lead] =
    'all' in condition
      ? ([condition.all, say('condition.and'), ''] as const)
      : 'any' in condition
        ? ([condition.any, say('condition.or'), ''] as const)
        : ([condition.none, say('condition.or'), say('condition.neither')] as const)
  if (parts.length === 0) return say('all' in condition || 'none' in condition ? 'condition.always' : 'condition.never')
  const text = parts.map((part) => words(part, known, parts.length > 1)).join(joint)
  const plain = lead === '' && (parts.length === 1 || !inner)
  return plain ? text : `(${lead}${text})`
}

function comparisonWords(comparison: Comparison, known: readonly KnownFact[]): string {
  const fact = known.find(({ name }) => name === comparison.fact)
  const label = `“${fact ? factLabel(fact).replace(/[?:.]$/, '') : comparison.fact}”`
  const named = (value: string | number | boolean) => factOptionLabel(fact, String(value))
  if ('is' in comparison) return say('condition.is', { label, is: named(comparison.is) })
  if ('oneOf' in comparison)
    return say('condition.oneOf', { label, values: comparison.oneOf.map(named).join(say('condition.or')) })
  if ('atLeast' in comparison) return say('condition.atLeast', { label, atLeast: named(comparison.atLeast) })
  if ('atMost' in comparison) return say('condition.atMost', { label, atMost: named(comparison.atMost) })
  if ('holds' in comparison) return say('condition.holds', { label, holds: named(comparison.holds) })
  if ('onOrBefore' in comparison)
    return say('condition.onOrBefore', { label, onOrBefore: writeWhen(comparison.onOrBefore) })
  return say('condition.onOrAfter', { label, onOrAfter: writeWhen(comparison.onOrAfter) })
}

/** What is wrong with a condition, and how to put it right. */
export function conditionFaultWords(fault: ConditionFault, known: readonly KnownFact[]): string {
  const labelOf = (name: string) => {
    const fact = known.find((candidate) => candidate.name === name)
    return fact ? factLabel(fact) : name
  }
  switch (fault.code) {
    case 'unknown-fact':
      return say('condition.fault.unknown-fact', { fact: fault.fact })
    case 'unknown-option':
      return say('condition.fault.unknown-option', { fact: labelOf(fault.fact), option: fault.option })
    case 'unfit-comparison':
    case 'asked-later':
      return say(`condition.fault.${fault.code}`, { fact: labelOf(fault.fact) })
    case 'never-holds':
    case 'always-holds':
      return say(`condition.fault.${fault.code}`)
  }
}
