import { QueryTypes, type Sequelize } from 'sequelize'
import type { Catalogue } from '#core/catalogue/catalogue'
import { faultsOfCatalogue } from '#core/catalogue/faultsOfCatalogue'
import { startingCatalogue } from '#core/catalogue/starting'
import { type House, openHouse } from '../../../test/house'
import { connect } from '../database/connection'
import { up as catalogue } from './015-catalogue'
import { type Migration, migrate } from './migrate'

let house: House
const opened: Sequelize[] = []
beforeAll(async () => {
  house = await openHouse('migrate')
}, 60_000)
afterAll(async () => {
  await Promise.all(opened.map((sequelize) => sequelize.close()))
  await house.close()
})

/** Connections to an empty database of its own, as several copies of the application have them. */
async function copiesOn(name: string, copies: number) {
  const { databaseUrl } = house.fixed.config
  const database = `${new URL(databaseUrl).pathname.slice(1)}_${name}`
  await house.fixed.sequelize.query(`CREATE OR REPLACE DATABASE \`${database}\``)
  const url = databaseUrl.replace(/\/[^/]*$/, `/${database}`)
  const connections = Array.from({ length: copies }, () => connect(url, { most: 2 }))
  opened.push(...connections)
  return connections
}

const rowsOf = (sequelize: Sequelize, table: string) =>
  sequelize.query<{ id: number; said?: string }>(`SELECT * FROM ${table}`, { type: QueryTypes.SELECT })

test('of several copies that start at once one migrates, and all go on with the newest shape', async () => {
  const copies = await copiesOn('at_once', 4)
  const done = await Promise.all(copies.map((sequelize) => migrate(sequelize)))
  expect(done.filter((names) => names.length > 0)).toHaveLength(1)
  expect(done.flat()[0]).toBe('001-first')
  expect(await migrate(copies[0]!)).toEqual([])
  expect(await rowsOf(copies[1]!, 'application_summaries')).toEqual([])
}, 60_000)

const steps = (second: string): Migration[] => [
  {
    name: '001-notes',
    statements: ['CREATE TABLE notes (id INT PRIMARY KEY)', second, "INSERT INTO notes (id, said) VALUES (1, 'whole')"],
  },
]

test('a migration that failed half-way is run again from where it stopped', async () => {
  const [sequelize] = await copiesOn('half_way', 1)
  await expect(migrate(sequelize!, steps('ALTER TABLE nots ADD said TEXT'))).rejects.toThrow()
  expect(await rowsOf(sequelize!, 'notes')).toEqual([])
  expect(await migrate(sequelize!, steps('ALTER TABLE notes ADD said TEXT'))).toEqual(['001-notes'])
  expect(await rowsOf(sequelize!, 'notes')).toEqual([{ id: 1, said: 'whole' }])
})

test('one that was killed between a statement and writing it down goes on all the same', async () => {
  const [sequelize] = await copiesOn('killed', 1)
  await expect(migrate(sequelize!, steps('ALTER TABLE nots ADD said TEXT'))).rejects.toThrow()
  await sequelize!.query('ALTER TABLE notes ADD said TEXT')
  expect(await migrate(sequelize!, steps('ALTER TABLE notes ADD said TEXT'))).toEqual(['001-notes'])
  expect(await rowsOf(sequelize!, 'notes')).toEqual([{ id: 1, said: 'whole' }])
})

test('who migrates and dies is followed by the next once its lease has run out', async () => {
  const [sequelize] = await copiesOn('lease', 1)
  await migrate(sequelize!, [])
  await sequelize!.query("UPDATE migration_lease SET holder = 'somebody gone', until = NOW(3) + INTERVAL 1 SECOND")
  const begun = Date.now()
  expect(await migrate(sequelize!, steps('ALTER TABLE notes ADD said TEXT'))).toEqual(['001-notes'])
  expect(Date.now() - begun).toBeGreaterThan(700)
})

test('a house from before the catalogue keeps the kinds it has gone by; an empty one and one with a catalogue stay as they are', async () => {
  const [sequelize] = await copiesOn('catalogue', 1)
  await migrate(sequelize!)
  const kept = () => rowsOf(sequelize!, "setting_versions WHERE name = 'catalogue'")
  expect(await kept()).toEqual([])
  const again = () => Promise.all(catalogue.map((statement) => sequelize!.query(statement)))
  const { databaseUrl } = house.fixed.config
  const other = new URL(databaseUrl).pathname.slice(1)
  await sequelize!.query(`INSERT INTO vacancies SELECT * FROM \`${other}\`.vacancies LIMIT 1`)
  await again()
  const [row] = (await kept()) as unknown as { version: number; value: Catalogue }[]
  const { credentials } = row!.value
  expect([row!.version, credentials.length]).toEqual([1, 10])
  expect(faultsOfCatalogue({ ...startingCatalogue, credentials }, { ...startingCatalogue, credentials })).toEqual([])
  await again()
  expect(await kept()).toHaveLength(1)
}, 60_000)
