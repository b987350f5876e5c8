import { spanInDays } from '../dates/dayNumber'
import { partialDate, readPartialDate } from '../dates/partialDate'

/** What is known so far: answers and facts by name. A name that is absent has not been answered yet. */
export type Facts = Readonly<Record<string, FactValue | undefined>>
export type FactValue = string | number | boolean | readonly string[]

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

export type Truth = true | false | 'undecided'

/** One comparison that was looked at, and how it came out. */
export type Because = { comparison: Comparison; value: FactValue | undefined; truth: Truth }

export type Judgement = {
  truth: Truth
  /** The comparisons that made it so: for a decided condition only those that settle it. */
  because: Because[]
  /** The unanswered facts that could decide it, in the order they appear. Empty when it is decided. */
  deciding: string[]
}

/**
 * Evaluates a condition in Kleene's strong three-valued logic (Kleene 1952, "Introduction to Metamathematics", § 64).
 *
 * @returns true, false or undecided; why; and which unanswered facts would decide it. Never throws.
 */
export function judge(condition: Condition, facts: Facts): Judgement {
  if ('all' in condition) return combine(condition.all, facts, false)
  if ('any' in condition) return combine(condition.any, facts, true)
  if ('none' in condition) return inverted(combine(condition.none, facts, true))
  const value = facts[condition.fact]
  const truth = value === undefined ? 'undecided' : compare(condition, value)
  return {
    truth,
    because: [{ comparison: condition, value, truth }],
    deciding: truth === 'undecided' ? [condition.fact] : [],
  }
}

/** All of (settled by false) and any of (settled by true) are one fold, seen from two sides. */
function combine(parts: readonly Condition[], facts: Facts, settledBy: boolean): Judgement {
  const judgements = parts.map((part) => judge(part, facts))
  const settling = judgements.filter(({ truth }) => truth === settledBy)
  if (settling.length > 0)
    return { truth: settledBy, because: settling.flatMap(({ because }) => because), deciding: [] }
  const open = judgements.filter(({ truth }) => truth === 'undecided')
  if (open.length === 0)
    return { truth: !settledBy, because: judgements.flatMap(({ because }) => because), deciding: [] }
  return {
    truth: 'undecided',
    because: open.flatMap(({ because }) => because),
    deciding: [...new Set(open.flatMap(({ deciding }) => deciding))],
  }
}

function inverted({ truth, because, deciding }: Judgement): Judgement {
  return { truth: truth === 'undecided' ? truth : !truth, because, deciding }
}

function compare(comparison: Comparison, value: FactValue): Truth {
  if ('is' in comparison) return value === comparison.is
  if ('oneOf' in comparison)
    return (typeof value === 'string' || typeof value === 'number') && comparison.oneOf.includes(value)
  if ('atLeast' in comparison) return typeof value === 'number' && value >= comparison.atLeast
  if ('atMost' in comparison) return typeof value === 'number' && value <= comparison.atMost
  if ('holds' in comparison) return Array.isArray(value) && value.includes(comparison.holds)
  return 'onOrBefore' in comparison
    ? reaches(value, comparison.onOrBefore, 'before')
    : reaches(value, comparison.onOrAfter, 'after')
}

/** Whether every reading of a partial date lies on this side of a limit, none does, or it depends on the reading. */
function reaches(value: FactValue, limit: string, side: 'before' | 'after'): Truth {
  if (typeof value !== 'string') return false
  const read = readPartialDate(value)
  if (!read.ok) return false
  const bound = spanInDays(partialDate(limit))
  const { earliest, latest } = spanInDays(read.value)
  if (side === 'before') return latest <= bound.latest ? true : earliest > bound.latest ? false : 'undecided'
  return earliest >= bound.earliest ? true : latest < bound.earliest ? false : 'undecided'
}

/** Every fact a condition looks at, once each. */
export function factsOf(condition: Condition): string[] {
  if ('fact' in condition) return [condition.fact]
  const parts = 'all' in condition ? condition.all : 'any' in condition ? condition.any : condition.none
  return [...new Set(parts.flatMap(factsOf))]
}
