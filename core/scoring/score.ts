/** One thing a score sheet asks: how many points there are, and how much it counts. */
export type Criterion = { key: string; title: string; lookFor: string; most: number; weight: number }
export type Points = Readonly<Record<string, number>>
export type Scored = { reviewer: string; points: Points; handedIn: boolean }

/** Two reviewers who differ by more than this share of a criterion's points have seen different things. */
const apartShare = 0.4

/** Whether every criterion has its points, a whole number from 0 to the most there are. */
export const isComplete = (criteria: readonly Criterion[], points: Points): boolean =>
  criteria.every(({ key, most }) => {
    const given = points[key]
    return given !== undefined && Number.isInteger(given) && given >= 0 && given <= most
  })

/**
 * Points as a share of those there are, each criterion by its weight, in per cent.
 *
 * @throws RangeError where the sheet asks nothing or points are missing
 */
export function percentOf(criteria: readonly Criterion[], points: Points): number {
  const weights = criteria.reduce((sum, { weight }) => sum + weight, 0)
  if (weights === 0 || !isComplete(criteria, points)) throw new RangeError('the sheet is not complete')
  return (100 * criteria.reduce((sum, { key, most, weight }) => sum + (weight * points[key]!) / most, 0)) / weights
}

export type Summary = {
  /** The mean of the reviewers' per cent, whole. */
  percent: number
  criteria: { key: string; mean: number; least: number; most: number; apart: boolean }[]
}

/** What reviewers agree on and where they are apart; `undefined` until somebody has handed in. */
export function summarise(criteria: readonly Criterion[], scores: readonly Scored[]): Summary | undefined {
  const counted = scores.filter(({ handedIn, points }) => handedIn && isComplete(criteria, points))
  if (counted.length === 0) return undefined
  const mean = (values: readonly number[]) => values.reduce((sum, value) => sum + value, 0) / values.length
  return {
    percent: Math.round(mean(counted.map(({ points }) => percentOf(criteria, points)))),
    criteria: criteria.map(({ key, most }) => {
      const given = counted.map(({ points }) => points[key]!)
      const [low, high] = [Math.min(...given), Math.max(...given)]
      return {
        key,
        mean: Math.round(mean(given) * 10) / 10,
        least: low,
        most: high,
        apart: high - low > apartShare * most,
      }
    }),
  }
}

/**
 * The scores a reviewer may see: their own always; those of others once their own is handed in and enough are, so that
 * nobody leans on anybody.
 *
 * @param needed how many reviewers score each application
 */
export function visibleTo<S extends { reviewerId: string; handedIn: boolean }>(
  reviewerId: string,
  scores: readonly S[],
  needed: number,
): S[] {
  const own = scores.find((score) => score.reviewerId === reviewerId)
  const enough = scores.filter(({ handedIn }) => handedIn).length >= needed
  // Who does not score, such as the coordinator who decides, sees them once all are in.
  const open = enough && (own === undefined || own.handedIn)
  return scores.filter((score) => score === own || (open && score.handedIn))
}
