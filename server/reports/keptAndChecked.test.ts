import { createServer, type Server } from 'node:http'
import type { AddressInfo } from 'node:net'
import { gzipSync } from 'node:zlib'
import { CompactSign, exportJWK, generateKeyPair } from 'jose'
import type { PublicKey } from '#core/sources/source'
import { checkedSource } from '../../test/asking'
import type { Visitor } from '../../test/client'
import { applied, type House, openHouse } from '../../test/house'
import { eraseFile } from '../privacy/erase'
import { Application } from '../records/applications/model'
import { Blob } from '../records/documents/model'
import { Report, ReportDelivery, RevokedStatus } from '../records/reports/model'
import { Source } from '../records/sources/model'

let house: House
beforeAll(async () => {
  house = await openHouse('kept_and_checked')
}, 60_000)
afterAll(() => house.close())

const check = (body: string) => house.visitor().done('checkCredential', { body: Buffer.from(body) })
const make = (desk: Visitor, id: string, audience: 'inside' | 'candidate' = 'inside') =>
  desk.call('makeReport', { params: { id }, body: { language: 'en', scope: 'file', audience } })

async function fileOf(name: [string, string]) {
  const candidate = await house.candidate(name.join(' '))
  const { id } = await applied(house, candidate, name)
  const { candidateId, vacancyId } = await Application.findByPk(id, { rejectOnEmpty: true })
  return { candidate, id, candidateId, vacancyId }
}

describe('a credential of somebody else', () => {
  let lists: Server
  let published = ''
  let asked: string[] = []
  beforeAll(async () => {
    lists = createServer((request, response) => {
      asked.push(request.url!)
      response.end(published)
    }).listen(0, '127.0.0.1')
    await new Promise((ready) => lists.once('listening', ready))
  })
  afterAll(() => lists.close())

  async function issuer(id: string) {
    const at = `http://127.0.0.1:${(lists.address() as AddressInfo).port}`
    const { privateKey, publicKey } = await generateKeyPair('EdDSA', { extractable: true })
    const { kty, crv, x } = await exportJWK(publicKey)
    const keys = [{ kid: 'key-1', kty, crv, x } as PublicKey]
    const sign = (payload: object) =>
      new CompactSign(new TextEncoder().encode(JSON.stringify(payload)))
        .setProtectedHeader({ alg: 'EdDSA', kid: 'key-1', typ: 'vc+jwt', jku: `${at}/keys` } as never)
        .sign(privateKey)
    const listOf = (taken: number[]) => {
      const bits = new Uint8Array(16_384)
      for (const index of taken) bits[index >> 3]! |= 0x80 >> (index & 7)
      return sign({
        ...{ '@context': ['https://www.w3.org/ns/credentials/v2'], issuer: id },
        type: ['VerifiableCredential', 'BitstringStatusListCredential'],
        credentialSubject: {
          ...{ type: 'BitstringStatusList', statusPurpose: 'revocation' },
          encodedList: `u${gzipSync(bits).toString('base64url')}`,
        },
      })
    }
    const credential = (over: object = {}) =>
      sign({
        ...{ '@context': ['https://www.w3.org/ns/credentials/v2'], type: ['VerifiableCredential'], issuer: id },
        credentialSubject: { name: 'Rita Report', degree: { type: 'MSc' } },
        credentialStatus: {
          ...{ type: 'BitstringStatusListEntry', statusPurpose: 'revocation', statusListIndex: '7' },
          statusListCredential: `${at}/list`,
        },
        ...over,
      })
    return { at, keys, listOf, credential, known: { id, keys, statusLists: [`${at}/list`] } }
  }

  test('is told of by the name in the directory, until its issuer takes it back', async () => {
    const of = await issuer('https://schule-eins.example/issuer')
    const source = await checkedSource(house, { kind: 'university', issuer: of.known })
    published = await of.listOf([6, 8])
    expect(await check(await of.credential())).toMatchObject({
      ...{ fault: null, own: false, issuer: source.name, kind: 'credential', report: null },
      says: { name: 'Rita Report', award: 'MSc' },
    })
    published = await of.listOf([7])
    expect((await check(await of.credential())).fault).toBe('revoked')
    expect((await check(await of.credential({ validUntil: '2020-01-01T00:00:00Z', credentialStatus: [] }))).fault).toBe(
      'ended',
    )
  })

  test('no address inside it is asked: neither for keys nor for a list that the directory does not have', async () => {
    const of = await issuer('https://schule-zwei.example/issuer')
    await checkedSource(house, { kind: 'university', issuer: { ...of.known, statusLists: [] } })
    asked = []
    expect((await check(await of.credential())).fault).toBe('status-unknown')
    expect((await check(await of.credential({ issuer: `${of.at}/nobody` }))).fault).toBe('unknown-issuer')
    expect(asked).toEqual([])
  })

  test('of a source that is retired, or written in another case, it is nobody’s who is known', async () => {
    const of = await issuer('https://schule-drei.example/issuer')
    const source = await checkedSource(house, { kind: 'university', issuer: of.known })
    const other = await of.credential({ issuer: 'https://SCHULE-drei.example/issuer', credentialStatus: [] })
    expect((await check(other)).fault).toBe('unknown-issuer')
    await Source.update({ retiredAt: new Date() }, { where: { id: source.id } })
    expect((await check(await of.credential({ credentialStatus: [] }))).fault).toBe('unknown-issuer')
  })
})

