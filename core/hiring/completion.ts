import type { Temporal } from 'temporal-polyfill'

/** The time somebody has to finish what they began, or what is still theirs after sending. */
export type Completion = {
  /** Days from beginning, and again from sending. */
  days: number
  /** So many days before the end somebody is reminded. */
  remindAt: readonly number[]
  /** What one extension adds; none where it is 0. */
  extraDays: number
}

/** The last day on which it can be finished. */
export const completionEnds = (
  { days, extraDays }: Completion,
  { began, extended }: { began: Temporal.PlainDate; extended: boolean },
): Temporal.PlainDate => began.add({ days: days + (extended ? extraDays : 0) })

/**
 * The step at which somebody is to be reminded now: the last one that has come, unless they were reminded of it or of a later one.
 *
 * @param daysLeft until the last day, not below nothing
 * @param reminded the step they were reminded of last
 */
export function reminderStep({ remindAt }: Completion, daysLeft: number, reminded: number | null): number | undefined {
  const come = remindAt.filter((step) => daysLeft <= step)
  if (come.length === 0) return undefined
  const step = Math.min(...come)
  return reminded === null || step < reminded ? step : undefined
}

/** Steps of a reminder that would come before anybody has begun. */
export const stepsTooEarly = ({ days, remindAt }: Completion): number[] => remindAt.filter((step) => step >= days)
