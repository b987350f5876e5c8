/** A stay that ended in one of several ways, or goes on: `end` null. */
export type Stay<End extends string> = { days: number; end: End | null }

export type EndsStep<End extends string> = {
  day: number
  atRisk: number
  /** The share that has ended in each way by then, and the share that stays; together one. */
  ended: Record<End, number>
  stays: number
}

/**
 * Which share of stays has ended in each way after so many days, where those that go on are counted as long as they have lasted and an end
 * of one kind takes away the chance of the others: the cumulative incidence of Aalen and Johansen (1978).
 *
 * @param ends all ways there are
 */
export function competingEnds<End extends string>(stays: readonly Stay<End>[], ends: readonly End[]): EndsStep<End>[] {
  const days = [...new Set(stays.flatMap(({ days: lasted, end }) => (end === null ? [] : [lasted])))].sort(
    (a, b) => a - b,
  )
  const ended = Object.fromEntries(ends.map((end) => [end, 0])) as Record<End, number>
  let still = 1
  return days.map((day) => {
    const atRisk = stays.filter(({ days: lasted }) => lasted >= day).length
    const now = (end: End) => stays.filter((stay) => stay.days === day && stay.end === end).length
    for (const end of ends) ended[end] += (still * now(end)) / atRisk
    still *= 1 - ends.reduce((sum, end) => sum + now(end), 0) / atRisk
    return { day, atRisk, ended: { ...ended }, stays: still }
  })
}
