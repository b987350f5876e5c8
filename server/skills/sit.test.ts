import { applied, type House, openHouse } from '../../test/house'
import { changeWhere } from '../platform/database/compareAndSet'
import { bankOf } from '../records/skills/checks'
import { Sitting } from '../records/skills/model'

let house: House
beforeAll(async () => {
  house = await openHouse('sittings')
}, 60_000)
afterAll(() => house.close())

type Candidate = Awaited<ReturnType<House['candidate']>>

async function sitter(name: [string, string]) {
  const candidate = await house.candidate(name.join(' '))
  const { id } = await applied(house, candidate, name)
  return { candidate, id, begin: () => candidate.call('beginSitting', { params: { id, check: 'isolation' } }) }
}

async function answerAll(candidate: Candidate, sittingId: string, rightOnes: boolean) {
  const { paper } = await Sitting.findByPk(sittingId, { rejectOnEmpty: true })
  const bank = new Map((await bankOf('isolation')).map((question) => [question.id, question]))
  for (const { question } of paper) {
    const option = bank.get(question)!.options.find(({ right }) => right === rightOnes)!
    await candidate.done('saveSittingAnswer', { params: { id: sittingId, question }, body: { given: [option.id] } })
  }
}

test('begun in four windows it is one paper, and handed in three times at once it is marked once', async () => {
  const { candidate, id, begin } = await sitter(['Fern', 'Fourwindows'])
  const begun = await Promise.all([begin(), begin(), begin(), begin()])
  expect(begun.map(({ status }) => status)).toEqual([200, 200, 200, 200])
  expect(new Set(begun.map(({ body }) => body.id)).size).toBe(1)
  expect(await Sitting.count({ where: { applicationId: id } })).toBe(1)
  const sittingId = begun[0]!.body.id
  await answerAll(candidate, sittingId, true)
  const handIn = () => candidate.call('handInSitting', { params: { id: sittingId } })
  const handed = await Promise.all([handIn(), handIn(), handIn()])
  expect(handed.map(({ status, body }) => [status, body.result?.percent])).toEqual(Array(3).fill([200, 100]))
  const { happenings } = await candidate.done('readStatus', { params: { id } })
  expect(happenings.filter(({ text }) => text.includes('was marked'))).toHaveLength(1)
  expect(happenings.filter(({ text }) => text.startsWith('You started the skills check'))).toHaveLength(1)
  const { paper } = (await Sitting.findByPk(sittingId))!
  const after = await candidate.call('saveSittingAnswer', {
    params: { id: sittingId, question: paper[0]!.question },
    body: { given: [paper[0]!.options[0]!] },
  })
  expect(after.body.code).toBe('handed-in')
})

test('two answers within the same moment are both saved', async () => {
  const { begin } = await sitter(['Tilda', 'Twoatonce'])
  const sitting = await Sitting.findByPk((await begin()).body.id, { rejectOnEmpty: true })
  const saved = { savedAt: new Date('2026-11-20T08:00:00Z') }
  // The row already says what is written; it was found all the same.
  expect(await changeWhere(sitting, { state: 'under way' }, saved)).toBe(true)
  expect(await changeWhere(sitting, { state: 'under way' }, saved)).toBe(true)
  expect(await changeWhere(sitting, { state: 'marked' }, saved)).toBe(false)
})

test('a check that was not passed is sat again by leave, after the waiting time, with another paper', async () => {
  const { candidate, id, begin } = await sitter(['Rita', 'Resit'])
  const first = (await begin()).body.id
  await answerAll(candidate, first, false)
  await candidate.done('handInSitting', { params: { id: first } })
  // Without leave one comes back to what was marked.
  expect((await begin()).body.id).toBe(first)

  const desk = await house.staff('coordinator')
  const body = { check: 'isolation', reason: 'Was ill on the day' }
  expect((await candidate.call('allowResit', { params: { id }, body })).status).toBe(403)
  const given = await Promise.all([1, 2].map(() => desk.call('allowResit', { params: { id }, body })))
  expect(given.map(({ status }) => status).sort()).toEqual([200, 409])
  await house.workOff()
  await house.mailTo(candidate.mail, 'sit a skills check again')
  const toDo = (await candidate.done('readStatus', { params: { id } })).toDo
  expect(toDo).toContainEqual(expect.objectContaining({ act: 'sit check' }))
  expect((await begin()).body.code).toBe('too-early')

  await Sitting.update({ finishedAt: new Date(Date.now() - 8 * 86_400_000) }, { where: { id: first } })
  const { Resit } = await import('../records/skills/model')
  await Resit.update({ notBefore: house.day(0) }, { where: { applicationId: id } })
  const second = (await begin()).body.id
  expect(second).not.toBe(first)
  const [before, after] = [(await Sitting.findByPk(first))!, (await Sitting.findByPk(second))!]
  expect([after.attempt, JSON.stringify(after.paper) === JSON.stringify(before.paper)]).toEqual([2, false])
  await answerAll(candidate, second, true)
  await candidate.done('handInSitting', { params: { id: second } })
  const [check] = (await desk.done('readFile', { params: { id } })).checks
  expect(check).toMatchObject({ passed: true, percent: 100, attempt: 2, earlier: [{ percent: 0 }], resit: null })
  expect((await desk.call('allowResit', { params: { id }, body })).body.code).toBe('not-failed')
})

test('so often and no oftener', async () => {
  const { candidate, id, begin } = await sitter(['Mia', 'Most'])
  const desk = await house.staff('coordinator')
  const { Check, Resit } = await import('../records/skills/model')
  await Check.update({ attempts: 2, waitDays: 0 }, { where: { key: 'isolation' } })
  for (const attempt of [1, 2]) {
    const sitting = (await begin()).body.id
    await candidate.done('handInSitting', { params: { id: sitting } })
    const leave = await desk.call('allowResit', { params: { id }, body: { check: 'isolation', reason: 'Once more' } })
    expect(leave.body.code).toBe(attempt === 1 ? undefined : 'no-more-attempts')
  }
  expect(await Resit.count({ where: { applicationId: id } })).toBe(1)
  await Check.update({ attempts: 3, waitDays: 7 }, { where: { key: 'isolation' } })
})
