import { writeZone } from '#core/identity/machineZone'
import { applied, claimOf, type House, openHouse } from '../../../test/house'
import { Document } from '../../records/documents/model'

let house: House
beforeAll(async () => {
  house = await openHouse('identity')
}, 60_000)
afterAll(() => house.close())

const anIdentity = (paper: 'passport' | 'identity card' | 'two others') => ({
  kind: 'identity' as const,
  sourceId: null,
  sourceName: '',
  paper,
  number: '',
  issuer: '',
  familyName: '',
  givenNames: '',
  born: '' as const,
  through: '' as const,
  zone: '',
})

const zone = writeZone('TD1', {
  familyName: 'Halde',
  givenNames: 'Runa Maria',
  number: 'C70318824',
  issuer: 'AUT',
  nationality: 'AUT',
  born: '1991-02-03',
  through: '2031-02-11',
  sex: 'female',
})

const lay = (address: string, lying: Record<string, string>) =>
  fetch(address, { method: 'POST', body: new URLSearchParams(lying) })

test('a card is captured with both sides, and what its zone says is offered', async () => {
  const candidate = await house.candidate('Runa Halde')
  const claim = await candidate.done('addClaim', { body: { details: anIdentity('identity card') } })
  const begun = await candidate.done('beginCapture', { params: { id: claim.id }, body: { what: 'paper' } })
  expect(begun).toMatchObject({ state: 'waiting', offered: null })
  const take = () => candidate.done('takeCapture', { params: { id: begun.id } })
  expect((await take()).state).toBe('waiting')
  await lay(begun.address, { lines: zone, light: 'good' })
  const read = await take()
  expect(read).toMatchObject({
    state: 'read',
    offered: {
      paper: 'identity card',
      familyName: 'HALDE',
      givenNames: 'RUNA MARIA',
      number: 'C70318824',
      issuer: 'AUT',
      born: '1991-02-03',
      through: '2031-02-11',
    },
  })
  expect(await take()).toEqual(read)
  const changed = await candidate.done('changeClaim', {
    params: { id: claim.id },
    body: { version: claim.version, details: { ...anIdentity('identity card'), ...read.offered! } },
  })
  expect(changed.label).toBe('Identity card')
  expect(changed.documents.map(({ part, mediaType }) => [part, mediaType])).toEqual([
    ['front', 'image/jpeg'],
    ['back', 'image/jpeg'],
  ])
})

test('what the light spoils is said, keeps nothing, and can be tried again', async () => {
  const candidate = await house.candidate('Glare Light')
  const claim = await candidate.done('addClaim', { body: { details: anIdentity('passport') } })
  const capture = async (lying: Record<string, string>) => {
    const { id, address } = await candidate.done('beginCapture', { params: { id: claim.id }, body: { what: 'paper' } })
    await lay(address, lying)
    return candidate.done('takeCapture', { params: { id } })
  }
  expect(await capture({ lines: zone, light: 'glare' })).toMatchObject({ state: 'unclear', offered: null })
  expect((await capture({ lines: 'P<UTO', light: 'good' })).why).toMatch(/not whole/)
  expect((await capture({ lines: '', light: 'good' })).why).toMatch(/No machine-readable lines/)
  expect((await capture({ light: 'good' })).offered).toMatchObject({ paper: 'passport', familyName: 'VANDERMEER' })
})

test('what the camera took for something else comes with what it read, and a visa is refused with a sentence', async () => {
  const candidate = await house.candidate('Mended Lines')
  const claim = await candidate.done('addClaim', { body: { details: anIdentity('identity card') } })
  const capture = async (lines: string) => {
    const { id, address } = await candidate.done('beginCapture', { params: { id: claim.id }, body: { what: 'paper' } })
    await lay(address, { lines, light: 'good' })
    return candidate.done('takeCapture', { params: { id } })
  }
  expect(await capture(zone.replace('910203', '91O2O3'))).toMatchObject({
    state: 'read',
    offered: { born: '1991-02-03' },
    mended: [{ field: 'born', read: '91O2O3', as: '910203' }],
  })
  const visa = 'V<UTOERIKSSON<<ANNA<MARIA<<<<<<<<<<<<<<<<<<<\nL8988901C4XXX4009078F96121096ZE184226B<<<<<<'
  expect(await capture(visa)).toMatchObject({ state: 'unclear', offered: null, why: expect.stringMatching(/visa/) })
})

test('only the person it is about captures, and papers without a zone are added as documents', async () => {
  const candidate = await house.candidate('Two Others')
  const claim = await candidate.done('addClaim', { body: { details: anIdentity('two others') } })
  expect((await candidate.call('beginCapture', { params: { id: claim.id }, body: { what: 'paper' } })).body.code).toBe(
    'nothing-to-read',
  )
  const own = await candidate.done('addClaim', { body: { details: anIdentity('passport') } })
  const { id } = await candidate.done('beginCapture', { params: { id: own.id }, body: { what: 'paper' } })
  const other = await house.candidate('Some Body')
  expect((await other.call('takeCapture', { params: { id } })).status).toBe(404)
  expect((await other.call('beginCapture', { params: { id: own.id }, body: { what: 'portrait' } })).status).toBe(404)
})

