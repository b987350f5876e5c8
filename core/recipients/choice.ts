import type { Condition, Facts } from '../conditions/condition'
import { judge } from '../conditions/judge'
import type { Domains } from '../conditions/outcomes'
import type { Gate } from '../requirements/gates'
import type { Language } from '../words/say'
import { type Translations, translated } from '../words/translations'

/** To whom a body is not open, and why, in a sentence that is said before anybody chooses it. */
export type Exclusion = { when: Condition; because: string; translations?: Translations<'because'> }

/** A body outside that somebody may choose to receive what is proven of them. */
export type Recipient = {
  key: string
  name: string
  mail: string
  /** The language it reads. */
  language: Language
  /** What it does with it. */
  about?: string
  /** It receives what is proven once everything it needs by this gate is. */
  gate: Gate
  exclusions?: readonly Exclusion[]
  translations?: Translations<'name' | 'about'>
}

export type Openness =
  | { state: 'open' }
  | { state: 'closed'; because: string }
  /** Answers that are still missing decide it: their facts. */
  | { state: 'undecided'; deciding: string[] }

/**
 * Whether a body can be chosen by somebody, as far as is known of them. What closes it is said first; what could still close it
 * is open until it is known.
 *
 * @returns why not in the reader’s language, or which facts would decide it
 */
export function opennessOf({ exclusions = [] }: Recipient, facts: Facts, domains?: Domains): Openness {
  const judged = exclusions.map((exclusion) => ({ exclusion, ...judge(exclusion.when, facts, domains) }))
  const closed = judged.find(({ truth }) => truth === true)
  if (closed) return { state: 'closed', because: translated(closed.exclusion).because }
  const deciding = [...new Set(judged.flatMap((one) => (one.truth === 'undecided' ? one.deciding : [])))]
  return deciding.length > 0 ? { state: 'undecided', deciding } : { state: 'open' }
}
