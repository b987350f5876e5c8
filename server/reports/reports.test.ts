import { execFileSync } from 'node:child_process'
import { createPublicKey, type JsonWebKey, randomUUID } from 'node:crypto'
import { mkdtempSync, readFileSync, writeFileSync } from 'node:fs'
import { tmpdir } from 'node:os'
import { join } from 'node:path'
import { gunzipSync } from 'node:zlib'
import { SDJwtInstance } from '@sd-jwt/core'
import { digest, ES256 } from '@sd-jwt/crypto-nodejs'
import { Ajv2020 } from 'ajv/dist/2020.js'
import formats from 'ajv-formats'
import { compactVerify, importJWK, type JWK } from 'jose'
import type { Report as Content } from '#core/report/report'
import { askAbout, enquiryAbout, provenFile } from '../../test/asking'
import type { Visitor } from '../../test/client'
import { type House, openHouse } from '../../test/house'
import { Event } from '../platform/audit/model'
import { inTransaction } from '../platform/database/connection'
import { FindingUndo } from '../records/decisions/model'
import { Finding } from '../records/enquiries/model'
import { Report, SigningKey } from '../records/reports/model'
import { revokeOvertaken } from './revoke'
import { openSigner, rotateSigningKey } from './signing'

let house: House
beforeAll(async () => {
  house = await openHouse('reports')
}, 60_000)
afterAll(() => house.close())

const proven = (name: [string, string]) => provenFile(house, name)

type Proven = Awaited<ReturnType<typeof proven>>

const make = ({ desk, applicationId }: Pick<Proven, 'desk' | 'applicationId'>, more: object = {}) =>
  desk.done('makeReport', {
    params: { id: applicationId },
    body: { language: 'en', scope: 'application', audience: 'inside', ...more },
  })

async function formOf(desk: Visitor, id: string, form: 'pdf' | 'json' | 'jwt' | 'sd-jwt', who: 'desk' | 'my' = 'desk') {
  const reply = await desk.request(`/api/${who}/reports/${id}/${form}`)
  expect(reply.status).toBe(200)
  return Buffer.from(await reply.arrayBuffer())
}
const contentOf = async (desk: Visitor, id: string) => JSON.parse(String(await formOf(desk, id, 'json'))) as Content
const check = (body: Buffer | string) => house.visitor().done('checkCredential', { body: Buffer.from(body) })

/** Our public keys, as anybody reads them. */
async function publishedKeys(): Promise<Map<string, JWK>> {
  const did = (await (await fetch(`${house.address}/.well-known/did.json`)).json()) as {
    verificationMethod: { id: string; publicKeyJwk: JWK }[]
  }
  return new Map(did.verificationMethod.map(({ id, publicKeyJwk }) => [id, publicKeyJwk]))
}

const folder = mkdtempSync(join(tmpdir(), 'probatum-reports-'))
function written(name: string, bytes: Buffer | string): string {
  writeFileSync(join(folder, name), bytes)
  return join(folder, name)
}

