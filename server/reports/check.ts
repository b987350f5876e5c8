import { createHash } from 'node:crypto'
import { SDJwtInstance } from '@sd-jwt/core'
import { digest, ES256 } from '@sd-jwt/crypto-nodejs'
import { fileTypeFromBuffer } from 'file-type'
import { decodeJwt, decodeProtectedHeader } from 'jose'
import { col, Op, where } from 'sequelize'
import type { CheckResult } from '#contract/reports'
import { readCredential } from '#core/credentials/credential'
import { type Disclosure, disclosedIn } from '#core/credentials/disclosures'
import type { Report as Content } from '#core/report/report'
import type { IssuerKeys } from '#core/sources/source'
import { signedBy, statusOf } from '../credentials/verifyCredential'
import type { Deps } from '../platform/deps'
import { notFound } from '../platform/errors/problems'
import { countAttempt, networkOf } from '../platform/http/limits'
import { hashOf } from '../platform/http/tokens'
import { inGuardedThread } from '../platform/jobs/threads'
import { Report, RevokedStatus } from '../records/reports/model'
import { Source } from '../records/sources/model'
import { credentialType } from './credential'
import type { Given } from './findCredentials'
import { ownDid, publicKeys } from './signing'
import { statusIndexOf } from './statusList'

type Fault = NonNullable<CheckResult['fault']>

const limit = { most: 60, seconds: 900 }
const mostText = 600_000
const program = new URL('./findCredentials.ts', import.meta.url)

const nothing: CheckResult = {
  ...{ fault: 'nothing-found', issuer: null, own: false, kind: null, signedAt: null, endsAt: null },
  ...{ report: null, says: {}, hidden: 0, byCode: false },
}

/**
 * Says of what somebody brings what is signed in it, by whom, and whether that still holds. Nothing is kept of it; keys and
 * lists are ours or those of the directory, whatever it says of them itself.
 */
export async function checkCredential(deps: Deps, bytes: Buffer, address: string): Promise<CheckResult> {
  await countAttempt(deps, `check ${networkOf(address)}`, limit)
  const type = (await fileTypeFromBuffer(bytes))?.mime
  if (type === 'application/pdf') return checkPdf(deps, bytes)
  if (type === 'image/png' || type === 'image/jpeg') return checkTexts(deps, await textsIn({ bytes, kind: 'picture' }))
  if (bytes.length > mostText) return nothing
  return checkTexts(deps, [bytes.toString('utf8')])
}

/** The report whose code was scanned: as it was signed, to be compared with the paper. */
export async function checkByLink(deps: Deps, token: string): Promise<CheckResult> {
  const report = await Report.findOne({ where: { tokenHash: hashOf(token) } })
  if (!report) throw notFound()
  return { ...((await checkText(deps, report.jwt)) ?? nothing), byCode: true }
}

/** A file of ours is as we made it, byte by byte, or it was changed, whatever it has inside. */
async function checkPdf(deps: Deps, bytes: Buffer): Promise<CheckResult> {
  const pdfSha256 = createHash('sha256').update(bytes).digest('hex')
  const made = await Report.findOne({ where: { pdfSha256 } })
  if (made) return (await checkText(deps, made.jwt)) ?? nothing
  const result = await checkTexts(deps, await textsIn({ bytes, kind: 'pdf' }))
  return result.own && result.kind === 'report' ? { ...result, fault: 'file-changed' } : result
}

const textsIn = (given: Given): Promise<string[]> =>
  inGuardedThread<Given, string[]>(program, given, { seconds: 20, otherwise: [] })

/** The first of several texts that turns out to be signed by somebody who is known; otherwise what is wrong with the first. */
async function checkTexts(deps: Deps, texts: readonly string[]): Promise<CheckResult> {
  const results: CheckResult[] = []
  for (const text of texts) {
    const result = await checkText(deps, text)
    if (result && result.fault === null) return result
    if (result) results.push(result)
  }
  return results.find(({ fault }) => fault !== 'unknown-issuer') ?? results[0] ?? nothing
}

async function checkText(deps: Deps, given: string): Promise<CheckResult | undefined> {
  const link = tokenIn(deps, given.trim())
  if (link) return checkByLink(deps, link).catch(() => undefined)
  const token = enveloped(given.trim())
  const [jwt = ''] = token.split('~')
  const issuer = issuerIn(jwt)
  if (!issuer) return undefined
  const known = await keysOf(deps, issuer)
  if (!known) return { ...nothing, fault: 'unknown-issuer' }
  const named = { ...nothing, issuer: known.name, own: known.own }
  const signed = await signedBy(jwt, known.keys)
  if ('fault' in signed) return { ...named, fault: 'bad-signature' }
  // Without its last mark it would be no less a text whose parts are hidden.
  const apart = token.includes('~') || Object.hasOwn(Object(signed.payload), '_sd_alg')
  const opened = apart
    ? await disclosed(token.includes('~') ? token : `${token}~`, known.keys)
    : { payload: signed.payload, hidden: 0 }
  if (!opened) return { ...named, fault: 'bad-signature' }
  return { ...named, ...(await judged(deps, opened.payload, known)), hidden: opened.hidden }
}

/** The token in a link to our own page; of any other address nothing is used. */
const tokenIn = ({ config }: Deps, text: string): string | undefined =>
  text.startsWith(`${config.publicUrl}/check/`)
    ? /^[A-Za-z0-9_-]{32,64}$/.exec(text.slice(`${config.publicUrl}/check/`.length))?.[0]
    : undefined

