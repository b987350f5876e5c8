import type { Temporal } from 'temporal-polyfill'
import { dayNumber, dayOf, spanInDays } from '../dates/dayNumber'
import type { PartialDate } from '../dates/partialDate'
import { clip, intersect, isRange, lengthOf, type Range, union, without } from './ranges'

/** One stretch of a history. `to: 'present'` has not ended. */
export type HistoryEntry = { id: string; from: PartialDate; to: PartialDate | 'present' }

/** Days from first to last, both inclusive. */
export type Stretch = { from: Temporal.PlainDate; through: Temporal.PlainDate; days: number }

export type Overlap = Stretch & { between: [string, string] }

export type Coverage = {
  window: Stretch
  /** Days covered under every reading of the dates. */
  coveredDays: number
  /** Gaps longer than the tolerance: uncovered under every reading. */
  certainGaps: Stretch[]
  /** Gaps longer than the tolerance that exist under some reading and are not certain. */
  possibleGaps: Stretch[]
  /** Days that two entries share under every reading. */
  certainOverlaps: Overlap[]
  /** Days that two entries share only under some reading. */
  possibleOverlaps: Overlap[]
  /** Entries that end before they begin under every reading; they cover nothing. */
  backwards: string[]
}

const stretch = ({ from, through }: Range): Stretch => ({
  from: dayOf(from),
  through: dayOf(through),
  days: through - from + 1,
})

/**
 * How far a history covers a window of time, and where it has gaps and overlaps.
 *
 * A partial date has an earliest and a latest day. An entry therefore covers some days **certainly** (from its latest
 * beginning to its earliest end) and some only **possibly** (from its earliest beginning to its latest end). A day is in a
 * certain gap if no entry covers it even possibly; in a possible gap if no entry covers it certainly and it is not in a
 * certain gap. Days that adjoin are no gap.
 *
 * @param entries any order; `present` runs to the end of the window
 * @param window first and last day to be covered, both inclusive; the first must not be after the last (`RangeError`)
 * @param toleratedGapDays gaps of up to this many days are not reported; 0 reports every missing day
 */
export function coverage(
  entries: readonly HistoryEntry[],
  window: { from: Temporal.PlainDate; through: Temporal.PlainDate },
  toleratedGapDays: number,
): Coverage {
  const whole: Range = { from: dayNumber(window.from), through: dayNumber(window.through) }
  const { usable, backwards, covered, certainGaps, possibleGaps } = survey(entries, whole, toleratedGapDays)
  return {
    window: stretch(whole),
    coveredDays: covered.reduce((sum, range) => sum + lengthOf(range), 0),
    certainGaps: certainGaps.map(stretch),
    possibleGaps: possibleGaps.map(stretch),
    ...overlapsOf(usable, whole),
    backwards,
  }
}

/**
 * The gaps of a history alone, as day numbers: without what takes longer to say, the overlaps and the dates.
 *
 * @param window first and last day to be covered, as day numbers
 */
export function gapsIn(
  entries: readonly HistoryEntry[],
  window: Range,
  toleratedGapDays: number,
): { certainGaps: Range[]; possibleGaps: Range[] } {
  const { certainGaps, possibleGaps } = survey(entries, window, toleratedGapDays)
  return { certainGaps, possibleGaps }
}

function survey(entries: readonly HistoryEntry[], whole: Range, toleratedGapDays: number) {
  if (whole.from > whole.through) throw new RangeError('the window ends before it begins')
  if (toleratedGapDays < 0) throw new RangeError('a tolerated gap cannot be negative')

  const readings = entries.map((entry) => readingsOf(entry, whole.through))
  const backwards = readings.filter(({ possible }) => possible.from > possible.through).map(({ id }) => id)
  const usable = readings.filter(({ possible }) => possible.from <= possible.through)

  const certain = union(usable.map(({ certain }) => certain).filter(isRange))
  const possible = union(usable.map(({ possible }) => possible))

  const covered = clip(certain, whole)
  const coveredPossibly = clip(possible, whole)
  const certainGaps = without(whole, coveredPossibly).filter((gap) => lengthOf(gap) > toleratedGapDays)
  const uncertain = without(whole, covered).filter((gap) => lengthOf(gap) > toleratedGapDays)
  const possibleGaps = uncertain
    .flatMap((gap) => without(gap, certainGaps))
    .filter((gap) => lengthOf(gap) > 0 && !touchesOnly(gap, certainGaps, toleratedGapDays))
  return { usable, backwards, covered, certainGaps, possibleGaps }
}

type Readings = { id: string; certain: Range; possible: Range }

/**
 * The days an entry covers under every reading, and under some, as day numbers. A reading that ends before it begins is
 * none: what begins exactly on a day surely covers that day, however vague its end. `certain` may be no range (its end
 * before its beginning); `possible` is none only where every reading is backwards.
 */
export function readingsOf(entry: HistoryEntry, presentDay: number): Readings {
  const begin = spanInDays(entry.from)
  const end = entry.to === 'present' ? undefined : spanInDays(entry.to)
  const begins = { from: begin.earliest, through: begin.latest }
  const ends = end
    ? { from: end.earliest, through: end.latest }
    : { from: Math.max(presentDay, begins.from), through: Math.max(presentDay, begins.from) }
  return {
    id: entry.id,
    certain: {
      from: Math.min(begins.through, Math.max(ends.through, begins.from)),
      through: Math.max(ends.from, Math.min(begins.from, ends.through)),
    },
    possible: { from: begins.from, through: ends.through },
  }
}

/** A sliver beside a certain gap that is itself within the tolerance is not worth a second line. */
function touchesOnly(gap: Range, certainGaps: readonly Range[], tolerated: number): boolean {
  const beside = certainGaps.some((other) => other.through + 1 === gap.from || gap.through + 1 === other.from)
  return beside && lengthOf(gap) <= tolerated
}

function overlapsOf(readings: readonly Readings[], window: Range) {
  const certainOverlaps: Overlap[] = []
  const possibleOverlaps: Overlap[] = []
  readings.forEach((a, index) => {
    for (const b of readings.slice(index + 1)) {
      const between: [string, string] = [a.id, b.id]
      const certain = intersect(intersect(a.certain, b.certain), window)
      const possible = intersect(intersect(a.possible, b.possible), window)
      if (isRange(certain)) certainOverlaps.push({ ...stretch(certain), between })
      else if (isRange(possible)) possibleOverlaps.push({ ...stretch(possible), between })
    }
  })
  return { certainOverlaps, possibleOverlaps }
}
