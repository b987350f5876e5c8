/** The accounts of the ledger. What is positive is owed to us or ours, what is negative is income or what we owe. */
export const accounts = [
  /** What payers owe, each charge by itself; below nothing where we owe them. */
  'receivable',
  'income',
  'tax',
  /** Paid by card, with the payment provider until it is paid out. */
  'provider',
  'bank',
  /** Received otherwise, as somebody has noted. */
  'by hand',
  'vouchers',
  /** What employers owe who have taken over what a candidate owed. */
  'employers',
  'waived',
] as const
export type Account = (typeof accounts)[number]

/** An amount put to an account, in minor units of the charge's currency. */
export type Posting = { account: Account; amount: number }

/** Where money that was paid is, by how it was paid. */
export const accountOf = {
  card: 'provider',
  transfer: 'bank',
  'by hand': 'by hand',
  voucher: 'vouchers',
} as const satisfies Record<string, Account>
export type PaidBy = keyof typeof accountOf

/** Postings belong together if they come to nothing (double entry: Pacioli 1494, "Particularis de computis et scripturis"). */
export const isBalanced = (postings: readonly Posting[]): boolean =>
  postings.reduce((sum, { amount }) => sum + amount, 0) === 0

const written = (postings: readonly Posting[]): Posting[] => postings.filter(({ amount }) => amount !== 0)

/** Something is charged: of what is owed from now on, a part is tax. All in minor units; negative where it is taken back. */
export const charged = ({ total, tax }: { total: number; tax: number }): Posting[] =>
  written([
    { account: 'receivable', amount: total },
    { account: 'income', amount: tax - total },
    { account: 'tax', amount: tax === 0 ? 0 : -tax },
  ])

/** Something was paid; negative where it is given back. */
export const paid = (by: PaidBy, amount: number): Posting[] =>
  written([
    { account: accountOf[by], amount },
    { account: 'receivable', amount: -amount },
  ])

/** An employer takes over a part of what is owed; negative where it goes back to whoever owed it. */
export const takenOver = (amount: number): Posting[] =>
  written([
    { account: 'employers', amount },
    { account: 'receivable', amount: -amount },
  ])

/** An employer has paid; negative where it is given back. */
export const paidByEmployer = (by: PaidBy, amount: number): Posting[] =>
  written([
    { account: accountOf[by], amount },
    { account: 'employers', amount: -amount },
  ])

/** A person does without something that is owed. */
export const waived = (amount: number): Posting[] =>
  written([
    { account: 'waived', amount },
    { account: 'receivable', amount: -amount },
  ])

/**
 * The tax in a part of what was charged, in proportion, so that parts taken back one after the other never take back more tax
 * than was charged.
 *
 * @param taken what was taken back before, and the part that is now; minor units, not negative, together at most the total
 */
export function taxWithinPart(
  { total, tax }: { total: number; tax: number },
  { before, now }: { before: number; now: number },
): number {
  const upTo = (part: number) =>
    total === 0 ? 0 : Number((BigInt(part) * BigInt(tax) * 2n + BigInt(total)) / (BigInt(total) * 2n))
  return upTo(before + now) - upTo(before)
}
