import type { Visitor } from '../../test/client'
import { applied, type House, openHouse } from '../../test/house'
import { emptyApplications } from '../applications/erase'
import { inTransaction } from '../platform/database/connection'

let house: House
let desk: Visitor
beforeAll(async () => {
  house = await openHouse('originals')
  desk = await house.staff('coordinator')
}, 60_000)
afterAll(() => house.close())

const signature = `data:image/png;base64,${Buffer.from('a picture').toString('base64')}`

/** Somebody who has applied, and the paper of their degree. */
async function withPaper(given: string) {
  const candidate = await house.candidate(`${given} Original`)
  const { id } = await applied(house, candidate, [given, 'Original'])
  const { papers, address } = await candidate.done('listMyOriginals', { params: { id } })
  return { candidate, id, document: papers[0]!.document, papers, address }
}
const atDesk = async (id: string) => (await desk.done('listOriginals', { params: { id } })).originals[0]!
const take = (id: string, document: string, more: object = {}) =>
  desk.call('receiveOriginal', {
    params: { id },
    body: { document, way: 'in person', from: 'Their brother', place: 'Drawer 3', ...more },
  })

test('announced, brought, compared page by page, kept, given back against a signature; its candidate is told', async () => {
  const { candidate, id, document, papers, address } = await withPaper('Olive')
  expect(papers.length).toBeGreaterThan(0)
  expect(address).toContain('Vallorne Mountain Lines')
  await candidate.done('announceOriginal', { params: { id }, body: { document, way: 'by post', tracking: 'RR 123' } })
  expect(await atDesk(id)).toMatchObject({ state: 'announced', way: 'by post', tracking: 'RR 123', version: 1 })
  expect((await take(id, document)).status).toBe(200)
  await house.mailTo(candidate.mail, 'We have your original')
  const here = await atDesk(id)
  expect(here).toMatchObject({ state: 'here', receivedFrom: 'Their brother', place: 'Drawer 3', tracking: 'RR 123' })
  expect((await desk.done('readSafe')).find((row) => row.id === here.id)).toMatchObject({
    ...{ name: 'Olive Original', place: 'Drawer 3', days: 0, compared: null },
  })
  // Where it is kept is for the desk alone.
  const mine = await candidate.done('listMyOriginals', { params: { id } })
  expect(JSON.stringify(mine)).not.toContain('Drawer 3')

  const compare = (pages: object[], version: number) =>
    desk.call('compareOriginal', { params: { id: here.id }, body: { version, pages } })
  expect((await compare([{ page: 2, same: true, note: '' }], 2)).status).toBe(422)
  expect((await compare([{ page: 1, same: false, note: '' }], 2)).status).toBe(422)
  expect((await compare([{ page: 1, same: true, note: '' }], 2)).body).toEqual({ compared: 'same' })
  await desk.done('moveOriginal', { params: { id: here.id }, body: { version: 3, place: 'Drawer 4' } })

  const back = { version: 4, way: 'in person', to: 'Olive Original', tracking: '' }
  expect((await desk.call('returnOriginal', { params: { id: here.id }, body: back })).status).toBe(422)
  await desk.done('returnOriginal', { params: { id: here.id }, body: { ...back, signature } })
  expect(await atDesk(id)).toMatchObject({ state: 'returned', signed: true, returnedTo: 'Olive Original' })
  const drawn = await desk.request(`/api/desk/originals/${here.id}/signature`)
  expect([drawn.headers.get('content-type'), await drawn.text()]).toEqual(['image/png', 'a picture'])
  expect((await desk.done('readSafe')).some((row) => row.id === here.id)).toBe(false)
  await house.mailTo(candidate.mail, 'Your original is given back')
  // It may come again.
  expect((await candidate.done('listMyOriginals', { params: { id } })).papers.map((paper) => paper.document)).toContain(
    document,
  )
})

test('by post it goes back with a number it can be followed by', async () => {
  const { id, document } = await withPaper('Paul')
  await take(id, document)
  const { id: original } = await atDesk(id)
  const back = { version: 1, way: 'by post', to: 'Dorfstrasse 4', tracking: ' ' }
  expect((await desk.call('returnOriginal', { params: { id: original }, body: back })).status).toBe(422)
  await desk.done('returnOriginal', { params: { id: original }, body: { ...back, tracking: 'RR 456' } })
  expect(await atDesk(id)).toMatchObject({ state: 'returned', returnTracking: 'RR 456', signed: false })
})

test('of two who take the same one in at once, or give it back at once, one is told', async () => {
  const { id, document } = await withPaper('Tara')
  const both = await Promise.all([1, 2].map(() => take(id, document)))
  expect(both.map(({ status }) => status).sort()).toEqual([200, 409])
  const { id: original, version } = await atDesk(id)
  const body = { version, way: 'by post', to: 'Home', tracking: 'RR 7' }
  const back = await Promise.all([1, 2].map(() => desk.call('returnOriginal', { params: { id: original }, body })))
  expect(back.map(({ status }) => status).sort()).toEqual([200, 409])
  expect((await desk.done('listOriginals', { params: { id } })).originals).toHaveLength(1)
})

test('what was announced may not come; what is here already is not called off; a stranger’s is not there', async () => {
  const { candidate, id, document } = await withPaper('Carl')
  const stranger = await house.candidate('Stray Person')
  const { id: original } = await candidate.done('announceOriginal', {
    params: { id },
    body: { document, way: 'in person', tracking: '' },
  })
  expect((await stranger.call('callOffOriginal', { params: { id: original } })).status).toBe(404)
  await candidate.done('callOffOriginal', { params: { id: original } })
  await take(id, document)
  const { id: second } = await atDesk(id)
  expect((await candidate.call('callOffOriginal', { params: { id: second } })).status).toBe(409)
})

test('an original in the safe outlives the file it came for, without its owner’s words', async () => {
  const { id, document } = await withPaper('Erik')
  await take(id, document, { from: 'Erik himself' })
  await inTransaction(house.deps.sequelize, () => emptyApplications(house.deps, [id]))
  const row = (await desk.done('readSafe')).find(({ application }) => application.id === id)
  expect(row).toMatchObject({ place: 'Drawer 3' })
  expect((await atDesk(id)).receivedFrom).toBe('')
})
