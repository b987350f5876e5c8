import { applied, type House, openHouse } from '../../../test/house'
import { Application } from '../../records/applications/model'

let house: House
beforeAll(async () => {
  house = await openHouse('scoring')
}, 60_000)
afterAll(() => house.close())

const criteria = [
  { key: 'craft', title: 'Craft', lookFor: 'Has led a switching', most: 5, weight: 2 },
  { key: 'calm', title: 'Calm', lookFor: '', most: 5, weight: 1 },
]

async function scored(name: [string, string]) {
  const { id } = await applied(house, await house.candidate(name.join(' ')), name)
  const { vacancyId } = await Application.findByPk(id, { rejectOnEmpty: true })
  const desk = await house.staff('coordinator')
  const { version } = await desk.done('readScoreSheet', { params: { id: vacancyId } })
  await desk.call('saveScoreSheet', {
    params: { id: vacancyId },
    body: { version, criteria, reviewers: 2, hideNames: false },
  })
  return { id, vacancyId, desk }
}

test('reviewers score without seeing each other’s until both are in, then all see all', async () => {
  const { id, desk } = await scored(['Sanna', 'Scored'])
  const [one, two] = [await house.staff('assessor'), await house.staff('hiring manager')]
  const params = { id }
  const queued = async () =>
    (await desk.done('readQueue', { params: { queue: 'applications' } })).people.find((row) => row.id === id)?.why
  expect(await queued()).toBe('2 scores awaited')

  await one.done('saveScore', { params, body: { points: { craft: 4 }, note: '', handIn: false } })
  const early = await one.call('saveScore', { params, body: { points: { craft: 4 }, note: '', handIn: true } })
  expect(early.body.faults?.[0]?.pointer).toBe('/body/points')
  await one.done('saveScore', { params, body: { points: { craft: 4, calm: 5 }, note: 'Knows the work', handIn: true } })
  expect(await two.done('readScores', { params })).toMatchObject({ own: null, others: [], summary: null, handedIn: 1 })
  expect(await desk.done('readScores', { params })).toMatchObject({ others: [], summary: null })
  expect(await queued()).toBe('One score awaited')

  await two.done('saveScore', { params, body: { points: { craft: 1, calm: 5 }, note: '', handIn: true } })
  const seen = await one.done('readScores', { params })
  expect(seen.others).toMatchObject([{ points: { craft: 1, calm: 5 } }])
  expect(seen.summary).toEqual({
    percent: 67,
    criteria: [
      { key: 'craft', mean: 2.5, least: 1, most: 4, apart: true },
      { key: 'calm', mean: 5, least: 5, most: 5, apart: false },
    ],
  })
  expect((await desk.done('readScores', { params })).others).toHaveLength(2)
  const { rows } = await desk.done('readTable', { query: { order: 'score' } })
  expect(rows[0]).toMatchObject({ id, score: 67, reviews: 2 })
})

test('what is handed in stays as it is, and so do the criteria', async () => {
  const { id, vacancyId, desk } = await scored(['Hanne', 'Handed'])
  const reviewer = await house.staff('assessor')
  const give = (points: Record<string, number>, handIn: boolean) =>
    reviewer.call('saveScore', { params: { id }, body: { points, note: '', handIn } })
  expect((await give({ craft: 6, calm: 1 }, false)).status).toBe(422)
  expect((await give({ charm: 1 }, false)).body.faults?.[0]?.pointer).toBe('/body/points/charm')
  expect((await give({ craft: 5, calm: 1 }, true)).status).toBe(200)
  expect((await give({ craft: 0, calm: 0 }, true)).body.code).toBe('handed-in')
  const { version } = await desk.done('readScoreSheet', { params: { id: vacancyId } })
  const changed = await desk.call('saveScoreSheet', {
    params: { id: vacancyId },
    body: { version, reviewers: 2, hideNames: false, criteria: [{ ...criteria[0]!, most: 9 }, criteria[1]!] },
  })
  expect(changed.body.code).toBe('sheet-used')
  const kept = await desk.call('saveScoreSheet', {
    params: { id: vacancyId },
    body: { version, reviewers: 3, hideNames: false, criteria },
  })
  expect(kept.status).toBe(200)
  const stale = await desk.call('saveScoreSheet', {
    params: { id: vacancyId },
    body: { version, reviewers: 2, hideNames: false, criteria },
  })
  expect(stale.body.code).toBe('changed-meanwhile')
})

test('a score handed in three times at once is in once', async () => {
  const { id, desk } = await scored(['Thilo', 'Thrice'])
  const reviewer = await house.staff('assessor')
  const give = (craft: number) =>
    reviewer.call('saveScore', { params: { id }, body: { points: { craft, calm: 2 }, note: '', handIn: true } })
  const given = await Promise.all([3, 4, 5].map(give))
  expect(given.map(({ status }) => status).sort()).toEqual([200, 409, 409])
  expect(await reviewer.done('readScores', { params: { id } })).toMatchObject({
    handedIn: 1,
    own: { points: { craft: 3 + given.findIndex(({ status }) => status === 200) } },
  })
  const { events } = await desk.done('readTrail', { query: { text: 'Submitted a score' } })
  expect(events.filter(({ applicationId }) => applicationId === id)).toHaveLength(1)
})

test('no score stands on criteria that were changed at the same moment', async () => {
  const outcomes = []
  for (const family of ['Changed-One', 'Changed-Two', 'Changed-Three']) {
    const { id, vacancyId, desk } = await scored(['Carla', family])
    const reviewer = await house.staff('assessor')
    const { version } = await desk.done('readScoreSheet', { params: { id: vacancyId } })
    const others = [{ ...criteria[0]!, key: family.toLowerCase() }]
    const [score, sheet] = await Promise.all([
      reviewer.call('saveScore', { params: { id }, body: { points: { craft: 4, calm: 2 }, note: '', handIn: true } }),
      desk.call('saveScoreSheet', {
        params: { id: vacancyId },
        body: { version, criteria: others, reviewers: 2, hideNames: false },
      }),
    ])
    outcomes.push([score.status, sheet.status])
  }
  for (const pair of outcomes) expect(pair).not.toEqual([200, 200])
})
