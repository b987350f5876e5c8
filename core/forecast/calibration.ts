import { type ShareInterval, shareInterval } from '../counts/shareInterval'
import { keptShares, type Levels, usualLevels } from './forecast'

/** What was forecast once, and what came. Days are day numbers since 1970. */
export type Outlook = {
  madeOn: number
  /** Days from then by which each of `keptShares` was to be ready. */
  days: readonly number[]
  /** The day it was ready; null while it is not. */
  readyOn: number | null
}

/** How often a day held, of those that have come: of how many, and with its interval where there are any. */
export type Held = { due: number; held: number; interval: ShareInterval | null }

/**
 * How often the day of a share held. Only days that have come count, ready before or not: whoever was ready early is counted when the day
 * comes, so that the last months look no better than they are.
 *
 * @param share one of `keptShares`, in per cent
 */
export function heldBy(outlooks: readonly Outlook[], share: number, today: number): Held {
  const place = keptShares.indexOf(share)
  const due = outlooks.filter(({ madeOn, days }) => madeOn + days[place]! <= today)
  const held = due.filter(({ madeOn, days, readyOn }) => readyOn !== null && readyOn <= madeOn + days[place]!).length
  return { due: due.length, held, interval: due.length === 0 ? null : shareInterval(held, due.length) }
}

/** Whether days hold as often as they say: within the interval, too seldom (they come too early) or too often (too late). */
export type Verdict = 'holds' | 'too early' | 'too late' | 'too few'

/** Fewer that are due say nothing. */
export const fewestDue = 20

export function verdictOn({ due, interval }: Held, share: number): Verdict {
  if (!interval || due < fewestDue) return 'too few'
  if (interval.high < share / 100) return 'too early'
  return interval.low > share / 100 ? 'too late' : 'holds'
}

/**
 * For which share of futures each day has to stand so that it holds as often as it says: recalibration of quantiles by what came
 * (Kuleshov, Fenner and Ermon 2018), and only ever to a wider range. What holds within its interval stays as it is.
 */
export function levelsFrom(outlooks: readonly Outlook[], today: number): Levels {
  const at = (share: number) => heldBy(outlooks, share, today)
  const verdict = (level: number) => verdictOn(at(percent(level)), percent(level))
  const later = (level: number) =>
    verdict(level) === 'too early' ? (firstThat(keptShares, (share) => holds(at(share), level)) ?? 95) / 100 : level
  const earlier = (level: number) =>
    verdict(level) === 'too late'
      ? (firstThat(keptShares.toReversed(), (share) => !holds(at(share), level)) ?? 5) / 100
      : level
  const { early, likely, late } = usualLevels
  return {
    early: Math.min(early, earlier(early)),
    likely: Math.max(likely, later(likely)),
    late: Math.max(late, later(late)),
  }
}

const percent = (level: number) => Math.round(level * 100)
const holds = ({ interval }: Held, level: number) => (interval?.share ?? 0) >= level
const firstThat = (shares: readonly number[], fits: (share: number) => boolean) => shares.find(fits)
