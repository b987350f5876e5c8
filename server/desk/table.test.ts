import { parse } from 'csv-parse/sync'
import { lists } from '#contract/lists'
import type { Visitor } from '../../test/client'
import { applied, type House, openHouse } from '../../test/house'
import { Application } from '../records/applications/model'
import { ApplicationSummary } from '../records/hiring/model'

let house: House
let desk: Visitor
const ids: string[] = []
beforeAll(async () => {
  house = await openHouse('table')
  desk = await house.staff('coordinator')
  for (const name of ['Åsa Ärlig', 'Bora Late', 'Cem =Formula'] as const) {
    const [given, family] = name.split(' ') as [string, string]
    ids.push((await applied(house, await house.candidate(name), [given, family])).id)
  }
}, 90_000)
afterAll(() => house.close())

test('filters narrow, any spelling is found, and the count is of what is shown', async () => {
  await ApplicationSummary.update({ slack: 4 }, { where: { applicationId: ids } })
  await ApplicationSummary.update({ slack: -4 }, { where: { applicationId: ids[1] } })
  expect((await desk.done('readTable')).total).toBe(3)
  const late = await desk.done('readTable', { query: { late: 'yes' } })
  expect(late.rows.map(({ name }) => name)).toEqual(['Bora Late'])
  expect(late.total).toBe(1)
  const { rows } = await desk.done('readTable', { query: { text: 'arl' } })
  expect(rows.map(({ name }) => name)).toEqual(['Åsa Ärlig'])
  const { reference } = rows[0]!
  const byReference = await desk.done('readTable', { query: { text: reference!.toLowerCase() } })
  expect(byReference.rows.map(({ id }) => id)).toEqual([ids[0]])
  expect((await desk.done('readTable', { query: { sentTo: house.day(-1) } })).total).toBe(0)
  expect((await desk.done('readTable', { query: { sentFrom: house.day(-1), stage: 'sent' } })).total).toBe(3)
  // Half an hour into the day there, while it is the day before in Greenwich.
  const sentAt = new Date(`${house.day(-4)}T23:30:00Z`)
  await ApplicationSummary.update({ sentAt }, { where: { applicationId: ids[0] } })
  const sentOn = async (day: string) =>
    (await desk.done('readTable', { query: { sentFrom: day, sentTo: day } })).rows.map(({ id }) => id)
  expect([await sentOn(house.day(-4)), await sentOn(house.day(-3))]).toEqual([[], [ids[0]]])
  expect((await desk.call('readTable', { query: { stage: 'asleep' } })).status).toBe(422)
  expect((await desk.call('readTable', { query: { after: 'elsewhere' } })).status).toBe(422)
})

test.each(['slack', 'sent', 'score', 'name'])('by %s nobody comes twice and nobody is left out', async (order) => {
  const template = (await ApplicationSummary.findByPk(ids[0], { raw: true }))!
  const application = (await Application.findByPk(ids[0], { raw: true }))!
  if ((await ApplicationSummary.count()) < 50) {
    const copies = Array.from({ length: 70 }, (_, nth) => ({
      nth,
      id: `018f0000-0000-7000-8000-${String(nth).padStart(12, '0')}`,
    }))
    await Application.bulkCreate(
      copies.map(({ id, nth }) => ({ ...application, id, duplicateOrdinal: nth + 1, reference: null, number: null })),
    )
    await ApplicationSummary.bulkCreate(
      copies.map(({ id, nth }) => ({
        ...template,
        applicationId: id,
        slack: nth % 5,
        score: (nth % 4) - 1,
        candidate: `Person ${nth % 6}`,
      })),
    )
  }
  const seen: string[] = []
  for (let after: string | undefined; ; ) {
    const page = await desk.done('readTable', { query: { order, ...(after ? { after } : {}) } })
    seen.push(...page.rows.map(({ id }) => id))
    if (!page.next) break
    after = page.next
  }
  expect(seen).toHaveLength(73)
  expect(new Set(seen).size).toBe(73)
})

test.each(lists)('the list %s comes as CSV with a line for each of its page', async (list) => {
  const file = await desk.done('readFile', {
    params: { id: (await desk.done('readTable', { query: {} })).rows[0]!.id },
  })
  const query = `queue=applications&candidate=${file.candidate.id}`
  const reply = await desk.request(`/api/desk/lists/${list}?${query}`)
  expect(reply.headers.get('content-type')).toContain('text/csv')
  const rows = parse(await reply.text(), { columns: true, bom: true }) as Record<string, string>[]
  if (list === 'queue') {
    const { people } = await desk.done('readQueue', { params: { queue: 'applications' } })
    expect(rows.slice(0, people.length).map((row) => row.Name)).toEqual(people.map(({ candidate }) => candidate))
    expect(rows).toHaveLength((await desk.done('readCounts')).counts.applications!)
  }
  if (list === 'access-log') expect(rows.map((row) => row.Saw)).toContain('the file')
  if (list === 'sources') expect(rows.length).toBeGreaterThan(5)
})

