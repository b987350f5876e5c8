/** What a bank needs to know of whom a transfer goes to. */
export type BankAccount = { holder: string; iban: string; bic: string }

/** The most bytes a code may hold (EPC069-12, 3.1). */
const mostBytes = 331
const longestName = 70

/**
 * What a QR code says so that a bank fills in a credit transfer: version 002, UTF-8, in euros only (EPC069-12, "Quick Response
 * Code: Guidelines to enable data capture for the initiation of a SEPA credit transfer").
 *
 * @param amount in cents, from 1 to 99,999,999,999
 * @param reference a creditor reference (ISO 11649)
 * @returns twelve lines, to be drawn at error correction level M; `undefined` where no such code can be
 */
export function transferCode(
  { holder, iban, bic }: BankAccount,
  { amount, currency, reference }: { amount: number; currency: string; reference: string },
): string | undefined {
  if (currency !== 'EUR' || !iban || !holder || amount < 1 || amount > 99_999_999_999) return undefined
  const name = [...holder].slice(0, longestName).join('')
  const plain = iban.replace(/\s/g, '')
  const euros = `EUR${Math.floor(amount / 100)}.${String(amount % 100).padStart(2, '0')}`
  // Purpose, text and a word to whoever pays are left empty: a reference and a text exclude each other.
  const lines = ['BCD', '002', '1', 'SCT', bic, name, plain, euros, '', reference]
  const text = lines.join('\n')
  return new TextEncoder().encode(text).length > mostBytes ? undefined : text
}
