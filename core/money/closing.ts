/** Something the provider moved: a payment, or what it gave back of one (`refund`, below nothing). Minor units. */
export type Moved = { payment: string; refund?: string; amount: number; currency: string }

/** What does not agree between our books and the provider's report of a day. */
export type ClosingDifference =
  /** The provider tells of it, and nothing was booked. */
  | { code: 'not-booked'; payment: string; refund?: string; theirs: number; currency: string }
  /** It was booked, and the provider knows nothing of it. */
  | { code: 'not-reported'; payment: string; refund?: string; ours: number; currency: string }
  | { code: 'other-amount'; payment: string; refund?: string; ours: number; theirs: number; currency: string }

const keyOf = ({ payment, refund = '' }: Pick<Moved, 'payment' | 'refund'>) => `${payment} ${refund}`

/**
 * Compares a day of ours with the provider's report of it. What one of them has on another day, as happens around midnight,
 * agrees where the amount does.
 *
 * @param booked what we booked on the day, and `reported` what the provider reports of it
 * @param elsewhere what we booked on other days of what it reports, and what it says of what we booked that its report lacks
 * @returns how many agree, and what does not; each payment and each refund once
 */
export function compareDay(
  booked: readonly Moved[],
  reported: readonly Moved[],
  elsewhere: { booked: readonly Moved[]; reported: readonly Moved[] },
): { agreed: number; differences: ClosingDifference[] } {
  const ours = new Map([...elsewhere.booked, ...booked].map((one) => [keyOf(one), one]))
  const theirs = new Map([...elsewhere.reported, ...reported].map((one) => [keyOf(one), one]))
  const keys = [...new Set([...booked, ...reported].map(keyOf))]
  const differences = keys.flatMap((key): ClosingDifference[] => {
    const [own, other] = [ours.get(key), theirs.get(key)]
    const { payment, refund, currency } = (own ?? other)!
    const about = { payment, ...(refund ? { refund } : {}), currency }
    if (!own) return [{ code: 'not-booked', ...about, theirs: other!.amount }]
    if (!other) return [{ code: 'not-reported', ...about, ours: own.amount }]
    if (own.amount === other.amount && own.currency === other.currency) return []
    return [{ code: 'other-amount', ...about, ours: own.amount, theirs: other.amount }]
  })
  return { agreed: keys.length - differences.length, differences }
}
