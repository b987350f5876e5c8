import { createHash } from 'node:crypto'
import { aPaper, applied, type House, look, openHouse } from '../../test/house'
import { Blob, Document } from '../records/documents/model'

let house: House
beforeAll(async () => {
  house = await openHouse('discard')
}, 60_000)
afterAll(() => house.close())

const givenBy = async (given: string) => {
  const candidate = await house.candidate(`${given} Discard`)
  const desk = await house.staff('coordinator')
  const application = await applied(house, candidate, [given, 'Discard'])
  const document = await Document.findOne({ where: { claimId: application.degreeId }, rejectOnEmpty: true })
  return { candidate, desk, application, document }
}
const reason = 'A social security card is nothing we may keep'

test('its bytes are gone at once, nobody opens it, its candidate is told, and its claim wants a paper again', async () => {
  const { candidate, desk, application, document } = await givenBy('Dina')
  await look(desk, application.id, application.degreeId)
  const { version } = await Document.findByPk(document.id, { rejectOnEmpty: true })
  const discard = (seen: number) =>
    desk.call('discardDocument', { params: { id: document.id }, body: { version: seen, reason } })
  expect((await discard(version - 1)).status).toBe(409)
  const both = await Promise.all([discard(version), discard(version)])
  expect(both.map(({ status }) => status).sort()).toEqual([200, 409])
  for (const who of [candidate, desk])
    expect((await who.request(`/api/documents/${document.id}/bytes`)).status).toBe(404)
  // The bytes of the demo's paper lie behind other people's papers too; those of this one are its own.
  const others = await Document.count({ where: { sha256: document.sha256! } })
  expect(await Blob.count({ where: { sha256: document.sha256! } })).toBe(others > 0 ? 1 : 0)
  expect((await house.mailTo(candidate.mail, 'A paper of yours was discarded')).text).toContain(reason)
  const { claims } = await desk.done('readFile', { params: { id: application.id } })
  const degree = claims.find(({ id }) => id === application.degreeId)!
  expect(degree).toMatchObject({ rung: 'claimed', documents: [{ state: 'discarded', size: 0, reads: {} }] })
})

test('bytes that another paper has as well stay for that one', async () => {
  const { candidate, desk, application } = await givenBy('Doro')
  const bytes = await aPaper('The same twice')
  const put = (claimId: string) =>
    candidate.done('uploadDocument', { params: { id: claimId }, query: { fileName: 'Twice.pdf' }, body: bytes })
  const first = await put(application.degreeId)
  const second = await put(application.jobId)
  await desk.done('discardDocument', { params: { id: first.id }, body: { version: 0, reason } })
  expect((await candidate.request(`/api/documents/${second.id}/bytes`)).status).toBe(200)
  await desk.done('discardDocument', { params: { id: second.id }, body: { version: 0, reason } })
  const sha256 = createHash('sha256').update(bytes).digest('hex')
  expect(await Blob.count({ where: { sha256 } })).toBe(0)
})
