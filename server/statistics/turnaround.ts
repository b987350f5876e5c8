import { groupBy } from '#core/groupBy'
import { dayOfShare, kaplanMeier, rangeOfShare } from '#core/turnaround/kaplanMeier'
import { say } from '#core/words/say'
import type { Deps } from '../platform/deps'
import { daysOf, isIn, type PastQuestion, questionsUntil, waitBy } from './asked'
import { figure, percentOf } from './figure'
import type { Period } from './filter'

/** Those with most questions are shown; the rest is in the directory. */
const mostSources = 40

/** How long sources take: all together as a curve, and each. */
export async function turnaround(deps: Deps, period: Period) {
  const asked = (await questionsUntil(deps, period.until)).filter(isIn(period))
  const now = daysOf(deps.clock.now())
  const whole = kaplanMeier(asked.map(waitBy(now)))
  const median = dayOfShare(whole, 0.5)
  const { from, to } = rangeOfShare(whole, 0.5)
  return [
    figure(
      'waiting',
      { day: 'days', waits: 'percent', low: 'percent', high: 'percent', atRisk: 'count' },
      whole.steps.map(({ day, waits, low, high, atRisk }) => ({
        ...{ day, atRisk, waits: percentOf(waits), low: percentOf(low), high: percentOf(high) },
      })),
      { kind: 'steps', series: ['waits'], band: ['low', 'high'] },
      median === undefined
        ? [say('statistics.note.medianUnknown', { ended: whole.ended, open: whole.open })]
        : [
            say('statistics.note.median', {
              ...{ median, from: from ?? '?', to: to ?? '?', eighty: dayOfShare(whole, 0.8) ?? '?' },
              ...{ ended: whole.ended, open: whole.open },
            }),
          ],
    ),
    figure(
      'bySource',
      { source: 'text', asked: 'count', answered: 'count', open: 'count', median: 'days', eighty: 'days' },
      bySource(asked, now),
    ),
  ]
}

function bySource(asked: readonly PastQuestion[], now: number) {
  const groups = [...groupBy(asked, ({ source }) => source).values()]
  return groups
    .sort((a, b) => b.length - a.length || a[0]!.sourceName.localeCompare(b[0]!.sourceName))
    .slice(0, mostSources)
    .map((questions) => {
      const curve = kaplanMeier(questions.map(waitBy(now)))
      return {
        ...{ source: questions[0]!.sourceName, asked: questions.length, answered: curve.ended },
        open: questions.filter(({ endedAt }) => endedAt === null).length,
        ...{ median: dayOfShare(curve, 0.5) ?? null, eighty: dayOfShare(curve, 0.8) ?? null },
      }
    })
}
