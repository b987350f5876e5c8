import { minorUnits } from '../money/currency'
import { writeDecimal } from './decimals'
import { spokenLocale } from './say'

/** An amount in minor units as people read it: `45.00 EUR`, in German `45,00 EUR`. */
export const writeAmount = (minor: number, currency: string): string =>
  writeDecimal(minor, minorUnits(currency), currency)

/** Hundredths of a per cent as people read them: `7.5 %`. */
export const writeShare = (basisPoints: number): string =>
  `${(basisPoints / 100).toLocaleString(spokenLocale(), { maximumFractionDigits: 2 })} %`
