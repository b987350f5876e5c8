import { usualChannels } from '#core/messages/notices'
import { say } from '#core/words/say'
import type { Visitor } from '../../test/client'
import { applied, type House, openHouse, until } from '../../test/house'
import { depsNow } from '../platform/clock'
import { Account } from '../records/accounts/model'
import { confirmPhone } from './notices'

let house: House
let desk: Visitor
beforeAll(async () => {
  house = await openHouse('notices')
  desk = await house.staff('coordinator')
}, 60_000)
afterAll(() => house.close())

const codeSentTo = (phone: string) =>
  until(async () => /: (\d{6}) is/.exec(house.texts.filter(({ to }) => to === phone).at(-1)?.text ?? '')?.[1])

/** A candidate with a confirmed number. */
async function withNumber(name: string, phone: string) {
  const candidate = await house.candidate(name)
  await candidate.done('sendPhoneCode', { body: { phone } })
  await candidate.done('confirmPhone', { body: { code: await codeSentTo(phone) } })
  return candidate
}

const written = { english: { subject: 'News', text: 'Dear {{givenName}}, there is news: {{link}}' }, german: null }

test('a number is confirmed by the code that came to it, and by no other', async () => {
  const candidate = await house.candidate('Nora Number')
  expect((await candidate.call('sendPhoneCode', { body: { phone: 'at home' } })).status).toBe(422)
  expect(await candidate.done('sendPhoneCode', { body: { phone: '0664 5550201' } })).toEqual({ phone: '+436645550201' })
  expect(await candidate.done('readNoticeChoice')).toMatchObject({ phone: null, waitingFor: '+436645550201' })
  const code = await codeSentTo('+436645550201')
  const wrong = code === '111111' ? '222222' : '111111'
  expect((await candidate.call('confirmPhone', { body: { code: wrong } })).status).toBe(422)
  await candidate.done('confirmPhone', { body: { code: `${code.slice(0, 3)} ${code.slice(3)}` } })
  expect(await candidate.done('readNoticeChoice')).toMatchObject({
    phone: '+436645550201',
    waitingFor: null,
    version: 1,
  })
  // It is used up.
  expect((await candidate.call('confirmPhone', { body: { code } })).status).toBe(422)
})

test('many guesses at once are no more than five, and then the right code is refused too', async () => {
  const candidate = await house.candidate('Gustav Guess')
  await candidate.done('sendPhoneCode', { body: { phone: '+436645550202' } })
  const code = await codeSentTo('+436645550202')
  const account = await Account.findOne({ where: { mail: candidate.mail }, rejectOnEmpty: true })
  const actor = { kind: 'account', id: account.id, name: account.name, mail: account.mail } as never
  const deps = await depsNow(house.fixed)
  const guesses = Array.from({ length: 12 }, (_, nth) =>
    String(Number(code) + nth + 1)
      .padStart(6, '0')
      .slice(-6),
  )
  const said = await Promise.all(
    guesses.map((guess) =>
      confirmPhone(deps, actor, guess).then(String, (problem) => problem.body().faults[0].message as string),
    ),
  )
  expect(said.filter((message) => message === say('problem.notTheCodeThatWasSent'))).toHaveLength(5)
  expect((await candidate.call('confirmPhone', { body: { code } })).status).toBe(422)
  expect((await candidate.done('readNoticeChoice')).phone).toBeNull()
  // The way out: a new code.
  await candidate.done('sendPhoneCode', { body: { phone: '+436645550202' } })
  const fresh = await until(async () => {
    const next = await codeSentTo('+436645550202')
    return next !== code && next
  })
  await candidate.done('confirmPhone', { body: { code: fresh } })
})

test('a sixth code in an hour is not sent', async () => {
  const candidate = await house.candidate('Sixta Codes')
  for (let nth = 0; nth < 5; nth += 1) await candidate.done('sendPhoneCode', { body: { phone: '+436645550203' } })
  expect((await candidate.call('sendPhoneCode', { body: { phone: '+436645550203' } })).status).toBe(429)
})

