import { v7 as uuid } from 'uuid'
import type { Visitor } from '../../test/client'
import { applied, type House, openHouse } from '../../test/house'
import { recordEvent } from '../platform/audit/record'
import { Application } from '../records/applications/model'
import { ApplicationSummary } from '../records/hiring/model'

let house: House
let desk: Visitor
beforeAll(async () => {
  house = await openHouse('desk')
  desk = await house.staff('coordinator')
}, 60_000)
afterAll(() => house.close())

/** Many people in a queue, as if they had been computed, each with a slack of its own or one that others share. */
async function crowd(count: number, slackOf: (nth: number) => number) {
  const one = await applied(house, await house.candidate('First One'), ['First', 'One'])
  const [standing, application] = await Promise.all([
    ApplicationSummary.findByPk(one.id, { rejectOnEmpty: true, raw: true }),
    Application.findByPk(one.id, { rejectOnEmpty: true, raw: true }),
  ])
  const rows = Array.from({ length: count }, (_, nth) => ({ nth, id: uuid(), candidate: `Person ${nth}` }))
  const { Candidate, Account } = await import('../records/accounts/model')
  const accounts = rows.map(({ nth }) => ({ id: uuid(), nth }))
  await Account.bulkCreate(
    accounts.map(({ id, nth }) => ({
      id,
      mail: `crowd-${nth}@mail.test`,
      name: `Person ${nth}`,
      passwordHash: 'none',
      roles: ['candidate'],
      confirmedAt: new Date(),
      createdAt: new Date(),
    })),
  )
  const candidates = accounts.map(({ id: accountId, nth }) => ({ id: uuid(), accountId, nth }))
  await Candidate.bulkCreate(
    candidates.map(({ id, accountId, nth }) => ({
      id,
      accountId,
      name: `Person ${nth}`,
      born: null,
      otherNames: [],
      createdAt: new Date(),
    })),
  )
  await Application.bulkCreate(
    rows.map(({ id, nth }) => ({
      ...application,
      id,
      candidateId: candidates[nth]!.id,
      reference: null,
      number: null,
    })),
  )
  await ApplicationSummary.bulkCreate(
    rows.map(({ id, candidate, nth }) => ({
      ...standing,
      applicationId: id,
      candidate,
      candidateId: null,
      slack: slackOf(nth),
      today: true,
    })),
  )
}

test('a queue of many comes a page at a time, least slack first, nobody twice and nobody left out', async () => {
  await crowd(95, (nth) => (nth % 7) - 3)
  const seen: { id: string; slack: number }[] = []
  let after: string | undefined
  let pages = 0
  do {
    const page = await desk.done('readQueue', { params: { queue: 'today' }, query: after ? { after } : {} })
    seen.push(...page.people)
    after = page.next ?? undefined
    pages += 1
  } while (after)
  const { counts } = await desk.done('readCounts')
  expect(pages).toBe(3)
  expect(new Set(seen.map(({ id }) => id)).size).toBe(seen.length)
  expect(seen).toHaveLength(counts.today!)
  expect(seen.map(({ slack }) => slack)).toEqual([...seen.map(({ slack }) => slack)].sort((a, b) => a - b))
  const { late } = await desk.done('readQueue', { params: { queue: 'today' } })
  expect(late).toBe(seen.filter(({ slack }) => slack < 0).length)
})

test('a page that was given as another shape is refused', async () => {
  const refused = await desk.call('readQueue', { params: { queue: 'today' }, query: { after: 'the second' } })
  expect(refused.body.faults?.[0]?.pointer).toBe('/query/after')
  expect((await desk.call('readQueue', { params: { queue: 'yesterday' } })).status).toBe(422)
})

test('people are found by name, by reference however it is typed, and by a number on a paper', async () => {
  const { id, reference } = await applied(house, await house.candidate('Zdenka Findova'), ['Zdenka', 'Findova'])
  const found = async (text: string) => (await desk.done('find', { query: { text } })).people.map((person) => person.id)
  expect(await found('findov')).toEqual([id])
  expect(await found(reference.toLowerCase().replace(/-/g, ' '))).toEqual([id])
  expect(await found('TB-2018-9034')).toContain(id)
  expect(await found('nobody of that name')).toEqual([])
  expect(await found('100%')).toEqual([])
})

test('the trail is read newest first, page by page, and searched', async () => {
  for (let nth = 0; nth < 60; nth += 1)
    await recordEvent(house.deps, { kind: 'system' }, { code: 'draft-deleted', values: { vacancy: `Event ${nth}` } })
  const first = await desk.done('readTrail')
  expect(first.events).toHaveLength(50)
  const times = first.events.map(({ at }) => at)
  expect(times).toEqual([...times].sort().reverse())
  const second = await desk.done('readTrail', { query: { before: first.next! } })
  expect(second.events.some(({ id }) => first.events.some((event) => event.id === id))).toBe(false)
  const about = await desk.done('readTrail', { query: { text: 'Signed the permission' } })
  expect(about.events.length).toBeGreaterThan(0)
  expect(about.events.every(({ what }) => what.includes('Signed the permission'))).toBe(true)
})

test('a list where nobody is in it has its heading all the same', async () => {
  const keeper = await house.staff('coordinator')
  const tray = await (await keeper.request('/api/desk/lists/tray')).text()
  expect(tray).toBe('Paper,Came,Came at,Pages,Waits because,May belong to\r\n')
})