/** A credential in an envelope (Verifiable Credentials Data Model v2.0, 4.13), or as JSON text, or plainly. */
function enveloped(text: string): string {
  try {
    const given: unknown = JSON.parse(text)
    if (typeof given === 'string') return given
    const { id } = given as { id?: unknown }
    return /^data:application\/vc\+(?:sd-)?jwt,(.+)$/.exec(String(id ?? ''))?.[1] ?? ''
  } catch {
    return text.replace(/\s+/g, '')
  }
}

function issuerIn(jwt: string): string | undefined {
  try {
    decodeProtectedHeader(jwt)
    const { issuer, iss } = decodeJwt(jwt) as { issuer?: string | { id?: string }; iss?: string }
    const id = typeof issuer === 'object' ? issuer.id : issuer
    return typeof id === 'string' ? id : typeof iss === 'string' ? iss : undefined
  } catch {
    return undefined
  }
}

type Known = { name: string; own: boolean; keys: IssuerKeys }

/** The keys of an issuer: ours, or those the directory has. */
async function keysOf(deps: Deps, id: string): Promise<Known | undefined> {
  if (id === ownDid(deps.config))
    return { name: deps.organisation.name, own: true, keys: { id, keys: await publicKeys(), statusLists: [] } }
  const sources = await Source.findAll({
    where: { [Op.and]: [{ retiredAt: null, checkedAt: { [Op.ne]: null } }, where(col('issuerId'), id)] },
    limit: 5,
  })
  // The database compares without case.
  const source = sources.find(({ known }) => known.issuer?.id === id)
  return source ? { name: source.name, own: false, keys: source.known.issuer! } : undefined
}

/** What whoever shows it has left to be seen (RFC 9901, 7.1), and how much they left out. */
async function disclosed(
  token: string,
  { keys }: IssuerKeys,
): Promise<{ payload: unknown; hidden: number } | undefined> {
  const [jwt = '', ...rest] = token.split('~')
  const parts = rest.slice(0, -1).map(disclosureOf)
  const shown = disclosedIn(decodeJwt(jwt), parts)
  // Bound to a key of its holder is nothing that we sign.
  if (!shown.sound || rest.at(-1) !== '') return undefined
  const kid = String(decodeProtectedHeader(jwt).kid ?? '')
    .split('#')
    .at(-1)
  const key = keys.find((one) => one.crv === 'P-256' && one.kid === kid)
  if (!key) return undefined
  const instance = new SDJwtInstance({ hasher: digest, verifier: await ES256.getVerifier(key) })
  return instance.validate(token).then(
    ({ payload }) => ({ payload, hidden: shown.hidden }),
    () => undefined,
  )
}

/** Salt, name and value of a property, or salt and value of an element (RFC 9901, 4.2), with the digest of its text. */
function disclosureOf(text: string): Disclosure {
  const digestOf = createHash('sha256').update(text).digest('base64url')
  try {
    const parts: unknown = JSON.parse(Buffer.from(text, 'base64url').toString('utf8'))
    return { digest: digestOf, value: Array.isArray(parts) ? parts.at(-1) : undefined }
  } catch {
    return { digest: digestOf, value: undefined }
  }
}

/** Whether what is genuinely signed still holds, and what it says. */
async function judged(deps: Deps, payload: unknown, known: Known): Promise<Partial<CheckResult>> {
  const credential = readCredential(payload)
  if ('fault' in credential) return { fault: credential.fault === 'wrong-version' ? 'wrong-version' : 'nothing-found' }
  const { validFrom, validUntil, status, kind, says } = credential
  const told = payload as { type: string[]; credentialSubject: unknown }
  const isReport = known.own && told.type.includes(credentialType)
  const found: Partial<CheckResult> = {
    ...{ kind: isReport ? ('report' as const) : kind, signedAt: validFrom, endsAt: validUntil },
    ...(isReport ? { report: told.credentialSubject as Partial<Content> } : { says: { ...says } }),
  }
  const now = deps.clock.now().toISOString()
  const fault = (await takenBack(deps, status, known)) ?? outOfTime({ validFrom, validUntil }, now)
  return { ...found, fault: fault ?? null }
}

function outOfTime(
  { validFrom, validUntil }: { validFrom: string | null; validUntil: string | null },
  now: string,
): Fault | undefined {
  if (validUntil && Date.parse(validUntil) < Date.parse(now)) return 'ended'
  return validFrom && Date.parse(validFrom) > Date.parse(now) ? 'not-yet-valid' : undefined
}

async function takenBack(
  deps: Deps,
  entries: Parameters<typeof statusOf>[0][],
  known: Known,
): Promise<Fault | undefined> {
  for (const entry of entries) {
    const fault = known.own ? await revokedByUs(entry) : await statusOf(entry, known.keys, deps.statusLists)
    if (fault) return fault === 'revoked' || fault === 'suspended' ? fault : 'status-unknown'
  }
  return undefined
}

/** What we have signed ourselves names one of our own lists. */
async function revokedByUs({ index, list }: Parameters<typeof statusOf>[0]): Promise<'revoked' | undefined> {
  const statusIndex = statusIndexOf(list, index)
  return (await RevokedStatus.count({ where: { statusIndex } })) > 0 ? 'revoked' : undefined
}
