import type { Chain } from './chains'
import { runs } from './draws'
import type { Played } from './play'

/** A step, and in which share of futures it holds up. */
export type Holder = { chain: number; task: number; share: number }

/** In how many futures each step is the one that takes longest on the way that ends last: most often first. */
export function holders(chains: readonly Chain[], played: Played): Holder[] {
  const counts = chains.map(({ tasks }) => new Uint16Array(tasks.length))
  for (let run = 0; run < runs; run += 1) {
    const { chain, task } = longestOnWay(chains, played, run)
    counts[chain]![task]! += 1
  }
  return counts
    .flatMap((tasks, chain) => Array.from(tasks, (often, task) => ({ chain, task, share: often / runs })))
    .filter(({ share }) => share > 0)
    .sort((a, b) => b.share - a.share || a.chain - b.chain || a.task - b.task)
}

/** The longest step of one future on the way that ends last, which is followed from its end to its beginning. */
function longestOnWay(chains: readonly Chain[], { ready, began, ended }: Played, run: number) {
  const endOf = (chain: number) => ended[chain]!.at(-1)![run]!
  let found = { chain: 0, task: 0, days: -1 }
  let chain = ended.findIndex((_, nth) => endOf(nth) === ready[run])
  while (chain >= 0) {
    const start = began[chain]![run]!
    let from = start
    const ends = ended[chain]!
    for (let task = 0; task < ends.length; task += 1) {
      const days = ends[task]![run]! - from
      if (days > found.days) found = { chain, task, days }
      from += days
    }
    chain = start === 0 ? -1 : chains[chain]!.after.findLast((before) => endOf(before) === start)!
  }
  return found
}
