import type { FieldVerdict, Verdict } from './verdict'

/** How much of what was said agrees, in points of the fields' weights. */
export type Weighing<Key extends string = string> = {
  lines: { key: Key; verdict: Verdict; points: number; weight: number }[]
  /** Points that agree, of those that something was said of; and of those that nothing was. */
  agreed: number
  of: number
  unsaid: number
}

type Compared<Key> = { key: Key; claimed: string; bySource: FieldVerdict; byDocument: FieldVerdict }

/** What an agreement of each degree is worth, as a share of the field's weight; what was not stated is not counted. */
const worth: Record<Exclude<Verdict, 'not stated'>, number> = { same: 1, equivalent: 1, close: 0.5, different: 0 }

/**
 * Adds up the fields of a comparison by their weights: what the source said where it has answered, what stands on the
 * document before. A field that agrees never makes the share smaller.
 */
export function weigh<Key extends string>(
  fields: readonly { key: Key; weight?: number }[],
  findings: readonly Compared<Key>[],
  replied: boolean,
): Weighing<Key> {
  const claimed = findings.filter((finding) => finding.claimed !== '')
  const lines = claimed.map(({ key, bySource, byDocument }) => {
    const { verdict } = replied ? bySource : byDocument
    const weight = fields.find((field) => field.key === key)?.weight ?? 1
    return { key, verdict, weight, points: verdict === 'not stated' ? 0 : weight * worth[verdict] }
  })
  const sum = (of: typeof lines, value: (line: (typeof lines)[number]) => number) =>
    of.reduce((total, line) => total + value(line), 0)
  const stated = lines.filter(({ verdict }) => verdict !== 'not stated')
  return {
    lines,
    agreed: sum(stated, ({ points }) => points),
    of: sum(stated, ({ weight }) => weight),
    unsaid: sum(lines, ({ weight }) => weight) - sum(stated, ({ weight }) => weight),
  }
}

/** Of the points that could be said, so many have to be said and agree for a look to be enough. */
const enoughSaid = 0.5
const enoughAgreed = 0.75

export const isMostlyAgreed = ({ agreed, of, unsaid }: Weighing): boolean =>
  of >= (of + unsaid) * enoughSaid && agreed >= of * enoughAgreed
