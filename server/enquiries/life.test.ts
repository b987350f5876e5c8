import { askAbout, checkedSource, claimedOf, enquiryAbout, runDailyIn, stepsOfEnquiry } from '../../test/asking'
import { claimOf, type House, openHouse, tokenIn, until } from '../../test/house'
import { aContact } from '../../test/source'
import { clockAhead } from '../platform/clock'
import { Job } from '../platform/jobs/model'
import { Message } from '../platform/mail/model'
import { smtpMailer } from '../platform/outside/mail'
import { Enquiry } from '../records/enquiries/model'
import { workOnce } from '../worker'
import { advance, advanceQuickly } from './advance'

let house: House
beforeAll(async () => {
  house = await openHouse('enquiry_life')
}, 120_000)
afterAll(() => house.close())

const mailsTo = (toMail: string) => Message.count({ where: { toMail } })

test('a source that never answers is reminded, asked at another contact and by letter, and is silent for good in the end', async () => {
  const contacts = [
    aContact({ mail: 'personal@silent.example', purposes: ['employment'] }),
    aContact({ mail: 'office@silent.example', address: 'Ring 7\n6020 Innsbruck' }),
  ]
  const source = await checkedSource(house, {
    name: 'Stille Werke',
    country: 'AT',
    channels: ['link', 'letter'],
    contacts,
  })
  const { desk, applicationId, claimId } = await claimedOf(house, ['Sila', 'Silent'], source)
  const { id } = await askAbout(desk, claimId, applicationId)
  for (let days = 10; days <= 130; days += 2) await runDailyIn(house, days)
  // The first office, two reminders, the other office, two reminders; then a letter, which waits for the printer.
  expect(await stepsOfEnquiry(id)).toEqual([
    ...['asked', 'reminded', 'reminded', 'escalated', 'reminded', 'reminded', 'escalated'],
  ])
  expect([await mailsTo('personal@silent.example'), await mailsTo('office@silent.example')]).toEqual([3, 3])
  const letter = await enquiryAbout(claimId)
  expect(letter).toMatchObject({ channel: 'letter', toPrint: 'letter', turn: 'desk', dueOn: null })
  await desk.done('markPrinted', { body: { batchIds: [letter.batchId] } })
  for (let days = 140; days <= 220; days += 5) {
    await runDailyIn(house, days)
    const now = await enquiryAbout(claimId)
    if (now.toPrint) await desk.done('markPrinted', { body: { batchIds: [now.batchId] } })
  }
  expect(await enquiryAbout(claimId)).toMatchObject({ state: 'silent', turn: 'desk', activeKey: null })
  const { proof } = await claimOf(desk, applicationId, claimId)
  expect(proof.proposed).toBe('unconfirmable')
  expect(proof.enquiries.at(-1)!.steps.map(({ step, to }) => [step, to].join(' ').trim())).toEqual(
    expect.arrayContaining(['asked personal@silent.example', 'escalated office@silent.example', 'silent']),
  )
}, 120_000)

test('what was decided meanwhile is asked no more', async () => {
  const source = await checkedSource(house)
  const { desk, applicationId, claimId } = await claimedOf(house, ['Dora', 'Decided'], source)
  await askAbout(desk, claimId, applicationId)
  const { version } = await claimOf(desk, applicationId, claimId)
  await desk.done('decideClaim', {
    params: { id: claimId },
    body: { version, decision: 'unconfirmable', note: 'The house burnt down.' },
  })
  await runDailyIn(house, 1)
  expect((await enquiryAbout(claimId)).state).toBe('withdrawn')
})

test('two passes at the same moment remind once, whichever copy is quicker', async () => {
  const source = await checkedSource(house)
  const { desk, applicationId, claimId } = await claimedOf(house, ['Tia', 'Twice'], source)
  const { id } = await askAbout(desk, claimId, applicationId)
  await Promise.all([runDailyIn(house, 20), runDailyIn(house, 20), runDailyIn(house, 20)])
  expect((await stepsOfEnquiry(id)).filter((step) => step === 'reminded')).toHaveLength(1)
  expect(await mailsTo(source.contacts[0]!.mail)).toBe(2)
})

test('a mail server that is away for an hour loses no question: it arrives once when it is back', async () => {
  const source = await checkedSource(house)
  const { desk, applicationId, claimId } = await claimedOf(house, ['Hilde', 'Hour'], source)
  const toMail = source.contacts[0]!.mail
  // The application works through its queue as well: for it the mail server is away too.
  const { mailer } = house.fixed
  house.fixed.mailer = smtpMailer({ ...house.fixed.config, smtpUrl: 'smtp://127.0.0.1:9' })
  const { id } = await askAbout(desk, claimId, applicationId)
  const message = await until(() => Message.findOne({ where: { toMail } }))
  const job = async () =>
    (await Job.findAll({ where: { kind: 'mail' } })).find(({ payload }) => payload.messageId === message!.id)!
  const waiting = { id: (await job()).id, doneAt: null }
  for (let minutes = 0; minutes <= 70; minutes += 10) {
    const { attempts } = await job()
    await Job.update({ runAt: new Date(0), queuedAt: new Date(Date.now() - minutes * 60_000) }, { where: waiting })
    await until(async () => (await workOnce(house.fixed)) || (await job()).attempts > attempts)
  }
  house.fixed.mailer.close()
  house.fixed.mailer = mailer
  expect(await Message.findOne({ where: { toMail } })).toMatchObject({
    state: 'queued',
    refusedBecause: expect.anything(),
  })
  expect([await stepsOfEnquiry(id), house.mailbox.mails.filter(({ to }) => to === toMail)]).toEqual([['asked'], []])
  await Job.update({ runAt: new Date(0) }, { where: waiting })
  await house.workOff()
  expect(await Message.findOne({ where: { toMail } })).toMatchObject({ state: 'accepted', refusedBecause: null })
  expect(house.mailbox.mails.filter(({ to }) => to === toMail).map(({ copies }) => copies)).toEqual([1])
})

