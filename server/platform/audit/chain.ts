import { createHash, randomBytes } from 'node:crypto'

/**
 * The audit trail is a chain for each file: every link carries the hash of the one before, so that a later change of any
 * of them in the database is found (hash chain after Haber & Stornetta 1991, "How to Time-Stamp a Digital Document").
 *
 * What a link says is hashed apart, with a salt of its own, and only that hash goes into the chain: what is said can be
 * erased when the law wants it, and the chain still holds.
 */
export type Link = {
  id: string
  at: Date
  actorId: string | null
  code: string
  chain: string
  seq: number
  salt: string
  contentHash: string
  hash: string
  erasedAt?: Date | null
}

/** What a link says; erased together with its salt. */
export type Content = {
  who: string
  what: string
  forCandidate: string | null
  /** Absent in what was recorded as sentences, before there were codes. */
  words?: string | null
  wordValues?: unknown
  shownToCandidate?: boolean
  about: string | null
  candidateId: string | null
  applicationId: string | null
  claimId: string | null
  details: unknown
}

export const firstHash = '0'.repeat(64)
export const newSalt = () => newSalts(1)[0]!
/** Many at once: each way to the source of chance costs more than a hundred salts. */
export const newSalts = (count: number): string[] => {
  const bytes = randomBytes(16 * count).toString('hex')
  return Array.from({ length: count }, (_, nth) => bytes.slice(32 * nth, 32 * (nth + 1)))
}
const sha256 = (text: string) => createHash('sha256').update(text).digest('hex')

/** JSON with the keys of every object in order, so that equal values have equal text. */
export function canonical(value: unknown): string {
  if (Array.isArray(value)) return `[${value.map(canonical).join(',')}]`
  if (typeof value !== 'object' || value === null) return JSON.stringify(value) ?? 'null'
  const entries = Object.entries(value)
    .filter(([, own]) => own !== undefined)
    .sort(([a], [b]) => (a < b ? -1 : 1))
  return `{${entries.map(([key, own]) => `${JSON.stringify(key)}:${canonical(own)}`).join(',')}}`
}

/** SHA-256 of the salt and what is said, hexadecimal. */
export const contentHashOf = (salt: string, content: Content) => {
  const { who, what, forCandidate, words, about, candidateId, applicationId, claimId, details } = content
  const { wordValues, shownToCandidate } = content
  // A sentence of before was sealed as it stood. What was found of its code later is beside the seal.
  const said = words && what === '' ? { words, wordValues, shownToCandidate } : {}
  return sha256(
    salt + canonical({ who, what, forCandidate, ...said, about, candidateId, applicationId, claimId, details }),
  )
}

/** SHA-256 over a link and the hash of the one before it, hexadecimal. */
export const linkHashOf = (link: Omit<Link, 'hash' | 'salt' | 'erasedAt'>, previous: string) => {
  const { id, at, actorId, code, chain, seq, contentHash } = link
  return sha256(canonical({ id, at: at.toISOString(), actorId, code, chain, seq, contentHash, previous }))
}

export type Break = {
  chain: string
  seq: number
  id: string | null
  /** What is wrong with the first broken link. */
  fault: 'changed' | 'missing' | 'added' | 'erased without a record' | 'end cut off' | 'written anew'
}

/** Where a chain ended at some time: its last link and that link's hash. */
export type End = { seq: number; hash: string }

/**
 * Follows a chain link by link, in order, and stops at the first that is broken.
 *
 * @param kept where it ended when somebody wrote that down elsewhere. Who may write to the whole database can write a chain
 *   anew with all its hashes, but not what was kept outside of it
 */
export function chainWalker(chain: string, kept?: End) {
  let seq = 0
  let previous = firstHash
  let firstErased: { seq: number; id: string } | undefined
  let erasureRecorded = 0
  return {
    step(link: Link & Content): Break | undefined {
      if (link.seq > seq + 1) return { chain, seq: seq + 1, id: null, fault: 'missing' }
      if (link.seq < seq + 1) return { chain, seq: link.seq, id: link.id, fault: 'added' }
      const said = link.erasedAt ? link.contentHash : contentHashOf(link.salt, link)
      if (said !== link.contentHash || linkHashOf(link, previous) !== link.hash)
        return { chain, seq: link.seq, id: link.id, fault: 'changed' }
      if (link.seq === kept?.seq && link.hash !== kept.hash)
        return { chain, seq: link.seq, id: link.id, fault: 'written anew' }
      if (link.erasedAt) firstErased ??= { seq: link.seq, id: link.id }
      if (erasureCodes.has(link.code)) erasureRecorded = link.seq
      seq = link.seq
      previous = link.hash
      return undefined
    },
    /** @param head where the chain ends as far as the database knows */
    end(head: End | undefined): Break | undefined {
      if (firstErased && erasureRecorded < firstErased.seq)
        return { chain, ...firstErased, fault: 'erased without a record' }
      if (!head || head.seq !== seq || head.hash !== previous || seq < (kept?.seq ?? 0))
        return { chain, seq: Math.max(seq, head?.seq ?? 0, kept?.seq ?? 0), id: null, fault: 'end cut off' }
      return undefined
    },
  }
}

/** What a chain records before anything of it is erased. */
export const erasureCodes = new Set(['file-erased'])
