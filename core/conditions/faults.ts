import type { Comparison, Condition } from './condition'
import { outcomesOf } from './outcomes'
import { domainsOf, type KnownFact, operatorOf, operatorsOf } from './vocabulary'

export type ConditionFault =
  | { code: 'unknown-fact'; fact: string }
  | { code: 'unfit-comparison'; fact: string }
  | { code: 'unknown-option'; fact: string; option: string }
  /** It is looked at before it has been asked. */
  | { code: 'asked-later'; fact: string }
  | { code: 'never-holds' }
  | { code: 'always-holds' }

/**
 * What is wrong with a condition before anybody has answered anything.
 *
 * @param known everything it may look at
 * @param place the place in the form of what it decides on; facts at or after it are asked too late. Absent where all
 *   of the form has been answered by then
 */
export function faultsOfCondition(condition: Condition, known: readonly KnownFact[], place?: number): ConditionFault[] {
  const byName = new Map(known.map((fact) => [fact.name, fact]))
  const faults = comparisonsOf(condition).flatMap((comparison): ConditionFault[] => {
    const fact = byName.get(comparison.fact)
    if (!fact) return [{ code: 'unknown-fact', fact: comparison.fact }]
    if (!operatorsOf[fact.kind].includes(operatorOf(comparison))) return [{ code: 'unfit-comparison', fact: fact.name }]
    const later = place !== undefined && fact.place >= place ? [{ code: 'asked-later' as const, fact: fact.name }] : []
    return [...later, ...unknownOptions(comparison, fact)]
  })
  if (faults.length > 0) return unique(faults)
  const outcomes = outcomesOf(condition, {}, domainsOf(known))
  if (outcomes?.canHold === false) return [{ code: 'never-holds' }]
  return outcomes?.canFail === false ? [{ code: 'always-holds' }] : []
}

function unknownOptions(comparison: Comparison, { name, kind, options, blanks = [] }: KnownFact): ConditionFault[] {
  if (!options || kind === 'number') return []
  const named =
    'is' in comparison
      ? [String(comparison.is)]
      : 'oneOf' in comparison
        ? comparison.oneOf.map(String)
        : 'holds' in comparison
          ? [comparison.holds]
          : []
  return named
    .filter((value) => !blanks.includes(value) && !options.includes(value))
    .map((option) => ({ code: 'unknown-option', fact: name, option }))
}

export function comparisonsOf(condition: Condition): Comparison[] {
  if ('fact' in condition) return [condition]
  const parts = 'all' in condition ? condition.all : 'any' in condition ? condition.any : condition.none
  return parts.flatMap(comparisonsOf)
}

/**
 * Circles in "is asked only if": each as the keys on the way round, from the one that comes first.
 *
 * @param dependsOn for each key the keys its condition looks at
 */
export function circlesIn(dependsOn: ReadonlyMap<string, readonly string[]>): string[][] {
  const circles: string[][] = []
  const settled = new Set<string>()
  const walk = (key: string, way: readonly string[]) => {
    const at = way.indexOf(key)
    if (at >= 0) {
      circles.push(way.slice(at))
      return
    }
    if (settled.has(key)) return
    for (const next of dependsOn.get(key) ?? []) walk(next, [...way, key])
    settled.add(key)
  }
  for (const key of dependsOn.keys()) walk(key, [])
  return circles
}

function unique<T>(values: readonly T[]): T[] {
  const seen = new Set<string>()
  return values.filter((value) => {
    const written = JSON.stringify(value)
    return seen.has(written) ? false : seen.add(written)
  })
}
