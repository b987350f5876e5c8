import { type House, openHouse } from '../../../test/house'
import { EqualityAnswer } from '../../records/equality/model'

let house: House
beforeAll(async () => {
  house = await openHouse('equality')
}, 60_000)
afterAll(() => house.close())

test('voluntary answers are kept without anybody, counted once, and small groups are left out', async () => {
  const give = async (name: string, gender: string) => {
    const candidate = await house.candidate(name)
    const { id } = await candidate.done('beginApplication', { params: { slug: 'rescue-lead' } })
    await candidate.done('giveEqualityAnswers', {
      params: { id },
      body: { answers: { 'equality.gender': gender } },
    })
    return { candidate, id }
  }
  const first = await give('Counted One', 'Woman')
  const again = await first.candidate.call('giveEqualityAnswers', { params: { id: first.id }, body: { answers: {} } })
  expect(again.body.code).toBe('already-given')
  const draft = await first.candidate.done('readDraft', { params: { id: first.id } })
  expect(draft.equalityGiven).toBe(true)
  expect(JSON.stringify(draft.answers)).not.toContain('Woman')
  const kept = await first.candidate.call('saveAnswers', {
    params: { id: first.id },
    body: { version: draft.version, changes: { 'equality.gender': 'Man' } },
  })
  expect(kept.status).toBe(422)

  const rows = await EqualityAnswer.findAll({ raw: true })
  expect(rows.map((row) => Object.keys(row).sort())).toEqual([['answer', 'id', 'question', 'vacancyId']])

  const vacancyId = rows[0]!.vacancyId
  const administrator = await house.staff('administrator')
  const counts = async () =>
    (await administrator.done('equalityCounts', { params: { id: vacancyId } })).questions.find(({ question }) =>
      question.includes('gender'),
    )!
  expect((await counts()).total).toBeNull()
  await EqualityAnswer.bulkCreate(
    ['Woman', 'Woman', 'Woman', 'Woman', 'Woman', 'Man', 'Man', 'Man', 'Man', 'Man', 'Man', 'Man', 'Another'].map(
      (answer) => ({ id: crypto.randomUUID(), vacancyId, question: 'equality.gender', answer }),
    ),
  )
  expect(await counts()).toMatchObject({
    total: 14,
    counts: [
      { answer: 'Woman', count: null },
      { answer: 'Man', count: 7 },
      { answer: 'Another', count: null },
    ],
  })
  expect((await (await house.staff('coordinator')).call('equalityCounts', { params: { id: vacancyId } })).status).toBe(
    403,
  )
})

test('answers the form does not offer are refused', async () => {
  const candidate = await house.candidate('Not Offered')
  const { id } = await candidate.done('beginApplication', { params: { slug: 'rescue-lead' } })
  const refused = await candidate.call('giveEqualityAnswers', {
    params: { id },
    body: { answers: { 'equality.gender': 'Blue', nonsense: 'x' } },
  })
  expect(refused.body.faults?.map(({ pointer }) => pointer)).toEqual([
    '/body/answers/equality.gender',
    '/body/answers/nonsense',
  ])
})
