import { seededRandom } from '#core/random'

/** What is drawn for the past of the demo: the same for everybody who loads it. */
export type Chance = {
  /** From 0 up to 1. */
  share: () => number
  among: <T>(some: readonly T[]) => T
  /** Whole days around a median, with a long tail to the right: log-normal. */
  daysAround: (median: number, spread?: number) => number
  between: (least: number, most: number) => number
}

export function chance(seed: string): Chance {
  const share = seededRandom(seed)
  // Box and Muller (1958).
  const normal = () => Math.sqrt(-2 * Math.log(1 - share())) * Math.cos(2 * Math.PI * share())
  return {
    share,
    among: (some) => some[Math.floor(share() * some.length)]!,
    daysAround: (median, spread = 0.6) => Math.max(1, Math.round(median * Math.exp(spread * normal()))),
    between: (least, most) => least + Math.floor(share() * (most - least + 1)),
  }
}
