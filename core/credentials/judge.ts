import { compareClaim } from '../comparison/compareClaim'
import { fieldsOf } from '../comparison/fields'
import type { ClaimKind } from '../requirements/claimKind'
import type { Credential, CredentialFault } from './credential'

export type Claimed = { kind: ClaimKind; statement: Readonly<Record<string, string>> }

export type Judged =
  | { fault: CredentialFault; because?: string }
  | { fault: undefined; comparison: ReturnType<typeof compareClaim>; said: Readonly<Record<string, string>> }

/** What a claim was confirmed at once on: a credential, whose issuer and key the directory knows. */
export type CredentialBasis = { credential: Credential['kind']; issuer: string; kid: string }

/** What says which thing a credential is of; one of them has to agree. */
const ofThing = ['number', 'title', 'award', 'subject'] as const

/**
 * Whether a credential that is genuine says what somebody claims, on a day. It confirms where it speaks of this person and this thing,
 * and nothing it says is otherwise; what it does not say decides nothing.
 *
 * @param now ISO moment
 * @param sameMail whether the hashed address of an open badge is the person's own; it names them as well as their name would
 */
export function judgeCredential(
  credential: Credential,
  { kind, statement }: Claimed,
  now: string,
  sameMail: boolean | undefined,
): Judged {
  const { validFrom, validUntil, says } = credential
  if (validFrom && Date.parse(validFrom) > Date.parse(now))
    return { fault: 'not-yet-valid', because: validFrom.slice(0, 10) }
  if (validUntil && Date.parse(validUntil) < Date.parse(now))
    return { fault: 'ended', because: validUntil.slice(0, 10) }
  if (sameMail === false) return { fault: 'other-person' }
  if (!says.name && !sameMail) return { fault: 'nobody-named' }
  const fields = fieldsOf(kind, statement)
  const keys = new Set<string>(fields.map(({ key }) => key))
  const said = Object.fromEntries(Object.entries(says).filter(([key]) => keys.has(key) && statement[key] !== undefined))
  const reply = { ...Object.fromEntries([...keys].map((key) => [key, { cannotSay: true as const }])), ...said }
  const comparison = compareClaim(fields, statement, undefined, reply, [])
  const verdict = (key: string) =>
    key in said ? comparison.fields.find((field) => field.key === key)?.bySource.verdict : undefined
  const agrees = (key: string) => ['same', 'equivalent'].includes(verdict(key) ?? '')
  if (verdict('name') !== undefined && !agrees('name')) return { fault: 'other-person', because: says.name ?? '' }
  if (verdict('born') !== undefined && !agrees('born')) return { fault: 'other-person', because: says.born ?? '' }
  const other = Object.keys(said).find((key) => key !== 'name' && key !== 'born' && !isFine(key, verdict(key)))
  if (other) return { fault: 'other-thing', because: `${statement[other]} / ${said[other]}` }
  if (!ofThing.some((key) => agrees(key))) return { fault: 'other-thing', because: says.title ?? '' }
  return { fault: undefined, comparison, said }
}

/** A day of issue may well be that of the credential and not of the paper; everything else has to agree. */
const isFine = (key: string, verdict: string | undefined): boolean =>
  key === 'issued' || verdict === 'same' || verdict === 'equivalent'
