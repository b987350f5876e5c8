/** A share with its interval, 95 %, each 0 to 1. */
export type ShareInterval = { share: number; low: number; high: number }

/** Of a normal distribution, for 95 % on both sides. */
const z = 1.959964

/**
 * A share of trials and its interval (Wilson, "Probable Inference, the Law of Succession, and Statistical Inference", 1927), which
 * stays within 0 and 1 also where there are few.
 *
 * @param of at least 1
 */
export function shareInterval(count: number, of: number): ShareInterval {
  const share = count / of
  const middle = (share + z ** 2 / (2 * of)) / (1 + z ** 2 / of)
  const spread = (z / (1 + z ** 2 / of)) * Math.sqrt((share * (1 - share)) / of + z ** 2 / (4 * of ** 2))
  return { share, low: Math.max(0, middle - spread), high: Math.min(1, middle + spread) }
}
