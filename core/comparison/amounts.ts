import { type FieldVerdict, verdictOf } from './verdict'

/**
 * Compares two amounts as they are written: `2,000,000.00 EUR`, `2.000.000 EUR` and `EUR 2000000` say the same. A separator with
 * one or two digits behind it at the end parts the hundredths; all others part thousands.
 */
export function compareAmounts(ours: string, theirs: string): FieldVerdict {
  const [a, b] = [hundredthsIn(ours), hundredthsIn(theirs)]
  if (a === undefined || b === undefined) return verdictOf('not stated')
  if (ours.trim() === theirs.trim()) return verdictOf('same')
  const [one, other] = [currencyIn(ours), currencyIn(theirs)]
  if (a !== b) return verdictOf('different', [{ code: 'other-amount' }])
  return !one || !other || one === other
    ? verdictOf('equivalent')
    : verdictOf('different', [{ code: 'other-currency' }])
}

function hundredthsIn(text: string): bigint | undefined {
  const written = /\d[\d.,'’\s]*/.exec(text)?.[0].trim()
  if (!written) return undefined
  const [, whole, part = ''] = /^(.*?)(?:[.,](\d{1,2}))?$/.exec(written) ?? []
  return BigInt(`${(whole ?? '').replace(/\D/g, '') || '0'}${part.padEnd(2, '0')}`)
}

const currencyIn = (text: string) => /[A-Z]{3}/.exec(text.toUpperCase())?.[0]
