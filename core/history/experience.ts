import type { Temporal } from 'temporal-polyfill'
import { dayNumber, spanInDays } from '../dates/dayNumber'
import type { HistoryEntry } from './coverage'
import { isRange, lengthOf, union } from './ranges'

/**
 * Whole months of experience that are certain: from each entry's latest beginning to its earliest end, overlapping time
 * counted once.
 *
 * @param tags only entries that carry one of these count; an empty list counts all
 * @param asOf `present` and later ends are cut here
 */
export function monthsOfExperience(
  entries: readonly (HistoryEntry & { tags: readonly string[] })[],
  tags: readonly string[],
  asOf: Temporal.PlainDate,
): number {
  const today = dayNumber(asOf)
  const worked = entries
    .filter((entry) => tags.length === 0 || tags.some((tag) => entry.tags.includes(tag)))
    .map((entry) => ({
      from: spanInDays(entry.from).latest,
      through: entry.to === 'present' ? today : Math.min(today, spanInDays(entry.to).earliest),
    }))
    .filter(isRange)
  const days = union(worked).reduce((sum, range) => sum + lengthOf(range), 0)
  return Math.floor(days / averageMonth)
}

const averageMonth = 365.2425 / 12