test('a capture taken twice at once keeps its pictures once', async () => {
  const candidate = await house.candidate('Taken Twice')
  const claim = await candidate.done('addClaim', { body: { details: anIdentity('identity card') } })
  const { id, address } = await candidate.done('beginCapture', { params: { id: claim.id }, body: { what: 'paper' } })
  await lay(address, { lines: zone, light: 'good' })
  const taken = await Promise.all([1, 2, 3].map(() => candidate.done('takeCapture', { params: { id } })))
  expect(taken.map(({ state, offered }) => [state, offered?.number])).toEqual(Array(3).fill(['read', 'C70318824']))
  expect(await Document.count({ where: { claimId: claim.id } })).toBe(2)
})

test('the desk sees how the claim stands against its lines: what was mended, and what was typed otherwise', async () => {
  const candidate = await house.candidate('Seen Lines')
  const { id } = await applied(house, candidate, ['Seen', 'Lines'])
  const desk = await house.staff('coordinator')
  const details = {
    ...anIdentity('identity card'),
    familyName: 'Halde',
    givenNames: 'Runa Maria',
    number: 'C70318824',
    issuer: 'AUT',
    born: '1991-02-03',
    through: '2036-02-11',
    zone: zone.replace('910203', '91O2O3'),
  }
  const claim = await candidate.done('addClaim', { body: { details } })
  const zoneNow = async () => (await claimOf(desk, id, claim.id)).proof.zone
  const against = { readable: true, wrong: [], differs: ['through'] }
  // The number is hidden from the role, and so are characters that would tell it.
  expect(await zoneNow()).toEqual({ ...against, mended: [{ field: 'born', read: '', as: '' }] })
  const { hidden } = await desk.done('readFile', { params: { id } })
  const subject = hidden.find(({ label }) => /identity number/.test(label))!.subject
  await desk.done('reveal', { params: { id }, body: { subject, reason: 'To compare it with the paper' } })
  expect(await zoneNow()).toEqual({ ...against, mended: [{ field: 'born', read: '91O2O3', as: '910203' }] })
})

describe('a live portrait', () => {
  /** A passport that was captured, in an application that was sent, and the portrait beside it. */
  async function withPortrait(given: string, face: string) {
    const candidate = await house.candidate(`${given} Holder`)
    const { id } = await applied(house, candidate, [given, 'Holder'])
    const claim = await candidate.done('addClaim', { body: { details: anIdentity('passport') } })
    const capture = async (what: 'paper' | 'portrait', lying: Record<string, string>) => {
      const begun = await candidate.done('beginCapture', { params: { id: claim.id }, body: { what } })
      await lay(begun.address, lying)
      return candidate.done('takeCapture', { params: { id: begun.id } })
    }
    await capture('paper', { light: 'good' })
    const taken = await capture('portrait', { face })
    const portraits = () => Document.findAll({ where: { claimId: claim.id, live: true }, order: ['uploadedAt'] })
    return { candidate, id, claim, capture, taken, portraits }
  }

  test('is compared by the device with the captured paper, and decided by a person, who can take it back', async () => {
    const { taken, portraits, id, claim } = await withPortrait('Sam', 'same')
    expect(taken).toMatchObject({ state: 'read', offered: null })
    const [portrait] = await portraits()
    expect(portrait).toMatchObject({ part: 'portrait', likeness: 94, holder: null, state: 'to look at' })
    const desk = await house.staff('coordinator')
    const params = { id: portrait!.id }
    const say = (holder: 'same' | 'other', note = '') =>
      desk.call('comparePortrait', { params, body: { version: portrait!.version, holder, note } })
    expect((await say('other')).status).toBe(422)
    // Two at once: one of them is told.
    const both = await Promise.all([say('same'), say('other', 'The chin is another one')])
    expect(both.map(({ status }) => status).sort()).toEqual([200, 409])
    await desk.done('unseeDocument', { params })
    await portrait!.reload()
    expect(portrait).toMatchObject({ state: 'to look at', holder: null })
    expect((await say('same')).status).toBe(200)
    expect(await portrait!.reload()).toMatchObject({ state: 'seen', holder: 'same' })
    expect((await claimOf(desk, id, claim.id)).rung).toBe('claimed')
  })

  test('that is taken again replaces the one before; without a picture of the paper the device compares nothing', async () => {
    const { capture, portraits, candidate } = await withPortrait('Ada', 'dim')
    await capture('portrait', { face: 'same' })
    expect((await portraits()).map(({ state, likeness }) => [state, likeness])).toEqual([
      ['replaced', 61],
      ['to look at', 94],
    ])
    const bare = await candidate.done('addClaim', { body: { details: anIdentity('identity card') } })
    const begun = await candidate.done('beginCapture', { params: { id: bare.id }, body: { what: 'portrait' } })
    await lay(begun.address, { face: 'other' })
    await candidate.done('takeCapture', { params: { id: begun.id } })
    expect(await Document.findOne({ where: { claimId: bare.id } })).toMatchObject({ live: true, likeness: null })
  })

  test('is opened by nobody else, and an ordinary picture is no portrait', async () => {
    const { claim, candidate, portraits } = await withPortrait('Eve', 'other')
    expect((await portraits())[0]).toMatchObject({ likeness: 12 })
    const { id } = (await Document.findOne({ where: { claimId: claim.id, live: false } }))!
    const desk = await house.staff('coordinator')
    const body = { version: 0, holder: 'same' as const, note: '' }
    expect((await desk.call('comparePortrait', { params: { id }, body })).status).toBe(404)
    expect((await candidate.call('comparePortrait', { params: { id }, body })).status).toBe(403)
  })
})
