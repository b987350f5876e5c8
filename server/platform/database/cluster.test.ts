import { readdirSync, readFileSync } from 'node:fs'
import { join } from 'node:path'
import { QueryTypes } from 'sequelize'
import { type House, openHouse } from '../../../test/house'

let house: House
beforeAll(async () => {
  house = await openHouse('cluster')
}, 60_000)
afterAll(() => house.close())

const select = <Row extends object>(sql: string) => house.fixed.sequelize.query<Row>(sql, { type: QueryTypes.SELECT })

/** Every statement of ours stands in a source of the server. */
const sources = () => {
  const root = new URL('../../', import.meta.url).pathname
  return readdirSync(root, { recursive: true, encoding: 'utf8' })
    .filter((file) => file.endsWith('.ts') && !file.endsWith('.test.ts'))
    .map((file) => ({ file, text: readFileSync(join(root, file), 'utf8') }))
}

// What a cluster of several nodes that all take writes needs (Galera: rows are certified by their primary keys).
test('every table has a primary key and is kept by InnoDB', async () => {
  const rows = await select<{ name: string; engine: string; keyed: number }>(`
    SELECT t.TABLE_NAME AS name, t.ENGINE AS engine, COUNT(k.CONSTRAINT_NAME) AS keyed
    FROM information_schema.TABLES t
    LEFT JOIN information_schema.TABLE_CONSTRAINTS k
      ON k.TABLE_SCHEMA = t.TABLE_SCHEMA AND k.TABLE_NAME = t.TABLE_NAME AND k.CONSTRAINT_TYPE = 'PRIMARY KEY'
    WHERE t.TABLE_SCHEMA = DATABASE() AND t.TABLE_TYPE = 'BASE TABLE' GROUP BY t.TABLE_NAME, t.ENGINE`)
  expect(rows.length).toBeGreaterThan(40)
  expect(rows.filter(({ keyed, engine }) => Number(keyed) !== 1 || engine !== 'InnoDB')).toEqual([])
})

test('a sequence keeps no numbers back on one node', async () => {
  const sequences = await select<{ name: string }>(
    `SELECT TABLE_NAME AS name FROM information_schema.TABLES WHERE TABLE_SCHEMA = DATABASE() AND TABLE_TYPE = 'SEQUENCE'`,
  )
  for (const { name } of sequences) {
    const [{ cache_size: kept, increment } = { cache_size: -1, increment: -1 }] = await select<{
      cache_size: number
      increment: number
    }>(`SELECT cache_size, increment FROM \`${name}\``)
    expect([name, Number(kept), Number(increment)]).toEqual([name, 0, 0])
  }
})

test('nobody takes a lock that holds on one node only', () => {
  const found = sources().filter(({ text }) => /\b(GET_LOCK|RELEASE_LOCK|LOCK TABLES)\b/.test(text))
  expect(found.map(({ file }) => file)).toEqual([])
})
