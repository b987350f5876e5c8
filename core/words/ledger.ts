import type { Account } from '../money/ledger'
import { say } from './say'

const causes = [
  'charge',
  'payment',
  'surcharge',
  'credit',
  'refund',
  'waiver',
  'correction',
  'noted',
  'voucher',
  'taken',
  'give',
  'employer-payment',
] as const

/** What a movement of the ledger was, by the first word of its cause. */
export const causeWords = (cause: string): string => say(`fees.cause.${causes.find((one) => one === cause) ?? 'noted'}`)

export const accountWords = (account: Account): string => say(`fees.account.${account}`)
