import type { Temporal } from 'temporal-polyfill'
import { dayNumber, dayOf } from '../dates/dayNumber'
import { precisionOf } from '../dates/partialDate'
import { type HistoryEntry, readingsOf } from './coverage'
import { isRange, type Range, union } from './ranges'

export type Experience = {
  /** Whole months under every reading of the dates, and under the most generous one; the same where all days are known. */
  least: number
  most: number
  /** Entries whose dates are not known to the day: their days would narrow it down. */
  inexact: string[]
}

type TaggedEntry = HistoryEntry & { tags: readonly string[] }

/**
 * Whole months of experience, overlapping time counted once.
 *
 * Each stretch without a break is counted in calendar months and days, from its first day to the day after its last, so
 * that 1 Jan 2021 to 31 Dec 2023 is 36 months. Days left over from several stretches make months of thirty (German Civil
 * Code, section 191, for time that does not run on); those of one alone make none.
 *
 * @param tags only entries that carry one of these count; an empty list counts all
 * @param asOf `present` and later ends are cut here; the day itself counts
 */
export function monthsOfExperience(
  entries: readonly TaggedEntry[],
  tags: readonly string[],
  asOf: Temporal.PlainDate,
): Experience {
  const today = dayNumber(asOf)
  const counted = entries.filter((entry) => tags.length === 0 || tags.some((tag) => entry.tags.includes(tag)))
  const readings = counted.map((entry) => readingsOf(entry, today))
  const upToToday = ({ from, through }: Range): Range => ({ from, through: Math.min(today, through) })
  const monthsOf = (ranges: readonly Range[]) => wholeMonths(union(ranges.map(upToToday).filter(isRange)))
  const least = monthsOf(readings.map(({ certain }) => certain))
  const inexact = counted.filter(isInexact).map(({ id }) => id)
  return {
    least,
    // One stretch broken in two can come to more by its thirtieths than the whole of it.
    most: inexact.length === 0 ? least : Math.max(least, monthsOf(readings.map(({ possible }) => possible))),
    inexact,
  }
}

function wholeMonths(stretches: readonly Range[]): number {
  const lengths = stretches.map(({ from, through }) => dayOf(from).until(dayOf(through + 1), { largestUnit: 'month' }))
  const leftOver = lengths.map(({ days }) => days).filter((days) => days > 0)
  const joined = leftOver.length > 1 ? Math.floor(leftOver.reduce((sum, days) => sum + days) / daysOfMonth) : 0
  return lengths.reduce((sum, { months }) => sum + months, 0) + joined
}

const daysOfMonth = 30

const isInexact = ({ from, to }: HistoryEntry) =>
  [from, to].some((date) => date !== 'present' && (date.about || precisionOf(date) !== 'day'))
