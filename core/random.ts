/**
 * A repeatable stream of numbers in [0, 1) from a text seed: the text is hashed with xmur3, the stream is mulberry32
 * (both public domain, by bryc). Good enough to draw papers and to try out a thousand futures; not for secrets.
 */
export function seededRandom(seed: string): () => number {
  let hash = 1_779_033_703 ^ seed.length
  for (const character of seed) {
    hash = Math.imul(hash ^ character.codePointAt(0)!, 3_432_918_353)
    hash = (hash << 13) | (hash >>> 19)
  }
  let state = hash >>> 0
  return () => {
    state = (state + 0x6d2b79f5) | 0
    let mixed = Math.imul(state ^ (state >>> 15), 1 | state)
    mixed = (mixed + Math.imul(mixed ^ (mixed >>> 7), 61 | mixed)) ^ mixed
    return ((mixed ^ (mixed >>> 14)) >>> 0) / 4_294_967_296
  }
}

/** A shuffled copy (Fisher and Yates 1938, in Durstenfeld's form). */
export function shuffled<T>(items: readonly T[], random: () => number): T[] {
  const copy = [...items]
  for (let last = copy.length - 1; last > 0; last -= 1) {
    const chosen = Math.floor(random() * (last + 1))
    ;[copy[last], copy[chosen]] = [copy[chosen]!, copy[last]!]
  }
  return copy
}
