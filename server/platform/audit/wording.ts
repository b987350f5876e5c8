import type english from '#core/words/catalogue/event.en'
import { isKnown, type NamesIn, say } from '#core/words/say'
import { type StoredValue, sayStored } from '#core/words/stored'
import type { Event } from './model'

type Texts = typeof english
type WordOf<Said> = Said extends `event.${infer Word}`
  ? Word extends `${infer Own}.toCandidate` | `${infer Own}_one` | `${infer Own}_other`
    ? Own
    : Word
  : never

/** The values that each event's words need, by name: for the desk, and for the candidate where they have words for them. */
type Needs = {
  [Said in keyof Texts as WordOf<Said>]: NamesIn<Texts[Said]> | (Said extends `${string}_one` ? 'count' : never)
}

/** The names of events' texts, without `event.`. */
export type EventWord = keyof Needs
export type EventValues<Word extends EventWord> = { [Name in Needs[Word]]: StoredValue }

/** The words that need no values. */
export type PlainWord = { [Word in EventWord]: [Needs[Word]] extends [never] ? Word : never }[EventWord]

type Recorded = Pick<Event, 'what' | 'forCandidate' | 'words' | 'wordValues' | 'shownToCandidate' | 'erasedAt'>

/** What was done, for the desk. What was recorded before there were codes stands as it was written. */
export function eventWords({ what, words, wordValues, erasedAt }: Recorded): string {
  if (erasedAt) return say('event.erased')
  return words && what === '' ? sayStored(`event.${words}`, wordValues ?? {}) : what
}

/** Values of events that are the organisation's own words, and tell nobody whose file it is. */
const ownValues = new Set(['vacancy', 'reference', 'requirement', 'task', 'check', 'part', 'version', 'fee', 'sheets'])

/** The same where names are hidden: of what people wrote, and of whom or what it was about, nothing is told. */
export function namelessEventWords({ words, wordValues, erasedAt }: Recorded): string {
  if (erasedAt) return say('event.erased')
  if (!words) return say('hidden.event')
  const told = Object.entries(wordValues ?? {}).map(([name, value]) => {
    const own = ownValues.has(name) || typeof value === 'number' || (typeof value === 'object' && 'day' in value)
    return [name, own ? value : '…']
  })
  return sayStored(`event.${words}`, Object.fromEntries(told))
}

/** The same for the candidate's status page, or nothing where it is none of their concern. */
export function eventWordsForCandidate(event: Recorded): string | undefined {
  const { forCandidate, words, wordValues, shownToCandidate, erasedAt } = event
  if (erasedAt) return undefined
  if (words) return shownToCandidate ? sayStored(`event.${words}.toCandidate`, wordValues ?? {}) : undefined
  return forCandidate ?? undefined
}

/** Whether there are words for the candidate at all. */
export const concernsCandidate = (word: EventWord): boolean => isKnown(`event.${word}.toCandidate`)
