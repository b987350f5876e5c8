/** A part of a signed text that can be left out: its digest stands in the text, itself is shown beside it. */
export type Disclosure = { digest: string; value: unknown }

export type Disclosed = {
  /** Whether every part that is shown belongs to the text, each once (RFC 9901, 7.1, 4 and 5). */
  sound: boolean
  /** How many parts were left out; decoys, which stand for nothing, count with them. */
  hidden: number
}

/**
 * What is shown of a text whose parts can be hidden one by one (RFC 9901, Selective Disclosure for JSON Web Tokens, 2025).
 *
 * @param payload what is signed, with digests in the place of parts
 */
export function disclosedIn(payload: unknown, disclosures: readonly Disclosure[]): Disclosed {
  const byDigest = new Map(disclosures.map((one) => [one.digest, one]))
  const referenced: string[] = []
  const waiting: unknown[] = [payload]
  const shown = new Set<string>()
  while (waiting.length > 0) {
    for (const digest of digestsIn(waiting.pop())) {
      referenced.push(digest)
      const disclosure = byDigest.get(digest)
      if (!disclosure || shown.has(digest)) continue
      shown.add(digest)
      waiting.push(disclosure.value)
    }
  }
  const once = new Set(referenced).size === referenced.length && byDigest.size === disclosures.length
  return { sound: once && shown.size === disclosures.length, hidden: referenced.length - shown.size }
}

/** The digests in a value: of properties in the `_sd` of objects (4.2.4.1), of elements in place of them (4.2.4.2). */
function digestsIn(value: unknown): string[] {
  if (Array.isArray(value)) return value.flatMap(digestsIn)
  if (typeof value !== 'object' || value === null) return []
  return Object.entries(value).flatMap(([key, each]) => {
    if (key === '_sd' && Array.isArray(each)) return each.map(String)
    return key === '...' && typeof each === 'string' ? [each] : digestsIn(each)
  })
}
