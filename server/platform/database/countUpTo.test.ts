import { Op, QueryTypes } from 'sequelize'
import { type House, openHouse } from '../../../test/house'
import { Job } from '../jobs/model'
import { countUpTo, selectText } from './countUpTo'
import { insertRows } from './insertRows'

let house: House
beforeAll(async () => {
  house = await openHouse('count_up_to')
  const job = (nth: number) => ({
    ...{ id: crypto.randomUUID(), kind: 'counted' as never, payload: { nth }, uniqueKey: null, attempts: nth },
    ...{ runAt: new Date(), queuedAt: new Date() },
  })
  await insertRows(
    Job,
    Array.from({ length: 12 }, (_, nth) => job(nth)),
  )
}, 120_000)
afterAll(() => house.close())

test.each([
  [0, 5],
  [11, 12],
  [12, 12],
  [13, 12],
])('up to %i of %i are counted, and no further', async (most, there) => {
  const where = { kind: 'counted' as never, attempts: { [Op.lt]: there } }
  expect(await countUpTo(Job, most, where)).toBe(Math.min(most, there))
})

test('what is asked about in its turn is what the model would ask, with what somebody wrote kept as text', async () => {
  const text = selectText(Job, { attributes: ['attempts'], where: { uniqueKey: "x' OR 1=1 -- " }, order: ['attempts'] })
  expect(text.endsWith(';')).toBe(false)
  const rows = await house.fixed.sequelize.query(`SELECT * FROM (${text}) AS some`, { type: QueryTypes.SELECT })
  expect(rows).toEqual([])
})
