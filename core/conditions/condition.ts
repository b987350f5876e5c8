/** What is known so far: answers and facts by name. A name that is absent has not been answered yet. */
export type Facts = Readonly<Record<string, FactValue | undefined>>
export type FactValue = string | number | boolean | readonly string[] | NumberRange
/** A number of which only so much is known, both ends included. */
export type NumberRange = { least: number; most: number }

export const isNumberRange = (value: FactValue): value is NumberRange => typeof value === 'object' && 'least' in value

export type Comparison =
  | { fact: string; is: string | number | boolean }
  | { fact: string; oneOf: readonly (string | number)[] }
  | { fact: string; atLeast: number }
  | { fact: string; atMost: number }
  /** The fact is a list and holds this value. */
  | { fact: string; holds: string }
  /** The fact is a partial date; `2021` against a day in 2021 is undecided. */
  | { fact: string; onOrBefore: string }
  | { fact: string; onOrAfter: string }

/** A condition over answers and facts. An empty `all` holds; an empty `any` does not; `none` holds if no part does. */
export type Condition =
  | { all: readonly Condition[] }
  | { any: readonly Condition[] }
  | { none: readonly Condition[] }
  | Comparison

/** Every fact a condition looks at, once each. */
export function factsOf(condition: Condition): string[] {
  if ('fact' in condition) return [condition.fact]
  const parts = 'all' in condition ? condition.all : 'any' in condition ? condition.any : condition.none
  return [...new Set(parts.flatMap(factsOf))]
}
