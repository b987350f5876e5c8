import type { Visitor } from '../../test/client'
import { applied, type House, openHouse, personAnswers, until } from '../../test/house'
import { RulesVersion } from '../records/rules/model'
import { Vacancy } from '../records/vacancies/model'

let house: House
let one: Visitor
let other: Visitor
const names = { one: '', other: '' }

/** The vacancy asks that nobody was dismissed; two decide together where somebody was. */
beforeAll(async () => {
  house = await openHouse('matters')
  one = await house.staff('coordinator')
  other = await house.staff('hiring manager')
  names.one = (await one.done('readSession')).account!.mail
  names.other = (await other.done('readSession')).account!.mail
  const vacancy = await Vacancy.findOne({ where: { slug: 'cableway-electrical-supervisor' }, rejectOnEmpty: true })
  const version = await RulesVersion.findOne({ where: { vacancyId: vacancy.id, version: 1 }, rejectOnEmpty: true })
  const asks = { kind: 'declaration' as const, question: 'declare.dismissed', mustBe: 'no' }
  const rule = { key: 'dismissed', title: 'No dismissal', why: '', gate: 'offer' as const, rung: 'claimed' as const }
  const requirement = { ...rule, waivableBy: [], asks: { ...asks, deciders: Object.values(names), together: true } }
  await version.update({ requirements: [...version.requirements, requirement] })
}, 60_000)
afterAll(() => house.close())

/** Somebody who has applied and declared a dismissal. */
async function declaring(given: string, because = 'In 2019, for lateness.') {
  const candidate = await house.candidate(`${given} Declares`)
  const { id } = await candidate.done('beginApplication', { params: { slug: 'cableway-electrical-supervisor' } })
  const changes = {
    ...personAnswers(given, 'Declares'),
    'declare.dismissed': 'yes',
    'declare.dismissed.because': because,
  }
  await candidate.done('saveAnswers', { params: { id }, body: { version: 0, changes } })
  return { candidate, ...(await finished(candidate, given)) }
}
const finished = (candidate: Visitor, given: string) => applied(house, changingNothing(candidate), [given, 'Declares'])

/** What `applied` answers stays as it was given. */
const changingNothing = (candidate: Visitor): Visitor => ({
  ...candidate,
  done: ((name: 'saveAnswers', argument: { body: { version: number } }) =>
    name === 'saveAnswers'
      ? Promise.resolve({})
      : candidate.done(name, argument as never)) as unknown as Visitor['done'],
})

const matter = async (desk: Visitor, id: string) => (await desk.done('readMatters', { params: { id } }))[0]!
const say = async (desk: Visitor, id: string, outcome: string, more: object = {}) => {
  const { version } = await matter(desk, id)
  const body = { version, outcome, reason: `It is ${outcome}`, ...more }
  return desk.call('decideMatter', { params: { id, requirement: 'dismissed' }, body })
}
const state = async (id: string) =>
  (await one.done('readFile', { params: { id } })).outcomes.find(({ requirement }) => requirement === 'dismissed')!

test('those named are told, read what was written, and decide only together; the candidate sees where it stands', async () => {
  const { candidate, id } = await declaring('Delia')
  expect((await house.mailTo(names.other, 'To decide')).text).toContain(`/desk/today/${id}`)
  expect(await matter(other, id)).toMatchObject({
    ...{ answer: 'yes', explanation: 'In 2019, for lateness.', state: 'waiting', together: true, mayDecide: true },
    ...{ votes: [], version: 0 },
  })
  expect((await say(one, id, 'no bearing')).body).toEqual({ state: 'waiting' })
  expect(await state(id)).toMatchObject({ state: 'unmet', reason: { code: 'answer-other' } })
  expect((await say(other, id, 'refused')).body).toEqual({ state: 'split' })
  expect((await candidate.done('readStatus', { params: { id } })).matters).toMatchObject([
    { state: 'waiting', reason: '' },
  ])
  expect((await say(other, id, 'no bearing')).body).toEqual({ state: 'no bearing' })
  expect(await state(id)).toMatchObject({ state: 'met', reason: { code: 'matter-settled' } })
  const { matters } = await candidate.done('readStatus', { params: { id } })
  expect(matters).toMatchObject([{ title: 'No dismissal', state: 'no bearing', reason: 'It is no bearing' }])
  await house.mailTo((candidate as { mail: string }).mail, 'What you declared')
})

