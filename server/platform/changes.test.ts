import { applied, claimOf, type House, look, openHouse } from '../../test/house'
import { refreshSummaries } from '../readiness/summaries'
import { Application } from '../records/applications/model'
import { ApplicationSummary } from '../records/hiring/model'
import { Vacancy } from '../records/vacancies/model'
import { subscribers } from '../subscribers'
import { type Change, changed, subscribe } from './changes'
import { inTransaction } from './database/connection'

let house: House
beforeAll(async () => {
  house = await openHouse('changes')
}, 60_000)
afterAll(() => house.close())

const actor = { kind: 'system' } as const

describe('who follows changes', () => {
  afterEach(() => subscribe(subscribers))
  const change = (code: Change['code']): Change => ({ code, actor, candidateId: 'somebody' })

  test('runs once before the commit, in the order of the table, with all that concerns it', async () => {
    const ran: string[] = []
    subscribe([
      { on: ['keys'], run: async (_, changes) => void ran.push(`keys ${changes.map(({ code }) => code)}`) },
      { on: ['file'], run: async (_, changes) => void ran.push(`file ${changes.map(({ code }) => code)}`) },
    ])
    await inTransaction(house.fixed.sequelize, async () => {
      await changed(house.deps, change('document-added'))
      await changed(house.deps, change('person-imported'))
      await changed(house.deps, change('list-exported'))
      expect(ran).toEqual([])
    })
    expect(ran).toEqual(['keys person-imported', 'file document-added,person-imported'])
  })

  test('is followed itself where it changes something, until nothing changes any more', async () => {
    const ran: string[] = []
    subscribe([
      { on: ['keys'], run: async () => void ran.push('keys') },
      {
        on: ['file'],
        run: async (deps, changes) => {
          ran.push('file')
          if (changes.some(({ code }) => code === 'claim-decided')) await changed(deps, change('person-imported'))
        },
      },
    ])
    await changed(house.deps, change('claim-decided'))
    expect(ran).toEqual(['file', 'keys', 'file'])
  })

  test('undoes the change with itself where it fails', async () => {
    subscribe([{ on: ['file'], run: () => Promise.reject(new Error('no')) }])
    const [vacancy] = await Vacancy.findAll({ limit: 1 })
    const changing = inTransaction(house.fixed.sequelize, async () => {
      await Vacancy.update({ title: 'Half done' }, { where: { id: vacancy!.id } })
      await changed(house.deps, change('document-added'))
    })
    await expect(changing).rejects.toThrow('no')
    expect((await Vacancy.findByPk(vacancy!.id))!.title).toBe(vacancy!.title)
  })
})

const summaryOf = async (applicationId: string) => {
  const { computedAt: _, ...summary } = (
    await ApplicationSummary.findByPk(applicationId, { rejectOnEmpty: true })
  ).get()
  return summary
}

test('a transaction that began before another changed the same file sums up what that one did', async () => {
  const candidate = await house.candidate('Both Changed')
  const { id, degreeId } = await applied(house, candidate, ['Both', 'Changed'])
  const desk = await house.staff('coordinator')
  const before = await summaryOf(id)
  await inTransaction(house.fixed.sequelize, async () => {
    // Reads, and so knows how things stand now …
    await Application.findByPk(id)
    // … while somebody else, in a transaction of their own, looks at the degree,
    await look(desk, id, degreeId)
    // and goes on to change something else of the file.
    await changed(house.deps, { code: 'document-added', actor, candidateId: before.candidateId! })
  })
  const kept = await summaryOf(id)
  expect((await claimOf(desk, id, degreeId)).rung).toBe('evidenced')
  expect(kept.marks).not.toEqual(before.marks)
  await refreshSummaries(house.deps, [id])
  expect(kept).toEqual(await summaryOf(id))
})

test('many changes to one file at once leave the summary that reading it anew gives', async () => {
  const candidate = await house.candidate('Many Changes')
  const { id, degreeId } = await applied(house, candidate, ['Many', 'Changes'])
  const [desk, manager] = [await house.staff('coordinator'), await house.staff('hiring manager')]
  const { vacancyId } = await Application.findByPk(id, { rejectOnEmpty: true })
  const sheet = await desk.done('readScoreSheet', { params: { id: vacancyId } })
  const criteria = [{ key: 'craft', title: 'Craft', lookFor: '', most: 5, weight: 1 }]
  const done = await Promise.allSettled([
    look(desk, id, degreeId),
    candidate.call('addClaim', {
      body: {
        details: {
          kind: 'residence',
          sourceId: null,
          sourceName: '',
          address: 'A',
          country: 'AT',
          from: '2020',
          to: 'present',
        },
      },
    }),
    desk.call('saveScoreSheet', {
      params: { id: vacancyId },
      body: { version: sheet.version, criteria, reviewers: 1, hideNames: false },
    }),
    manager.call('changeStart', {
      params: { id },
      body: { version: 1, targetStart: house.day(90), reason: 'Later' },
      key: 'many changes at once',
    }),
    desk.call('saveVacancy', { params: { id: vacancyId }, body: { version: 1, changes: { place: 'Hochsattel' } } }),
  ])
  expect(done.filter(({ status }) => status === 'rejected')).toEqual([])
  const kept = await summaryOf(id)
  await refreshSummaries(house.deps, [id])
  expect(kept).toEqual(await summaryOf(id))
})

test('a vacancy that is called something else is so at once in the queue, the table and the list to take along', async () => {
  const { id } = await applied(house, await house.candidate('New Title'), ['New', 'Title'])
  const desk = await house.staff('administrator')
  const { vacancyId } = await Application.findByPk(id, { rejectOnEmpty: true })
  const { version } = await Vacancy.findByPk(vacancyId, { rejectOnEmpty: true })
  const title = 'Electrical lead, upper section'
  await desk.done('saveVacancy', { params: { id: vacancyId }, body: { version, changes: { title } } })
  const { people } = await desk.done('readQueue', { params: { queue: 'applications' } })
  expect(people.find((line) => line.id === id)?.vacancy).toBe(title)
  const { rows } = await desk.done('readTable', { query: {} })
  expect(rows.find((row) => row.id === id)?.vacancy).toBe(title)
  const list = await (await desk.request('/api/desk/lists/applications')).text()
  expect(list).toContain(title)
})
