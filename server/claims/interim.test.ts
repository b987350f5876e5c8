import type { Visitor } from '../../test/client'
import { aPaper, aPermit, applied, type House, look, openHouse } from '../../test/house'
import { depsNow } from '../platform/clock'
import { remindOfFinals, tellOfMissedFinals } from './remindOfFinals'

let house: House
let desk: Visitor
beforeAll(async () => {
  house = await openHouse('interim')
  desk = await house.staff('administrator', 'coordinator')
}, 60_000)
afterAll(() => house.close())

type Given = Visitor & { mail: string }

const add = async (candidate: Given, claimId: string, fileName: string, what: Record<string, string> = {}) =>
  candidate.call('uploadDocument', {
    params: { id: claimId },
    query: { fileName, ...what },
    body: await aPaper(fileName),
  })

/** Somebody who has applied, with the receipt of an application for first aid that was looked at. */
async function withReceipt(given: string, finalBy: string) {
  const candidate = await house.candidate(`${given} Interim`)
  const application = await applied(house, candidate, [given, 'Interim'])
  const details = aPermit(house, 'first-aid', 'aid', `FH-9${given.length}${100 + given.charCodeAt(0)}`, house.day(700))
  const claim = await candidate.done('addClaim', { body: { details } })
  const receipt = { part: 'receipt of application', finalBy }
  expect((await add(candidate, claim.id, 'Receipt.pdf', receipt)).status).toBe(200)
  await look(desk, application.id, claim.id)
  return { candidate, id: application.id, claimId: claim.id }
}

const firstAid = async (id: string) =>
  (await desk.done('readFile', { params: { id } })).outcomes.find(({ requirement }) => requirement === 'first-aid')!

test('an interim paper names a day within two years, and no other paper does', async () => {
  const candidate = await house.candidate('Ida Interim')
  const details = aPermit(house, 'first-aid', 'aid', 'FH-90001', house.day(700))
  const { id } = await candidate.done('addClaim', { body: { details } })
  const refused = async (what: Record<string, string>) =>
    (await add(candidate, id, `${JSON.stringify(what).length}.pdf`, what)).status
  expect(await refused({ part: 'interim certificate' })).toBe(422)
  expect(await refused({ part: 'interim certificate', finalBy: house.day(-1) })).toBe(422)
  expect(await refused({ part: 'interim certificate', finalBy: house.day(731) })).toBe(422)
  expect(await refused({ part: 'certificate', finalBy: house.day(10) })).toBe(422)
  expect(await refused({ part: 'interim certificate', finalBy: house.day(730) })).toBe(200)
})

test('the gate rests on it, its candidate sees what is owed, and the final paper ends it', async () => {
  const { candidate, id, claimId } = await withReceipt('Gregor', house.day(20))
  expect(await firstAid(id)).toMatchObject({ state: 'met' })
  const { owed } = await candidate.done('readStatus', { params: { id } })
  expect(owed).toMatchObject([{ claim: claimId, finalBy: house.day(20) }])
  expect((await add(candidate, claimId, 'Final.pdf')).status).toBe(200)
  // Until somebody has looked at it, the interim one still does.
  expect((await candidate.done('readStatus', { params: { id } })).owed).toHaveLength(1)
  await look(desk, id, claimId)
  expect((await candidate.done('readStatus', { params: { id } })).owed).toEqual([])
  expect(await firstAid(id)).toMatchObject({ state: 'met' })
})

test('its candidate is reminded a week before, and told once when the day has passed: then it is open again', async () => {
  const { candidate, id, claimId } = await withReceipt('Mirco', house.day(12))
  const other = await withReceipt('Nadja', house.day(12))
  const count = (to: string, about: string) =>
    house.mailbox.mails.filter((mail) => mail.to === to && mail.subject.startsWith(about)).length
  const now = () => depsNow(house.fixed)
  expect(await remindOfFinals(await now())).toBe(0)
  await house.workOff()
  expect(count(candidate.mail, 'Still to come')).toBe(0)

  await desk.done('moveClock', { body: { days: 5 } })
  await remindOfFinals(await now())
  await remindOfFinals(await now())
  expect((await house.mailTo(candidate.mail, 'Still to come')).text).toContain('/applications/')
  await house.workOff()
  expect(count(candidate.mail, 'Still to come')).toBe(1)

  expect((await add(other.candidate, other.claimId, 'The final one.pdf')).status).toBe(200)
  await desk.done('moveClock', { body: { days: 8 } })
  await tellOfMissedFinals(await now())
  await tellOfMissedFinals(await now())
  await house.mailTo(candidate.mail, 'The final paper has not come')
  await house.workOff()
  expect(count(candidate.mail, 'The final paper has not come')).toBe(1)
  expect(count(other.candidate.mail, 'The final paper has not come')).toBe(0)
  expect(await firstAid(id)).toMatchObject({ state: 'unmet' })
  expect((await candidate.done('readStatus', { params: { id } })).toDo.map(({ target }) => target)).toContain(claimId)
  // The way out: another interim paper with a later day.
  const again = { part: 'interim certificate', finalBy: house.day(40) }
  expect((await add(candidate, claimId, 'Another.pdf', again)).status).toBe(200)
  await look(desk, id, claimId)
  expect(await firstAid(id)).toMatchObject({ state: 'met' })
})
