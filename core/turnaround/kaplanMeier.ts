/** One wait: how long it has lasted, and whether it ended or still goes on. `weight` where it counts for less than one. */
export type Wait = { days: number; ended: boolean; weight?: number }

export type CurveStep = {
  /** Days since it began. */
  day: number
  /** How many still waited just before, and how many of them ended on that day. */
  atRisk: number
  ended: number
  /** The share that still waits after it. */
  waits: number
  /** Its interval, 95 %. Where nobody waits any more there is none. */
  low: number
  high: number
}

export type Curve = {
  steps: CurveStep[]
  /** What it rests on. */
  ended: number
  open: number
  /** Ends a day of waiting, over everything. */
  rate: number
  /** Days of the longest wait, ended or not: beyond it nothing is known. */
  longest: number
}

/** Of a normal distribution, for 95 % on both sides. */
const z = 1.959964

/**
 * The share of waits that still go on after so many days, from those that ended and those that still go on: Kaplan and Meier
 * (1958), "Nonparametric Estimation from Incomplete Observations". The variance is Greenwood's (1926); the interval is made on the
 * log-minus-log scale, so that it stays within 0 and 1 (Kalbfleisch and Prentice, The Statistical Analysis of Failure Time
 * Data, 1980, 1.3).
 *
 * @param waits days from 0; one that ends on the day on which another is left open is counted before that
 */
export function kaplanMeier(waits: readonly Wait[]): Curve {
  const weightOf = ({ weight = 1 }: Wait) => weight
  const sum = (some: readonly Wait[]) => some.reduce((total, wait) => total + weightOf(wait), 0)
  const ended = waits.filter((wait) => wait.ended)
  const exposure = waits.reduce((total, wait) => total + wait.days * weightOf(wait), 0)
  const days = [...new Set(ended.map((wait) => wait.days))].sort((a, b) => a - b)
  const inOrder = [...waits].sort((a, b) => a.days - b.days)
  const steps: CurveStep[] = []
  let atRisk = sum(inOrder)
  let from = 0
  let still = 1
  let greenwood = 0
  for (const day of days) {
    // Whoever was left open before it does not wait for it any more.
    while (from < inOrder.length && inOrder[from]!.days < day) {
      atRisk -= weightOf(inOrder[from]!)
      from += 1
    }
    const now = sum(inOrder.slice(from).filter((wait) => wait.days === day && wait.ended))
    still *= 1 - now / atRisk
    if (still < 1e-12) still = 0
    greenwood += now / (atRisk * (atRisk - now))
    steps.push({ day, atRisk, ended: now, waits: still, ...intervalOf(still, greenwood) })
  }
  return {
    steps,
    ended: ended.length,
    open: waits.length - ended.length,
    rate: exposure > 0 ? sum(ended) / exposure : 0,
    longest: waits.reduce((longest, wait) => Math.max(longest, wait.days), 0),
  }
}

function intervalOf(still: number, greenwood: number): { low: number; high: number } {
  if (still === 0) return { low: 0, high: 0 }
  const spread = Math.exp((z * Math.sqrt(greenwood)) / Math.abs(Math.log(still)))
  return { low: still ** spread, high: still ** (1 / spread) }
}

/** The share that still waits after so many days. */
export const waitingAfter = ({ steps }: Curve, day: number): number =>
  steps.findLast((step) => step.day <= day)?.waits ?? 1

/**
 * The day by which so large a share has ended; nothing where it is not known, since too many still wait.
 *
 * @param share 0 to 1: 0.5 gives the median, 0.8 the day by which four of five have ended
 */
export const dayOfShare = ({ steps }: Curve, share: number): number | undefined =>
  steps.find(({ waits }) => waits <= 1 - share + 1e-9)?.day

/** Between which days that day lies, 95 % (Brookmeyer and Crowley, 1982): where the curve's interval crosses it. */
export const rangeOfShare = (
  { steps }: Curve,
  share: number,
): { from: number | undefined; to: number | undefined } => ({
  from: steps.find(({ low }) => low <= 1 - share + 1e-9)?.day,
  to: steps.find(({ high }) => high <= 1 - share + 1e-9)?.day,
})
