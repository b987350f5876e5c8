import type { Visitor } from '../../test/client'
import { applied, type House, openHouse, until } from '../../test/house'
import { depsNow } from '../platform/clock'
import { tellOfDecisionDay, tellOfLateDecision } from './decisionDay'

let house: House
let desk: Visitor
beforeAll(async () => {
  house = await openHouse('decision_day')
  desk = await house.staff('administrator', 'coordinator')
}, 60_000)
afterAll(() => house.close())

const theVacancy = async () => {
  const { id } = (await desk.done('deskVacancies')).find(({ slug }) => slug === 'cableway-electrical-supervisor')!
  return desk.done('readDeskVacancy', { params: { id } })
}
const promise = async (day: string | null, reason = '') => {
  const { id, version } = await theVacancy()
  return desk.call('setDecisionDay', { params: { id }, body: { version, day, reason } })
}
const mailsAbout = (to: string, words: string) =>
  house.mailbox.mails.filter((mail) => mail.to === to && mail.subject.includes(words))

test('a day is promised from the closing on, stands on the vacancy, and is taken back while nobody waits', async () => {
  expect((await promise(house.day(2))).body).toMatchObject({ faults: [{ pointer: '/body/day' }] })
  expect((await promise(house.day(30))).status).toBe(200)
  const { decidesOn } = await house
    .visitor()
    .done('readVacancy', { params: { slug: 'cableway-electrical-supervisor' } })
  expect(decidesOn).toBe(house.day(30))
  // It does not close after it.
  const { id, version } = await theVacancy()
  const closesAt = new Date(Date.now() + 40 * 86_400_000).toISOString()
  expect(
    (await desk.call('saveVacancy', { params: { id }, body: { version, changes: { closesAt } } })).body,
  ).toMatchObject({ faults: [{ pointer: '/body/changes/closesAt' }] })
  expect((await promise(null)).status).toBe(200)
  expect((await theVacancy()).decidesOn).toBeNull()
})

test('once somebody waits it is moved with a reason, everybody is told once, and whoever is chosen or not waits no more', async () => {
  await promise(house.day(30))
  const waits = await house.candidate('Wanda Waits')
  const gone = await house.candidate('Gerd Gone')
  const application = await applied(house, waits, ['Wanda', 'Waits'])
  const other = await applied(house, gone, ['Gerd', 'Gone'])
  await desk.done('turnDown', {
    body: {
      applications: [other.id],
      reason: 'Too little experience',
      written: { english: { subject: 'Our decision', text: 'Dear {{name}}, not this time.' }, german: null },
    },
  })
  expect((await waits.done('readStatus', { params: { id: application.id } })).decidesOn).toBe(house.day(30))
  expect((await gone.done('readStatus', { params: { id: other.id } })).decidesOn).toBeNull()
  expect((await promise(null)).body).toMatchObject({ faults: [{ pointer: '/body/day' }] })
  expect((await promise(house.day(36))).body).toMatchObject({ faults: [{ pointer: '/body/reason' }] })
  const { id, version } = await theVacancy()
  expect(await theVacancy()).toMatchObject({ waiting: 1 })
  const both = await Promise.all(
    [36, 37].map((days) =>
      desk.call('setDecisionDay', {
        params: { id },
        body: { version, day: house.day(days), reason: 'The committee meets later' },
      }),
    ),
  )
  expect(both.map(({ status }) => status).sort()).toEqual([200, 409])
  const { decidesOn } = await theVacancy()
  const mail = await house.mailTo(waits.mail, 'Our decision on')
  expect(mail.text).toContain('The reason: The committee meets later')
  // The job may run twice.
  const payload = { vacancyId: id, before: house.day(30), day: decidesOn!, reason: 'The committee meets later' }
  await tellOfDecisionDay(await depsNow(house.fixed), payload)
  await house.workOff()
  expect(mailsAbout(waits.mail, 'Our decision on')).toHaveLength(1)
  expect(mailsAbout(gone.mail, 'Our decision on')).toHaveLength(0)
})

test('a post that is filled leaves nobody without word: who waits stays in Today', async () => {
  const waits = await house.candidate('Frida Filled')
  const { id } = await applied(house, waits, ['Frida', 'Filled'])
  const { id: vacancyId, version } = await theVacancy()
  await desk.done('setVacancyState', { params: { id: vacancyId }, body: { version, state: 'filled' } })
  const { people } = await desk.done('readQueue', { params: { queue: 'today' } })
  expect(people.find((one) => one.id === id)?.why).toBe('The post is filled and they have not been told')
  await desk.done('setVacancyState', { params: { id: vacancyId }, body: { version: version + 1, state: 'open' } })
})

test('it comes into Today three days before; once it has passed, those who wait are told, once', async () => {
  const waits = await house.candidate('Lotte Late')
  const { id } = await applied(house, waits, ['Lotte', 'Late'])
  const why = async () =>
    (await desk.done('readQueue', { params: { queue: 'today' } })).people.find((one) => one.id === id)?.why
  const before = await why()
  expect(before ?? '').not.toMatch(/^Decision/)
  const { decidesOn } = await theVacancy()
  const daysLeft = Math.round((Date.parse(decidesOn!) - Date.parse(house.day(0))) / 86_400_000)
  await desk.done('moveClock', { body: { days: daysLeft - 3 } })
  await until(async () => /^Decision promised by/.test((await why()) ?? ''))
  await desk.done('moveClock', { body: { days: 4 } })
  await until(async () => /^Decision was promised by/.test((await why()) ?? ''))
  await house.workOff()
  expect((await house.mailTo(waits.mail, 'is late')).text).toContain('whichever way')
  expect(await tellOfLateDecision(await depsNow(house.fixed))).toBe(0)
  await house.workOff()
  expect(mailsAbout(waits.mail, 'is late')).toHaveLength(1)
  const { happenings } = await waits.done('readStatus', { params: { id } })
  expect(happenings.map(({ text }) => text)).toContainEqual(expect.stringMatching(/^We promised a decision by/))
})
