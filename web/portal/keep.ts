import { type DBSchema, type IDBPDatabase, openDB } from 'idb'
import type { AnswerValue } from '#core/form/answer'

/** An answer that is typed and not saved yet, and what was saved when it was begun. */
export type Waiting = { value: AnswerValue; basedOn: AnswerValue }

type KeptAnswer = Waiting & { application: string; key: string; window: string; at: number }

interface Kept extends DBSchema {
  answers: { key: [application: string, key: string, window: string]; value: KeptAnswer; indexes: { of: string } }
  entries: { key: string; value: unknown }
}

let opened: Promise<IDBPDatabase<Kept>> | undefined

/** What waits on this device until it can be sent: answers one by one, and entries half written. */
const device = () => {
  opened ??= openDB<Kept>('probatum', 1, {
    upgrade(database) {
      const answers = database.createObjectStore('answers', { keyPath: ['application', 'key', 'window'] })
      answers.createIndex('of', 'application')
      database.createObjectStore('entries')
    },
  })
  return opened
}

const asKept = ({ value, basedOn }: Waiting) => JSON.stringify([value, basedOn])

/** Keeps what waits in one window for one application, and nothing else of it; writes only what has changed. */
export async function keepAnswers(application: string, window: string, waiting: Record<string, Waiting>) {
  const work = (await device()).transaction('answers', 'readwrite')
  const before = (await work.store.index('of').getAll(application)).filter((kept) => kept.window === window)
  const known = new Map(before.map((kept) => [kept.key, asKept(kept)]))
  await Promise.all([
    ...before.filter(({ key }) => !(key in waiting)).map(({ key }) => work.store.delete([application, key, window])),
    ...Object.entries(waiting)
      .filter(([key, given]) => known.get(key) !== asKept(given))
      .map(([key, { value, basedOn }]) => work.store.put({ application, key, window, value, basedOn, at: Date.now() })),
    work.done,
  ])
}

/**
 * Takes over what windows that are gone left behind for an application.
 *
 * @param open the windows that are still there; what waits in them stays theirs
 * @returns the newest of each answer, and where two of them differ, the older one as well
 */
export async function adoptAnswers(application: string, window: string, open: ReadonlySet<string>) {
  const work = (await device()).transaction('answers', 'readwrite')
  const left = (await work.store.index('of').getAll(application))
    .filter((kept) => kept.window === window || !open.has(kept.window))
    .sort((a, b) => a.at - b.at)
  const waiting: Record<string, Waiting> = {}
  const older: Record<string, AnswerValue> = {}
  for (const { key, value, basedOn } of left) {
    const before = waiting[key]
    if (before && JSON.stringify(before.value) !== JSON.stringify(value)) older[key] = before.value
    waiting[key] = { value, basedOn }
  }
  await Promise.all([
    ...left.map((kept) => work.store.delete([application, kept.key, kept.window])),
    ...Object.entries(waiting).map(([key, { value, basedOn }]) =>
      work.store.put({ application, key, window, value, basedOn, at: Date.now() }),
    ),
    work.done,
  ])
  return { waiting, older }
}

export const keptEntry = async (key: string): Promise<unknown> => (await device()).get('entries', key)
export const keepEntry = async (key: string, value: unknown) => void (await (await device()).put('entries', value, key))

/** Puts into an entry what is made of what is in it, in one go: of two changes at once neither is lost. `undefined` leaves it. */
export async function changeEntry(key: string, change: (before: unknown) => unknown) {
  const { store, done } = (await device()).transaction('entries', 'readwrite')
  const after = change(await store.get(key))
  if (after !== undefined) await store.put(after, key)
  await done
}

export const forgetEntry = async (key: string) => (await device()).delete('entries', key)
