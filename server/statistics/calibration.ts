import { shareInterval } from '#core/counts/shareInterval'
import { dayNumber, isoOfDay } from '#core/dates/dayNumber'
import { type Held, heldBy, type Outlook, verdictOn } from '#core/forecast/calibration'
import type { Asked } from '#core/turnaround/backtest'
import { say } from '#core/words/say'
import type { Deps } from '../platform/deps'
import { inThread } from '../platform/jobs/threads'
import { levelsOfToday } from '../readiness/dayCurves'
import { outlookOf, pastForecasts } from '../records/hiring/forecasts'
import { daysOf, isIn, isoDayOf, type PastQuestion, questionsUntil } from './asked'
import { byMonth, figure, percentOf } from './figure'
import type { Period } from './filter'

const thread = new URL('./backtestThread.ts', import.meta.url)

const columns = {
  month: 'month',
  due50: 'count',
  held50: 'percent',
  low50: 'percent',
  high50: 'percent',
  due80: 'count',
  held80: 'percent',
  low80: 'percent',
  high80: 'percent',
} as const

/** How often the 50 and the 80 % day held: of files as it was said when they came, of answers as it would have been when they were asked. */
export async function calibration(deps: Deps, period: Period) {
  return [await filesHeld(deps, period), await answersHeld(deps, period)]
}

async function filesHeld(deps: Deps, { from, to, vacancyId }: Period) {
  const today = dayNumber(deps.clock.today())
  const outlooks = (await pastForecasts(from, vacancyId)).filter(({ madeOn }) => madeOn <= to).map(outlookOf)
  const held = (some: readonly Outlook[], share: number) => heldBy(some, share, today)
  const { likely, late } = await levelsOfToday(deps)
  return figure(
    'filesHeld',
    columns,
    byMonth(outlooks, ({ madeOn }) => isoOfDay(madeOn)).map(([month, some]) => ({
      month,
      ...cells(held(some, 50), held(some, 80)),
    })),
    chart,
    [
      ...notes(held(outlooks, 50), held(outlooks, 80)),
      ...(likely > 0.5 || late > 0.8
        ? [say('statistics.note.widened', { likely: Math.round(likely * 100), late: Math.round(late * 100) })]
        : []),
    ],
  )
}

async function answersHeld(deps: Deps, period: Period) {
  const asked = await questionsUntil(deps, period.until)
  const within = isIn(period)
  const plain = asked.map(
    ({ source, kind, country, at, endedAt, answered }): Asked => ({ source, kind, country, at, endedAt, answered }),
  )
  const said = await inThread<Asked[], { half: number | null; eighty: number | null }[]>(thread, plain)
  const tried = asked.map((question, nth) => ({ question, ...said[nth]! })).filter(({ question }) => within(question))
  const now = daysOf(deps.clock.now())
  const held = (some: typeof tried, of: 'half' | 'eighty') =>
    heldOf(
      some.flatMap(({ question, [of]: days }) => (days === null ? [] : [{ question, days }])),
      now,
    )
  return figure(
    'answersHeld',
    columns,
    byMonth(tried, ({ question }) => isoDayOf(question.at, deps)).map(([month, some]) => ({
      month,
      ...cells(held(some, 'half'), held(some, 'eighty')),
    })),
    chart,
    notes(held(tried, 'half'), held(tried, 'eighty')),
  )
}

/** Like `heldBy`: only days that have come, and none of what ended without an answer before its day. */
function heldOf(said: readonly { question: PastQuestion; days: number }[], now: number): Held {
  const due = said.filter(({ question: { at, endedAt, answered }, days }) => {
    const calledOff = endedAt !== null && !answered && endedAt - at < days
    return at + days <= now && !calledOff
  })
  const held = due.filter(({ question: { at, endedAt, answered }, days }) => answered && endedAt! - at <= days).length
  return { due: due.length, held, interval: due.length === 0 ? null : shareInterval(held, due.length) }
}

function cells(fifty: Held, eighty: Held) {
  const part = ({ interval }: Held, of: 'share' | 'low' | 'high') => (interval ? percentOf(interval[of]) : null)
  return {
    ...{ due50: fifty.due, held50: part(fifty, 'share'), low50: part(fifty, 'low'), high50: part(fifty, 'high') },
    ...{ due80: eighty.due, held80: part(eighty, 'share'), low80: part(eighty, 'low'), high80: part(eighty, 'high') },
  }
}

const chart = { kind: 'lines' as const, series: ['held50' as const, 'held80' as const] }

const notes = (fifty: Held, eighty: Held): string[] =>
  (
    [
      [50, fifty],
      [80, eighty],
    ] as const
  ).map(([share, held]) => {
    const { interval, due } = held
    if (!interval) return say('statistics.note.noneDue', { share })
    return say(`statistics.note.${verdictOn(held, share)}`, {
      ...{ share, due, held: percentOf(interval.share), low: percentOf(interval.low), high: percentOf(interval.high) },
    })
  })
