import { factsOfFee } from '#core/fees/facts'
import { type FeeQuote, type FeeSituation, quote } from '#core/fees/quote'
import { type FeeFact, type FeeSchedule, feeFactName, meansFact, type PayMeans } from '#core/fees/schedule'
import { factsOfFile } from '#core/requirements/fileFacts'
import type { FileFacts } from '#core/requirements/requirement'
import type { FeeAnswers } from '../records/fees/model'

/** What a fee is computed from: the answers, the file, and what was given for it alone. */
export function situationOf(
  schedule: FeeSchedule,
  facts: FileFacts,
  given: Pick<FeeAnswers, 'facts' | 'leftOut'> | undefined,
): FeeSituation {
  return {
    facts: {
      ...factsOfFile(facts),
      ...facts.answers,
      ...factsOfFee(schedule, given?.facts ?? {}),
      [meansFact]: 'none',
    },
    ...(facts.domains ? { domains: facts.domains } : {}),
    on: facts.today.toString(),
    leftOut: given?.leftOut ?? [],
  }
}

/** What a quote comes to once it is charged: whatever is still open counts as it costs least, so that nobody is charged for a guess. */
export function chargeable({ total, taxes }: FeeQuote): { total: number; tax: number } {
  return { total: total.least, tax: taxes.reduce((sum, { least }) => sum + least, 0) }
}

/** What a way of paying adds, line by line with its tax; nothing where it adds nothing. */
export function surchargeOf(schedule: FeeSchedule, situation: FeeSituation, means: PayMeans) {
  const [plain, with_] = ['none', means].map((one) =>
    quote(schedule, { ...situation, facts: { ...situation.facts, [meansFact]: one } }),
  ) as [FeeQuote, FeeQuote]
  const before = chargeable(plain)
  const after = chargeable(with_)
  const amount = after.total - before.total
  if (amount <= 0) return []
  const keys = with_.lines.flatMap(({ key, least }, nth) => (least > plain.lines[nth]!.least ? [key] : []))
  return [{ key: keys[0] ?? '', amount, tax: after.tax - before.tax }]
}

/** The questions of a fee that still decide what it comes to. */
export function openFeeFacts(schedule: FeeSchedule, situation: FeeSituation): FeeFact[] {
  const { deciding } = quote(schedule, situation)
  return schedule.facts.filter(({ key }) => deciding.includes(feeFactName(key)))
}
