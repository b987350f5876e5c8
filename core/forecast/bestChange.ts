import type { Step } from '../requirements/requirement'
import type { Chain } from './chains'
import type { Draws } from './draws'
import type { Duration } from './duration'
import type { Holder } from './holders'
import { dayAtShare, type Network, type Played, play, shareBy } from './play'

/** What can be done about a step: ask by another way, do ours now, have the candidate's by tomorrow. */
export type Change = { chain: number; task: number; how: 'telephone' | 'now' | 'tomorrow'; took: Duration }

/** How many days earlier the likely day is with a change alone, and the chance for the target start with it. */
export type Gain = Change & { days: number; chance: number }

/** Chains that hold up at least so often are worth doing something about, and no more than so many changes are tried. */
const worthwhile = 0.1
const mostTried = 6

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
  const gains = chainsIn(found)
    .flatMap((chain) => changesOf(chains[chain]!, chain))
    .slice(0, mostTried)
    .map((change) => {
      const { ready } = play(network, draws, { played, ...change })
      return { ...change, days: likely - dayAtShare(ready.toSorted(), level), chance: shareBy(ready, start) }
    })
  return gains.reduce<Gain | undefined>((best, gain) => (gain.days > (best?.days ?? 0) ? gain : best), undefined)
}

/** The chains that hold up, most often first. */
function chainsIn(found: readonly Holder[]): number[] {
  const shares = new Map<number, number>()
  for (const { chain, share } of found) shares.set(chain, (shares.get(chain) ?? 0) + share)
  return [...shares]
    .filter(([, share]) => share >= worthwhile)
    .sort(([, one], [, other]) => other - one)
    .map(([chain]) => chain)
}

/** What takes others longer than a day, however much it is hurried. */
const notInADay: readonly Step['what'][] = ['renew', 'certify', 'reply']

/** Another way of asking, and what is next done at once: ours today, the candidate's by tomorrow. */
function changesOf({ tasks, after }: Chain, chain: number): Change[] {
  const otherWays = tasks.flatMap(({ instead }, task) => (instead ? [{ chain, task, ...instead }] : []))
  const { who, what } = tasks[0]!.step
  if (after.length > 0 || notInADay.includes(what)) return otherWays
  const next: Change =
    who === 'candidate'
      ? { chain, task: 0, how: 'tomorrow', took: exactly(1) }
      : { chain, task: 0, how: 'now', took: exactly(0) }
  return [...otherWays, next]
}

const exactly = (days: number): Duration => ({ kind: 'assumed', early: days, likely: days, late: days, waited: 0 })
