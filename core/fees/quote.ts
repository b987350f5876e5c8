import { type Condition, type Facts, factsOf, isNumberRange } from '../conditions/condition'
import { judge, type Truth } from '../conditions/judge'
import type { Domains } from '../conditions/outcomes'
import { allocate, shareOf, shareWithin } from '../money/share'
import type { FeeAmount, FeeLine, FeeSchedule, FeeTax } from './schedule'

/** What is known of who pays: answers, facts of the file and of the fee by name; what is absent is not known yet. */
export type FeeSituation = {
  facts: Facts
  /** What facts can be, where that is known; it narrows what something can come to. */
  domains?: Domains
  /** The day it is sent, ISO. */
  on: string
  /** Lines that are left out. */
  leftOut?: readonly string[]
}

/** What something comes to at the least and at the most, in minor units; the same where everything is known. */
export type Range = { least: number; most: number }

export type QuotedLine = Range & {
  key: string
  state: 'charged' | 'not needed' | 'exempt' | 'reduced' | 'left out' | 'undecided'
  /** What it would come to without exemption or leaving it out. */
  full: Range
  because: FeeBecause
  /** Why it is less: the exemption that counts, by its place in the line. */
  exemption?: { basisPoints: number; nth: number }
  /** Facts that are not known and would decide it. */
  deciding: string[]
}

/** How an amount came about. */
export type FeeBecause =
  | { code: 'fixed' }
  | { code: 'by-number'; fact: string; count: Range; first: number; further: number; capped?: number }
  | { code: 'by-choice'; fact: string; choice?: string }
  | { code: 'by-day'; through?: string; later?: number }
  | { code: 'share'; basisPoints: number; of: Range; bound?: 'least' | 'most' }

export type QuotedTax = Range & { key: string; basisPoints: number; on: Range; deciding: string[] }

export type FeeQuote = {
  currency: string
  lines: QuotedLine[]
  /** What is taken off the lines because everything together comes to no more than a maximum; 0 or less. */
  cap: Range
  taxes: QuotedTax[]
  total: Range
  /** Facts that are not known and would decide what it comes to, in the order of the lines. */
  deciding: string[]
}

const nothing: Range = { least: 0, most: 0 }
const exactly = (amount: number): Range => ({ least: amount, most: amount })
const isExact = ({ least, most }: Range) => least === most
const sumOf = (ranges: readonly Range[]): Range => ({
  least: ranges.reduce((sum, { least }) => sum + least, 0),
  most: ranges.reduce((sum, { most }) => sum + most, 0),
})
const both = ({ least, most }: Range, map: (amount: number) => number): Range => ({
  least: map(least),
  most: map(most),
})
const always = { truth: true as const, deciding: [] as string[] }

/**
 * What a schedule comes to for somebody, line by line, each with how it came about. Whatever is not known yet gives a range
 * that holds every way it can turn out.
 *
 * Whole minor units throughout. Shares are rounded for each line and taxes once for each rate, on the sum of the lines that
 * carry it (as EN 16931, BR-CO-17, has it), half a unit up. A maximum is one over everything, taxes included: what is above it
 * is taken from the lines of each rate in proportion.
 *
 * @returns lines in the order of the schedule; lines, what a maximum takes off, and taxes that are added make up the total, at
 *   the least and at the most. Never throws
 */
export function quote(schedule: FeeSchedule, situation: FeeSituation): FeeQuote {
  const plain = new Map(
    schedule.lines.flatMap((line) =>
      line.amount.kind === 'share' ? [] : [[line.key, quoteLine(line, line.amount, situation, nothing)] as const],
    ),
  )
  const lines = schedule.lines.map((line) => {
    if (line.amount.kind !== 'share') return plain.get(line.key)!
    const named = line.amount.of.length > 0 ? line.amount.of : [...plain.keys()]
    return quoteLine(line, line.amount, situation, sumOf(named.flatMap((key) => plain.get(key) ?? [])))
  })
  const rates = schedule.taxes.map((tax): Rate => {
    const { truth, deciding } = tax.when ? judge(tax.when, situation.facts, situation.domains) : always
    return { ...tax, applies: truth, deciding }
  })
  const least = closeSide(schedule, lines, rates, 'least')
  const most = closeSide(schedule, lines, rates, 'most')
  const taxes = rates.map(({ key, basisPoints, deciding }): QuotedTax => {
    const [low, high] = [least.taxes.get(key)!, most.taxes.get(key)!]
    const on = { least: low.on, most: high.on }
    return { key, basisPoints, on, least: low.tax, most: high.tax, deciding: on.most === 0 ? [] : deciding }
  })
  return {
    currency: schedule.currency,
    lines,
    cap: { least: least.cap, most: most.cap },
    taxes,
    total: { least: least.total, most: most.total },
    deciding: [...new Set([...lines, ...taxes].flatMap(({ deciding }) => deciding))],
  }
}

