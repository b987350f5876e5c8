import type { Facts } from '../conditions/condition'
import { type KnownFact, knownFacts } from '../conditions/vocabulary'
import type { Form } from '../form/form'
import { type FeeFact, type FeeSchedule, feeFactName, meansFact, payMeans } from './schedule'

/** What was given for a fee, by the key of its fact: `yes` or `no`, a choice, or a number in digits. */
export type GivenFeeFacts = Readonly<
  Record<string, { value: string; proof: 'none' | 'to look at' | 'accepted' | 'refused' }>
>

/**
 * Everything the conditions and amounts of a schedule may look at: the form and the file, the facts asked for the fee, and how it
 * is paid. The voluntary equality answers are none of it.
 */
export function knownFeeFacts(
  schedule: FeeSchedule,
  form: Form,
  checks: Readonly<Record<string, string>> = {},
): KnownFact[] {
  const own = schedule.facts.map((fact): KnownFact => {
    const { key, kind, options } = fact
    const named = { name: feeFactName(key), of: { fee: fact }, place: -1 }
    if (kind === 'number') return { ...named, kind: 'number', whole: true }
    return kind === 'one of'
      ? { ...named, kind: 'choice', options: options ?? [] }
      : { ...named, kind: 'yes or no', options: ['yes', 'no'] }
  })
  const means: KnownFact = {
    name: meansFact,
    of: { means: true },
    kind: 'choice',
    options: payMeans,
    blanks: ['none'],
    place: -1,
  }
  return [
    ...own,
    means,
    ...knownFacts(
      form.filter(({ holds }) => holds !== 'equality'),
      checks,
    ),
  ]
}

/** What is wrong with something given for a fee; nothing where it fits. */
export function faultOfFeeFact({ kind, options = [], most = 999 }: FeeFact, value: string) {
  if (kind === 'number') {
    if (!/^\d{1,9}$/.test(value)) return { code: 'not-a-number' as const }
    return Number(value) > most ? { code: 'too-large' as const, most } : undefined
  }
  const allowed = kind === 'one of' ? options : ['yes', 'no']
  return allowed.includes(value) ? undefined : { code: 'not-an-option' as const }
}

/**
 * The facts a fee is computed from, as far as they count: what a paper has to show counts once the paper is there, and no longer
 * when it was refused; then it is as if nothing had been claimed.
 */
export function factsOfFee(schedule: FeeSchedule, given: GivenFeeFacts): Facts {
  return Object.fromEntries(
    schedule.facts.flatMap((fact) => {
      const own = given[fact.key]
      if (own === undefined) return []
      if (fact.proof && claims(fact, own.value) && (own.proof === 'none' || own.proof === 'refused'))
        return [[feeFactName(fact.key), unclaimed(fact)]]
      return [[feeFactName(fact.key), fact.kind === 'number' ? Number(own.value) : own.value]]
    }),
  )
}

/** Whether something given asks for its proof: a no, and the first choice of several (the plain one), claim nothing. */
export const claims = (fact: FeeFact, value: string) => value !== String(unclaimed(fact))

const unclaimed = ({ kind, options = [] }: FeeFact): string | number =>
  kind === 'number' ? 0 : kind === 'yes or no' ? 'no' : (options[0] ?? '')