test('two who decide at the same moment do not decide past each other', async () => {
  const { id } = await declaring('Dora')
  const { version } = await matter(one, id)
  const body = { version, outcome: 'no bearing', reason: 'Long ago' }
  const both = await Promise.all(
    [one, other].map((desk) => desk.call('decideMatter', { params: { id, requirement: 'dismissed' }, body })),
  )
  expect(both.map(({ status }) => status).sort()).toEqual([200, 409])
  expect((await matter(one, id)).votes).toHaveLength(1)
})

test('whoever is not named decides nothing, and whoever sees no declarations reads none', async () => {
  const { id } = await declaring('Dirk')
  const third = await house.staff('administrator')
  expect(await matter(third, id)).toMatchObject({ answer: '', explanation: null, mayDecide: false })
  expect((await say(third, id, 'no bearing')).status).toBe(403)
  const reviewer = await house.staff('reviewer')
  expect((await say(reviewer, id, 'no bearing')).status).toBe(403)
})

test('conditions are kept as requirements before the first day, and go when it is decided otherwise', async () => {
  const { candidate, id } = await declaring('Dagny')
  expect((await say(one, id, 'conditions')).body).toMatchObject({ faults: [{ pointer: '/body/conditions' }] })
  const conditions = [{ title: 'Six months with a second person', text: 'No work alone until July.' }]
  await say(one, id, 'conditions', { conditions })
  await say(other, id, 'conditions', { conditions })
  const { outcomes, requirements } = await one.done('readFile', { params: { id } })
  const kept = requirements.find(({ key }) => key.startsWith('condition:'))!
  expect(kept).toMatchObject({ title: 'Six months with a second person', gate: 'start', why: 'It is conditions' })
  expect(outcomes.find(({ requirement }) => requirement === kept.key)).toMatchObject({ state: 'unmet' })
  expect((await candidate.done('readStatus', { params: { id } })).tasks).toMatchObject([
    { key: kept.key, doneAt: null },
  ])
  await say(one, id, 'no bearing')
  await say(other, id, 'no bearing')
  const after = await one.done('readFile', { params: { id } })
  expect(after.requirements.some(({ key }) => key.startsWith('condition:'))).toBe(false)
  expect((await candidate.done('readStatus', { params: { id } })).tasks).toEqual([])
})

test('the candidate is asked back by mail and in the portal, and what they answer waits at the desk', async () => {
  const { candidate, id } = await declaring('Doris')
  const params = { id, requirement: 'dismissed' }
  await other.done('askAboutMatter', { params, body: { text: 'Who was your supervisor then?' } })
  expect((await house.mailTo((candidate as { mail: string }).mail, 'A question to you')).text).toContain('supervisor')
  const [asked] = await candidate.done('listMyConversations', { params: { id } })
  expect(asked).toMatchObject({ about: { kind: 'matter', label: 'No dismissal' }, state: 'answered' })
  await candidate.done('writeInConversation', { params: { id: asked!.id }, body: { text: 'Mrs Example.' } })
  const why = async () =>
    (await one.done('readQueue', { params: { queue: 'today' } })).people.find((row) => row.id === id)?.why
  expect(await until(why)).toBe('Has asked you something')
})

test('it is remembered: with nothing new the decision holds, with something new it is decided again', async () => {
  const { candidate, id } = await declaring('Dunja')
  await say(one, id, 'no bearing')
  await say(other, id, 'no bearing')
  await candidate.done('withdraw', { params: { id } })
  const { id: again } = await candidate.done('beginApplication', { params: { slug: 'cableway-mechanic' } })
  const draft = await candidate.done('readDraft', { params: { id: again } })
  expect(draft.decided['declare.dismissed']).toMatchObject({ answer: 'yes', explanation: 'In 2019, for lateness.' })
})
