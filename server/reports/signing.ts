import { CompactSign, calculateJwkThumbprint, exportJWK, generateKeyPair, importJWK, type JWK } from 'jose'
import { UniqueConstraintError } from 'sequelize'
import type { PublicKey } from '#core/sources/source'
import { inTransaction } from '../platform/database/connection'
import type { Fixed } from '../platform/deps'
import { SigningKey } from '../records/reports/model'

type With = Pick<Fixed, 'vault' | 'config' | 'sequelize'>

const purpose = 'signing key'
const alg = 'ES256'

/**
 * The name we sign under (W3C, did:web Method Specification): the host of our address, a port behind `%3A`, and folders with
 * colons between them.
 */
export function ownDid({ publicUrl }: { publicUrl: string }): string {
  const { host, pathname } = new URL(publicUrl)
  const folders = pathname.split('/').filter(Boolean)
  return ['did:web', encodeURIComponent(host), ...folders].join(':')
}

/** The key that is in use; made the first time, and of several copies that start at once by one. */
export async function signingKey(deps: With): Promise<SigningKey> {
  const known = await SigningKey.findOne({ where: { activeKey: 'active' } })
  if (known) return known
  try {
    return await SigningKey.create(await newKey(deps))
  } catch (error) {
    if (!(error instanceof UniqueConstraintError)) throw error
    return SigningKey.findOne({ where: { activeKey: 'active' }, rejectOnEmpty: true })
  }
}

/** Signs with a new key from here on; what was signed with those before is still checked with them. */
export async function rotateSigningKey(deps: With): Promise<SigningKey> {
  const next = await newKey(deps)
  return inTransaction(deps.sequelize, async () => {
    await SigningKey.update({ activeKey: null, retiredAt: next.createdAt }, { where: { activeKey: 'active' } })
    return SigningKey.create(next)
  })
}

/** ECDSA on P-256 (RFC 7518, 3.4), the private half sealed before it is kept; named by its thumbprint (RFC 7638). */
async function newKey({ vault }: With) {
  const { privateKey, publicKey } = await generateKeyPair(alg, { extractable: true })
  const { kty, crv, x, y } = await exportJWK(publicKey)
  const kid = await calculateJwkThumbprint({ kty, crv, x, y } as JWK)
  const sealed = vault.seal(purpose, JSON.stringify(await exportJWK(privateKey)))
  const publicJwk = { kid, kty, crv, x, y } as PublicKey
  return { kid, publicJwk, sealed, createdAt: new Date(), retiredAt: null, activeKey: 'active' as const }
}

export type Signer = {
  kid: string
  did: string
  alg: typeof alg
  privateJwk: JWK
  sign: (typ: string, payload: object) => Promise<string>
}

/**
 * Whoever signs for us: a compact JWS (RFC 7515) of a payload, its key named by our own name.
 *
 * @throws Error where the key was sealed by another installation
 */
export async function openSigner(deps: With): Promise<Signer> {
  const { kid, sealed } = await signingKey(deps)
  const text = deps.vault.unseal(purpose, sealed)
  if (text === undefined)
    throw new Error(`The signing key ${kid} cannot be opened with this installation's secret key.`)
  const privateJwk = JSON.parse(text) as JWK
  const did = ownDid(deps.config)
  const key = await importJWK(privateJwk, alg)
  return {
    ...{ kid, did, alg, privateJwk },
    sign: (typ, payload) =>
      new CompactSign(new TextEncoder().encode(JSON.stringify(payload)))
        .setProtectedHeader({ alg, typ, kid: `${did}#${kid}` })
        .sign(key),
  }
}

/** All keys that something may be signed with, the newest first. */
export const publicKeys = async (): Promise<PublicKey[]> =>
  (await SigningKey.findAll({ order: [['createdAt', 'DESC']] })).map(({ publicJwk }) => publicJwk)

/** What our name leads to (W3C, Decentralized Identifiers 1.0): every key, also those that are not used any more. */
export async function didDocument({ config }: Pick<Fixed, 'config'>) {
  const id = ownDid(config)
  const keys = await publicKeys()
  return {
    '@context': ['https://www.w3.org/ns/did/v1', 'https://w3id.org/security/suites/jws-2020/v1'],
    id,
    verificationMethod: keys.map((publicKeyJwk) => ({
      id: `${id}#${publicKeyJwk.kid}`,
      type: 'JsonWebKey2020',
      controller: id,
      publicKeyJwk,
    })),
    assertionMethod: keys.map(({ kid }) => `${id}#${kid}`),
  }
}
