import { factsOf } from '../conditions/condition'
import { type ConditionFault, faultsOfCondition } from '../conditions/faults'
import type { KnownFact } from '../conditions/vocabulary'
import type { Form } from '../form/form'
import { knownFeeFacts } from './facts'
import { type FeeLine, type FeeSchedule, meansFact } from './schedule'

export type FeeFault = { pointer: string } & (
  | ConditionFault
  | { code: 'key-twice'; key: string }
  | { code: 'no-options' }
  | { code: 'no-lines' }
  | { code: 'no-such-currency' }
  | { code: 'no-such-fact'; fact: string }
  /** What is counted is no number; what is chosen by is no choice. */
  | { code: 'unfit-fact'; fact: string }
  | { code: 'no-such-line'; line: string }
  /** A share of a share would go round in a circle. */
  | { code: 'share-of-share'; line: string }
  | { code: 'no-such-tax'; tax: string }
  | { code: 'days-not-in-order' }
  | { code: 'least-above-most' }
  /** It is charged by how it is paid, which nobody knows when it is looked at. */
  | { code: 'means-too-early' }
)

/**
 * What is wrong with a schedule beyond its shape: keys used twice, lines that count what is no number or rest on what is not
 * there, conditions that never hold.
 *
 * @param form whose answers it may look at
 * @returns one entry a fault, with a JSON pointer (RFC 6901) within the schedule
 */
export function faultsOfSchedule(
  schedule: FeeSchedule,
  form: Form,
  checks: Readonly<Record<string, string>> = {},
): FeeFault[] {
  const known = knownFeeFacts(schedule, form, checks)
  const { facts, lines, taxes } = schedule
  return [
    ...twice(facts, '/facts'),
    ...twice(lines, '/lines'),
    ...twice(taxes, '/taxes'),
    ...(Intl.supportedValuesOf('currency').includes(schedule.currency)
      ? []
      : [{ pointer: '/currency', code: 'no-such-currency' as const }]),
    ...(lines.length === 0 ? [{ pointer: '/lines', code: 'no-lines' as const }] : []),
    ...facts.flatMap(({ kind, options = [] }, nth): FeeFault[] =>
      kind === 'one of' && options.length === 0 ? [{ pointer: `/facts/${nth}/options`, code: 'no-options' }] : [],
    ),
    ...lines.flatMap((line, nth) => lineFaults(line, schedule, known, `/lines/${nth}`)),
    ...taxes.flatMap(({ when }, nth): FeeFault[] => {
      if (!when) return []
      const pointer = `/taxes/${nth}/when`
      if (factsOf(when).includes(meansFact)) return [{ pointer, code: 'means-too-early' }]
      return faultsOfCondition(when, known).map((fault) => ({ pointer, ...fault }))
    }),
  ]
}

function lineFaults(line: FeeLine, schedule: FeeSchedule, known: readonly KnownFact[], at: string): FeeFault[] {
  const { when, exempt = [], tax } = line
  return [
    ...amountFaults(line, schedule, known, `${at}/amount`),
    ...(when ? faultsOfCondition(when, known).map((fault): FeeFault => ({ pointer: `${at}/when`, ...fault })) : []),
    ...exempt.flatMap(({ when: holds }, nth): FeeFault[] => {
      const pointer = `${at}/exempt/${nth}/when`
      if (factsOf(holds).includes(meansFact)) return [{ pointer, code: 'means-too-early' }]
      return faultsOfCondition(holds, known).map((fault) => ({ pointer, ...fault }))
    }),
    ...(tax === undefined || schedule.taxes.some(({ key }) => key === tax)
      ? []
      : [{ pointer: `${at}/tax`, code: 'no-such-tax' as const, tax }]),
  ]
}

function amountFaults(
  { amount }: FeeLine,
  { lines }: FeeSchedule,
  known: readonly KnownFact[],
  pointer: string,
): FeeFault[] {
  const ofKind = (fact: string, kinds: readonly KnownFact['kind'][]): FeeFault[] => {
    const found = known.find(({ name }) => name === fact)
    if (!found) return [{ pointer: `${pointer}/fact`, code: 'no-such-fact', fact }]
    if (fact === meansFact || !kinds.includes(found.kind))
      return [{ pointer: `${pointer}/fact`, code: 'unfit-fact', fact }]
    return []
  }
  switch (amount.kind) {
    case 'fixed':
      return []
    case 'by number':
      return ofKind(amount.fact, ['number'])
    case 'by choice': {
      const fact = known.find(({ name }) => name === amount.fact)
      const options = fact?.options && [...fact.options, ...(fact.blanks ?? [])]
      return [
        ...ofKind(amount.fact, ['choice', 'yes or no', 'text']),
        ...Object.keys(amount.amounts).flatMap((option): FeeFault[] =>
          options && !options.includes(option)
            ? [{ pointer: `${pointer}/amounts`, code: 'unknown-option', fact: amount.fact, option }]
            : [],
        ),
      ]
    }
    case 'by day':
      return amount.steps.some(({ through }, nth) => nth > 0 && through <= amount.steps[nth - 1]!.through)
        ? [{ pointer: `${pointer}/steps`, code: 'days-not-in-order' }]
        : []
    case 'share': {
      const { of, least, most } = amount
      const named = of.flatMap((line): FeeFault[] => {
        const found = lines.find(({ key }) => key === line)
        if (!found) return [{ pointer: `${pointer}/of`, code: 'no-such-line', line }]
        return found.amount.kind === 'share' ? [{ pointer: `${pointer}/of`, code: 'share-of-share', line }] : []
      })
      const crossed = least !== undefined && most !== undefined && least > most
      return [...named, ...(crossed ? [{ pointer, code: 'least-above-most' as const }] : [])]
    }
  }
}

const twice = (items: readonly { key: string }[], where: string): FeeFault[] =>
  items.flatMap(({ key }, index) =>
    items.findIndex((other) => other.key === key) < index
      ? [{ pointer: `${where}/${index}/key`, code: 'key-twice', key }]
      : [],
  )
