import { spanInDays } from '../dates/dayNumber'
import { partialDate, readPartialDate } from '../dates/partialDate'
import { type Comparison, type Condition, type Facts, type FactValue, isNumberRange } from './condition'

/** What a fact can be, where that is known. */
export type Domain = {
  /** All values it can have; absent where it can be anything of its kind. */
  values?: readonly Value[]
  /** A number that has no fractions. */
  whole?: boolean
  /** Values it can have beside those of its kind, such as an honest blank. */
  blanks?: readonly string[]
}
export type Domains = ReadonlyMap<string, Domain>

export type Outcomes = {
  canHold: boolean
  canFail: boolean
  /** The open facts of which at least one value makes a difference, in the order they appear. */
  deciding: string[]
}

/** Up to so many nodes of the diagram the outcomes are exact: far more than any condition that people compose. */
const mostNodes = 4000

/**
 * How a condition can still come out, over everything that open facts can turn out to be: a fact is the same wherever the
 * condition looks at it, so that "is yes, or is not yes" holds whatever is answered.
 *
 * Method: an ordered decision diagram, reduced as it is built (Bryant 1986, "Graph-Based Algorithms for Boolean Function
 * Manipulation", for variables of several values). A variable that does not appear in it makes no difference.
 *
 * @param domains what facts can be; a fact without an entry can be anything of the kind it is compared as
 * @returns exact outcomes, or `undefined` where the diagram grows over 4,000 nodes
 */
export function outcomesOf(condition: Condition, facts: Facts, domains?: Domains): Outcomes | undefined {
  const variables = variablesOf(condition, facts, domains)
  const diagram = new Diagram([...variables.values()].map(({ points }) => points.length))
  const order = new Map([...variables.keys()].map((key, at) => [key, at]))
  const build = (part: Condition): number => {
    if ('all' in part) return part.all.reduce((node, inner) => diagram.both(node, build(inner)), TRUE)
    if ('any' in part) return part.any.reduce((node, inner) => diagram.either(node, build(inner)), FALSE)
    if ('none' in part) return diagram.not(part.none.reduce((node, inner) => diagram.either(node, build(inner)), FALSE))
    const key = variableOf(part)
    return diagram.node(
      order.get(key)!,
      variables.get(key)!.points.map((point) => (holdsAt(part, point) ? TRUE : FALSE)),
    )
  }
  try {
    const root = build(condition)
    const names = [...variables.values()].map(({ fact }) => fact)
    return {
      canHold: root !== FALSE,
      canFail: root !== TRUE,
      deciding: [...new Set(diagram.variablesIn(root).map((at) => names[at]!))],
    }
  } catch (error) {
    if (error instanceof TooLarge) return undefined
    throw error
  }
}

/** A value that stands for all the values no comparison tells from it. Days are numbers here, so that they can be compared. */
type Point = { value: FactValue } | { day: number }
type Value = string | number | boolean
type Variable = { fact: string; points: readonly Point[] }

/** Each value of a list of choices is there or not by itself. */
const variableOf = (comparison: Comparison) =>
  'holds' in comparison ? `${comparison.fact}\u0000${comparison.holds}` : comparison.fact

function variablesOf(condition: Condition, facts: Facts, domains: Domains | undefined): Map<string, Variable> {
  const groups = new Map<string, Comparison[]>()
  const walk = (part: Condition) => {
    if ('fact' in part) groups.set(variableOf(part), [...(groups.get(variableOf(part)) ?? []), part])
    else for (const inner of 'all' in part ? part.all : 'any' in part ? part.any : part.none) walk(inner)
  }
  walk(condition)
  return new Map(
    [...groups].map(([key, comparisons]) => {
      const { fact } = comparisons[0]!
      return [key, { fact, points: pointsOf(comparisons, facts[fact], domains?.get(fact)) }]
    }),
  )
}

function pointsOf(comparisons: readonly Comparison[], value: FactValue | undefined, domain: Domain = {}): Point[] {
  const dates = comparisons.filter((one) => 'onOrBefore' in one || 'onOrAfter' in one)
  if (value !== undefined) return pointsWithin(comparisons, value)
  const blank = (domain.blanks ?? []).map((text): Point => ({ value: text }))
  if (comparisons.some((one) => 'holds' in one))
    return [{ value: comparisons.flatMap((one) => ('holds' in one ? [one.holds] : [])) }, { value: [] }]
  if (dates.length > 0) return [...daysAround(comparisons).map((day): Point => ({ day })), ...blank]
  const limits = limitsIn(comparisons)
  if (limits.length > 0)
    return [...numbersAround(limits, domain.whole ?? false).map((number): Point => ({ value: number })), ...blank]
  const named = comparisons.flatMap((one): readonly Value[] =>
    'is' in one ? [one.is] : 'oneOf' in one ? one.oneOf : [],
  )
  if (domain.values) {
    const others = domain.values.filter((one) => !named.includes(one)).slice(0, 1)
    return [...unique([...named.filter((one) => domain.values!.includes(one)), ...others]).map(atValue), ...blank]
  }
  if (named.every((one) => typeof one === 'boolean')) return [true, false].map(atValue)
  return [...unique(named), anythingElse].map(atValue)
}

