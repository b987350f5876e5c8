import { createHash, createPrivateKey, createPublicKey, type KeyObject } from 'node:crypto'
import type { ServerResponse } from 'node:http'
import { gzipSync } from 'node:zlib'
import { CompactSign } from 'jose'
import { escaped, html, notThere } from './page'

/** What can be wrong with a credential that somebody brings. */
const faults = ['none', 'signature', 'issuer', 'ended', 'revoked', 'other person'] as const
type Fault = (typeof faults)[number]

/** The place in the list of whoever was given a credential that was taken back later. */
const revokedIndex = 4711

/** The start of an Ed25519 private key in its DER form (RFC 8410, 7); the key itself, 32 bytes, follows. */
const pkcs8 = Buffer.from('302e020100300506032b657004220420', 'hex')

/** A key that is the same at each start, so that the directory of the demo goes on knowing it. It guards nothing. */
function keyOf(name: string): KeyObject {
  const seed = createHash('sha256').update(`stand-in issuer ${name}`).digest()
  return createPrivateKey({ key: Buffer.concat([pkcs8, seed]), format: 'der', type: 'pkcs8' })
}

const idOf = (name: string) => `https://${name}.example/issuer`
const listAt = (base: string, name: string) => `${base}/issuers/${name}/status/1`

/** By what the directory knows an issuer: its keys, and where it says what it has taken back. */
export function issuerKeys(base: string, name: string) {
  const { kty, crv, x } = createPublicKey(keyOf(name)).export({ format: 'jwk' })
  return {
    id: idOf(name),
    keys: [{ kid: 'key-1', kty: kty as 'OKP', crv: crv as 'Ed25519', x: x! }],
    statusLists: [listAt(base, name)],
  }
}

const sign = (name: string, payload: object) =>
  new CompactSign(new TextEncoder().encode(JSON.stringify(payload)))
    .setProtectedHeader({ alg: 'EdDSA', kid: 'key-1', typ: 'vc+jwt' })
    .sign(keyOf(name))

const context = ['https://www.w3.org/ns/credentials/v2']
const dayMs = 86_400_000

/**
 * An institution that gives its graduates digital credentials (W3C, Verifiable Credentials Data Model v2.0, as JWT): a page where
 * one is made, `GET /issuers/NAME/credential` which gives it, and its list of those it has taken back (Bitstring Status List v1.0).
 */
export async function answerIssuers(base: string, url: URL, response: ServerResponse) {
  const [, , name = '', place] = url.pathname.split('/')
  if (name === '') return notThere(response)
  const give = (text: string, fileName?: string) =>
    void response
      .writeHead(200, {
        'Content-Type': 'application/vc+jwt',
        ...(fileName ? { 'Content-Disposition': `attachment; filename="${fileName}"` } : {}),
      })
      .end(text)
  if (place === 'status') return give(await statusList(name))
  if (place === 'credential') return give(await credential(base, name, url.searchParams), 'credential.jwt')
  return html(response, `Credentials of ${name}`, page(name))
}

function statusList(name: string) {
  const bits = Buffer.alloc(16_384)
  bits[Math.floor(revokedIndex / 8)] = 0x80 >> (revokedIndex % 8)
  return sign(name, {
    '@context': context,
    ...{ type: ['VerifiableCredential', 'BitstringStatusListCredential'], issuer: idOf(name) },
    credentialSubject: {
      ...{ type: 'BitstringStatusList', statusPurpose: 'revocation' },
      encodedList: `u${gzipSync(bits).toString('base64url')}`,
    },
  })
}

function credential(base: string, name: string, asked: URLSearchParams): Promise<string> {
  const fault: Fault = faults.find((one) => one === asked.get('fault')) ?? 'none'
  const ago = (days: number) => new Date(Date.now() - days * dayMs).toISOString()
  const payload = {
    '@context': context,
    ...{ type: ['VerifiableCredential'], issuer: idOf(fault === 'issuer' ? 'somebody-else' : name) },
    validFrom: ago(1000),
    ...(fault === 'ended' ? { validUntil: ago(30) } : {}),
    credentialSubject: {
      name: fault === 'other person' ? 'Somebody Else Entirely' : asked.get('name'),
      degree: { type: asked.get('award'), subject: asked.get('subject') },
      number: asked.get('number'),
    },
    credentialStatus: {
      ...{ type: 'BitstringStatusListEntry', statusPurpose: 'revocation' },
      statusListIndex: String(fault === 'revoked' ? revokedIndex : 12),
      statusListCredential: listAt(base, name),
    },
  }
  // A signature of somebody else's key, under the name of the right one.
  return sign(fault === 'signature' ? `${name} forged` : name, payload)
}

const page = (name: string) => `<h1>Credentials of ${escaped(name)}</h1>
  <form action="/issuers/${encodeURIComponent(name)}/credential">
  ${['name', 'award', 'subject', 'number'].map((field) => `<p><label>${field}<br><input name="${field}" required></label></p>`).join('')}
  <p><label>What is wrong with it<br><select name="fault">${faults.map((fault) => `<option>${fault}</option>`).join('')}</select></label></p>
  <p><button>Give it to me</button></p></form>`
