import type { Step } from '../requirements/requirement'
import { bestChange, type Change } from './bestChange'
import { drawsOf } from './draws'
import { holders } from './holders'
import { dayAtShare, type Network, play, shareBy } from './play'

/** At which shares of futures the ready day is kept, in per cent: every twentieth. */
export const keptShares: readonly number[] = Array.from({ length: 19 }, (_, nth) => 5 * (nth + 1))

/** For which share of futures each day stands; wider than 50 and 80 % where those have not held. */
export type Levels = { early: number; likely: number; late: number }
export const usualLevels: Levels = { early: 0.2, likely: 0.5, late: 0.8 }

/** A step of a requirement, about a claim where it is about one. */
export type Place = { requirement: string; claim?: string; step: Step }

/** Days are counted from today. */
export type Forecast = {
  /** By when so many per cent of the futures are ready, as in `keptShares`. */
  days: number[]
  early: number
  likely: number
  late: number
  /** The share of futures that are ready by the target start, 0 to 1. */
  chance: number
  /** The step that holds it up most often, and in which share of futures. */
  heldUpBy: (Place & { share: number }) | null
  /** What alone would bring the likely day forward most, by how many days, and the chance with it. */
  help: (Place & Pick<Change, 'how'> & { days: number; chance: number }) | null
}

/**
 * When an application is likely to be ready: its open steps played through many times, in the calendars of whoever does them. One more
 * open step never makes any of the days earlier.
 *
 * @param start the target start, in days from today
 * @param seed the same gives the same days
 */
export function forecast(
  network: Network,
  { start, seed, levels = usualLevels }: { start: number; seed: string; levels?: Levels },
): Forecast {
  const { chains } = network
  const draws = drawsOf(seed)
  const played = play(network, draws)
  const inOrder = played.ready.toSorted()
  const likely = dayAtShare(inOrder, levels.likely)
  const found = chains.length === 0 ? [] : holders(chains, played)
  const main = found[0]
  const best = bestChange(network, draws, played, found, { likely, level: levels.likely, start })
  const place = ({ chain, task }: { chain: number; task: number }): Place => {
    const { requirement, claim, tasks } = chains[chain]!
    return { requirement, ...(claim ? { claim } : {}), step: tasks[task]!.step }
  }
  return {
    days: keptShares.map((share) => dayAtShare(inOrder, share / 100)),
    early: dayAtShare(inOrder, levels.early),
    likely,
    late: dayAtShare(inOrder, levels.late),
    chance: shareBy(played.ready, start),
    heldUpBy: main ? { ...place(main), share: main.share } : null,
    help: best ? { ...place(best), how: best.how, days: best.days, chance: best.chance } : null,
  }
}