describe('a report', () => {
  let one: Proven
  let report: Awaited<ReturnType<typeof make>>
  let content: Content
  beforeAll(async () => {
    one = await proven(['Rita', 'Report'])
    report = await make(one)
    content = await contentOf(one.desk, report.id)
  }, 60_000)

  test('says of each claim how far it is proven, by whom, when and how, and what was not checked', () => {
    const degree = content.claims.find(({ source }) => source?.name === one.source.name)!
    expect(degree).toMatchObject({
      ...{ kind: 'study', rung: 'confirmed', flags: [] },
      asked: { channel: 'link', respondent: 'Renate Amt, Personnel', on: house.day(0), answeredOn: house.day(0) },
      finding: { decision: 'confirmed', on: house.day(0), by: 'The coordinator', byRule: false },
    })
    expect(degree.fields.find(({ field }) => field === 'number')).toMatchObject({
      ...{ claimed: 'N-77123', onPaper: 'N-77123', bySource: 'N-77123', verdict: 'same' },
    })
    expect(content.notChecked.map(({ because }) => because)).toEqual(
      expect.arrayContaining(['nobody asked', 'none in the file']),
    )
    expect(content.person).toEqual({ name: 'Rita Report', born: expect.stringMatching(/^19\d\d-08-21$/) })
  })

  test('is what its published schema says', async () => {
    const schema = (await (await fetch(`${house.address}/api/schemas/report-1.json`)).json()) as object
    const ajv = formats.default(new Ajv2020({ strict: false }))
    const valid = ajv.compile(schema)
    expect([valid(content), valid.errors]).toEqual([true, null])
    expect(valid({ ...content, claims: [{ ...content.claims[0], rung: 'perhaps' }] })).toBe(false)
  })

  test('is a tagged PDF by the tree of another reader, and whole by another', async () => {
    const pdf = written('report.pdf', await formOf(one.desk, report.id, 'pdf'))
    expect(String(execFileSync('qpdf', ['--check', pdf]))).toContain('No syntax or stream encoding errors found')
    expect(String(execFileSync('pdfinfo', [pdf]))).toMatch(
      /Title: +What has been proven of Rita Report[\s\S]*Tagged: +yes/,
    )
    const tree = String(execFileSync('pdfinfo', ['-struct-text', pdf]))
    expect(tree).toMatch(/^Document\n +H1 \(block\)\n +"What has been proven of Rita Report"/)
    for (const part of ['What was checked', 'What was not checked', 'confirmed by its source'])
      expect(tree).toContain(`"${part}"`)
    expect(tree.match(/TH:/g)!.length).toBeGreaterThan(20)
    expect(tree).toMatch(/Figure/)
  })

  test('is signed with our published key, by two programs that are not ours', async () => {
    const jwt = String(await formOf(one.desk, report.id, 'jwt'))
    const [head, payload, signature] = jwt.split('.') as [string, string, string]
    const { kid, typ, alg } = JSON.parse(Buffer.from(head, 'base64url').toString())
    expect([typ, alg]).toEqual(['vc+jwt', 'ES256'])
    const jwk = (await publishedKeys()).get(kid)!
    const { payload: signed } = await compactVerify(jwt, await importJWK(jwk, 'ES256'))
    expect(JSON.parse(new TextDecoder().decode(signed))).toMatchObject({
      ...{ issuer: { id: 'did:web:house.test' }, credentialSubject: content },
      credentialStatus: { type: 'BitstringStatusListEntry', statusPurpose: 'revocation' },
    })
    const key = createPublicKey({ key: jwk as JsonWebKey, format: 'jwk' }).export({ type: 'spki', format: 'pem' })
    const der = written('signature.der', inDer(Buffer.from(signature, 'base64url')))
    const openssl = (text: string) =>
      execFileSync(
        'openssl',
        ['dgst', '-sha256', '-verify', written('key.pem', String(key)), '-signature', der, written('text', text)],
        { stdio: 'pipe' },
      )
    expect(String(openssl(`${head}.${payload}`))).toContain('Verified OK')
    expect(() => openssl(`${head}.${payload}x`)).toThrow()
  })

  test('lets its holder show one claim and hide the rest', async () => {
    const whole = String(await formOf(one.desk, report.id, 'sd-jwt'))
    const { kid } = JSON.parse(Buffer.from(whole.split('.')[0]!, 'base64url').toString())
    const verifier = await ES256.getVerifier((await publishedKeys()).get(kid) as object)
    const instance = new SDJwtInstance({ hasher: digest, verifier })
    const all = (await instance.validate(whole)).payload as { credentialSubject: Content }
    expect(all.credentialSubject).toMatchObject(content)
    const shown = await instance.present(whole, { credentialSubject: { claims: { 0: true } } } as never)
    const { credentialSubject } = (await instance.validate(shown)).payload as { credentialSubject: Content }
    expect(credentialSubject.claims).toEqual([content.claims[0]])
    expect([credentialSubject.person, credentialSubject.notChecked]).toEqual([{ name: 'Rita Report' }, []])
    const result = await check(shown)
    expect(result).toMatchObject({ fault: null, own: true, report: { claims: [content.claims[0]] } })
    expect(result.hidden).toBe(whole.split('~').length - shown.split('~').length)
    // Of the signed text alone nothing is seen that can be hidden.
    const bare = await check(whole.split('~')[0]!)
    expect([bare.fault, bare.report?.claims, bare.hidden]).toEqual([null, [], whole.split('~').length - 2])
    // A part that was never in it is no part of it.
    const [, other] = whole.split('~')
    const forged = Buffer.from(JSON.stringify(['salt', { ...content.claims[0], rung: 'confirmed' }])).toString(
      'base64url',
    )
    expect((await check(whole.replace(other!, forged))).fault).toBe('bad-signature')
  })

  test('as at a day before it tells of what was so then', async () => {
    const before = await make(one, { asAt: house.day(-1) })
    expect((await contentOf(one.desk, before.id)).claims).toEqual([])
    const tomorrow = { language: 'en', scope: 'application', audience: 'inside', asAt: house.day(1) }
    const refused = await one.desk.call('makeReport', { params: { id: one.applicationId }, body: tomorrow })
    expect([refused.status, refused.body.faults?.[0]?.pointer]).toEqual([422, '/body/asAt'])
  })

  test('shows its reader nothing that they may not see, and opens for nobody who may see less', async () => {
    const auditor = await house.staff('auditor')
    const theirs = await make({ ...one, desk: auditor })
    expect((await contentOf(auditor, theirs.id)).person).toEqual({ name: 'Rita Report' })
    const listed = await auditor.done('listReports', { params: { id: one.applicationId } })
    expect(listed.find(({ id }) => id === report.id)!.opens).toBe(false)
    expect((await auditor.request(`/api/desk/reports/${report.id}/json`)).status).toBe(403)
    const reviewer = await house.staff('reviewer')
    expect((await reviewer.call('listReports', { params: { id: one.applicationId } })).status).toBe(403)
  })
})