function quoteLine(line: FeeLine, amount: FeeAmount, situation: FeeSituation, base: Range): QuotedLine {
  const { key, when, exempt = [], optional } = line
  const { facts, domains, leftOut = [] } = situation
  const needed = when ? judge(when, facts, domains) : undefined
  const { range, because, open } = amountOf(amount, situation, base)
  const charged: QuotedLine = { key, state: 'charged', ...range, full: range, because, deciding: open }
  if (needed?.truth === false) return { ...charged, ...nothing, state: 'not needed', deciding: [] }
  if (optional && leftOut.includes(key)) return { ...charged, ...nothing, state: 'left out', deciding: [] }
  const exemptions = exempt.map(({ when: holds, basisPoints }, nth) => {
    const judged = judge(holds, facts, domains)
    return { nth, basisPoints, truth: judged.truth, deciding: judged.deciding }
  })
  const holding = strongest(exemptions.filter(({ truth }) => truth === true))
  const possible = strongest(exemptions.filter(({ truth }) => truth !== false))
  const after = (sum: number, off: number) => sum - shareOf(sum, off)
  const unsure = needed?.truth === 'undecided'
  const reduced = {
    least: unsure ? 0 : after(range.least, possible?.basisPoints ?? 0),
    most: after(range.most, holding?.basisPoints ?? 0),
  }
  const openExemptions = exemptions.filter(
    ({ truth, basisPoints }) => truth === 'undecided' && basisPoints > (holding?.basisPoints ?? 0),
  )
  const deciding = [
    ...new Set([...(needed?.deciding ?? []), ...open, ...openExemptions.flatMap((one) => one.deciding)]),
  ]
  return {
    ...charged,
    ...reduced,
    state: stateOf(reduced, deciding, holding?.basisPoints),
    deciding,
    ...(holding ? { exemption: { basisPoints: holding.basisPoints, nth: holding.nth } } : {}),
  }
}

function stateOf(amount: Range, deciding: readonly string[], off: number | undefined): QuotedLine['state'] {
  if (!isExact(amount) || deciding.length > 0) return 'undecided'
  if (off === undefined) return 'charged'
  return off >= 10_000 ? 'exempt' : 'reduced'
}

const strongest = <T extends { basisPoints: number }>(all: readonly T[]): T | undefined =>
  all.reduce<T | undefined>((best, one) => (!best || one.basisPoints > best.basisPoints ? one : best), undefined)

type Amounted = { range: Range; because: FeeBecause; open: string[] }

function amountOf(amount: FeeAmount, { facts, domains, on }: FeeSituation, base: Range): Amounted {
  switch (amount.kind) {
    case 'fixed':
      return { range: exactly(amount.amount), because: { code: 'fixed' }, open: [] }
    case 'by number': {
      const { fact, first, further, most } = amount
      const value = facts[fact]
      const count = countIn(value)
      const plain = both(count, (number) => (number === 0 ? 0 : first + (number - 1) * further))
      const range = most === undefined ? plain : both(plain, (sum) => Math.min(sum, most))
      const capped = most !== undefined && plain.most > most ? { capped: most } : {}
      return {
        range,
        because: { code: 'by-number', fact, count, first, further, ...capped },
        open: isExact(range) ? [] : [fact],
      }
    }
    case 'by choice': {
      const { fact, amounts, otherwise = 0 } = amount
      const value = facts[fact]
      const because = { code: 'by-choice' as const, fact }
      if (value !== undefined) {
        const choice = String(value)
        return { range: exactly(amounts[choice] ?? otherwise), because: { ...because, choice }, open: [] }
      }
      const known = domains?.get(fact)
      const possible = known?.values
        ? [...known.values, ...(known.blanks ?? [])].map((one) => amounts[String(one)] ?? otherwise)
        : [...Object.values(amounts), otherwise]
      const range = { least: Math.min(...possible), most: Math.max(...possible) }
      return { range, because, open: isExact(range) ? [] : [fact] }
    }
    case 'by day': {
      const steps = [...amount.steps].sort((a, b) => (a.through < b.through ? -1 : 1))
      const at = steps.findIndex(({ through }) => on <= through)
      const step = steps[at]
      if (!step) return { range: exactly(amount.after), because: { code: 'by-day' }, open: [] }
      const later = steps[at + 1]?.amount ?? amount.after
      return { range: exactly(step.amount), because: { code: 'by-day', through: step.through, later }, open: [] }
    }
    case 'share': {
      const { basisPoints, least = 0, most = Number.POSITIVE_INFINITY } = amount
      const plain = both(base, (sum) => shareOf(sum, basisPoints))
      // Of nothing there is no share, whatever the least of it.
      const range = {
        least: base.least === 0 ? 0 : Math.min(Math.max(plain.least, least), most),
        most: base.most === 0 ? 0 : Math.min(Math.max(plain.most, least), most),
      }
      const bound = range.most > plain.most ? 'least' : range.most < plain.most ? 'most' : undefined
      return {
        range,
        because: { code: 'share', basisPoints, of: base, ...(bound ? { bound } : {}) },
        // What decides the lines it is a share of is said there.
        open: [],
      }
    }
  }
}

