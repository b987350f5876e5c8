import { allocate } from '../money/share'
import type { FeeQuote } from './quote'

/**
 * What each line of a quote comes to with its part of taxes and of a maximum, so that the parts add up to the total. Minor units;
 * what is still open counts as it costs least.
 */
export const partsByLine = ({ lines }: Pick<FeeQuote, 'lines'>, total: number): Record<string, number> =>
  allocate(total, Object.fromEntries(lines.map(({ key, least }) => [key, least])))

/**
 * What some of the lines come to together.
 *
 * @param keys all of them where none are named
 */
export function partOfLines(quote: Pick<FeeQuote, 'lines'>, total: number, keys: readonly string[] | null): number {
  if (!keys) return total
  const parts = partsByLine(quote, total)
  return [...new Set(keys)].reduce((sum, key) => sum + (parts[key] ?? 0), 0)
}