/** An ECDSA signature as OpenSSL reads it: two whole numbers in DER (ITU-T X.690). */
function inDer(raw: Buffer): Buffer {
  const whole = (bytes: Buffer) => {
    let from = 0
    while (from < bytes.length - 1 && bytes[from] === 0) from += 1
    const short = bytes.subarray(from)
    const plain = short[0]! & 0x80 ? Buffer.concat([Buffer.of(0), short]) : short
    return Buffer.concat([Buffer.of(2, plain.length), plain])
  }
  const both = Buffer.concat([whole(raw.subarray(0, 32)), whole(raw.subarray(32))])
  return Buffer.concat([Buffer.of(0x30, both.length), both])
}

describe('anybody checks', () => {
  let one: Proven
  let report: Awaited<ReturnType<typeof make>>
  beforeAll(async () => {
    one = await proven(['Vera', 'Verify'])
    report = await make(one)
  }, 60_000)

  test('the file as it was made, the credential, one in an envelope, and what its code leads to', async () => {
    const jwt = String(await formOf(one.desk, report.id, 'jwt'))
    const pdf = await formOf(one.desk, report.id, 'pdf')
    const id = `data:application/vc+jwt,${jwt}`
    const enveloped = { '@context': 'https://www.w3.org/ns/credentials/v2', id, type: 'EnvelopedVerifiableCredential' }
    for (const given of [pdf, jwt, `  ${jwt}\n`, JSON.stringify(enveloped)]) {
      const result = await check(given)
      expect(result).toMatchObject({ fault: null, own: true, kind: 'report', issuer: house.deps.organisation.name })
      expect(result.report).toMatchObject({ reference: report.reference })
    }
    written('v.pdf', pdf)
    const pages = Number(/Pages: +(\d+)/.exec(String(execFileSync('pdfinfo', [join(folder, 'v.pdf')])))![1])
    execFileSync('pdftoppm', [
      '-r',
      '110',
      '-png',
      '-singlefile',
      '-f',
      String(pages),
      join(folder, 'v.pdf'),
      join(folder, 'last'),
    ])
    expect(await check(readFileSync(join(folder, 'last.png')))).toMatchObject({
      fault: null,
      report: { reference: report.reference },
    })
  })

  test('one letter changed is refused, in the file as in the credential', async () => {
    const jwt = String(await formOf(one.desk, report.id, 'jwt'))
    const [head, payload, signature] = jwt.split('.') as [string, string, string]
    const changed = Buffer.from(Buffer.from(payload, 'base64url').toString().replace('Vera Verify', 'Vera Verifx'))
    const result = await check([head, changed.toString('base64url'), signature].join('.'))
    expect(result).toMatchObject({ fault: 'bad-signature', report: null, says: {} })
    const pdf = await formOf(one.desk, report.id, 'pdf')
    const other = Buffer.from(pdf)
    other.write('Changed', other.lastIndexOf('CreationDate') - 40)
    expect((await check(Buffer.concat([pdf, Buffer.from('\n% more\n')]))).fault).toBe('file-changed')
    expect(['file-changed', 'nothing-found']).toContain((await check(other)).fault)
  })

  test('what nobody known has signed, and what is nothing of the kind, says so', async () => {
    const signer = await openSigner(house.fixed)
    const stranger = await signer.sign('vc+jwt', {
      issuer: 'did:web:elsewhere.example',
      type: ['VerifiableCredential'],
    })
    expect(await check(stranger)).toMatchObject({ fault: 'unknown-issuer', issuer: null })
    for (const nothing of ['', 'hello', '{"id":7}', 'a.b.c', '%PDF-1.7 broken'])
      expect(await check(nothing)).toMatchObject({ fault: 'nothing-found' })
    expect((await house.visitor().call('checkByLink', { params: { token: 'x'.repeat(43) } })).status).toBe(404)
  })

  test('what ended, by our clock', async () => {
    await Report.update({ endsAt: new Date(0) }, { where: { id: report.id } })
    const signer = await openSigner(house.fixed)
    const credential = { '@context': ['https://www.w3.org/ns/credentials/v2'], type: ['VerifiableCredential'] }
    const subject = { issuer: signer.did, validUntil: '2020-01-01T00:00:00Z', credentialSubject: { name: 'Old' } }
    expect((await check(await signer.sign('vc+jwt', { ...credential, ...subject }))).fault).toBe('ended')
  })
})

