import { unnamedOrganisation } from '#core/organisation/organisation'
import { writeVersioned } from '#server/platform/database/settings'
import { Message } from '#server/platform/mail/model'
import { Source } from '#server/records/sources/model'
import { Vacancy } from '#server/records/vacancies/model'
import type { Visitor } from '../../test/client'
import { type House, openHouse, until } from '../../test/house'

let house: House
let admin: Visitor
beforeAll(async () => {
  house = await openHouse('first_steps')
  // As the house stands before anybody has done anything in it.
  await Vacancy.update({ state: 'draft' }, { where: {} })
  await Source.update({ retiredAt: new Date() }, { where: {} })
  const by = { id: null, name: 'Setup', at: new Date() }
  await writeVersioned('organisation', 1, { ...unnamedOrganisation, name: 'Grimvik Ferries' }, by)
  admin = await house.staff('administrator')
}, 60_000)
afterAll(() => house.close())

const read = async () => (await admin.done('readFirstSteps')).steps
const open = async () => (await read()).filter(({ done }) => !done).map(({ step }) => step)

test('an empty house has everything to do, and each is found out once it is done', async () => {
  expect(await open()).toEqual(['organisation', 'holidays', 'mail', 'colleagues', 'source', 'vacancy'])
  const { organisation, version } = await admin.done('readOrganisation')
  await admin.done('saveOrganisation', {
    body: {
      version,
      organisation: { ...organisation, town: 'Grimvik', contact: 'crew@grimvik.example', country: 'NO' },
    },
  })
  await admin.done('inviteColleague', {
    body: { name: 'Bo', mail: 'bo@grimvik.example', roles: ['coordinator'], language: 'en' },
  })
  expect(await open()).toEqual(['mail', 'source', 'vacancy'])
  await Source.update({ retiredAt: null }, { where: {}, limit: 1 })
  await Vacancy.update({ state: 'open' }, { where: {}, limit: 1 })
  expect(await open()).toEqual(['mail'])
})

test('a step can be left for later, and is still to do', async () => {
  await admin.done('leaveForLater', { params: { step: 'mail' }, body: { later: true } })
  expect((await read()).find(({ step }) => step === 'mail')).toEqual({ step: 'mail', done: false, later: true })
  await admin.done('leaveForLater', { params: { step: 'mail' }, body: { later: false } })
  expect((await read()).some(({ later }) => later)).toBe(false)
})

test('the test mail counts once its link is opened; one of before does not', async () => {
  const { mail } = (await admin.done('readSession')).account!
  const token = async () => /\?mail=([\w-]+)/.exec((await house.mailTo(mail, 'A test mail')).text)![1]!
  await admin.done('sendTestMail')
  const first = await token()
  expect((await admin.done('readFirstSteps')).testMail).toMatchObject({ to: mail })
  await admin.done('sendTestMail')
  await until(
    async () => house.mailbox.mails.filter(({ to, subject }) => to === mail && subject === 'A test mail').length === 2,
  )
  const stale = await admin.call('confirmTestMail', { body: { token: first } })
  expect([stale.status, stale.body.code]).toEqual([409, 'another-test-mail'])
  expect(await open()).toEqual(['mail'])
  await Message.update({ state: 'refused', refusedBecause: null }, { where: { toMail: mail } })
  expect((await admin.done('readFirstSteps')).testMail).toMatchObject({ state: 'refused' })
  await admin.done('confirmTestMail', { body: { token: await token() } })
  expect((await admin.done('readFirstSteps')).testMail).toMatchObject({ state: 'arrived' })
  expect(await open()).toEqual([])
})
