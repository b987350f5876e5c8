import { type Curve, kaplanMeier, type Wait } from './kaplanMeier'

/** Of which sources waits are: the one itself, those of its kind in its country, those of its kind, or all. */
export const scopes = ['source', 'kind and country', 'kind', 'all'] as const
export type Scope = (typeof scopes)[number]

export type Pooled = {
  curve: Curve
  /** How many waits of its own it rests on, ended and open. */
  own: { ended: number; open: number }
  /** Whose waits stand beside its own where they are few, how many those are, and for how many of its own they count. */
  beside: { scope: Exclude<Scope, 'source'>; waits: number; countsAs: number } | null
}

/** A source with so many answers of its own is judged by them alone. */
export const enoughOfItsOwn = 12
/** What those beside it count for, however many they are: as if so many of its own had gone like them. */
const besideCountsAs = 6
/** Fewer than these say too little to stand beside anything. */
export const fewestBeside = 8

/**
 * The curve of a source that has answered little is drawn towards that of its like: theirs count as six of its own, those of the same
 * kind in the same country before those of the same kind, and these before all. Shrinkage to a prior of fixed weight (Gelman et
 * al., Bayesian Data Analysis, 3rd ed., 2.4, with pseudo-observations in place of a conjugate prior).
 *
 * @param waits of each scope, without those of a nearer one
 */
export function pooled(waits: Readonly<Record<Scope, readonly Wait[]>>): Pooled {
  const own = waits.source
  const ended = own.filter((wait) => wait.ended).length
  const counts = { ended, open: own.length - ended }
  if (ended >= enoughOfItsOwn) return { curve: kaplanMeier(own), own: counts, beside: null }
  const nearer = scopes.slice(1) as Exclude<Scope, 'source'>[]
  const found = nearer.find(
    (_scope, nth) => within(waits, nearer.slice(0, nth + 1)).filter((wait) => wait.ended).length >= fewestBeside,
  )
  if (!found) return { curve: kaplanMeier(own), own: counts, beside: null }
  const like = within(waits, nearer.slice(0, nearer.indexOf(found) + 1))
  const weight = Math.min(1, besideCountsAs / like.length)
  return {
    curve: kaplanMeier([...own, ...like.map((wait) => ({ ...wait, weight }))]),
    own: counts,
    beside: { scope: found, waits: like.length, countsAs: Math.min(besideCountsAs, like.length) },
  }
}

const within = (waits: Readonly<Record<Scope, readonly Wait[]>>, some: readonly Scope[]) =>
  some.flatMap((scope) => waits[scope])
