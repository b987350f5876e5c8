import { v7 as uuid } from 'uuid'
import { writeSetting } from '#server/platform/database/settings'
import { Job } from '#server/platform/jobs/model'
import type { Visitor } from '../../test/client'
import { applied, type House, openHouse, until } from '../../test/house'

let house: House
let admin: Visitor
beforeAll(async () => {
  house = await openHouse('how_it_runs')
  admin = await house.staff('administrator')
  await applied(house, await house.candidate('Sonja Silent'), ['Sonja', 'Silent'])
}, 60_000)
afterAll(() => house.close())

const given = (over: object) =>
  Job.create({
    ...{ id: uuid(), kind: 'mail', uniqueKey: null, payload: { messageId: uuid() }, attempts: 0 },
    runAt: new Date(Date.now() + 3_600_000),
    ...over,
  })

test('what waits, what is under way and what was given up is counted, and nothing of it is about a person', async () => {
  await given({ kind: 'text' })
  await given({ kind: 'text', attempts: 2, leasedUntil: new Date(Date.now() + 60_000) })
  const { id } = await given({ kind: 'import', attempts: 8, doneAt: new Date(), lastError: 'no person Sonja Silent' })
  const operation = await admin.done('readOperation')
  expect(operation.jobs.waiting.find(({ kind }) => kind === 'text')).toMatchObject({ count: 2, underWay: 1, tried: 1 })
  expect(operation.jobs.failed).toMatchObject([{ id, kind: 'import', attempts: 8 }])
  expect(operation.room.documents.count).toBeGreaterThan(0)
  expect(operation.room.documents.bytes).toBeGreaterThan(1000)
  expect(operation.room.tables).toBeGreaterThan(operation.room.documents.bytes)
  expect(operation.registers.length).toBeGreaterThan(0)
  expect(operation.node).toBe(process.versions.node)
  expect(JSON.stringify(operation)).not.toContain('Sonja')
})

test('of a register it is said whether it answers, and the page does not wait for one that is silent', async () => {
  const answering = async () => new Set((await admin.done('readOperation')).registers.map(({ answers }) => answers))
  expect(await answering()).toEqual(new Set([true]))
  house.registers.behaviour.silent = true
  const begun = performance.now()
  expect(await answering()).toEqual(new Set([false]))
  expect(performance.now() - begun).toBeLessThan(5000)
  house.registers.behaviour.silent = false
})

test('the last backup is the one that was remembered', async () => {
  expect((await admin.done('readOperation')).lastBackup).toBeNull()
  const last = { at: '2026-11-28T03:00:00.000Z', bytes: 123_456, rows: 42 }
  await writeSetting('last-backup', last)
  expect((await admin.done('readOperation')).lastBackup).toEqual(last)
})

test('a job that was given up is tried again, once, also when two ask at the same moment; one that was done is not', async () => {
  const { id } = await given({
    kind: 'summaries',
    payload: { day: '2000-01-01' },
    attempts: 8,
    doneAt: new Date(),
    lastError: 'x',
  })
  const retry = () => admin.call('retryJob', { params: { id } })
  const both = await Promise.all([retry(), retry()])
  expect(both.map(({ status }) => status).sort()).toEqual([200, 409])
  await until(async () => (await Job.findByPk(id, { rejectOnEmpty: true })).doneAt !== null)
  expect(await Job.findByPk(id, { rejectOnEmpty: true })).toMatchObject({ lastError: null })
  expect((await retry()).body.code).toBe('not-given-up')
  const { events } = await admin.done('readTrail')
  expect(events[0]!.what).toBe('Had a job tried again: compute how files stand')
})