/** The largest number of anything that is paid for. */
export const mostCounted = 999

function countIn(value: Facts[string]): Range {
  const whole = (number: number) => Math.min(Math.max(0, Math.floor(number)), mostCounted)
  if (typeof value === 'number') return exactly(whole(value))
  if (value !== undefined && isNumberRange(value)) return { least: whole(value.least), most: whole(value.most) }
  return value === undefined ? { least: 0, most: mostCounted } : nothing
}

type Side = keyof Range

/** Taxes, and what a maximum takes off, looked at from one side: where everything comes to the least, or to the most. */
function closeSide(schedule: FeeSchedule, lines: readonly QuotedLine[], rates: readonly Rate[], side: Side) {
  const { taxIncluded, most = Number.POSITIVE_INFINITY } = schedule
  const taxOf = new Map(schedule.lines.map(({ key, tax }) => [key, tax]))
  const onOf = (rate: string | undefined) =>
    lines.reduce((sum, line) => (taxOf.get(line.key) === rate ? sum + line[side] : sum), 0)
  const groups = rates.map(({ key, basisPoints, applies }) => {
    const on = onOf(key)
    const due = applies === true || (applies === 'undecided' && side === 'most')
    const tax = due ? (taxIncluded ? shareWithin : shareOf)(on, basisPoints) : 0
    return { key, basisPoints, due, on, tax, gross: taxIncluded ? on : on + tax }
  })
  const known = new Set(rates.map(({ key }) => key))
  const untaxed = lines.reduce(
    (sum, { key, [side]: amount }) => (known.has(taxOf.get(key) ?? '') ? sum : sum + amount),
    0,
  )
  const gross = untaxed + groups.reduce((sum, group) => sum + group.gross, 0)
  const over = Math.max(0, gross - most)
  const off = allocate(over, { '': untaxed, ...Object.fromEntries(groups.map(({ key, gross: own }) => [key, own])) })
  const taxes = groups.map(({ key, basisPoints, due, on, tax, gross: own }) => {
    if (over === 0 || !due) return { key, on: on - (due ? 0 : off[key]!), tax }
    const left = own - off[key]!
    const within = shareWithin(left, basisPoints)
    return { key, on: taxIncluded ? left : left - within, tax: within }
  })
  const added = taxIncluded ? 0 : taxes.reduce((sum, { tax }) => sum + tax, 0)
  const summed = lines.reduce((sum, { [side]: amount }) => sum + amount, 0)
  const total = gross - over
  return { taxes: new Map(taxes.map((one) => [one.key, one])), cap: total - summed - added, total }
}

type Rate = FeeTax & { applies: Truth; deciding: string[] }

/** Lines that are charged only for one way of paying. */
export const dependsOn = ({ when }: { when?: Condition }, fact: string) =>
  when !== undefined && factsOf(when).includes(fact)

/**
 * What is still owed of a total after what was paid before; more than that is given back, or kept, as the schedule says.
 *
 * @param total and `paid` in minor units
 */
export function difference(total: number, paid: number, surplus: FeeSchedule['surplus']) {
  if (total >= paid) return { owed: total - paid, giveBack: 0 }
  return { owed: 0, giveBack: surplus === 'given back' ? paid - total : 0 }
}
