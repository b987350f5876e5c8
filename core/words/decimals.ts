import { spokenLocale } from './say'

/** A number kept in its smallest parts as people read it, with its unit behind it: `45.00 EUR`, in German `45,00 EUR`. */
export function writeDecimal(parts: number, places: number, unit: string): string {
  const decimals = { minimumFractionDigits: places, maximumFractionDigits: places }
  return `${(parts / 10 ** places).toLocaleString(spokenLocale(), decimals)} ${unit}`.trim()
}
