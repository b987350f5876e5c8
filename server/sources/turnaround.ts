import type { Turnaround } from '#contract/turnaround'
import { beginOf } from '#core/dates/zoned'
import { dayOfShare, kaplanMeier, rangeOfShare, type Wait } from '#core/turnaround/kaplanMeier'
import type { Pooled } from '#core/turnaround/pooled'
import type { Deps } from '../platform/deps'
import { turnaroundsOf } from '../readiness/turnaround'
import { sourceById } from '../records/sources/sources'

const recentMonths = 6

/** How long a source takes to answer, drawn towards its like where it has answered little; the last months beside the time before. */
export async function readTurnaround(deps: Deps, id: string) {
  const { pooled, own } = (await turnaroundsOf(deps, [await sourceById(id)])).get(id)!
  const since = deps.clock.today().subtract({ months: recentMonths })
  const split = beginOf(since, deps.organisation.timeZone)
  return {
    whole: shown(pooled),
    recent: shown(alone(own.filter(({ askedAt }) => askedAt >= split))),
    before: shown(alone(own.filter(({ askedAt }) => askedAt < split))),
    since: since.toString(),
  }
}

const alone = (own: readonly Wait[]): Pooled => {
  const curve = kaplanMeier(own)
  return { curve, own: { ended: curve.ended, open: curve.open }, beside: null }
}

function shown({ curve, own, beside }: Pooled): Turnaround {
  const day = dayOfShare(curve, 0.5)
  const { from, to } = rangeOfShare(curve, 0.5)
  return {
    ...{ own, beside, steps: curve.steps, eighty: dayOfShare(curve, 0.8) ?? null },
    median: day === undefined ? null : { day, from: from ?? null, to: to ?? null },
  }
}
