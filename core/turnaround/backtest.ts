import { dayOfShare, type Wait } from './kaplanMeier'
import { enoughOfItsOwn, pooled } from './pooled'

/** One question to a source: when it was put, in days since any beginning, and when it was answered or ended without an answer. */
export type Asked = {
  source: string
  kind: string
  country: string
  at: number
  endedAt: number | null
  answered: boolean
}

/** What would have been said of a question when it was put, and what came. */
export type Tried = {
  asked: Asked
  /** Days by which half and by which four of five were to have answered; null where too many still waited. */
  half: number | null
  eighty: number | null
}

/** So many of the newest of its like stand beside a source that has answered little. */
const mostOfLike = 300

/**
 * Goes through the past question by question and says of each only by what was known when it was put (a rolling origin: Tashman, "Out-of-
 * sample tests of forecasting accuracy", 2000): what had not been answered by then was still open.
 *
 * @param all in the order in which they were put
 */
export function backtest(all: readonly Asked[]): Tried[] {
  const bySource = new Map<string, Asked[]>()
  return all.map((asked, nth) => {
    const own = bySource.get(asked.source) ?? []
    const waits = own.map((one) => asOf(one, asked.at))
    const enough = waits.filter(({ ended }) => ended).length >= enoughOfItsOwn
    const { curve } = pooled({
      source: waits,
      ...(enough
        ? { 'kind and country': [], kind: [], all: [] }
        : likeOf(asked, all.slice(Math.max(0, nth - mostOfLike), nth))),
    })
    bySource.set(asked.source, [...own, asked])
    return { asked, half: dayOfShare(curve, 0.5) ?? null, eighty: dayOfShare(curve, 0.8) ?? null }
  })
}

function likeOf({ source, kind, country, at }: Asked, before: readonly Asked[]) {
  const others = before.filter((one) => one.source !== source)
  const of = (fits: (one: Asked) => boolean): Wait[] => others.filter(fits).map((one) => asOf(one, at))
  return {
    'kind and country': of((one) => one.kind === kind && one.country === country),
    kind: of((one) => one.kind === kind && one.country !== country),
    all: of((one) => one.kind !== kind),
  }
}

/** How it stood on a day. */
const asOf = ({ at, endedAt, answered }: Asked, now: number): Wait =>
  endedAt !== null && endedAt <= now
    ? { days: Math.max(1, Math.ceil(endedAt - at)), ended: answered }
    : { days: Math.max(1, Math.ceil(now - at)), ended: false }
