import { minorUnits } from '../money/currency'
import { spokenLocale } from './say'

/**
 * An amount in minor units as people read it: `45.00 EUR`, in German `45,00 EUR`.
 *
 * @param places decimals of the amount, where they are not those of the currency
 */
export function writeAmount(minor: number, currency: string, places = minorUnits(currency)): string {
  const decimals = { minimumFractionDigits: places, maximumFractionDigits: places }
  return `${(minor / 10 ** places).toLocaleString(spokenLocale(), decimals)} ${currency}`.trim()
}

/** Hundredths of a per cent as people read them: `7.5 %`. */
export const writeShare = (basisPoints: number): string =>
  `${(basisPoints / 100).toLocaleString(spokenLocale(), { maximumFractionDigits: 2 })} %`
