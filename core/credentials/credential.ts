/**
 * What a digital credential says, read from the payload of its JWT: a Verifiable Credential (W3C, Verifiable Credentials Data Model
 * v2.0, 2025) or an Open Badge (1EdTech, Open Badges 3.0, 2024), which is one. Whether it is to be believed is another question.
 */
export type Credential = {
  kind: 'credential' | 'open badge'
  /** A URL or DID. */
  issuer: string
  /** Moments in ISO form; null where it does not begin, or does not end. */
  validFrom: string | null
  validUntil: string | null
  /** What it says of its subject, by the fields that are compared; what it does not say is not there. */
  says: Readonly<Record<string, string>>
  /** The hashed mail address of an open badge, where its subject is named by that (`IdentityObject`). */
  identity?: { hash: string; salt: string }
  status: StatusEntry[]
}

/** Where it is said whether it was taken back (W3C, Bitstring Status List v1.0, 2025). */
export type StatusEntry = { purpose: string; index: number; list: string }

export const credentialFaults = [
  'not-a-credential',
  'wrong-version',
  'no-keys',
  'other-issuer',
  'bad-signature',
  'not-yet-valid',
  'ended',
  'revoked',
  'suspended',
  'status-elsewhere',
  'status-unknown',
  'other-person',
  'nobody-named',
  'other-thing',
] as const
export type CredentialFault = (typeof credentialFaults)[number]

const context = 'https://www.w3.org/ns/credentials/v2'
const badgeTypes = ['OpenBadgeCredential', 'AchievementCredential']
const statusType = 'BitstringStatusListEntry'

type Json = Readonly<Record<string, unknown>>
const isObject = (value: unknown): value is Json => typeof value === 'object' && value !== null && !Array.isArray(value)
const list = (value: unknown): unknown[] => (Array.isArray(value) ? value : value === undefined ? [] : [value])
const text = (value: unknown): string => (typeof value === 'string' || typeof value === 'number' ? String(value) : '')

/**
 * Reads the payload of a credential.
 *
 * @param payload the claims of the JWT; in version 2.0 of the data model they are the credential itself
 * @returns what it says, or why it is none
 */
export function readCredential(payload: unknown): Credential | { fault: CredentialFault } {
  if (!isObject(payload)) return { fault: 'not-a-credential' }
  const types = list(payload.type)
  if (!types.includes('VerifiableCredential')) return { fault: 'not-a-credential' }
  if (list(payload['@context'])[0] !== context) return { fault: 'wrong-version' }
  const issuer = isObject(payload.issuer) ? text(payload.issuer.id) : text(payload.issuer)
  const [subject, ...others] = list(payload.credentialSubject)
  // One about several people says nothing that could be told apart.
  if (!isObject(subject) || others.length > 0 || issuer === '') return { fault: 'not-a-credential' }
  const isBadge = types.some((type) => badgeTypes.some((one) => one === type))
  const status = list(payload.credentialStatus)
  const entries = status.map(entryOf)
  if (entries.some((entry) => !entry)) return { fault: 'status-unknown' }
  return {
    kind: isBadge ? 'open badge' : 'credential',
    issuer,
    validFrom: text(payload.validFrom) || null,
    validUntil: text(payload.validUntil) || null,
    says: saidOf(subject, payload),
    ...identityOf(subject),
    status: entries as StatusEntry[],
  }
}

function entryOf(entry: unknown): StatusEntry | undefined {
  if (!isObject(entry) || entry.type !== statusType) return undefined
  const index = Number(text(entry.statusListIndex) || Number.NaN)
  const [purpose, address] = [text(entry.statusPurpose), text(entry.statusListCredential)]
  if (!Number.isSafeInteger(index) || index < 0 || purpose === '' || address === '') return undefined
  return { purpose, index, list: address }
}

/** What stands of a person and of what was issued, under the names that the vocabularies in use give it. */
function saidOf(subject: Json, payload: Json): Record<string, string> {
  const person = isObject(subject.holder) ? { ...subject, ...subject.holder } : subject
  const achievement = isObject(subject.achievement) ? subject.achievement : {}
  const degree = isObject(subject.degree) ? subject.degree : {}
  const first = (...values: unknown[]) => values.map(text).find((value) => value !== '') ?? ''
  const given = first(person.givenName, person.firstName)
  const family = first(person.familyName, person.lastName)
  const title = first(subject.title, achievement.name, degree.name, payload.name)
  const day = (value: string) => /^\d{4}-\d{2}-\d{2}/.exec(value)?.[0] ?? ''
  const awarded = day(first(subject.awardedDate, subject.activityEndDate, payload.awardedDate))
  const said = {
    name: first(person.name, [given, family].filter(Boolean).join(' ')),
    born: day(first(person.birthDate, person.dateOfBirth)),
    title,
    award: first(degree.type, subject.award, achievement.achievementType === 'Degree' ? '' : undefined),
    subject: first(subject.subject, degree.subject, achievement.fieldOfStudy),
    number: first(subject.licenseNumber, subject.number, subject.identifierNumber, achievement.humanCode),
    awarded,
    issued: day(first(subject.issued, payload.awardedDate, payload.validFrom)),
    through: day(text(payload.validUntil)),
  }
  return Object.fromEntries(Object.entries(said).filter(([, value]) => value !== ''))
}

function identityOf(subject: Json): Pick<Credential, 'identity'> {
  const found = list(subject.identifier)
    .filter(isObject)
    .find(
      ({ type, identityType, hashed }) =>
        type === 'IdentityObject' && identityType === 'emailAddress' && hashed === true,
    )
  const hash = text(found?.identityHash)
  return hash.startsWith('sha256$') ? { identity: { hash, salt: text(found?.salt) } } : {}
}

/**
 * The bit of a status list: set where the credential was taken back.
 *
 * @param bits the list after decompression; the first bit of the first byte is index 0 (Bitstring Status List, 3.2)
 * @returns undefined beyond its end: a list that does not reach so far says nothing
 */
export function bitAt(bits: Uint8Array, index: number): boolean | undefined {
  const byte = bits[Math.floor(index / 8)]
  return byte === undefined ? undefined : (byte & (0x80 >> (index % 8))) !== 0
}
