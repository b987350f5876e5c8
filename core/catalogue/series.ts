import { Temporal } from 'temporal-polyfill'

/** Steps that are given one after the other, such as two doses of a vaccination, and repeated. */
export type Series = {
  steps: number
  /** Days that lie between one step and the next at least. */
  gapDays: number
  /** So many months after the last step it is repeated; without, once is enough. */
  repeatMonths?: number
}

/** How far a series has come. `next` is the ISO day the next step is due on, where there is one and it can be known. */
export type SeriesState = { given: number; of: number; complete: boolean; next?: string }

/** @param days ISO days of the steps that were given, in any order */
export function seriesState({ steps, gapDays, repeatMonths }: Series, days: readonly string[]): SeriesState {
  const last = [...days].sort().at(-1)
  const complete = days.length >= steps
  const after = complete ? repeatMonths && { months: repeatMonths } : { days: gapDays }
  const next = last && after ? Temporal.PlainDate.from(last).add(after).toString() : undefined
  return { given: Math.min(days.length, steps), of: steps, complete, ...(next ? { next } : {}) }
}

/** The steps that were given too soon after the one before, or twice on a day: their places in `days`, which are in order. */
export const tooSoon = ({ steps, gapDays }: Series, days: readonly string[]): number[] =>
  days.flatMap((day, nth) => {
    const before = days[nth - 1]
    if (before === undefined) return []
    const apart = Temporal.PlainDate.from(before).until(Temporal.PlainDate.from(day)).days
    return apart < (nth < steps ? gapDays : 1) ? [nth] : []
  })

/** What is said of a credential with its days as its series has them: the first, and the day by which the next is due. */
export function bySeries(series: Series, days: readonly string[]): { issued: string; through: string } {
  const { next, complete } = seriesState(series, days)
  return { issued: days[0] ?? '', through: next ?? (complete ? 'does not expire' : 'unknown') }
}
