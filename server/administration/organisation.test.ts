import sharp from 'sharp'
import { type Organisation, usualKeeping } from '#core/organisation/organisation'
import { vallorne } from '#scenario/organisation'
import { depsNow } from '#server/platform/clock'
import { queueMail } from '#server/platform/mail/queueMail'
import { ownCalendar } from '#server/readiness/workCalendar'
import type { Visitor } from '../../test/client'
import { applied, type House, openHouse, personAnswers } from '../../test/house'

let house: House
let admin: Visitor
beforeAll(async () => {
  house = await openHouse('organisation')
  admin = await house.staff('administrator')
}, 60_000)
afterAll(() => house.close())

/** Saves a change on what stands now. */
async function describeAs(change: Partial<Organisation>) {
  const { organisation, version } = await admin.done('readOrganisation')
  return admin.call('saveOrganisation', { body: { version, organisation: { ...organisation, ...change } } })
}
const faultsOf = async (change: Partial<Organisation>) =>
  ((await describeAs(change)).body.faults ?? []).map(({ pointer }) => pointer)

describe('what is said of the organisation', () => {
  test('is on the next page, in the next mail and in the next posting of everybody', async () => {
    await describeAs({
      name: 'Grimvik Ferries',
      contact: 'crew@grimvik.example',
      currency: 'NOK',
      footer: { en: 'Grimvik Ferries, Kai 4' },
      welcome: { en: 'Work on the water' },
    })
    const session = await house.visitor().done('readSession')
    expect(session.organisation).toMatchObject({
      name: 'Grimvik Ferries',
      currency: 'NOK',
      welcome: 'Work on the water',
    })
    const page = await (await house.visitor().request('/vacancies/track-engineer')).text()
    expect(page).toContain('Track engineer, Grimvik Ferries')
    expect(page).toContain('"currency":"NOK"')
    await queueMail(await depsNow(house.fixed), {
      to: { name: 'Ada', mail: 'ada@mail.test' },
      words: 'account.signedIn',
      values: { link: 'http://house.test' },
    })
    const mail = await house.mailTo('ada@mail.test')
    expect(mail.text).toMatch(/Grimvik Ferries\ncrew@grimvik\.example\n\nGrimvik Ferries, Kai 4\s*$/)
    expect(mail.headers.from).toContain('Grimvik Ferries')
    expect(mail.headers['reply-to']).toContain('crew@grimvik.example')
    await describeAs({ ...vallorne })
  })

  test('is refused field by field where it cannot hold', async () => {
    expect(await faultsOf({ name: '  ' })).toEqual(['/body/organisation/name'])
    expect(await faultsOf({ accent: '#88aabb' })).toEqual(['/body/organisation/accent'])
    expect(await faultsOf({ timeZone: 'Europe/Vallorne' })).toEqual(['/body/organisation/timeZone'])
    expect(await faultsOf({ currency: 'EUX' })).toEqual(['/body/organisation/currency'])
    expect(await faultsOf({ country: 'AT', region: 'XX' })).toEqual(['/body/organisation/region'])
    expect(await faultsOf({ closedDays: [{ day: '02-30', name: 'Never' }] })).toEqual([
      '/body/organisation/closedDays/0/day',
    ])
    const bank = { holder: 'Grimvik', iban: 'BE72000000001616', bic: '' }
    expect(await faultsOf({ bank: { ...bank, iban: 'BE72000000001617' } })).toEqual(['/body/organisation/bank/iban'])
    expect(await faultsOf({ bank: { ...bank, bic: 'ABC' } })).toEqual(['/body/organisation/bank/bic'])
    expect(await faultsOf({ bank: { ...bank, holder: ' ' } })).toEqual(['/body/organisation/bank/holder'])
    expect(await faultsOf({ keeping: { ...usualKeeping, endedDays: 0 } })).toEqual([
      '/body/organisation/keeping/endedDays',
    ])
  })

  test('is not saved over somebody else’s, also when two save at the same moment', async () => {
    const { organisation, version } = await admin.done('readOrganisation')
    const save = (phone: string) =>
      admin.call('saveOrganisation', { body: { version, organisation: { ...organisation, phone } } })
    const both = await Promise.all([save('1'), save('2')])
    expect(both.map(({ status }) => status).sort()).toEqual([200, 409])
  })

  test('each change leaves what it was and what it is in the trail', async () => {
    await describeAs({ street: 'Talstation 2' })
    const { events } = await admin.done('readTrail')
    expect(events[0]!.what).toBe('Changed of the organisation: street')
  })

  test('a reference begins as chosen, until the first is given', async () => {
    await describeAs({ referencePrefix: 'GF' })
    const { reference } = await applied(house, await house.candidate('Rolf Reference'), ['Rolf', 'Reference'])
    expect(reference).toMatch(/^GF-/)
    expect(await faultsOf({ referencePrefix: 'VM' })).toEqual(['/body/organisation/referencePrefix'])
    expect((await admin.done('find', { query: { text: reference! } })).people).toHaveLength(1)
  })
})

