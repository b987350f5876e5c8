/**
 * A share of an amount, rounded to whole minor units: half a unit is rounded up (commercial rounding, DIN 1333, 4.5.1).
 *
 * @param amount minor units, not negative
 * @param basisPoints hundredths of a per cent: 2000 are 20 %
 */
export const shareOf = (amount: number, basisPoints: number): number => divided(amount * basisPoints, 10_000)

/**
 * The part of an amount that is tax, where the amount includes it.
 *
 * @param basisPoints the rate, on the amount without tax
 */
export const shareWithin = (amount: number, basisPoints: number): number =>
  divided(amount * basisPoints, 10_000 + basisPoints)

/** Whole-number division in which half is rounded up. */
const divided = (value: number, by: number) => Math.floor((2 * value + by) / (2 * by))

/**
 * Splits an amount by weights so that the parts add up to it exactly: what is left over after rounding down goes to the
 * largest remainders (Hamilton's method), of equal ones to the key that comes first, so that their order makes no difference.
 *
 * @param weights not negative, by key; with none above zero every part is 0
 */
export function allocate(amount: number, weights: Readonly<Record<string, number>>): Record<string, number> {
  const sum = Object.values(weights).reduce((all, weight) => all + weight, 0)
  if (sum === 0) return Object.fromEntries(Object.keys(weights).map((key) => [key, 0]))
  // Products of two amounts pass what a number holds exactly.
  const exact = Object.entries(weights).map(([key, weight]) => {
    const product = BigInt(amount) * BigInt(weight)
    return { key, part: Number(product / BigInt(sum)), rest: product % BigInt(sum) }
  })
  const left = amount - exact.reduce((all, { part }) => all + part, 0)
  const first = [...exact]
    .sort((a, b) => (a.rest === b.rest ? (a.key < b.key ? -1 : 1) : a.rest > b.rest ? -1 : 1))
    .slice(0, left)
    .map(({ key }) => key)
  return Object.fromEntries(exact.map(({ key, part }) => [key, part + (first.includes(key) ? 1 : 0)]))
}
