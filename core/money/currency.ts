/** Currencies of ISO 4217 whose minor unit is not a hundredth: how many decimal places theirs has. */
const otherMinorUnits: Readonly<Record<string, number>> = {
  ...Object.fromEntries(
    'BIF CLP DJF GNF ISK JPY KMF KRW PYG RWF UGX UYI VND VUV XAF XOF XPF'.split(' ').map((code) => [code, 0]),
  ),
  ...Object.fromEntries('BHD IQD JOD KWD LYD OMR TND'.split(' ').map((code) => [code, 3])),
  ...{ CLF: 4, UYW: 4 },
}

/** How many decimal places amounts of a currency have (ISO 4217, minor unit); 2 where nothing else is known. */
export const minorUnits = (currency: string): number => otherMinorUnits[currency] ?? 2

/**
 * What somebody has typed, in minor units.
 *
 * @param text digits with a point or a comma before the decimals; spaces and apostrophes between thousands are passed over
 * @returns a whole number of minor units, or `undefined` where it is no amount or is more exact than the currency
 */
export function readAmount(text: string, currency: string): number | undefined {
  const places = minorUnits(currency)
  const read = /^(\d{1,11})(?:[.,](\d+))?$/.exec(text.trim().replace(/[\s'’]/g, ''))
  if (!read) return undefined
  const decimals = (read[2] ?? '').replace(/0+$/, '')
  if (decimals.length > places) return undefined
  return Number(`${read[1]}${decimals.padEnd(places, '0')}`)
}

/** An amount in minor units as digits with a point, such as `45.50`: for files and codes that machines read. */
export function amountInDigits(minor: number, currency: string): string {
  const places = minorUnits(currency)
  const digits = String(Math.abs(minor)).padStart(places + 1, '0')
  const whole = digits.slice(0, digits.length - places)
  return `${minor < 0 ? '-' : ''}${whole}${places > 0 ? `.${digits.slice(-places)}` : ''}`
}