test('what was opened and not answered is reminded like any other', async () => {
  const source = await checkedSource(house)
  const { desk, applicationId, claimId } = await claimedOf(house, ['Opal', 'Opened'], source)
  const { id } = await askAbout(desk, claimId, applicationId)
  await Enquiry.update({ openedAt: new Date(), forwardedAt: new Date() }, { where: { id } })
  await advanceQuickly({ ...house.deps, clock: clockAhead(40 * 86_400_000, house.deps.organisation.timeZone) }, [id])
  expect(await Enquiry.findByPk(id)).toMatchObject({ state: 'open', reminders: 1, openedAt: expect.any(Date) })
})

test('what was answered after it was worked out and before it is written is not reminded', async () => {
  const source = await checkedSource(house)
  const { desk, applicationId, claimId } = await claimedOf(house, ['Ada', 'Answered'], source)
  const { id } = await askAbout(desk, claimId, applicationId)
  const due = clockAhead(40 * 86_400_000, house.deps.organisation.timeZone)
  const lock = jest.spyOn(house.fixed.sequelize, 'transaction')
  lock.mockImplementationOnce((async (work: never) => {
    await Enquiry.update({ state: 'answered', turn: 'desk', activeKey: null, dueOn: null }, { where: { id } })
    return house.fixed.sequelize.transaction(work)
  }) as never)
  await advanceQuickly({ ...house.deps, clock: due }, [id])
  lock.mockRestore()
  expect((await stepsOfEnquiry(id)).filter((step) => step === 'reminded')).toEqual([])
  expect(await Enquiry.findByPk(id)).toMatchObject({ state: 'answered', reminders: 0 })
})

test('what fails half way through leaves neither the mail nor the count', async () => {
  const source = await checkedSource(house)
  const { desk, applicationId, claimId } = await claimedOf(house, ['Hana', 'Half'], source)
  const { id } = await askAbout(desk, claimId, applicationId)
  const before = await mailsTo(source.contacts[0]!.mail)
  const broken = house.fixed.sequelize.transaction(async () => {
    expect((await advance(house.deps, [id], { remindNow: true })).get(id)).toBe('remind')
    expect(await mailsTo(source.contacts[0]!.mail)).toBe(before + 1)
    throw new Error('the machine stopped')
  })
  await expect(broken).rejects.toThrow('the machine stopped')
  expect([await mailsTo(source.contacts[0]!.mail), (await Enquiry.findByPk(id))!.reminders]).toEqual([before, 0])
})

describe('what was called off stays called off', () => {
  type Asked = Awaited<ReturnType<typeof claimedOf>> & { id: string; mail: string; token: string }

  async function asked(name: [string, string]): Promise<Asked> {
    const source = await checkedSource(house)
    const file = await claimedOf(house, name, source)
    const { id } = await askAbout(file.desk, file.claimId, file.applicationId)
    await house.workOff()
    const mail = source.contacts[0]!.mail
    return { ...file, id, mail, token: tokenIn((await house.mailTo(mail)).text, 'reply') }
  }

  const ways: [string, (asked: Asked) => Promise<unknown>][] = [
    [
      'the application is withdrawn',
      ({ candidate, applicationId }) => candidate.done('withdraw', { params: { id: applicationId } }),
    ],
    [
      'the permission is taken back',
      ({ candidate, applicationId }) => candidate.done('withdrawPermission', { params: { id: applicationId } }),
    ],
    [
      'the candidate does not want it asked any more',
      async ({ candidate, desk, applicationId, claimId }) => {
        const { version } = await claimOf(desk, applicationId, claimId)
        const body = { version, mayAsk: 'never' as const, because: 'We parted in anger.' }
        await candidate.done('setAsking', { params: { id: claimId }, body })
      },
    ],
    [
      'the desk calls it off',
      async ({ desk, id }) => {
        const { version } = (await Enquiry.findByPk(id))!
        await desk.done('withdrawEnquiry', { params: { id }, body: { version } })
      },
    ],
  ]

  test.each(ways)('when %s', async (what, callOff) => {
    const one = await asked(['Carla', `Off ${ways.findIndex(([name]) => name === what)}`])
    await callOff(one)
    expect((await Enquiry.findByPk(one.id))!).toMatchObject({
      state: 'withdrawn',
      turn: null,
      activeKey: null,
      dueOn: null,
    })
    const mails = await mailsTo(one.mail)
    for (const days of [20, 40, 80]) await runDailyIn(house, days)
    expect([(await Enquiry.findByPk(one.id))!.state, await mailsTo(one.mail)]).toEqual(['withdrawn', mails])
    const question = await house.visitor().done('readEnquiry', { params: { token: one.token } })
    expect(question).toMatchObject({ state: 'withdrawn', candidate: '', claimed: {} })
  })

  test('when the file is erased, whose links then lead nowhere', async () => {
    const one = await asked(['Erna', 'Erased'])
    await one.candidate.done('withdraw', { params: { id: one.applicationId } })
    await one.candidate.done('eraseMe', { body: { password: 'a-long-enough-secret', agreed: true } })
    await runDailyIn(house, 3000)
    const question = await house.visitor().call('readEnquiry', { params: { token: one.token } })
    expect(question.body).toMatchObject({ state: 'withdrawn', candidate: '' })
  })
})
