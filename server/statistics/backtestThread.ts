import { type Asked, backtest } from '#core/turnaround/backtest'

/** Runs in a worker thread: a past of twenty thousand questions takes seconds. */
export default (asked: readonly Asked[]) => backtest(asked).map(({ half, eighty }) => ({ half, eighty }))