/** What is answered, but not to the day or the month, can still turn out to be whatever lies within it. */
function pointsWithin(comparisons: readonly Comparison[], value: FactValue): Point[] {
  if (isNumberRange(value))
    return unique([value.least, value.most, ...numbersAround(limitsIn(comparisons), true)])
      .filter((number) => number >= value.least && number <= value.most)
      .map(atValue)
  const read = typeof value === 'string' && comparisons.every((one) => 'onOrBefore' in one || 'onOrAfter' in one)
  const date = read ? readPartialDate(value) : undefined
  if (!date?.ok) return [{ value }]
  const { earliest, latest } = spanInDays(date.value)
  return unique([earliest, latest, ...daysAround(comparisons)])
    .filter((day) => day >= earliest && day <= latest)
    .map((day) => ({ day }))
}

const atValue = (value: Value): Point => ({ value })

/** A text nobody would choose: stands for every value that no comparison names. */
const anythingElse = '\u0000else'

const limitsIn = (comparisons: readonly Comparison[]) =>
  comparisons.flatMap((one) =>
    'atLeast' in one
      ? [one.atLeast]
      : 'atMost' in one
        ? [one.atMost]
        : 'is' in one && typeof one.is === 'number'
          ? [one.is]
          : 'oneOf' in one
            ? one.oneOf.filter((value) => typeof value === 'number')
            : [],
  )

/** One number of each stretch that limits tell apart, and the limits themselves. */
function numbersAround(limits: readonly number[], whole: boolean): number[] {
  if (whole) return unique(limits.flatMap((limit) => [limit - 1, limit, limit + 1]))
  const sorted = unique(limits).sort((a, b) => a - b)
  const between = sorted.slice(1).map((limit, nth) => (limit + sorted[nth]!) / 2)
  return sorted.length === 0 ? [] : [sorted[0]! - 1, ...sorted, ...between, sorted.at(-1)! + 1]
}

const daysAround = (comparisons: readonly Comparison[]) =>
  unique(
    comparisons.flatMap((one) => {
      if ('onOrBefore' in one) return [0, 1].map((more) => spanInDays(partialDate(one.onOrBefore)).latest + more)
      if ('onOrAfter' in one) return [-1, 0].map((more) => spanInDays(partialDate(one.onOrAfter)).earliest + more)
      return []
    }),
  )

function holdsAt(comparison: Comparison, point: Point): boolean {
  if ('day' in point) {
    if ('onOrBefore' in comparison) return point.day <= spanInDays(partialDate(comparison.onOrBefore)).latest
    return 'onOrAfter' in comparison && point.day >= spanInDays(partialDate(comparison.onOrAfter)).earliest
  }
  const { value } = point
  if ('is' in comparison) return value === comparison.is
  if ('oneOf' in comparison) return (comparison.oneOf as readonly FactValue[]).includes(value)
  if ('atLeast' in comparison) return typeof value === 'number' && value >= comparison.atLeast
  if ('atMost' in comparison) return typeof value === 'number' && value <= comparison.atMost
  return 'holds' in comparison && Array.isArray(value) && value.includes(comparison.holds)
}

const unique = <T>(values: readonly T[]): T[] => [...new Set(values)]

class TooLarge extends Error {}
const FALSE = 0
const TRUE = 1

/** Nodes are numbers; no two are alike, and none has the same child for every value. */
class Diagram {
  private readonly at: number[] = []
  private readonly children: (readonly number[])[] = []
  private readonly known = new Map<string, number>()
  private readonly joined = new Map<string, number>()

  /** @param values how many values each variable has, in the order of the variables */
  constructor(private readonly values: readonly number[]) {
    this.at.push(values.length, values.length)
    this.children.push([], [])
  }

  node(variable: number, children: readonly number[]): number {
    if (children.every((child) => child === children[0])) return children[0]!
    const key = `${variable} ${children.join(',')}`
    const known = this.known.get(key)
    if (known !== undefined) return known
    if (this.at.length >= mostNodes) throw new TooLarge()
    this.at.push(variable)
    this.children.push(children)
    this.known.set(key, this.at.length - 1)
    return this.at.length - 1
  }

  both(a: number, b: number): number {
    if (a === FALSE || b === FALSE) return FALSE
    if (a === TRUE) return b
    return b === TRUE || a === b ? a : this.join('&', a, b, (x, y) => this.both(x, y))
  }

  either(a: number, b: number): number {
    if (a === TRUE || b === TRUE) return TRUE
    if (a === FALSE) return b
    return b === FALSE || a === b ? a : this.join('|', a, b, (x, y) => this.either(x, y))
  }

  not(a: number): number {
    if (a <= TRUE) return a === TRUE ? FALSE : TRUE
    return this.join('!', a, a, (x) => this.not(x))
  }

  private join(sign: string, a: number, b: number, step: (x: number, y: number) => number): number {
    const key = `${sign}${Math.min(a, b)} ${Math.max(a, b)}`
    const known = this.joined.get(key)
    if (known !== undefined) return known
    const variable = Math.min(this.at[a]!, this.at[b]!)
    const below = (node: number, nth: number) => (this.at[node] === variable ? this.children[node]![nth]! : node)
    const children = Array.from({ length: this.values[variable]! }, (_, nth) => step(below(a, nth), below(b, nth)))
    const made = this.node(variable, children)
    this.joined.set(key, made)
    return made
  }

  /** The variables that make a difference below a node, in order. */
  variablesIn(root: number): number[] {
    const seen = new Set<number>()
    const found = new Set<number>()
    const walk = (node: number) => {
      if (node <= TRUE || seen.has(node)) return
      seen.add(node)
      found.add(this.at[node]!)
      for (const child of this.children[node]!) walk(child)
    }
    walk(root)
    return [...found].sort((a, b) => a - b)
  }
}
