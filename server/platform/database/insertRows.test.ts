import { type House, openHouse } from '../../../test/house'
import { Job } from '../jobs/model'
import { Message } from '../mail/model'
import { insertRows } from './insertRows'

let house: House
beforeAll(async () => {
  house = await openHouse('insert_rows')
}, 120_000)
afterAll(() => house.close())

const message = (over: object = {}) => ({
  ...{ id: crypto.randomUUID(), toName: 'Zoë “Z” Ng', toMail: 'z@x.example', subject: 'It’s 5 % \\ of $[0] :given ?' },
  ...{ text: 'One\n\ttwo "three"\u0001 ☃ 😀 \'four\'', attachments: [{ fileName: 'a"b.pdf', sha256: 'f'.repeat(64) }] },
  ...{ applicationId: null, candidateId: null, createdAt: new Date('2026-11-30T10:11:12.345Z') },
  ...over,
})
const kept = async (id: string) => (await Message.findByPk(id, { rejectOnEmpty: true })).get()

test('many rows are as they are written by ones: text, JSON, moments to the millisecond, what is left out, what is nothing', async () => {
  const rows = [message(), message({ subject: '', sentAt: null, state: 'held' })]
  await insertRows(Message, rows)
  const one = message()
  await Message.create(one)
  for (const row of rows) expect(await kept(row.id)).toEqual({ ...(await kept(one.id)), ...row, channel: 'mail' })
  expect((await kept(rows[0]!.id)).state).toBe('queued')
})

test('a key that is there already leaves things as they are where that is wanted, and is refused elsewhere; nothing of the rest is there', async () => {
  const job = (uniqueKey: string | null) => ({
    ...{
      id: crypto.randomUUID(),
      kind: 'none' as never,
      payload: { of: uniqueKey },
      uniqueKey,
      runAt: new Date(),
      attempts: 0,
    },
    queuedAt: new Date(),
  })
  await insertRows(Job, [job('same')])
  await insertRows(Job, [job('same'), job(null), job(null)], { ignoreDuplicates: true })
  expect(await Job.count({ where: { kind: 'none' } })).toBe(3)
  await expect(insertRows(Job, [job('other'), job('same')])).rejects.toThrow()
  expect(await Job.count({ where: { kind: 'none' } })).toBe(3)
  await insertRows(Job, [])
})

test('what a column cannot hold is refused, as by ones', async () => {
  await expect(insertRows(Message, [message({ toName: 'x'.repeat(300) })])).rejects.toThrow()
  await expect(insertRows(Message, [message({ toName: null })])).rejects.toThrow()
})
