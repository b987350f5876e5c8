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
 * A count from 1 to `least - 1` is not shown (primary suppression). Where what is left out would follow from the total, as
 * one count alone does, and several that can only all be small or all be large, the next smallest is left out as well,
 * until it does not (secondary suppression, as in Hundepool and others, "Statistical Disclosure Control", 2012, chapter 4).
 * Where there is nothing more to leave out, the total is not shown. Fewer than `least` in all show nothing.
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
  const safe = () =>
    cannotBeWorkedOut(
      hidden.size,
      [...hidden].reduce((sum, key) => sum + counts[key]!, 0),
      least,
    )
  while (!safe() && rest.length > 0) hidden.add(rest.shift()!)
  return {
    counts: Object.fromEntries(Object.entries(counts).map(([key, count]) => [key, hidden.has(key) ? null : count])),
    total: safe() ? total : null,
  }
}

/** Each count left out could be at least so many different numbers. */
const leastChoices = 2

/**
 * Whether the sum of so many counts leaves each of them open, also for somebody who takes all of them to be small.
 * Where the sum is more than small counts can come to, one of them is large, and nobody can tell which.
 */
function cannotBeWorkedOut(hidden: number, sum: number, least: number): boolean {
  if (hidden === 0) return true
  if (hidden === 1 || sum < least) return false
  const largest = least - 1
  if (sum > hidden * largest) return true
  const lowest = Math.max(1, sum - (hidden - 1) * largest)
  const highest = Math.min(largest, sum - (hidden - 1))
  return highest - lowest + 1 >= leastChoices
}
