import { type Comparison, type Condition, type Facts, type FactValue, factsOf, judge } from './condition'
import { type KnownFact, operatorOf, operatorsOf } from './vocabulary'

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
  if (canBe(condition, true, byName) === false) return [{ code: 'never-holds' }]
  if (canBe(condition, false, byName) === false) return [{ code: 'always-holds' }]
  return []
}

function unknownOptions(comparison: Comparison, { name, kind, options }: KnownFact): ConditionFault[] {
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
    .filter((value) => !options.some((option) => option.value === value))
    .map((option) => ({ code: 'unknown-option', fact: name, option }))
}

export function comparisonsOf(condition: Condition): Comparison[] {
  if ('fact' in condition) return [condition]
  const parts = 'all' in condition ? condition.all : 'any' in condition ? condition.any : condition.none
  return parts.flatMap(comparisonsOf)
}

/** Beyond this many looks the question is left open: better no verdict than a slow one. */
const mostLooks = 20_000

/**
 * Whether any answers make a condition true (or false): a search over one representative of every range of values the
 * comparisons tell apart, cut short wherever the three-valued logic already settles it.
 *
 * @returns `true` or `false`, or `undefined` where it would take too long to say
 */
function canBe(condition: Condition, wanted: boolean, known: ReadonlyMap<string, KnownFact>): boolean | undefined {
  const names = factsOf(condition)
  const comparisons = comparisonsOf(condition)
  const domains = names.map((name) =>
    representatives(
      comparisons.filter(({ fact }) => fact === name),
      known.get(name),
    ),
  )
  let looks = 0
  const search = (facts: Facts, depth: number): boolean | undefined => {
    looks += 1
    if (looks > mostLooks) return undefined
    const { truth } = judge(condition, facts)
    if (truth !== 'undecided') return truth === wanted
    if (depth === names.length) return false
    let open = false
    for (const value of domains[depth]!) {
      const found = search({ ...facts, [names[depth]!]: value }, depth + 1)
      if (found) return true
      if (found === undefined) open = true
    }
    return open ? undefined : false
  }
  return search({}, 0)
}

/** A text nobody would choose: stands for every value that no comparison names. */
const anythingElse = '\u0000else'

function representatives(comparisons: readonly Comparison[], fact: KnownFact | undefined): FactValue[] {
  if (fact?.kind === 'number') {
    const bounds = comparisons.flatMap((comparison) =>
      'atLeast' in comparison
        ? [comparison.atLeast]
        : 'atMost' in comparison
          ? [comparison.atMost]
          : 'is' in comparison
            ? [Number(comparison.is)]
            : [],
    )
    return unique(bounds.flatMap((bound) => [bound - 1, bound, bound + 1]))
  }
  if (fact?.kind === 'date') {
    const bounds = comparisons.flatMap((comparison) =>
      'onOrBefore' in comparison ? [comparison.onOrBefore] : 'onOrAfter' in comparison ? [comparison.onOrAfter] : [],
    )
    return unique(['1000-01-01', '9999-12-31', ...bounds])
  }
  const named = unique(
    comparisons.flatMap((comparison) =>
      'is' in comparison
        ? [String(comparison.is)]
        : 'oneOf' in comparison
          ? comparison.oneOf.map(String)
          : 'holds' in comparison
            ? [comparison.holds]
            : [],
    ),
  )
  if (fact?.kind === 'choices') return subsets(named)
  const all = fact?.options?.map(({ value }) => value)
  const others = all ? all.filter((value) => !named.includes(value)).slice(0, 1) : [anythingElse]
  return [...named, ...others]
}

/** Every combination of up to six values; of more, each alone, none, and all. */
function subsets(values: readonly string[]): string[][] {
  if (values.length > 6) return [[], [...values], ...values.map((value) => [value])]
  return Array.from({ length: 2 ** values.length }, (_, bits) => values.filter((_value, index) => (bits >> index) & 1))
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