test('who saw what of nobody is not a list', async () => {
  const nobody = '018f0000-0000-7000-8000-000000000000'
  expect((await desk.request(`/api/desk/lists/access-log?candidate=${nobody}`)).status).toBe(404)
  expect((await desk.request('/api/desk/lists/access-log')).status).toBe(404)
})

test('the list comes as CSV with its filters, and no cell is a formula', async () => {
  const reply = await desk.request('/api/desk/lists/applications?text=formula')
  expect(reply.headers.get('content-type')).toContain('text/csv')
  const rows = parse(await reply.text(), { columns: true, bom: true }) as Record<string, string>[]
  expect(rows).toHaveLength(1)
  expect(rows[0]).toMatchObject({ Stage: 'sent', 'Honest blanks': '0' })
  const all = parse(await (await desk.request('/api/desk/lists/applications')).text(), { columns: true, bom: true })
  expect(all).toHaveLength(73)
  expect((await (await house.staff('assessor')).request('/api/desk/lists/applications')).status).toBe(403)
  const trail = await desk.done('readTrail', { query: { text: 'Exported the list' } })
  expect(trail.events.length).toBeGreaterThan(0)
})

test('a list is headed and filled in the reader’s language; the fingerprint is for a program and is not', async () => {
  const inGerman = async (list: string) => {
    const reply = await desk.request(`/api/desk/lists/${list}`, { headers: { 'Accept-Language': 'de' } })
    return parse(await reply.text(), { columns: true, bom: true }) as Record<string, string>[]
  }
  expect(Object.keys((await inGerman('applications'))[0]!).slice(0, 4)).toEqual(['Name', 'Zeichen', 'Stelle', 'Stand'])
  expect((await inGerman('applications')).map(({ Stand }) => Stand)).toContain('abgeschickt')
  expect(Object.keys((await inGerman('vacancies'))[0]!)).toContain('in engerer Wahl')
  expect(Object.keys((await inGerman('fingerprint'))[0]!)).toEqual(['Chain', 'Link', 'Hash'])
})

test('a view is kept under a name, anew under the same, and is nobody else’s', async () => {
  const save = (query: string) => desk.done('saveView', { body: { name: 'Late ones', query } })
  await save('late=yes')
  const { id } = await save('late=yes&order=score')
  expect(await desk.done('listViews')).toEqual([{ id, name: 'Late ones', query: 'late=yes&order=score' }])
  const other = await house.staff('coordinator')
  expect(await other.done('listViews')).toEqual([])
  expect((await other.call('removeView', { params: { id } })).status).toBe(404)
  await desk.done('removeView', { params: { id } })
  expect(await desk.done('listViews')).toEqual([])
})

test('who is turned down is written to, ends, and can be taken up again where they stood', async () => {
  const candidate = await house.candidate('Tove Turned')
  const { id } = await applied(house, candidate, ['Tove', 'Turned'])
  const written = { english: { subject: 'Your application', text: 'We have gone on with others.' }, german: null }
  const turned = await desk.done('turnDown', {
    body: { applications: [id], reason: 'Too few years on ropes', written },
  })
  expect(turned).toEqual({ turnedDown: 1, left: 0 })
  expect((await house.mailTo(candidate.mail, 'Your application')).text).toContain('gone on with others')
  const status = await candidate.done('readStatus', { params: { id } })
  expect([status.stage, status.ball]).toEqual(['turned down', 'Nobody: we decided to go on with others.'])
  expect(JSON.stringify(status)).not.toContain('Too few years')
  const queue = await desk.done('readQueue', { params: { queue: 'applications' } })
  expect(queue.people.some((row) => row.id === id)).toBe(false)
  expect((await desk.done('readTable', { query: { stage: 'turned down' } })).rows.map((row) => row.id)).toEqual([id])
  expect(await desk.done('turnDown', { body: { applications: [id], reason: 'Again', written } })).toMatchObject({
    turnedDown: 0,
    left: 1,
  })
  await desk.done('takeUpAgain', { params: { id }, body: { reason: 'A place has come free' } })
  expect((await candidate.done('readStatus', { params: { id } })).stage).toBe('sent')
})
