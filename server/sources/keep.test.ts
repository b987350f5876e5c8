import type { Visitor } from '../../test/client'
import { applied, type House, look, openHouse } from '../../test/house'

let house: House
let ines: Visitor
beforeAll(async () => {
  house = await openHouse('keep_sources')
  ines = await house.staff('coordinator')
}, 60_000)
afterAll(() => house.close())

const given = {
  name: 'Seefahrtschule Grimvik',
  aliases: ['SSG'],
  kind: 'school' as const,
  town: 'Grimvik',
  country: 'NO',
  mail: 'Office@ssg.example',
  register: null,
  answerWorkingDays: 8,
}
const enter = async (over: object = {}) => {
  const id = crypto.randomUUID()
  await ines.done('saveSource', { params: { id }, body: { version: 0, source: { ...given, ...over } } })
  return id
}
const lineOf = async (who: Visitor, id: string) => (await who.done('sourceDirectory')).find((one) => one.id === id)!

test('a desk of one checks what it has entered itself with a reason, which stays on record', async () => {
  const id = await enter()
  expect(await lineOf(ines, id)).toMatchObject({
    checkedBy: null,
    mayCheck: true,
    alone: true,
    mail: 'office@ssg.example',
  })
  const silent = await ines.call('checkSource', { params: { id }, body: { version: 1 } })
  expect(silent.body.faults?.[0]?.pointer).toBe('/body/alone')
  await ines.done('checkSource', { params: { id }, body: { version: 1, alone: 'Rang the number on their own page' } })
  expect(await lineOf(ines, id)).toMatchObject({ checkedBy: 'The coordinator', version: 2 })
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
    const own = await ines.call('checkSource', { params: { id }, body: { version: 1, alone: 'I am quite sure' } })
    expect([own.status, own.body.code]).toEqual([409, 'two-persons'])
    const check = () => admin.call('checkSource', { params: { id }, body: { version: 1 } })
    expect((await Promise.all([check(), check()])).map(({ status }) => status).sort()).toEqual([200, 409])
  })

  test('whoever entered a source checks it where two persons are not asked for, and the trail says so', async () => {
    const id = await enter({ name: 'Havnevesen Sør' })
    const decide = (version: number, twoPersons: boolean) =>
      admin.call('savePolicies', { body: { version, policies: { 'source-check': twoPersons } } })
    const { version } = await admin.done('readPolicies')
    expect(
      (await Promise.all([decide(version, false), decide(version, false)])).map(({ status }) => status).sort(),
    ).toEqual([200, 409])
    expect(await lineOf(ines, id)).toMatchObject({ mayCheck: true, alone: false })
    await ines.done('checkSource', { params: { id }, body: { version: 1 } })
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
      (await ines.done('previewEnquiry', { params: { id: degreeId }, query: { applicationId: application } })).obstacles
    expect(await obstacles()).toEqual([])
    const line = await lineOf(ines, id)
    const source = {
      ...given,
      name: line.name,
      aliases: line.aliases,
      kind: line.kind,
      mail: line.mail,
      register: line.register,
    }
    await ines.done('saveSource', {
      params: { id },
      body: { version: line.version, source: { ...source, town: 'Elsewhere' } },
    })
    expect(await obstacles()).toEqual([])
    await ines.done('saveSource', {
      params: { id },
      body: { version: line.version + 1, source: { ...source, mail: 'mallory@elsewhere.example' } },
    })
    expect(await obstacles()).toEqual(['Nobody has checked this source yet; that is done under Sources.'])
    const raised = await ines.call('raiseEnquiry', { params: { id: degreeId }, body: { applicationId: application } })
    expect([raised.status, raised.body.code]).toEqual([409, 'cannot-ask'])
    await admin.done('checkSource', { params: { id }, body: { version: line.version + 2 } })
    expect(await obstacles()).toEqual([])
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
      who.call('saveSource', { params: { id }, body: { version: 1, source: { ...given, name: 'Kai Fire', town } } })
    const both = await Promise.all([save(ines, 'A'), save(admin, 'B')])
    expect(both.map(({ status }) => status).sort()).toEqual([200, 409])
  })
})
