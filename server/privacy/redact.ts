import type { File } from '#contract/desk'
import { covered, coverIn, type HiddenKind, hiddenKindOfClaim, mayReveal } from '#core/privacy/hidden'
import { hiddenWords } from './accessLog'
import { coverFor, type Reader } from './redactionFor'

/** What is covered of a claim of each kind. */
const coveredFields: Partial<Record<HiddenKind, ReadonlySet<string>>> = {
  'identity number': new Set(['number', 'zone']),
  health: new Set(['number', 'note']),
}
const bornFields = new Set(['born'])

/**
 * Covers in a file what the reader's roles do not need, but for what is shown to them at the moment.
 *
 * @param shown the subjects shown to the reader at the moment
 * @param hidesName whether the vacancy hides names in this stage
 */
export function hideIn(file: File, { roles, shown, hidesName }: Reader & { hidesName: boolean }): File {
  const { hidden, covers } = coverFor({ roles, shown })
  const born = file.candidate.born !== null && covers('birth date')
  let claims = file.claims.map((claim) => {
    const kind = hiddenKindOfClaim(claim.details)
    if (!kind || !covers(kind, `${claim.label}: ${hiddenWords(kind)}`, claim.id)) return claim
    const { number } = claim.details as { number?: string }
    return {
      ...withoutCharacters(coverIn(claim, coveredFields[kind]!, number ? [number] : [])),
      id: claim.id,
      documents: [],
    }
  })
  if (born)
    claims = claims.map((claim) => ({
      ...withoutCharacters(withoutBirth(coverIn(claim, bornFields, [], () => 'hidden'))),
      id: claim.id,
    }))
  const named = hidesName && covers('name')
  const closed = new Set(file.answers.flatMap(({ hidden: subject }) => (subject ? [subject] : [])))
  for (const subject of closed)
    if (!hidden.some((part) => part.subject === subject) && !shown.has(subject))
      hidden.push({ subject, label: subject, mayReveal: mayReveal(roles, subject as HiddenKind) })
  const person = { ...file.candidate, born: born ? null : file.candidate.born }
  const covered = { ...file, candidate: person, claims, hidden }
  return named ? nameless(covered) : covered
}

/** What of a file tells nobody whose it is. Whatever is new in a file stays hidden until it is named here. */
const namelessParts = [
  'id',
  'version',
  'firstLook',
  'scoring',
  'hidden',
  'reference',
  'vacancy',
  'stage',
  'today',
  'targetStart',
  'likely',
  'slack',
  'heldUpBy',
  'nextGate',
  'met',
  'claims',
  'answers',
  'changes',
  'reopened',
  'parts',
  'requirements',
  'outcomes',
  'words',
  'historyYears',
  'toleratedGapDays',
  'checks',
  'waivers',
  'offer',
  'gatesPassed',
] as const satisfies readonly (keyof File)[]

/** A file without whose it is: no papers, no words of others about them, and the name covered wherever it was written. */
function nameless(file: File): File {
  const { name, mail, born } = file.candidate
  const open = Object.fromEntries(namelessParts.map((part) => [part, file[part]])) as Pick<
    File,
    (typeof namelessParts)[number]
  >
  const claims = open.claims.map((claim) => ({ ...withoutCharacters(withoutBirth(claim)), documents: [] }))
  const withoutNames = coverIn({ ...open, claims }, namelessFields, [name, mail])
  return {
    ...coverWords(withoutNames, [...name.split(/\s+/), ...(born ? [born] : [])]),
    candidate: { ...file.candidate, name: file.reference ?? 'This person', mail: '', born: null },
    onBehalf: null,
    duplicates: [],
    trail: [],
    vouchings: [],
  }
}

const namelessFields = new Set(['name', 'born'])

/** Covers words wherever they stand by themselves, in any case. Identifiers and states are no words of a text. */
function coverWords<T>(value: T, words: readonly string[]): T {
  const parts = words.filter(({ length }) => length > 1).map((word) => word.replace(/[.*+?^${}()|[\]\\]/g, '\\$&'))
  if (parts.length === 0) return value
  const pattern = new RegExp(`(?<![\\p{L}\\p{N}])(${parts.join('|')})(?![\\p{L}\\p{N}])`, 'giu')
  return JSON.parse(JSON.stringify(value), (_key, part) =>
    typeof part === 'string' && /\s/.test(part) ? part.replace(pattern, (word) => covered(word)) : part,
  )
}

/** A day that is covered is no day; the details leave it out instead. */
const withoutBirth = (claim: File['claims'][number]): File['claims'][number] =>
  claim.details.kind === 'identity' ? { ...claim, details: { ...claim.details, born: '' } } : claim

/** That characters of machine-readable lines were taken for others is told; which, would tell what stands there. */
function withoutCharacters(claim: File['claims'][number]): File['claims'][number] {
  const { zone } = claim.proof
  if (!zone) return claim
  const mended = zone.mended.map(({ field }) => ({ field, read: '', as: '' }))
  return { ...claim, proof: { ...claim.proof, zone: { ...zone, mended } } }
}
