import { Temporal } from 'temporal-polyfill'
import { partialDate, spanOf } from '#core/dates/partialDate'
import { type Coverage, coverage, type HistoryEntry } from '#core/history/coverage'
import { say } from '#core/words/say'

export type LifeBar = {
  id: string
  lane: 'Work' | 'Study' | 'Home'
  label: string
  from: string
  to: string
  rung: string
}
/** A lane’s name, as it stands before it. */
export const laneName = (lane: LifeBar['lane']): string =>
  ({ Work: say('ui.work'), Study: say('ui.study'), Home: say('ui.home') })[lane]

export type LifePaper = { id: string; label: string; from: string; through: string; state: string }

export type Placed<T> = T & { x: number; width: number; row: number }

export type LifeLayout = {
  years: { x: number; year: number }[]
  bars: Placed<LifeBar>[]
  papers: Placed<LifePaper>[]
  gaps: { x: number; width: number; days: number; certain: boolean; from: string; through: string }[]
  today: number
  start?: number
  from: Temporal.PlainDate
  through: Temporal.PlainDate
  coverage: Coverage
}

type Given = {
  bars: readonly LifeBar[]
  papers: readonly LifePaper[]
  today: string
  start?: string
  years: number
  toleratedGapDays: number
  width: number
}

/**
 * Places everything on one time axis of `width` pixels: from a little before the window to a little after the start.
 * Entries whose dates cannot be read are left out here; the table behind the chart has them.
 */
export function layOutLife({ bars, papers, today, start, years, toleratedGapDays, width }: Given): LifeLayout {
  const now = Temporal.PlainDate.from(today)
  const beginning = start ? Temporal.PlainDate.from(start) : undefined
  const window = { from: now.subtract({ years }).add({ days: 1 }), through: now }
  const readable = bars.filter(({ from: begin, to }) => isDate(begin) && (to === 'present' || isDate(to)))
  const from = axisStart(readable, window.from)
  const latest = beginning && Temporal.PlainDate.compare(beginning, now) > 0 ? beginning : now
  const through = latest.add({ months: papers.length > 0 ? 5 : 2 })
  const whole = daysBetween(from, through)
  const at = (day: Temporal.PlainDate) => Math.min(width, Math.max(0, (daysBetween(from, day) / whole) * width))
  const found = coverage(readable.filter(({ lane }) => lane !== 'Home').map(entryOf), window, toleratedGapDays)
  const stretch = (begin: Temporal.PlainDate, end: Temporal.PlainDate) => ({
    x: at(begin),
    width: Math.max(2, at(end.add({ days: 1 })) - at(begin)),
  })
  const gaps = [
    ...found.certainGaps.map((gap) => ({ ...gap, certain: true })),
    ...found.possibleGaps.map((gap) => ({ ...gap, certain: false })),
  ]
  return {
    years: Array.from({ length: through.year - from.year + 1 }, (_, index) => from.year + index)
      .filter((year) => year > from.year)
      .map((year) => ({ year, x: at(Temporal.PlainDate.from({ year, month: 1, day: 1 })) })),
    bars: inRows(
      readable
        .map((bar) => ({
          ...bar,
          ...stretch(
            spanOf(partialDate(bar.from)).earliest,
            bar.to === 'present' ? now : spanOf(partialDate(bar.to)).latest,
          ),
        }))
        .filter(({ x, width: own }) => x + own > 4 && x < width),
      ({ lane }) => lane,
    ),
    papers: inRows(
      papers
        .filter(
          (paper) => paper.through !== 'unknown' && (isDate(paper.through) || paper.through === 'does not expire'),
        )
        .map((paper) => ({
          ...paper,
          ...stretch(
            isDate(paper.from) ? spanOf(partialDate(paper.from)).earliest : from,
            paper.through === 'does not expire' ? through : spanOf(partialDate(paper.through)).latest,
          ),
        })),
      ({ id }) => id,
    ).map((paper, row) => ({ ...paper, row })),
    gaps: gaps.map((gap) => ({
      ...stretch(gap.from, gap.through),
      days: gap.days,
      certain: gap.certain,
      from: gap.from.toString(),
      through: gap.through.toString(),
    })),
    today: at(now),
    start: beginning && at(beginning),
    from,
    through,
    coverage: found,
  }
}

/** A little before the window, or the beginning of what led into it, up to three years earlier. */
function axisStart(bars: readonly LifeBar[], windowStart: Temporal.PlainDate): Temporal.PlainDate {
  const furthest = windowStart.subtract({ years: 3 })
  const starts = bars
    .map(({ from }) => spanOf(partialDate(from)).earliest)
    .filter((day) => Temporal.PlainDate.compare(day, furthest) >= 0 && Temporal.PlainDate.compare(day, windowStart) < 0)
  return [...starts, windowStart].sort(Temporal.PlainDate.compare)[0]!.subtract({ months: 2 })
}

const isDate = (text: string) => /^\d{4}(-\d{2}(-\d{2})?)?~?$/.test(text)
const daysBetween = (a: Temporal.PlainDate, b: Temporal.PlainDate) => a.until(b, { largestUnit: 'day' }).days
const entryOf = ({ id, from, to }: LifeBar): HistoryEntry => ({
  id,
  from: partialDate(from),
  to: to === 'present' ? to : partialDate(to),
})

/** Bars of one lane that overlap go below each other, at most two rows deep. */
function inRows<T extends { x: number; width: number }>(bars: readonly T[], laneOf: (bar: T) => string): Placed<T>[] {
  const ends = new Map<string, number[]>()
  return [...bars]
    .sort((a, b) => a.x - b.x)
    .map((bar) => {
      const rows = ends.get(laneOf(bar)) ?? []
      const free = rows.findIndex((end) => end <= bar.x + 1)
      const row = Math.min(free === -1 ? rows.length : free, 1)
      rows[row] = bar.x + bar.width
      ends.set(laneOf(bar), rows)
      return { ...bar, row }
    })
}