test('a name that is hidden is in no report, and one that was made before opens for nobody meanwhile', async () => {
  const desk = await house.staff('coordinator')
  const one = await fileOf(['Nelly', 'Nameless'])
  const made = await make(desk, one.id)
  const toHer = await make(desk, one.id, 'candidate')
  expect([made.status, toHer.body.sentTo[0]?.name]).toEqual([200, 'Nelly Nameless'])
  const params = { id: one.vacancyId }
  const { version } = await desk.done('readScoreSheet', { params })
  const body = { version, hideNames: true, reviewers: 2, criteria: [] }
  const hiding = await desk.done('saveScoreSheet', { params, body })
  expect((await make(desk, one.id)).body.code).toBe('names-hidden')
  const listed = await desk.done('listReports', { params: { id: one.id } })
  expect(listed.map(({ opens }) => opens)).toEqual([false, false])
  expect(JSON.stringify(listed)).not.toMatch(/Nelly|Nameless/)
  expect((await desk.request(`/api/desk/reports/${made.body.id}/json`)).status).toBe(403)
  await desk.done('reveal', { params: { id: one.id }, body: { subject: 'name', reason: 'They rang about it' } })
  expect((await desk.request(`/api/desk/reports/${made.body.id}/json`)).status).toBe(200)
  await desk.done('saveScoreSheet', { params, body: { ...body, version: hiding.version, hideNames: false } })
})

test('an auditor has it stated, and neither sends nor revokes', async () => {
  const auditor = await house.staff('auditor')
  const { id } = await fileOf(['Audrey', 'Audited'])
  expect((await make(auditor, id, 'candidate')).status).toBe(403)
  const made = await make(auditor, id)
  expect(made.status).toBe(200)
  const body = { version: 1, reason: 'I think otherwise' }
  expect((await auditor.call('revokeReport', { params: { id: made.body.id }, body })).status).toBe(403)
})

test('what a person takes along has their reports, and of ours only that there are some', async () => {
  const desk = await house.staff('coordinator')
  const { candidate, id } = await fileOf(['Zita', 'Zipped'])
  const inside = (await make(desk, id)).body.reference
  const own = await candidate.done('makeOwnReport', { params: { id }, body: { language: 'en' } })
  const bytes = Buffer.from(await (await candidate.request('/api/my/data.zip')).arrayBuffer()).toString('latin1')
  expect(bytes).toContain(`reports/${own.reference}.pdf`)
  expect(bytes).not.toContain(`reports/${inside}.pdf`)
})

test('with a file its reports are moved, and moved back', async () => {
  const desk = await house.staff('coordinator')
  const [kept, merged] = [await fileOf(['Merle', 'Moved']), await fileOf(['Merle', 'Moved'])]
  const { id } = (await make(desk, merged.id)).body
  const at = async () => (await Report.findByPk(id))!.candidateId
  const body = { mergedId: merged.candidateId, reason: 'The same birth date and phone' }
  const merge = await desk.done('mergeFiles', { params: { keptId: kept.candidateId }, body })
  expect(await at()).toBe(kept.candidateId)
  await desk.done('undoMerge', { params: { id: merge.id } })
  expect([await at(), (await Report.findByPk(id))!.revokedAt]).toEqual([merged.candidateId, null])
})

test('of an erased file no report is left, and what somebody still has does not hold', async () => {
  const desk = await house.staff('coordinator')
  const { id, candidateId } = await fileOf(['Erna', 'Erased'])
  const made = (await make(desk, id, 'candidate')).body
  const { jwt, pdfSha256, statusIndex } = (await Report.findByPk(made.id))!
  expect((await check(jwt)).fault).toBeNull()
  await eraseFile(house.deps, { kind: 'system' }, candidateId, 'wish')
  expect(await Report.count({ where: { candidateId } })).toBe(0)
  expect(await ReportDelivery.count({ where: { reportId: made.id } })).toBe(0)
  expect(await Blob.count({ where: { sha256: pdfSha256 } })).toBe(0)
  expect(await RevokedStatus.count({ where: { statusIndex } })).toBe(1)
  expect((await check(jwt)).fault).toBe('revoked')
})
