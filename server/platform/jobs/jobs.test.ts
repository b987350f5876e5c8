import { setTimeout as wait } from 'node:timers/promises'
import { Op } from 'sequelize'
import { v7 as uuid } from 'uuid'
import { applied, type House, look, openHouse, until } from '../../../test/house'
import { runDaily } from '../../daily'
import { refreshForDay } from '../../readiness/refreshForDay'
import { Enquiry } from '../../records/enquiries/model'
import { ApplicationSummary } from '../../records/hiring/model'
import { workOnce } from '../../worker'
import { clockAhead } from '../clock'
import { Message } from '../mail/model'
import { holding, leaseOf } from './lease'
import { Job } from './model'
import { queueJob } from './queue'

let house: House
beforeAll(async () => {
  house = await openHouse('jobs')
}, 60_000)
afterAll(() => house.close())

test('a mail that cannot be sent is tried again later, and its error is kept', async () => {
  const broken = { ...house.fixed, mailer: { send: () => Promise.reject(new Error('mailbox full')), close: () => {} } }
  const message = await Message.create({
    id: uuid(),
    toName: 'X',
    toMail: 'x@mail.test',
    subject: 'S',
    text: 'T',
    attachments: [],
    applicationId: null,
    createdAt: new Date(),
  })
  // Far in the past, so that no other worker’s turn comes first; the house’s own worker may take it once it is due again.
  await queueJob(
    'mail',
    { messageId: message.id },
    { uniqueKey: 'broken-once', runAt: new Date(Date.now() + 3_600_000) },
  )
  await Job.update({ runAt: new Date(0), leasedUntil: new Date(0) }, { where: { uniqueKey: 'broken-once' } })
  let failed: Job | null = null
  for (let attempt = 0; attempt < 20 && !failed?.attempts; attempt += 1) {
    await workOnce(broken)
    failed = await Job.findOne({ where: { uniqueKey: 'broken-once' } })
    if (failed?.doneAt) break
  }
  if (failed!.attempts > 0) {
    expect(failed!.lastError).toContain('mailbox full')
    expect(failed!.runAt.getTime()).toBeGreaterThan(Date.now())
    await failed!.update({ runAt: new Date() })
  }
  await house.workOff()
  expect((await house.mailTo('x@mail.test')).subject).toBe('S')
})

test('the same unique key is queued once', async () => {
  await queueJob('daily', {}, { uniqueKey: 'only one' })
  await queueJob('daily', {}, { uniqueKey: 'only one' })
  expect(await Job.count({ where: { uniqueKey: 'only one' } })).toBe(1)
})

test('a job that takes longer than its lease stays with whoever does it; one whose copy died is free again', async () => {
  await queueJob('of this test' as never, {} as never)
  const lease = () => leaseOf(house.deps, ['of this test'], 300)
  const job = (await lease())!
  expect(await lease()).toBeUndefined()
  await holding(job, () => wait(900), 300)
  expect(await lease()).toBeUndefined()
  await wait(350)
  expect((await lease())?.id).toBe(job.id)
})

test('two copies at the same daily tasks remind once, and what fails for one keeps nobody waiting', async () => {
  const days = 18 * 86_400_000
  const [asked, broken] = [await house.candidate('Ada Asked'), await house.candidate('Bea Broken')]
  const desk = await house.staff('coordinator')
  let brokenId = ''
  for (const candidate of [asked, broken]) {
    const { id, degreeId } = await applied(house, candidate, [candidate === asked ? 'Ada' : 'Bea', 'Somebody'])
    await look(desk, id, degreeId)
    await desk.done('raiseEnquiry', { params: { id: degreeId }, body: { applicationId: id } })
    if (candidate !== broken) continue
    brokenId = degreeId
    await Enquiry.update({ channel: 'pigeon' as never }, { where: { claimId: degreeId } })
  }
  const ahead = { ...house.deps, clock: clockAhead(days, house.deps.organisation.timeZone) }
  const ended = await Promise.allSettled([runDaily(ahead), runDaily(ahead)])
  expect(ended.map(({ status }) => status)).toEqual(['rejected', 'rejected'])
  expect(String((ended[0] as PromiseRejectedResult).reason)).toContain('1 of what was due today')
  const reminders = (name: string) =>
    Message.count({ where: { subject: { [Op.like]: `%Erinnerung%${name} Somebody` } } })
  expect([await reminders('Ada'), await reminders('Bea')]).toEqual([1, 0])
  expect(await Job.count({ where: { kind: 'summaries', uniqueKey: `summaries ${ahead.clock.today()}` } })).toBe(1)
  await Enquiry.update({ channel: 'link' }, { where: { claimId: brokenId } })
  await runDaily(ahead)
  expect([await reminders('Ada'), await reminders('Bea')]).toEqual([1, 1])
})

