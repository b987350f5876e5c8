import { factsOf } from '#core/conditions/condition'
import { type FeeSchedule, feeFactName, meansFact } from '#core/fees/schedule'

/** The questions a schedule looks at; a part of an answer is its question's. */
export function lookedAt({ lines, taxes }: FeeSchedule): ReadonlySet<string> {
  const conditions = [
    ...lines.flatMap(({ when, exempt = [] }) => [when, ...exempt.map((one) => one.when)]),
    ...taxes.map(({ when }) => when),
  ].flatMap((condition) => (condition ? factsOf(condition) : []))
  const named = [...conditions, ...lines.flatMap(({ amount }) => ('fact' in amount ? [amount.fact] : []))]
  return new Set(
    named
      .filter((name) => name !== meansFact && !name.startsWith(feeFactName('')))
      .map((name) => name.replace(/\.(country|region)$/, '')),
  )
}
