import { anEmployer } from '../../test/employers'
import { aPaidVacancy, aSchedule, payAt, whoOwes } from '../../test/fees'
import { type House, openHouse } from '../../test/house'
import { runDaily } from '../daily'
import { depsNow } from '../platform/clock'
import { Message } from '../platform/mail/model'
import { Application } from '../records/applications/model'
import { GatePassage } from '../records/hiring/model'

let house: House
let slug: string
const completeWithin = { days: 10, remindAt: [5, 1], extraDays: 4 }
beforeAll(async () => {
  house = await openHouse('completion')
  slug = await aPaidVacancy(house, [aSchedule()], 'Post with a time', { completeWithin })
}, 60_000)
afterAll(() => house.close())

const daily = async (days: number) => {
  const deps = await depsNow(house.fixed)
  const now = new Date(Date.now() + days * 86_400_000)
  const today = house.today.add({ days })
  await runDaily({ ...deps, clock: { now: () => now, today: () => today } })
}
const mailsAbout = (mail: string, subject: string) =>
  Message.findAll({ where: { toMail: mail } }).then(
    (all) => all.filter((one) => one.subject.startsWith(subject)).length,
  )

const begun = async (name: string) => {
  const candidate = await house.applicant(name)
  const { id } = await candidate.done('beginApplication', { params: { slug } })
  const draft = () => candidate.done('readDraft', { params: { id } })
  return { candidate, id, draft }
}

test('what was begun is reminded of at its steps, extended once, then set aside and taken up again with all that was given', async () => {
  const { candidate, id, draft } = await begun('Dana Draft')
  expect((await draft()).completion).toEqual({ endsOn: house.day(10), setAside: false, paysFirst: false, extraDays: 4 })
  await daily(4)
  expect(await mailsAbout(candidate.mail, 'Still to finish by')).toBe(0)
  await daily(5)
  await daily(6)
  expect(await mailsAbout(candidate.mail, 'Still to finish by')).toBe(1)
  const extend = () => candidate.call('extendTime', { params: { id }, body: { reason: 'My papers are abroad' } })
  const both = await Promise.all([extend(), extend()])
  expect(both.map(({ status }) => status).sort()).toEqual([200, 409])
  expect((await draft()).completion).toEqual({ endsOn: house.day(14), setAside: false, paysFirst: false, extraDays: 0 })
  expect((await extend()).body.code).toBe('extended-already')
  await daily(13)
  expect(await mailsAbout(candidate.mail, 'Still to finish by')).toBe(2)
  await daily(15)
  await daily(16)
  expect(await mailsAbout(candidate.mail, 'Set aside')).toBe(1)
  const aside = await draft()
  expect(aside).toMatchObject({ stage: 'being written', completion: { setAside: true } })
  expect((await candidate.done('myApplications'))[0]).toMatchObject({ completion: { setAside: true } })
  // Nothing is changed before it is taken up, and nothing was lost.
  const { version, answers } = aside
  const send = (seen: number) => candidate.call('sendApplication', { params: { id }, body: { version: seen } })
  expect((await send(version)).body.code).toBe('set-aside')
  expect((await extend()).body.code).toBe('set-aside')
  const restore = () => candidate.call('restoreApplication', { params: { id } })
  const twice = await Promise.all([restore(), restore()])
  expect(twice.map(({ status }) => status).sort()).toEqual([200, 409])
  const after = await draft()
  expect(after).toMatchObject({ answers, completion: { endsOn: house.day(10), setAside: false, extraDays: 4 } })
  expect((await send(after.version)).status).toBe(200)
})

test('what is left unpaid has as long again; set aside, nobody works on it, and paying takes it up', async () => {
  const owing = await whoOwes(house, slug, 'Lars Late')
  await Application.update({ sentAt: new Date(Date.now() - 86_400_000) }, { where: { id: owing.id } })
  const status = () => owing.candidate.done('readStatus', { params: { id: owing.id } })
  // From the later of beginning and sending.
  expect((await status()).completion).toMatchObject({ endsOn: house.day(10), setAside: false })
  await daily(11)
  expect(await status()).toMatchObject({
    stage: 'set aside',
    toDo: [],
    completion: { setAside: true, paysFirst: true },
  })
  expect(await owing.charge()).toMatchObject({ state: 'open', owed: 4500 })
  const early = await owing.candidate.call('restoreApplication', { params: { id: owing.id } })
  expect(early.body.code).toBe('pay-first')
  const { address } = await owing.candidate.done('payCharge', { params: { id: (await owing.charge()).id } })
  await payAt(address)
  expect(await status()).toMatchObject({ stage: 'sent', completion: null })
})

