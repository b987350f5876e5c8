import type { Curve } from '../turnaround/kaplanMeier'

/** How long a step takes. */
export type Duration =
  /** As long as such waits have taken: of a curve in calendar or in working days, so many of which have gone by. */
  | { kind: 'measured'; curve: Curve; in: 'days' | 'working days'; waited: number }
  /** Working days where nothing has been measured: early, likely and late, of which some have gone by. */
  | { kind: 'assumed'; early: number; likely: number; late: number; waited: number }

/** No wait is drawn longer than two years: whoever has not answered by then will not. */
const longest = 730

/**
 * How many more days pass until a share of such steps has ended, of those that have lasted so long already: the inverse of the
 * conditional distribution.
 *
 * A measured wait ends as its curve says; beyond the longest of them, where a share still waits, it goes on exponentially, as if it had
 * come down to that share exponentially too (Brown, Hollander and Korwar, "Nonparametric tests of independence for censored data", 1974).
 * Where nobody is left on the curve it goes on at the rate at which waits have ended altogether. An assumed one is triangular; past its
 * late day it goes on as long again as is likely on average.
 *
 * @returns for a share above 0 and below 1 whole days, at most two years; of an answer at least 1, of what we do ourselves 0: it may
 *   end on the day it comes up
 */
export function daysUntil(duration: Duration): (share: number) => number {
  if (duration.kind === 'assumed')
    return (share) => Math.max(0, Math.min(longest, Math.round(assumed(duration, share))))
  const today = duration.in === 'working days' ? 1 : 0
  const days = measured(duration.curve, duration.waited - today)
  return (share) => Math.max(1, Math.ceil(Math.min(longest, days(share)) - 1e-9)) - today
}

/** Whether a curve says anything: something has ended. */
export const saysSomething = ({ rate }: Curve): boolean => rate > 0

function measured({ steps, rate, longest: known }: Curve, waited: number): (share: number) => number {
  const ahead = steps.filter(({ day }) => day > waited)
  const before = steps[steps.length - ahead.length - 1]?.waits ?? 1
  const last = ahead.at(-1)
  const left = last?.waits ?? before
  const tail = left > 0 && left < 1 ? -Math.log(left) / known : rate
  const still = last ? last.waits / before : 1
  return (share) => {
    const ends = firstAtMost(ahead, before * (1 - share) + 1e-12)
    if (ends) return ends.day - waited
    return Math.max(waited, known) - waited + Math.log(still / (1 - share)) / tail
  }
}

/** The first of steps, whose share only falls, at which no more than that still wait. */
function firstAtMost(steps: Curve['steps'], share: number): Curve['steps'][number] | undefined {
  let [low, high] = [0, steps.length]
  while (low < high) {
    const middle = (low + high) >> 1
    if (steps[middle]!.waits <= share) high = middle
    else low = middle + 1
  }
  return steps[low]
}

function assumed({ waited, ...triangle }: Extract<Duration, { kind: 'assumed' }>, share: number): number {
  const before = triangularShare(triangle, waited)
  if (before >= 1 && waited > 0) return -Math.log(1 - share) * Math.max(1, triangle.likely)
  return triangularDays(triangle, before + share * (1 - before)) - waited
}

type Triangle = { early: number; likely: number; late: number }

function triangularShare({ early, likely, late }: Triangle, days: number): number {
  if (days <= early) return 0
  if (days >= late) return 1
  if (days <= likely) return (days - early) ** 2 / ((late - early) * (likely - early))
  return 1 - (late - days) ** 2 / ((late - early) * (late - likely))
}

function triangularDays({ early, likely, late }: Triangle, share: number): number {
  if (late === early) return early
  if (share <= (likely - early) / (late - early)) return early + Math.sqrt(share * (late - early) * (likely - early))
  return late - Math.sqrt((1 - share) * (late - early) * (late - likely))
}
