import { type Model, type ModelStatic, Op, type WhereOptions } from 'sequelize'
import { applied, type House, openHouse, until } from '../../../test/house'
import { Application } from '../../records/applications/model'
import { Claim } from '../../records/claims/model'
import { Vacancy } from '../../records/vacancies/model'
import { Job } from '../jobs/model'
import { inTransaction } from './connection'
import { plainRowsOf, readingApart, rowOf, rowsOf } from './rows'

let house: House
beforeAll(async () => {
  house = await openHouse('rows')
  await applied(house, await house.candidate('Rosa Zeilinger'), ['Rosa', 'Zeilinger'])
  // What the day brings by itself reads as well.
  await until(async () => (await Job.count({ where: { kind: ['daily', 'summaries'], doneAt: null } })) === 0)
}, 60_000)
afterAll(() => house.close())

/** What goes to the database while something is done. */
async function statementsOf(work: () => Promise<unknown>): Promise<string[]> {
  const said: string[] = []
  const { options } = house.deps.sequelize as unknown as { options: { logging: false | ((line: string) => void) } }
  options.logging = (line) => void said.push(line)
  await work().finally(() => {
    options.logging = false
  })
  return said.filter((line) => line.includes(' AS part'))
}

test('rows come out of every model as findAll gives them', async () => {
  const models = Object.values(house.deps.sequelize.models).filter((model) =>
    Object.values(model.getAttributes()).every(({ type }) => !String(type).includes('BLOB')),
  ) as ModelStatic<Model>[]
  expect(models.length).toBeGreaterThan(40)
  // A job that is done between two readings would make them differ.
  await until(
    async () => (await Job.count({ where: { doneAt: null, kind: { [Op.notIn]: ['read paper', 'red flags'] } } })) === 0,
  )
  const filled: string[] = []
  for (const model of models) {
    const [key] = model.primaryKeyAttributes as [string]
    const plain = (rows: Model[]) => rows.map((row) => row.get({ plain: true })).sort(byText)
    const found = plain(await model.findAll({ limit: 200, order: [key] }))
    const rows = plain(await rowsOf(model, {}))
    if (rows.length <= 200) expect(rows).toEqual(found)
    if (rows.length > 0) filled.push(model.name)
  }
  expect(filled).toEqual(
    expect.arrayContaining(['Account', 'Application', 'Claim', 'Document', 'ApplicationSummary', 'Event']),
  )
})

const byText = (a: unknown, b: unknown) => (JSON.stringify(a) < JSON.stringify(b) ? -1 : 1)

test('what is asked for at the same moment is one statement, and what comes later another', async () => {
  const said = await statementsOf(async () => {
    const [applications, claims, none] = await Promise.all([
      rowsOf(Application, { stage: 'sent' }),
      rowsOf(Claim, {}, ['createdAt', 'id']),
      rowOf(Vacancy, { id: 'nowhere' }),
    ])
    expect(applications).toHaveLength(1)
    expect(claims).toEqual(claims.toSorted((a, b) => a.createdAt.getTime() - b.createdAt.getTime()))
    expect(none).toBeUndefined()
    await rowsOf(Vacancy, {})
  })
  expect(said).toHaveLength(2)
  expect(said[0]).toContain('UNION ALL')
})

test('two requests share no statement: what one asks wrongly does not fail the other', async () => {
  const said = await statementsOf(async () => {
    const [wrong, right] = await Promise.allSettled([
      readingApart(() => rowsOf(Vacancy, { nowhere: 1 } as WhereOptions)),
      readingApart(() => rowsOf(Vacancy, {})),
    ])
    expect([wrong.status, right.status]).toEqual(['rejected', 'fulfilled'])
  })
  expect(said).toHaveLength(2)
})

test('inside a transaction its own changes are read, and nobody else reads them', async () => {
  const { sequelize } = house.deps
  const application = (await Application.findOne())!
  const section = async () => (await rowOf(Application, { id: application.id }))!.lastSection
  const before = await section()
  const undone = inTransaction(sequelize, async () => {
    await Application.update({ lastSection: 'changed' }, { where: { id: application.id } })
    expect(await section()).toBe('changed')
    throw new Error('undone')
  })
  const outside = section()
  await expect(undone).rejects.toThrow('undone')
  expect(await outside).toBe(before)
  expect(await section()).toBe(before)
})

test('a stretch of rows is read as plain values, in its order', async () => {
  const slugs = (await Vacancy.findAll({ order: [['slug', 'DESC']] })).map(({ slug }) => slug)
  const most = slugs.length - 1
  const rows = await plainRowsOf(Vacancy, ['slug', 'opensAt'], { where: {}, order: [['slug', 'DESC']], most })
  expect(rows.map(({ slug }) => slug)).toEqual(slugs.slice(0, most))
  expect(rows[0]).toEqual({ slug: slugs[0], opensAt: expect.any(Date) })
})

test('a condition that cannot be read fails for who asked, and is not kept from anybody later', async () => {
  const wrong = rowsOf(Vacancy, { nowhere: 1 } as WhereOptions)
  await expect(wrong).rejects.toThrow('nowhere')
  expect(await rowsOf(Vacancy, {})).not.toHaveLength(0)
})