test('the desk takes it up again with a reason, and its candidate can withdraw it', async () => {
  const owing = await whoOwes(house, slug, 'Wim Withdraws')
  const other = await whoOwes(house, slug, 'Thea Takenup')
  await daily(11)
  const desk = await house.staff('coordinator')
  const take = { params: { id: other.id }, body: { reason: 'She rang, and pays tomorrow' } }
  await desk.done('takeUpAgain', take)
  expect((await other.candidate.done('readStatus', { params: { id: other.id } })).completion).toMatchObject({
    ...{ endsOn: house.day(10), setAside: false },
  })
  expect((await desk.call('takeUpAgain', take)).status).toBe(409)
  await owing.candidate.done('withdraw', { params: { id: owing.id } })
  expect(await owing.charge()).toMatchObject({ state: 'called off' })
  expect((await owing.candidate.done('readStatus', { params: { id: owing.id } })).completion).toBeNull()
})

test('what an employer was asked to pay is nobody’s to finish meanwhile; without a rule there is no time', async () => {
  const employer = await anEmployer(house)
  const owing = await whoOwes(house, slug, 'Emma Employed')
  const wish = { employer: employer.id, lines: null, orderNumber: '' }
  await owing.candidate.done('askEmployer', { params: { id: (await owing.charge()).id }, body: wish })
  expect((await owing.candidate.done('readStatus', { params: { id: owing.id } })).completion).toBeNull()
  await daily(11)
  expect((await owing.candidate.done('readStatus', { params: { id: owing.id } })).stage).toBe('sent')

  const plain = await aPaidVacancy(house, [], 'Post without a time')
  const candidate = await house.applicant('Nina Notime')
  const { id } = await candidate.done('beginApplication', { params: { slug: plain } })
  expect((await candidate.done('readDraft', { params: { id } })).completion).toBeNull()
  const reply = await candidate.call('extendTime', { params: { id }, body: { reason: 'No reason at all' } })
  expect(reply.body.code).toBe('no-time-to-extend')
  expect((await candidate.call('restoreApplication', { params: { id } })).body.code).toBe('not-set-aside')
})

test('a reminder before anybody has begun cannot be published', async () => {
  await expect(
    aPaidVacancy(house, [], 'Post in a hurry', { completeWithin: { days: 3, remindAt: [7], extraDays: 0 } }),
  ).rejects.toThrow(/reminder-too-early/)
})

test('who was on the shortlist comes back to it; the time is that of the rules they sent under', async () => {
  const owing = await whoOwes(house, slug, 'Selma Shortlisted')
  await Application.update({ stage: 'shortlisted' }, { where: { id: owing.id } })
  await GatePassage.create({
    ...{ applicationId: owing.id, gate: 'shortlist', passedAt: new Date(), passedBy: 'The coordinator' },
    readiness: [],
  })
  await daily(11)
  expect((await owing.candidate.done('readStatus', { params: { id: owing.id } })).stage).toBe('set aside')
  const money = await house.staff('money')
  await money.done('recordPayment', {
    params: { id: (await owing.charge()).id },
    body: { amount: 4500, receivedOn: house.day(0), note: 'at the counter' },
  })
  expect((await owing.candidate.done('readStatus', { params: { id: owing.id } })).stage).toBe('shortlisted')
})

test('two nights at the same moment set one application aside once, with one mail', async () => {
  const { candidate, id } = await begun('Otto Once')
  await Promise.all([daily(11), daily(11)].map((night) => night.catch(() => undefined)))
  expect(await mailsAbout(candidate.mail, 'Set aside')).toBe(1)
  const { version } = await Application.findByPk(id, { rejectOnEmpty: true })
  await daily(12)
  expect((await Application.findByPk(id, { rejectOnEmpty: true })).version).toBe(version)
})

test('what is set aside can still be deleted by whoever began it, and reminders of a quiet week stop', async () => {
  const { candidate, id } = await begun('Dieter Deletes')
  await daily(11)
  const before = await Message.count({ where: { toMail: candidate.mail } })
  await daily(20)
  expect(await Message.count({ where: { toMail: candidate.mail } })).toBe(before)
  await candidate.done('deleteDraft', { params: { id } })
  expect(await candidate.done('myApplications')).toEqual([])
})
