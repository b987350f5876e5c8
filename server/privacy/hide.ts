import type { File } from '#contract/desk'
import { coverIn, type HiddenKind, hiddenKindOfClaim, mayReveal } from '#core/privacy/hidden'
import { coverFor, type Reader } from './cover'
import { hiddenWords } from './sights'

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
    return { ...coverIn(claim, coveredFields[kind]!, number ? [number] : []), id: claim.id, documents: [] }
  })
  if (born)
    claims = claims.map((claim) => ({ ...withoutBirth(coverIn(claim, bornFields, [], () => 'hidden')), id: claim.id }))
  const closed = new Set(file.answers.flatMap(({ hidden: subject }) => (subject ? [subject] : [])))
  for (const subject of closed)
    if (!hidden.some((part) => part.subject === subject) && !shown.has(subject))
      hidden.push({ subject, label: subject, mayReveal: mayReveal(roles, subject as HiddenKind) })
  const named = hidesName && covers('name')
  const person = { ...file.candidate, born: born ? null : file.candidate.born }
  if (!named) return { ...file, candidate: person, claims, hidden }
  const reference = file.reference ?? 'This person'
  const names = file.candidate.name.split(/\s+/).filter(({ length }) => length > 2)
  const nameless = coverIn({ ...file, claims, trail: [], vouchings: [] }, new Set(['name']), [
    file.candidate.name,
    ...names,
  ])
  return {
    ...nameless,
    claims: nameless.claims.map((claim) => ({ ...claim, documents: [] })),
    candidate: { ...file.candidate, name: reference, mail: '', born: null },
    doubles: [],
    hidden,
  }
}

/** A day that is covered is no day; the details leave it out instead. */
const withoutBirth = (claim: File['claims'][number]): File['claims'][number] =>
  claim.details.kind === 'identity' ? { ...claim, details: { ...claim.details, born: '' } } : claim
