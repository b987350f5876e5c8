import type { Chain } from './chains'
import type { Draws } from './draws'
import type { Duration } from './duration'
import type { Holder } from './holders'
import { dayAtShare, type Network, type Played, play, shareBy } from './play'

/** What can be done about a step: ask by another way, do ours now, have the candidate's by tomorrow. */
export type Change = { chain: number; task: number; how: 'telephone' | 'now' | 'tomorrow'; took: Duration }

/** How many days earlier the likely day is with a change alone, and the chance for the target start with it. */
export type Gain = Change & { days: number; chance: number }

/** Steps that hold up at least so often are worth doing something about, and no more than so many changes are tried. */
const worthwhile = 0.1
const mostTried = 4

/**
 * What alone brings the likely day forward most; nothing where no change gains a day.
 *
 * @param likely the day as it is, at the share `level` of futures; days from today like `start`
 */
export function bestChange(
  network: Network,
  draws: Draws,
  played: Played,
  found: readonly Holder[],
  { likely, level, start }: { likely: number; level: number; start: number },
): Gain | undefined {
  const { chains } = network
  const gains = found
    .filter(({ share }) => share >= worthwhile)
    .flatMap(({ chain, task }) => changeOf(chains[chain]!, chain, task) ?? [])
    .slice(0, mostTried)
    .map((change) => {
      const { ready } = play(network, draws, { played, ...change })
      return { ...change, days: likely - dayAtShare(ready.toSorted(), level), chance: shareBy(ready, start) }
    })
  return gains.reduce<Gain | undefined>((best, gain) => (gain.days > (best?.days ?? 0) ? gain : best), undefined)
}

/** Only what is next can be done at once. */
function changeOf({ tasks, after }: Chain, chain: number, task: number): Change | undefined {
  const { step, instead } = tasks[task]!
  if (instead) return { chain, task, ...instead }
  if (task > 0 || after.length > 0 || step.who === 'source') return undefined
  return step.who === 'candidate'
    ? { chain, task, how: 'tomorrow', took: exactly(1) }
    : { chain, task, how: 'now', took: exactly(0) }
}

const exactly = (days: number): Duration => ({ kind: 'assumed', early: days, likely: days, late: days, waited: 0 })
