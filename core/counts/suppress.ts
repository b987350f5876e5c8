/** Below this many people, a count could point at somebody. */
export const leastShown = 5

export type ShownCounts = {
  /** By answer; `null` where the count is not shown. */
  counts: Record<string, number | null>
  /** All answers together; `null` where even that would say too much. */
  total: number | null
}

/**
 * Counts with small groups left out.
 *
 * A count from 1 to `least - 1` is not shown (primary suppression). Where what is left out would follow from the total, or
 * adds up to less than `least`, the next smallest is left out as well, until it does not (secondary suppression, as in
 * Hundepool and others, "Statistical Disclosure Control", 2012, chapter 4). Fewer than `least` in all show nothing.
 *
 * @param counts people by answer; none is shown as 0
 */
export function suppressSmall(counts: Readonly<Record<string, number>>, least = leastShown): ShownCounts {
  const total = Object.values(counts).reduce((sum, count) => sum + count, 0)
  if (total < least) return { counts: Object.fromEntries(Object.keys(counts).map((key) => [key, null])), total: null }
  const hidden = new Set(Object.keys(counts).filter((key) => counts[key]! > 0 && counts[key]! < least))
  const rest = Object.keys(counts)
    .filter((key) => !hidden.has(key) && counts[key]! > 0)
    .sort((a, b) => counts[a]! - counts[b]!)
  const hiddenSum = () => [...hidden].reduce((sum, key) => sum + counts[key]!, 0)
  while (hidden.size > 0 && (hidden.size === 1 || hiddenSum() < least) && rest.length > 0) hidden.add(rest.shift()!)
  const known = hidden.size !== 1 && (hidden.size === 0 || hiddenSum() >= least)
  return {
    counts: Object.fromEntries(Object.entries(counts).map(([key, count]) => [key, hidden.has(key) ? null : count])),
    total: known ? total : null,
  }
}
