import { Temporal } from 'temporal-polyfill'
import { spanOf } from '../dates/partialDate'
import type { HistoryEntry } from './coverage'

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
  const days = new Set<number>()
  for (const entry of entries) {
    if (tags.length > 0 && !tags.some((tag) => entry.tags.includes(tag))) continue
    const from = spanOf(entry.from).latest
    const end = entry.to === 'present' ? asOf : spanOf(entry.to).earliest
    const through = Temporal.PlainDate.compare(end, asOf) > 0 ? asOf : end
    const count = from.until(through, { largestUnit: 'day' }).days
    const first = epoch.until(from, { largestUnit: 'day' }).days
    for (let day = 0; day <= count; day += 1) days.add(first + day)
  }
  return Math.floor(days.size / averageMonth)
}

const epoch = Temporal.PlainDate.from('1970-01-01')
const averageMonth = 365.2425 / 12
