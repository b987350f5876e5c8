import type { Answers } from '#core/form/answer'
import { isEmpty } from '#core/form/answer'
import { forgetEntry, keepEntry, keptEntry } from './keep'

/**
 * What somebody answers about a vacancy before they have an account: kept in this browser alone, for a while, until it is put
 * into their application.
 */
type Kept = { answers: Answers; at: number; mail?: string }

const keptMs = 30 * 86_400_000
const nameOf = (slug: string) => `before ${slug}`

export async function readBefore(slug: string): Promise<Kept | undefined> {
  const kept = (await keptEntry(nameOf(slug))) as Kept | undefined
  return kept && Date.now() - kept.at < keptMs && Object.keys(kept.answers).length > 0 ? kept : undefined
}

/** Keeps some answers beside those that are kept already; an empty one is taken out. */
export async function keepBefore(slug: string, answers: Answers) {
  const before = await readBefore(slug)
  const all = Object.entries({ ...before?.answers, ...answers }).filter(([, answer]) => !isEmpty(answer))
  await keepEntry(nameOf(slug), { ...before, answers: Object.fromEntries(all), at: Date.now() } satisfies Kept)
}

/** Remembers who is making an account for it: what they wrote is then theirs without being asked. */
export async function markBefore(slug: string, mail: string) {
  const before = await readBefore(slug)
  if (before) await keepEntry(nameOf(slug), { ...before, mail: mail.trim().toLowerCase() } satisfies Kept)
}

export const forgetBefore = (slug: string) => forgetEntry(nameOf(slug))

/** The vacancy an address of ours is about, where it is about one. */
export const vacancyIn = (place: string | null): string | undefined => /^\/vacancies\/([^/?]+)/.exec(place ?? '')?.[1]
