/** Things by their key, each group in the order of the whole. */
export function groupBy<T, K>(things: readonly T[], keyOf: (thing: T) => K): Map<K, T[]> {
  const groups = new Map<K, T[]>()
  for (const thing of things) {
    const key = keyOf(thing)
    const group = groups.get(key)
    if (group) group.push(thing)
    else groups.set(key, [thing])
  }
  return groups
}

/** Those that fit, and the others. */
export const partition = <T>(all: readonly T[], fits: (one: T) => boolean): [T[], T[]] => [
  all.filter(fits),
  all.filter((one) => !fits(one)),
]
