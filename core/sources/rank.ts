import { editDistance } from '../comparison/measures'
import type { SourceName } from './source'
import { allowedSlips, initialsOf, nameKey, spellingKey, tellingWordsOf, wordsOf } from './spelling'

export type Named = { name: string; names: readonly SourceName[]; town: string }

/** By which of its names a source was found, and how that was written. */
export type HitReason = {
  by: 'name' | SourceName['use'] | 'initials'
  how: 'same' | 'beginning' | 'spelling' | 'slip' | 'partly'
  /** The name it was found by. */
  name: string
  /** Some of the words are those of its town. */
  town: boolean
}
export type Hit<T> = { source: T; score: number; why: HitReason }

const least = 0.45
type How = HitReason['how']
type Word = { word: string; key: string }
type Prepare = (words: readonly string[]) => Word[]

/** Words with their keys, each made once: the names of a directory share most of their words. */
function preparing(): Prepare {
  const known = new Map<string, Word>()
  return (words) =>
    words.map((word) => {
      const before = known.get(word)
      if (before) return before
      const made = { word, key: spellingKey(word) }
      known.set(word, made)
      return made
    })
}

/** How well one word answers another, 0 to 1. `last` may still be being typed. */
function likeness(asked: Word, own: Word, last: boolean): { weight: number; how: How } | undefined {
  if (asked.word === own.word) return { weight: 1, how: 'same' }
  if (asked.key === own.key) return { weight: 0.96, how: 'spelling' }
  if (own.word.startsWith(asked.word) || own.key.startsWith(asked.key))
    return asked.word.length > 2 || last
      ? { weight: (last ? 0.9 : 0.82) + (0.06 * asked.key.length) / own.key.length, how: 'beginning' }
      : undefined
  const allowed = Math.min(allowedSlips(asked.key.length), allowedSlips(own.key.length))
  if (Math.abs(asked.key.length - own.key.length) > allowed) return undefined
  const slips = editDistance(asked.key, own.key)
  if (slips <= allowed)
    return { weight: 0.86 - (0.6 * slips) / Math.max(asked.key.length, own.key.length), how: 'slip' }
  return undefined
}

const worse: readonly How[] = ['same', 'beginning', 'spelling', 'slip', 'partly']

/** How well what was asked answers one name, with the words of the town as a help. */
function weigh(asked: readonly Word[], own: readonly Word[], town: readonly Word[]) {
  const taken = new Set<number>()
  let sum = 0
  let how: How = 'same'
  let missing = 0
  let byTown = false
  for (const [nth, word] of asked.entries()) {
    const last = nth === asked.length - 1
    const found = own
      .map((candidate, place) => ({ place, like: taken.has(place) ? undefined : likeness(word, candidate, last) }))
      .filter((one) => one.like !== undefined)
      .sort((a, b) => b.like!.weight - a.like!.weight)[0]
    if (found) {
      taken.add(found.place)
      sum += found.like!.weight
      if (worse.indexOf(found.like!.how) > worse.indexOf(how)) how = found.like!.how
    } else if (town.some((one) => likeness(word, one, last))) {
      byTown = true
      sum += 0.7
    } else missing += 1
  }
  const covered = sum / asked.length
  const share = own.length === 0 ? 0 : taken.size / own.length
  // What the town alone fits is no name.
  if (taken.size === 0) return undefined
  const inOrder = missing === 0 && share === 1 ? 0.04 : 0
  return {
    score: Math.min(1, 0.8 * covered + 0.16 * share + inOrder),
    how: missing > 0 ? ('partly' as const) : how,
    town: byTown,
  }
}

/**
 * Ranks sources by how well what was typed fits any name they go by.
 *
 * @param text what was typed: a name, its beginning, its initials, in any spelling, with a slip or two
 * @returns the best first, each with the reason it is there; what fits less than nearly half is left out
 */
export function rankSources<T extends Named>(text: string, sources: readonly T[]): Hit<T>[] {
  const prepared = preparing()
  const asked = prepared(tellingWordsOf(text))
  if (asked.length === 0) return []
  const whole = nameKey(text)
  const short = wordsOf(text).join('')
  const hits = sources.flatMap((source): Hit<T>[] => {
    const town = prepared(wordsOf(source.town))
    const names = [{ name: source.name, use: 'name' as const }, ...source.names]
    const found = names.flatMap(({ name, use }): Hit<T>[] => {
      const words = prepared(tellingWordsOf(name))
      const one = weigh(asked, words, town)
      const initials = initialsOf(name).includes(short)
      const of = (score: number, why: Omit<HitReason, 'name'>) => ({ source, score, why: { ...why, name } })
      // What it goes by now counts more than what it went by.
      const less = use === 'name' ? 0 : use === 'earlier' ? 0.03 : 0.01
      return [
        ...(one && one.score >= least ? [of(one.score - less, { by: use, how: one.how, town: one.town })] : []),
        ...(words.map(({ key }) => key).join(' ') === whole
          ? [of(1 - less, { by: use, how: one?.how === 'same' ? 'same' : 'spelling', town: false })]
          : []),
        ...(initials ? [of(0.9 - less, { by: 'initials', how: 'same', town: false })] : []),
      ]
    })
    const best = found.sort((a, b) => b.score - a.score)[0]
    return best ? [best] : []
  })
  return hits.sort((a, b) => b.score - a.score || a.source.name.localeCompare(b.source.name, 'en'))
}