describe('is revoked', () => {
  const bitOf = async ({ id }: { id: string }) => {
    const { statusIndex } = await Report.findByPk(id, { rejectOnEmpty: true })
    const token = await (await fetch(`${house.address}/api/statuses/0`)).text()
    const { credentialSubject } = JSON.parse(Buffer.from(token.split('.')[1]!, 'base64url').toString())
    const bits = gunzipSync(Buffer.from(credentialSubject.encodedList.slice(1), 'base64url'))
    expect(bits.length).toBe(16_384)
    return (bits[statusIndex >> 3]! >> (7 - (statusIndex & 7))) & 1
  }

  test('by itself when what it says is decided otherwise, and whoever received it is told', async () => {
    const one = await proven(['Udo', 'Undone'])
    const inside = await make(one)
    const sent = await make(one, { audience: 'candidate' })
    expect(sent.sentTo.map(({ name }) => name)).toEqual(['Udo Undone'])
    expect(sent.opens).toBe(false)
    expect((await house.mailTo(one.candidate.mail, sent.reference)).attachments).toHaveLength(1)
    const jwt = String(await formOf(one.desk, inside.id, 'jwt'))
    expect([(await check(jwt)).fault, await bitOf(inside)]).toEqual([null, 0])
    await one.desk.done('undoDecision', { params: { id: one.findingId } })
    expect([(await check(jwt)).fault, await bitOf(inside), await bitOf(sent)]).toEqual(['revoked', 1, 1])
    await house.workOff()
    const told = await house.mailTo(one.candidate.mail, 'does not hold any more')
    expect(told.text).toContain(sent.reference)
    const listed = await one.desk.done('listReports', { params: { id: one.applicationId } })
    expect(listed.map(({ revoked }) => revoked?.because)).toEqual(
      Array(2).fill(expect.stringContaining('decided otherwise')),
    )
  })

  test('two things overtaken at the same moment are both decided, and it is revoked once', async () => {
    const one = await proven(['Two', 'Together'])
    const report = await make(one)
    const changes = [
      {
        code: 'decision-undone',
        actor: { kind: 'system' },
        candidateId: (await Report.findByPk(report.id))!.candidateId,
      },
    ] as const
    await FindingUndo.create({ findingId: one.findingId, undoneBy: 'Ines', undoneAt: new Date() })
    const both = await Promise.allSettled(
      [1, 2].map(() => inTransaction(house.fixed.sequelize, () => revokeOvertaken(house.deps, changes))),
    )
    expect(both.map(({ status }) => status)).toEqual(['fulfilled', 'fulfilled'])
    expect(await Report.findByPk(report.id)).toMatchObject({
      version: 2,
      revokedBecause: { code: 'report.revoked.overtaken' },
    })
    expect(await Event.count({ where: { code: 'report-revoked', about: report.reference } })).toBe(1)
  })

  test('not by a confirmation anew, nor by what comes to what it says nothing of', async () => {
    const one = await proven(['Nina', 'New'])
    const report = await make(one)
    const finding = await Finding.findByPk(one.findingId, { rejectOnEmpty: true })
    const { undoneAt: _, ...row } = finding.get({ plain: true })
    await Finding.create({ ...row, id: randomUUID(), decidedAt: new Date() })
    const job = (await one.desk.done('readFile', { params: { id: one.applicationId } })).claims.find(
      ({ details }) => details.kind === 'work',
    )!
    await askAbout(one.desk, job.id, one.applicationId)
    expect((await enquiryAbout(job.id)).state).toBe('open')
    expect((await Report.findByPk(report.id))!.revokedAt).toBeNull()
  })

  test('by hand, once, with the reason; of two at the same moment one does', async () => {
    const one = await proven(['Hanna', 'Hand'])
    const report = await make(one)
    const body = { version: report.version, reason: 'Made for the wrong body' }
    const both = await Promise.all([1, 2].map(() => one.desk.call('revokeReport', { params: { id: report.id }, body })))
    expect(both.map(({ status }) => status).sort()).toEqual([200, 409])
    expect(await bitOf(report)).toBe(1)
    expect(
      (await one.desk.call('revokeReport', { params: { id: report.id }, body: { ...body, version: 2 } })).body.code,
    ).toBe('report-revoked')
  })
})

