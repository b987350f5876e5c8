import type { Temporal } from 'temporal-polyfill'
import { addWorkingDays, type WorkCalendar } from '../calendar/workingDays'
import type { Outcome, Step } from '../requirements/requirement'

/** Working days one step usually takes: early, likely, late. */
type Duration = readonly [early: number, likely: number, late: number]

/** Where no turnaround is known yet, these working days are assumed for a step. */
const usual: Record<Step['what'], Duration> = {
  answer: [1, 3, 7],
  explain: [1, 3, 8],
  upload: [1, 4, 10],
  renew: [5, 12, 30],
  look: [0, 1, 3],
  ask: [0, 1, 2],
  reply: [3, 8, 20],
  compare: [0, 1, 2],
  decide: [1, 2, 5],
  'sit check': [1, 4, 9],
  sign: [1, 3, 7],
  'do task': [1, 2, 6],
  'make offer': [1, 3, 6],
  pay: [1, 3, 7],
  'name someone': [1, 2, 5],
  'take portrait': [1, 2, 6],
  certify: [3, 7, 20],
}

export type Forecast = {
  /** The days by which everything is early, likely and late to be ready. Today if nothing is open. */
  early: Temporal.PlainDate
  likely: Temporal.PlainDate
  late: Temporal.PlainDate
  /** The requirement whose steps take longest. */
  heldUpBy?: Outcome
}

/**
 * When an application is likely to be ready: the longest chain of open steps, requirements being worked on side by side.
 *
 * @param outcomes of all gates up to start; those without steps do not count
 * @param calendar working days of the desk, used for every step
 */
export function likelyReady(outcomes: readonly Outcome[], today: Temporal.PlainDate, calendar: WorkCalendar): Forecast {
  const open = outcomes.filter(({ steps }) => steps.length > 0)
  const total = (outcome: Outcome, which: 0 | 1 | 2) =>
    outcome.steps.reduce((sum, { what }) => sum + usual[what][which], 0)
  const longest = (which: 0 | 1 | 2) => Math.max(0, ...open.map((outcome) => total(outcome, which)))
  const dayAfter = (days: number) => (days === 0 ? today : addWorkingDays(today, days, calendar))
  return {
    early: dayAfter(longest(0)),
    likely: dayAfter(longest(1)),
    late: dayAfter(longest(2)),
    heldUpBy: open.find((outcome) => total(outcome, 1) === longest(1)),
  }
}

/** Days between the likely ready date and the target start; negative is late. */
export function slackOf(forecast: Forecast, targetStart: Temporal.PlainDate): number {
  return forecast.likely.until(targetStart, { largestUnit: 'day' }).days
}
