import type { Facts } from '../conditions/condition'
import { judge } from '../conditions/judge'
import type { Domains } from '../conditions/outcomes'
import type { AgeAllowance, Ask } from './requirement'

export type AgeAsk = Extract<Ask, { kind: 'age' }>

export const isDay = (fact: unknown): fact is string => typeof fact === 'string' && /^\d{4}-\d{2}-\d{2}$/.test(fact)

/**
 * Whole years on a day; both are ISO days. Whoever was born on 29 February is a year older on 1 March of years without that
 * day, as most laws have it for a day that ends.
 */
export function ageOn(born: string, day: string): number {
  const years = Number(day.slice(0, 4)) - Number(born.slice(0, 4))
  return day.slice(5) < born.slice(5) ? years - 1 : years
}

/** @param years an allowance that moves both limits outwards */
export const isOfAge = ({ least = 0, most = Number.POSITIVE_INFINITY }: AgeAsk, age: number, years = 0): boolean =>
  age >= least - years && age <= most + years

/** The allowances that hold for somebody, as far as is known, and are large enough. */
export const helping = (ask: AgeAsk, age: number, facts: Facts, domains?: Domains): AgeAllowance[] =>
  (ask.allowances ?? []).filter(
    ({ years, when }) => isOfAge(ask, age, years) && judge(when, facts, domains).truth === true,
  )
