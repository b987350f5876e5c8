import { type WorkingDayTable, workingDaysAfter } from '../calendar/workingDayTable'
import type { Chain } from './chains'
import { type Draws, runs } from './draws'
import type { Duration } from './duration'

/** Open steps, and the working days they end on by the keys of calendars, from today on. */
export type Network = { chains: readonly Chain[]; calendars: ReadonlyMap<string, WorkingDayTable> }

/** Every future, in days from today. */
export type Played = {
  ready: Int16Array
  /** By chain: when it began, and when each of its tasks ended. */
  began: Int16Array[]
  ended: Int16Array[][]
}

/**
 * Plays the steps through in every future.
 *
 * @param changed of what was played already: one of its steps takes another time, and what does not wait for it stays as it was
 */
export function play(
  { chains, calendars }: Network,
  draws: Draws,
  changed?: { played: Played; chain: number; task: number; took: Duration },
): Played {
  const began: Int16Array[] = []
  const ended: Int16Array[][] = []
  const ready = new Int16Array(runs)
  const other = new Set<number>(changed ? [changed.chain] : chains.keys())
  chains.forEach(({ tasks, after }, nth) => {
    if (after.some((before) => other.has(before))) other.add(nth)
    if (changed && !other.has(nth)) {
      began.push(changed.played.began[nth]!)
      ended.push(changed.played.ended[nth]!)
    } else {
      const start = new Int16Array(runs)
      for (const before of after) later(start, ended[before]!.at(-1)!)
      let from: Int16Array = start
      began.push(start)
      ended.push(
        tasks.map((task, place) => {
          const took = changed?.chain === nth && changed.task === place ? changed.took : task.took
          const counted = took.kind === 'measured' ? took.in : 'working days'
          from = workingDaysAfter(calendars.get(task.calendar)!, from, draws(task.work, took), counted)
          return from
        }),
      )
    }
    later(ready, ended[nth]!.at(-1)!)
  })
  return { ready, began, ended }
}

/** Puts into each future whichever day is the later. */
function later(days: Int16Array, others: Int16Array) {
  for (let run = 0; run < runs; run += 1) if (others[run]! > days[run]!) days[run] = others[run]!
}

/** The first day by which at least that share of futures is ready, of days in their order. */
export const dayAtShare = (inOrder: Int16Array, share: number): number =>
  inOrder[Math.min(runs, Math.max(1, Math.ceil(share * runs - 1e-9))) - 1]!

/** The share of futures that are ready by a day, 0 to 1. */
export const shareBy = (ready: Int16Array, day: number): number =>
  ready.reduce((count, one) => (one <= day ? count + 1 : count), 0) / runs
