import type { Answers } from '#core/form/answer'
import { isEmpty } from '#core/form/answer'
import { changeEntry, forgetEntry, keptEntry } from './keep'

/**
 * What somebody answers about a vacancy before they have an account: kept in this browser alone, for a while, until it is put
 * into their application.
 */
type Kept = { answers: Answers; at: number; mail?: string }

const keptMs = 30 * 86_400_000
const nameOf = (slug: string) => `before ${slug}`

const stillKept = (entry: unknown): Kept | undefined => {
  const kept = entry as Kept | undefined
  return kept && Date.now() - kept.at < keptMs && Object.keys(kept.answers).length > 0 ? kept : undefined
}

export const readBefore = async (slug: string): Promise<Kept | undefined> => stillKept(await keptEntry(nameOf(slug)))

/** Keeps some answers beside those that are kept already; an empty one is taken out. */
export const keepBefore = (slug: string, answers: Answers) =>
  changeEntry(nameOf(slug), (entry): Kept => {
    const before = stillKept(entry)
    const all = Object.entries({ ...before?.answers, ...answers }).filter(([, answer]) => !isEmpty(answer))
    return { ...before, answers: Object.fromEntries(all), at: Date.now() }
  })

/** Remembers who is making an account for it: what they wrote is then theirs without being asked. */
export const markBefore = (slug: string, mail: string) =>
  changeEntry(nameOf(slug), (entry): Kept | undefined => {
    const before = stillKept(entry)
    return before && { ...before, mail: mail.trim().toLowerCase() }
  })

export const forgetBefore = (slug: string) => forgetEntry(nameOf(slug))

/** The vacancy an address of ours is about, where it is about one. */
export const vacancyIn = (place: string | null): string | undefined => /^\/vacancies\/([^/?]+)/.exec(place ?? '')?.[1]