test('a candidate makes one of themselves, opens it and no other', async () => {
  const one = await proven(['Ole', 'Own'])
  const other = await proven(['Ada', 'Another'])
  const params = { id: one.applicationId }
  const own = await one.candidate.done('makeOwnReport', { params, body: { language: 'de' } })
  expect(own).toMatchObject({ audience: 'candidate', language: 'de', revoked: null })
  const content = JSON.parse(String(await formOf(one.candidate, own.id, 'json', 'my'))) as Content
  expect(content).toMatchObject({ language: 'de', person: { born: expect.any(String) } })
  expect((await one.candidate.done('listOwnReports', { params })).map(({ id }) => id)).toEqual([own.id])
  const second = await one.candidate.request(`/api/my/reports/${own.id}/sd-jwt?claims=1`)
  expect((await check(Buffer.from(await second.arrayBuffer()))).report).toMatchObject({
    ...{ person: { name: 'Ole Own' }, claims: [content.claims[1]], notChecked: [] },
  })
  expect((await other.candidate.request(`/api/my/reports/${own.id}/json`)).status).toBe(404)
  const inside = await make(one)
  expect((await one.candidate.request(`/api/my/reports/${inside.id}/json`)).status).toBe(404)
})

test('of several copies that begin at once one makes the key; after another is taken, the old one still verifies', async () => {
  const one = await proven(['Kim', 'Key'])
  const report = await make(one)
  const jwt = String(await formOf(one.desk, report.id, 'jwt'))
  await SigningKey.update({ activeKey: null }, { where: {} })
  const signers = await Promise.all(Array.from({ length: 6 }, () => openSigner(house.fixed)))
  expect(new Set(signers.map(({ kid }) => kid)).size).toBe(1)
  const next = await rotateSigningKey(house.fixed)
  expect(await SigningKey.count({ where: { activeKey: 'active' } })).toBe(1)
  expect((await check(jwt)).fault).toBeNull()
  const again = await make(one)
  const { kid } = JSON.parse(
    Buffer.from(String(await formOf(one.desk, again.id, 'jwt')).split('.')[0]!, 'base64url').toString(),
  )
  expect(kid).toBe(`did:web:house.test#${next.kid}`)
  expect((await publishedKeys()).size).toBe(await SigningKey.count())
  // The private half is nowhere as it is.
  const { sealed } = next
  expect(sealed).not.toMatch(/"d":/)
})