test('days the organisation is closed are no working days, of one year or of every year', async () => {
  await describeAs({
    closedDays: [
      { day: '12-24', name: 'Eve' },
      { day: `${house.today.year + 1}-03-03`, name: 'Move' },
    ],
  })
  const { holidays } = ownCalendar(await depsNow(house.fixed))
  const { year } = house.today
  expect([`${year}-12-24`, `${year + 1}-12-24`, `${year + 1}-03-03`].every((day) => holidays.has(day))).toBe(true)
  expect(holidays.has(`${year}-03-03`)).toBe(false)
  const { holidays: shown } = await admin.done('readOrganisation')
  expect(shown.length).toBeGreaterThan(8)
})

test('how long what is kept is as the organisation says, and candidates are told so', async () => {
  await describeAs({ keeping: { ...usualKeeping, notSentDays: 30 } })
  const writer = await house.candidate('Wim Writer')
  await writer.done('beginApplication', { params: { slug: 'track-engineer' } })
  const { kept } = await writer.done('readKeeping')
  expect(kept[0]).toMatchObject({
    rule: 'Kept for 30 days after the last change, so that you can go on.',
    until: house.today.add({ days: 30 }).toString(),
  })
})

describe('a logo', () => {
  const square = (format: 'png' | 'tiff') =>
    sharp({ create: { width: 900, height: 300, channels: 3, background: '#2c6a94' } })
      .composite([
        { input: Buffer.from('<svg width="90" height="60"><rect width="90" height="60" fill="white"/></svg>') },
      ])
      .toFormat(format)
      .toBuffer()

  test('is drawn anew no larger than it is shown, and served to everybody', async () => {
    const logo = await admin.done('saveLogo', { body: await square('png') })
    expect(logo.height).toBeLessThanOrEqual(120)
    const reply = await house.visitor().request(logo.address)
    expect([reply.status, reply.headers.get('content-type')]).toEqual([200, 'image/png'])
    expect((await sharp(Buffer.from(await reply.arrayBuffer())).metadata()).width).toBe(logo.width)
    expect((await house.visitor().done('readSession')).organisation.logo).toEqual(logo)
    const page = await (await house.visitor().request('/vacancies/track-engineer')).text()
    const posting = JSON.parse(/<script type="application\/ld\+json">(.*?)<\/script>/s.exec(page)![1]!)
    expect(posting.hiringOrganization.logo).toBe(`http://house.test${logo.address}`)
    await admin.done('removeLogo')
    expect((await house.visitor().done('readSession')).organisation.logo).toBeNull()
    expect((await house.visitor().request('/api/organisation/logo.png')).status).toBe(404)
  })

  test('that is no picture, or one of another kind, is refused', async () => {
    expect(
      (await admin.call('saveLogo', { body: Buffer.from('<svg xmlns="http://www.w3.org/2000/svg"/>') })).status,
    ).toBe(422)
    expect((await admin.call('saveLogo', { body: await square('tiff') })).status).toBe(422)
  })
})

describe('the permission that is signed', () => {
  test('is the newest version, in the reader’s language; what was signed before stays under its name', async () => {
    const before = await admin.done('readPermissionText')
    expect(before.versions.map(({ name }) => name)).toEqual(['v3'])
    expect(before.versions[0]!.signed).toBeGreaterThan(0)
    const texts = {
      en: 'I allow {{organisation}} to ask whoever issued my papers.\n\nIt ends when I say so.',
      de: 'Ich erlaube {{organisation}}, bei den Stellen zu fragen, die meine Unterlagen ausgestellt haben.',
    }
    await admin.done('savePermissionText', { body: { version: 0, texts } })
    const candidate = await house.candidate('Sina Signs')
    const { id } = await candidate.done('beginApplication', { params: { slug: 'track-engineer' } })
    await candidate.done('saveAnswers', {
      params: { id },
      body: { version: 0, changes: personAnswers('Sina', 'Signs') },
    })
    const { permissionText } = await candidate.done('readDraft', { params: { id } })
    expect(permissionText).toBe(
      'I allow Vallorne Mountain Lines to ask whoever issued my papers.\n\nIt ends when I say so.',
    )
    const body = { fullName: 'Sina Signs', password: 'a-long-enough-secret', agreed: true }
    await candidate.done('signPermission', { params: { id }, body })
    const after = await admin.done('readPermissionText')
    expect(after.versions.map(({ name, signed }) => [name, signed])).toEqual([
      ['v4', 1],
      ['v3', before.versions[0]!.signed],
    ])
  })

  test('has to say who is given it', async () => {
    const { version, texts } = await admin.done('readPermissionText')
    const refused = await admin.call('savePermissionText', {
      body: { version, texts: { ...texts, de: 'Ich erlaube, dass alle gefragt werden, die etwas wissen.' } },
    })
    expect(refused.body.faults!.map(({ pointer }) => pointer)).toEqual(['/body/texts/de'])
  })
})