test('by text message alone: the mail is held back, and goes where the text message does not arrive', async () => {
  const [arrives, fails] = await Promise.all(
    [
      ['Tessa', '+436645550204'],
      ['Tilo', '+436645550999'],
    ].map(async ([given, phone]) => {
      const candidate = await withNumber(`${given} Text`, phone!)
      const { channels, version } = await candidate.done('readNoticeChoice')
      const body = { channels: { ...channels, answers: ['text'] }, noPassingOn: false, version }
      await candidate.done('saveNoticeChoice', { body })
      return { candidate, ...(await applied(house, candidate, [given!, 'Text'])) }
    }),
  )
  const applications = [arrives!.id, fails!.id]
  expect(await desk.done('sendMessages', { body: { written, applications } })).toMatchObject({ queued: 2, texts: 2 })
  const states = async (id: string) =>
    Object.fromEntries(
      (await desk.done('readMessages', { params: { id } }))
        .filter(({ subject }) => subject === 'News')
        .map(({ channel, state }) => [channel, state]),
    )
  await until(async () => (await states(arrives!.id)).text === 'delivered')
  expect(await states(arrives!.id)).toEqual({ text: 'delivered', mail: 'held' })
  await until(async () => (await states(fails!.id)).mail === 'accepted')
  expect(await states(fails!.id)).toEqual({ text: 'let be', mail: 'accepted' })
  expect((await house.mailTo(fails!.candidate.mail, 'News')).text).toContain('Dear Tilo')
  expect(house.mailbox.mails.some(({ to, subject }) => to === arrives!.candidate.mail && subject === 'News')).toBe(
    false,
  )
  const text = house.texts.find(({ to, text: said }) => to === '+436645550204' && said.includes('News'))!
  expect(text.text).toMatch(/^Vallorne Mountain Lines: News\. More at http.*\/applications\//)
  // Nobody at the desk has to see to what was told another way.
  expect((await desk.done('readOutbox')).filter(({ subject }) => subject === 'News')).toEqual([])
}, 60_000)

test('what is about an application cannot be refused, and two who choose at once do not undo each other', async () => {
  const candidate = await house.candidate('Olga Once')
  const none = { ...usualChannels, 'to do': [] }
  const refused = await candidate.call('saveNoticeChoice', {
    body: { channels: none as never, noPassingOn: false, version: 0 },
  })
  expect(refused.status).toBe(422)
  const text = { ...usualChannels, 'to do': ['text'] }
  expect(
    (await candidate.call('saveNoticeChoice', { body: { channels: text as never, noPassingOn: false, version: 0 } }))
      .status,
  ).toBe(422)
  const both = await Promise.all(
    [true, false].map((noPassingOn) =>
      candidate.call('saveNoticeChoice', { body: { channels: usualChannels as never, noPassingOn, version: 0 } }),
    ),
  )
  expect(both.map(({ status }) => status).sort()).toEqual([200, 409])
})

test('general mailings pass by whoever refused them, from the account, by the link below one, or by a mail program', async () => {
  const people = await Promise.all(
    ['Anna', 'Berta', 'Clara'].map(async (given) => {
      const candidate = await house.candidate(`${given} General`)
      return { candidate, ...(await applied(house, candidate, [given, 'General'])) }
    }),
  )
  const applications = people.map(({ id }) => id)
  const [anna, berta, clara] = people.map(({ candidate }) => candidate)
  const send = () => desk.done('sendMessages', { body: { written, applications, general: true } })
  expect(await send()).toEqual({ queued: 3, left: 0, texts: 0 })
  const mail = await house.mailTo(anna!.mail, 'News')
  expect(mail.headers['list-unsubscribe-post']).toBe('List-Unsubscribe=One-Click')
  const address = /<([^>]+)>/.exec(mail.headers['list-unsubscribe']!.replace(/\s/g, ''))![1]!
  // As a mail program does it: a form, no cookie, nobody signed in.
  const oneClick = (to: string) =>
    fetch(to.replace('http://house.test', house.address), {
      method: 'POST',
      headers: { 'Content-Type': 'application/x-www-form-urlencoded' },
      body: 'List-Unsubscribe=One-Click',
    })
  expect((await oneClick(address)).status).toBe(204)
  expect((await oneClick(address)).status).toBe(204)
  expect((await oneClick(address.replace(/.$/, (last) => (last === 'A' ? 'B' : 'A')))).status).toBe(404)
  const token = /\/notices\/(\S+)/.exec((await house.mailTo(berta!.mail, 'News')).text)![1]!
  await house.visitor().done('stopGeneralMail', { params: { token }, body: {} })
  const own = await clara!.done('readNoticeChoice')
  await clara!.done('saveNoticeChoice', {
    body: { channels: { ...own.channels, general: [] }, noPassingOn: true, version: own.version },
  })
  const preview = await desk.done('previewMessages', { body: { written, applications, general: true } })
  expect(new Set(preview.map(({ obstacle }) => obstacle))).toEqual(new Set(['They have refused general mailings.']))
  expect(await send()).toEqual({ queued: 0, left: 3, texts: 0 })
  // What is about their application still comes.
  expect((await desk.done('sendMessages', { body: { written, applications } })).queued).toBe(3)
  expect(await desk.done('readNoticesOf', { params: { id: applications[2]! } })).toMatchObject({
    channels: { general: [] },
    noPassingOn: true,
  })
  const csv = await (await desk.request('/api/desk/lists/applications')).text()
  const passedOn = (name: string) =>
    csv
      .split('\r\n')
      .find((line) => line.startsWith(name))
      ?.split(',')
      .at(-1)
  expect(['Name', 'Anna General', 'Clara General'].map(passedOn)).toEqual(['May be passed on', 'yes', 'no'])
}, 60_000)

test('a number that is removed takes text messages with it', async () => {
  const candidate = await withNumber('Rosa Removed', '+436645550206')
  const { version } = await candidate.done('readNoticeChoice')
  const channels = { ...usualChannels, answers: ['text'], general: ['text'] }
  await candidate.done('saveNoticeChoice', { body: { channels: channels as never, noPassingOn: false, version } })
  await candidate.done('removePhone')
  expect(await candidate.done('readNoticeChoice')).toMatchObject({
    phone: null,
    channels: { answers: ['mail'], general: ['mail'] },
  })
})