test('standings are computed a stretch at a time, and a day that is over ends by itself', async () => {
  const candidate = await house.candidate('Stella ApplicationSummary')
  const { id } = await applied(house, candidate, ['Stella', 'ApplicationSummary'])
  const slackOf = async () => (await ApplicationSummary.findByPk(id, { rejectOnEmpty: true })).slack
  const before = await slackOf()
  const ahead = { ...house.deps, clock: clockAhead(20 * 86_400_000, house.deps.organisation.timeZone) }
  await refreshForDay(ahead, { day: house.day(0) })
  expect(await slackOf()).toBe(before)
  await refreshForDay(ahead, { day: house.day(20), after: id })
  expect(await slackOf()).toBe(before)
  await refreshForDay(ahead, { day: house.day(20) })
  expect(await slackOf()).toBeLessThan(before - 10)
})

test('who has been quiet for a week is reminded once, and not of what is closed', async () => {
  const candidate = await house.candidate('Quiet Week')
  await candidate.done('beginApplication', { params: { slug: 'rescue-lead' } })
  const runDailyIn = (days: number) =>
    runDaily({ ...house.deps, clock: clockAhead(days * 86_400_000, house.deps.organisation.timeZone) })
  await runDailyIn(8)
  expect((await house.mailTo(candidate.mail, 'Still to send')).text).toContain('have not been back for a week')
  await runDailyIn(12)
  await runDailyIn(60)
  await house.workOff()
  const reminders = house.mailbox.mails.filter(
    ({ to, subject }) => to === candidate.mail && subject.startsWith('Still'),
  )
  expect(reminders).toHaveLength(1)
})

test('moving the demo’s clock reminds a silent source, asks it by another way, and makes people later', async () => {
  const candidate = await house.candidate('Tim Time')
  const { id, degreeId } = await applied(house, candidate, ['Tim', 'Time'])
  const desk = await house.staff('coordinator')
  await look(desk, id, degreeId)
  await desk.done('raiseEnquiry', { params: { id: degreeId }, body: { applicationId: id } })
  const slack = async () => (await desk.done('readFile', { params: { id } })).slack
  const before = await slack()
  const move = async (days: number) => {
    const clock = await desk.done('moveClock', { body: { days } })
    await house.workOff()
    for (
      let attempt = 0;
      attempt < 200 && (await Job.count({ where: { kind: ['daily', 'summaries'], doneAt: null } })) > 0;
      attempt += 1
    )
      await new Promise((done) => setTimeout(done, 50))
    return clock
  }
  expect((await move(16)).daysAhead).toBe(16)
  expect((await house.mailTo('pruefungsamt@tannberg.example', 'Erinnerung')).text).toContain('/reply/')
  expect(await slack()).toBeLessThan(before - 10)
  const queue = await desk.done('readQueue', { params: { queue: 'today' } })
  expect(queue.late).toBeGreaterThan(0)
  // A second reminder, and as long after it another way.
  await move(10)
  await move(24)
  // Over Christmas working days are further apart.
  await move(14)
  // The running worker may have taken the day's work; it is done a moment later.
  await until(async () => (await Enquiry.findOne({ where: { claimId: degreeId } }))?.channel === 'register')
}, 60_000)
