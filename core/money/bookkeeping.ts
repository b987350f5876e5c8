import { amountInDigits } from './currency'
import { type Account, accounts } from './ledger'

/** One posting, as it goes to bookkeeping. */
export type BookedLine = {
  entry: string
  /** ISO. */
  on: string
  account: Account
  /** Minor units; below nothing on the other side. */
  amount: number
  currency: string
  cause: string
  /** The paper that belongs to it, by its number; empty where there is none. */
  document: string
  /** What the application, or the employer's invoice, is known by. */
  about: string
}

/** What a column can hold. */
export const bookkeepingFields = [
  'on',
  'entry',
  'document',
  'about',
  'cause',
  'account',
  'name of account',
  'amount',
  'debit',
  'credit',
  'currency',
] as const
export type BookkeepingField = (typeof bookkeepingFields)[number]

/** How postings become a file: its columns in their order, what each of our accounts is called there, and how it is written. */
export type BookkeepingMapping = {
  columns: readonly { heading: string; field: BookkeepingField }[]
  accounts: Readonly<Record<Account, string>>
  separator: ',' | ';'
  decimal: '.' | ','
  day: 'YYYY-MM-DD' | 'DD.MM.YYYY'
}

/** A mapping to begin with: every field under its own name, accounts by theirs. */
export const usualMapping: BookkeepingMapping = {
  columns: [
    { heading: 'Date', field: 'on' },
    { heading: 'Entry', field: 'entry' },
    { heading: 'Document', field: 'document' },
    { heading: 'Reference', field: 'about' },
    { heading: 'Text', field: 'cause' },
    { heading: 'Account', field: 'account' },
    { heading: 'Debit', field: 'debit' },
    { heading: 'Credit', field: 'credit' },
    { heading: 'Currency', field: 'currency' },
  ],
  accounts: Object.fromEntries(accounts.map((account) => [account, account])) as Record<Account, string>,
  ...{ separator: ';', decimal: '.', day: 'YYYY-MM-DD' },
}

/**
 * A posting as a row of the file.
 *
 * @param words how a cause and an account are said
 */
export function bookkeepingRow(
  line: BookedLine,
  { columns, accounts: codes, decimal, day }: BookkeepingMapping,
  words: { cause: string; account: string },
): string[] {
  const written = (minor: number) => amountInDigits(minor, line.currency).replace('.', decimal)
  const values: Record<BookkeepingField, () => string> = {
    on: () => (day === 'YYYY-MM-DD' ? line.on : line.on.split('-').reverse().join('.')),
    entry: () => line.entry,
    document: () => line.document,
    about: () => line.about,
    cause: () => words.cause,
    account: () => codes[line.account],
    'name of account': () => words.account,
    amount: () => written(line.amount),
    debit: () => (line.amount > 0 ? written(line.amount) : ''),
    credit: () => (line.amount < 0 ? written(-line.amount) : ''),
    currency: () => line.currency,
  }
  return columns.map(({ field }) => values[field]())
}
