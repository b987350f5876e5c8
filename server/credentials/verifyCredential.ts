import { createHash } from 'node:crypto'
import { promisify } from 'node:util'
import { gunzip } from 'node:zlib'
import { compactVerify, decodeProtectedHeader, importJWK } from 'jose'
import {
  bitAt,
  type Credential,
  type CredentialFault,
  readCredential,
  type StatusEntry,
} from '#core/credentials/credential'
import type { IssuerKeys, PublicKey } from '#core/sources/source'
import type { StatusLists } from '../platform/outside/statusLists'

export type Genuine = { fault: undefined; credential: Credential; kid: string; sameMail: boolean | undefined }
export type NotGenuine = { fault: CredentialFault; because?: string }

/** The algorithms of Verifiable Credentials (W3C, Securing Verifiable Credentials using JOSE and COSE, 2025): Ed25519 (RFC 8037, RFC 9864) and ES256 (RFC 7518). */
const algorithms: Record<PublicKey['crv'], readonly string[]> = { Ed25519: ['EdDSA', 'Ed25519'], 'P-256': ['ES256'] }
const types = new Set(['vc+jwt', 'vc+ld+jwt', 'vc+sd-jwt', 'jwt', ''])
const mostBytes = 16 * 1024 * 1024

type By = { issuer: IssuerKeys; mail: string; lists: StatusLists }

/**
 * Whether a credential is genuine: signed with one of the keys that the directory has of its issuer, issued by it, and not taken back. No
 * key and no address inside it is ever used; what its header says of keys only chooses among those that are known.
 *
 * @param token a compact JWS (RFC 7515)
 * @param mail the address of whoever brings it
 */
export async function verifyCredential(token: string, { issuer, mail, lists }: By): Promise<Genuine | NotGenuine> {
  if (issuer.keys.length === 0) return { fault: 'no-keys' }
  const signed = await signedBy(token, issuer)
  if ('fault' in signed) return signed
  const credential = readCredential(signed.payload)
  if ('fault' in credential) return credential
  const says = signed.payload as { iss?: unknown }
  if (credential.issuer !== issuer.id || (says.iss !== undefined && says.iss !== issuer.id))
    return { fault: 'other-issuer', because: credential.issuer }
  for (const entry of credential.status) {
    const fault = await statusOf(entry, issuer, lists)
    if (fault) return { fault }
  }
  const { identity } = credential
  return {
    fault: undefined,
    credential,
    kid: signed.kid,
    sameMail: identity && identity.hash === hashOf(mail, identity.salt),
  }
}

/** Open Badges 3.0, `IdentityObject`: SHA-256 of the value with the salt behind it. */
const hashOf = (mail: string, salt: string) =>
  `sha256$${createHash('sha256')
    .update(mail.trim().toLowerCase() + salt)
    .digest('hex')}`

/** What is signed with one of the known keys of an issuer, whatever it says. */
export async function signedBy(
  token: string,
  { keys }: IssuerKeys,
): Promise<{ payload: unknown; kid: string } | NotGenuine> {
  let header: ReturnType<typeof decodeProtectedHeader>
  try {
    header = decodeProtectedHeader(token)
  } catch {
    return { fault: 'not-a-credential' }
  }
  if (
    !types.has(
      String(header.typ ?? '')
        .toLowerCase()
        .replace(/^application\//, ''),
    )
  )
    return { fault: 'not-a-credential' }
  const named = keys.filter(({ kid }) => kid === header.kid)
  for (const key of named.length > 0 ? named : keys) {
    if (!algorithms[key.crv].includes(String(header.alg))) continue
    const bytes = await compactVerify(token, await importJWK({ ...key }, String(header.alg)), {
      algorithms: [...algorithms[key.crv]],
    }).then(
      ({ payload }) => payload,
      () => undefined,
    )
    if (bytes) return { payload: jsonIn(bytes), kid: key.kid }
  }
  return { fault: 'bad-signature' }
}

/** What a signature holds for need not be a credential at all. */
function jsonIn(bytes: Uint8Array): unknown {
  try {
    return JSON.parse(new TextDecoder().decode(bytes))
  } catch {
    return undefined
  }
}

/** Whether the issuer has taken it back, by a list that is its own. A list that does not come, or is another's, says nothing. */
export async function statusOf(
  { purpose, index, list }: StatusEntry,
  issuer: IssuerKeys,
  lists: StatusLists,
): Promise<CredentialFault | undefined> {
  if (purpose !== 'revocation' && purpose !== 'suspension') return undefined
  if (!issuer.statusLists.includes(list)) return 'status-elsewhere'
  const token = await lists.read(list).catch(() => undefined)
  const signed = token ? await signedBy(token, issuer) : undefined
  if (!signed || 'fault' in signed) return 'status-unknown'
  const bits = await bitsIn(signed.payload, issuer.id, purpose)
  const bit = bits && bitAt(bits, index)
  if (bit === undefined) return 'status-unknown'
  if (!bit) return undefined
  return purpose === 'revocation' ? 'revoked' : 'suspended'
}

const unpack = promisify(gunzip)

type ListPayload = {
  type?: unknown
  issuer?: unknown
  validUntil?: unknown
  credentialSubject?: { type?: unknown; statusPurpose?: unknown; encodedList?: unknown }
}

/** The bits of a status list credential: multibase base64url of what gzip has packed (Bitstring Status List, 3.1). */
async function bitsIn(payload: unknown, issuer: string, purpose: string): Promise<Uint8Array | undefined> {
  const { type, issuer: by, validUntil, credentialSubject: subject } = (payload ?? {}) as ListPayload
  const isList = Array.isArray(type) && type.includes('BitstringStatusListCredential')
  const own = (typeof by === 'object' && by !== null ? (by as { id?: unknown }).id : by) === issuer
  const over = typeof validUntil === 'string' && Date.parse(validUntil) < Date.now()
  const purposes = [subject?.statusPurpose].flat()
  const packed = subject?.encodedList
  if (!isList || !own || over || !purposes.includes(purpose) || typeof packed !== 'string') return undefined
  const encoded = packed.startsWith('u') ? packed.slice(1) : packed
  return unpack(Buffer.from(encoded, 'base64url'), { maxOutputLength: mostBytes }).catch(() => undefined)
}
