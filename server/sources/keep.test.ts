import type { SourceGiven } from '#contract/sources'
import { usualPolicies } from '#core/rights/policies'
import type { Visitor } from '../../test/client'
import { applied, type House, look, openHouse } from '../../test/house'
import { aContact, aSource } from '../../test/source'

let house: House
let ines: Visitor
beforeAll(async () => {
  house = await openHouse('keep_sources')
  ines = await house.staff('coordinator')
}, 60_000)
afterAll(() => house.close())

const enter = async (over: Partial<SourceGiven> = {}) => {
  const id = crypto.randomUUID()
  const contacts = over.contacts ?? [aContact({ id, mail: 'Office@ssg.example' })]
  await ines.done('saveSource', { params: { id }, body: { version: 0, source: aSource({ ...over, contacts }) } })
  return id
}
const read = (who: Visitor, id: string) => who.done('readSource', { params: { id } })
const lineOf = async (who: Visitor, id: string) => {
  const { contacts, ...one } = await read(who, id)
  return { ...one, mail: contacts[0]?.mail, checked: contacts[0]?.checked }
}
/** Every contact of a source that nobody has made sure of is made sure of. */
const check = async (who: Visitor, id: string, more: { alone?: string; note?: string } = {}) => {
  const { version, contacts } = await read(ines, id)
  const how = Object.fromEntries(contacts.flatMap((one) => (one.checked ? [] : [[one.id, 'own website' as const]])))
  return who.call('checkSource', { params: { id }, body: { version, how, ...more } })
}

test('a desk of one checks what it has entered itself with a reason, which stays on record', async () => {
  const id = await enter()
  expect(await lineOf(ines, id)).toMatchObject({
    checkedBy: null,
    mayCheck: true,
    alone: true,
    mail: 'office@ssg.example',
  })
  expect((await check(ines, id)).body.faults?.[0]?.pointer).toBe('/body/alone')
  const unsaid = { version: 1, alone: 'Rang the number on their own page' }
  const silent = await ines.call('checkSource', { params: { id }, body: unsaid })
  expect(silent.body.faults?.[0]?.pointer).toBe(`/body/how/${id}`)
  expect((await check(ines, id, { alone: 'Rang the number on their own page' })).status).toBe(200)
  expect(await lineOf(ines, id)).toMatchObject({
    ...{ state: 'checked', checkedBy: 'The coordinator', version: 2 },
    checked: { how: 'own website', by: 'The coordinator' },
  })
  const { events } = await ines.done('readTrail')
  expect(events[0]!.what).toBe('Checked the source Seefahrtschule Grimvik alone: Rang the number on their own page')
})

describe('where there are two', () => {
  let admin: Visitor
  beforeAll(async () => {
    admin = await house.staff('administrator')
  })

  test('whoever entered a source cannot check it; the other can, once, also at the same moment', async () => {
    const id = await enter({ name: 'Havnevesen Nord' })
    expect(await lineOf(ines, id)).toMatchObject({ mayCheck: false })
    const own = await check(ines, id, { alone: 'I am quite sure' })
    expect([own.status, own.body.code]).toEqual([409, 'two-persons'])
    const both = await Promise.all([check(admin, id), check(admin, id)])
    expect(both.map(({ status }) => status).sort()).toEqual([200, 409])
  })

  test('whoever entered a source checks it where two persons are not asked for, and the trail says so', async () => {
    const id = await enter({ name: 'Havnevesen Sør' })
    const decide = (version: number, twoPersons: boolean) =>
      admin.call('savePolicies', {
        body: { version, policies: { ...usualPolicies, 'source-check': twoPersons } },
      })
    const { version } = await admin.done('readPolicies')
    expect(
      (await Promise.all([decide(version, false), decide(version, false)])).map(({ status }) => status).sort(),
    ).toEqual([200, 409])
    expect(await lineOf(ines, id)).toMatchObject({ mayCheck: true, alone: false })
    expect((await check(ines, id)).status).toBe(200)
    await decide(version + 1, true)
    expect(await lineOf(ines, await enter({ name: 'Havnevesen Vest' }))).toMatchObject({ mayCheck: false })
    const { events } = await ines.done('readTrail')
    const said = events.map(({ what }) => what)
    expect(said).toContain(
      'Checked the source Havnevesen Sør, which they had entered themselves; two persons are not asked for',
    )
    expect(said).toContain(
      'From now on one person is enough for this: A source is checked by somebody other than who entered it',
    )
  })

  test('nobody is asked at a source that nobody has checked, or at an address that was changed since', async () => {
    const { id: application, degreeId } = await applied(house, await house.candidate('Sven Source'), ['Sven', 'Source'])
    await look(ines, application, degreeId)
    const { sourceId: id } = house.source('tannberg')
    const obstacles = async () =>
      (await ines.done('previewEnquiry', { params: { id: degreeId }, query: { applicationId: application } })).lacks
    expect(await obstacles()).toEqual([])
    const { version, source } = await read(ines, id)
    const save = (at: number, over: Partial<SourceGiven>) =>
      ines.done('saveSource', { params: { id }, body: { version: at, source: { ...source, ...over } } })
    await save(version, { town: 'Elsewhere' })
    expect(await obstacles()).toEqual([])
    const moved = source.contacts.map((contact) => ({ ...contact, mail: 'mallory@elsewhere.example' }))
    await save(version + 1, { contacts: moved })
    expect(await obstacles()).toEqual([
      'The contact that would be asked has not been checked yet; that is done under Sources.',
    ])
    const raised = await ines.call('raiseEnquiry', { params: { id: degreeId }, body: { applicationId: application } })
    // It waits until a second person has made sure of the address.
    expect([raised.status, raised.body.state]).toEqual([200, 'prepared'])
    // Somebody else's change after it does not make it theirs to check.
    await admin.done('saveSource', {
      params: { id },
      body: { version: version + 2, source: { ...source, contacts: moved, notes: 'Seen' } },
    })
    expect((await check(ines, id)).body.code).toBe('two-persons')
    expect((await check(admin, id)).status).toBe(200)
    expect(await obstacles()).toEqual([])
    const { history } = await read(ines, id)
    expect(history.slice(0, 3).map(({ by, changed }) => [by, changed])).toEqual([
      ['The administrator', ['contacts']],
      ['The administrator', ['notes']],
      ['The coordinator', ['contacts', 'town']],
    ])
  })

  test('one that is retired is offered to no candidate and asked by nobody, until it is taken up again', async () => {
    const id = await enter({ name: 'Fjordakademi' })
    const candidate = await house.candidate('Cleo Choice')
    const offered = async () => (await candidate.done('findSources', { query: { text: 'Fjordakademi' } })).length
    expect(await offered()).toBe(1)
    await ines.done('retireSource', { params: { id }, body: { version: 1, retired: true } })
    expect(await offered()).toBe(0)
    await ines.done('retireSource', { params: { id }, body: { version: 2, retired: false } })
    expect(await offered()).toBe(1)
  })

  test('is not changed over somebody else’s change', async () => {
    const id = await enter({ name: 'Kai Fire' })
    const save = (who: Visitor, town: string) =>
      who.call('saveSource', { params: { id }, body: { version: 1, source: aSource({ name: 'Kai Fire', town }) } })
    const both = await Promise.all([save(ines, 'A'), save(admin, 'B')])
    expect(both.map(({ status }) => status).sort()).toEqual([200, 409])
  })
})
