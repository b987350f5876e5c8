import type { Visitor } from '../../test/client'
import { aDegree, applied, type House, openHouse } from '../../test/house'
import { ProgrammeResearch } from '../records/sources/research'

let house: House
let ines: Visitor
beforeAll(async () => {
  house = await openHouse('programme_research')
  ines = await house.staff('coordinator')
}, 120_000)
afterAll(() => house.close())

const outcome = {
  ...{ level: 7, field: '0715', recognised: true, comparableTo: 'MSc in mechanical engineering' },
  ...{ why: 'Same length and content as our own', from: 2015, to: null },
}
const consulted = [{ what: 'National register of programmes', link: 'https://register.example/ropes' }]

/** Somebody who has sent an application with a study of a programme that nobody knows. */
async function named(name: [string, string], subject: string, more = {}) {
  const candidate = await house.candidate(name.join(' '))
  const file = await applied(house, candidate, name)
  const details = aDegree(house, { subject, number: `TB-2018-${1000 + subject.length}`, ...more })
  const { id: claimId } = await candidate.done('addClaim', { body: { details } })
  const study = async () =>
    (await candidate.done('readStatus', { params: { id: file.id } })).studies.find((one) => one.claim === claimId)
  return { candidate, ...file, claimId, study }
}
const rowsOf = async (subject: string, who = ines) =>
  (await who.done('listResearch', { query: {} })).rows.filter(({ programme }) => programme.title === subject)
const read = (id: string, who = ines) => who.done('readResearch', { params: { id } })
const save = async (id: string, over: object = {}, who = ines) => {
  const { version } = await read(id)
  return who.call('saveResearch', { params: { id }, body: { version, consulted, outcome, concluded: true, ...over } })
}
const second = async (id: string, over: object = {}, who = ines) => {
  const { version } = await read(id)
  return who.call('readAsSecond', { params: { id }, body: { version, agrees: true, ...over } })
}

test('a desk of one concludes alone with a reason, which stays on record', async () => {
  await named(['Solo', 'Solberg'], 'Rope Dynamics')
  const [row] = await rowsOf('Rope Dynamics')
  expect((await save(row!.id)).status).toBe(200)
  expect(await read(row!.id)).toMatchObject({ mayRead: true, alone: true })
  expect((await second(row!.id)).body.faults?.[0]?.pointer).toBe('/body/alone')
  expect((await second(row!.id, { alone: 'Nobody else works here yet' })).status).toBe(200)
  expect((await read(row!.id)).state).toBe('done')
})

describe('where there are two', () => {
  let admin: Visitor
  beforeAll(async () => {
    admin = await house.staff('administrator')
  })

  test('a new programme is one task, however many name it, also at the same moment', async () => {
    const people = await Promise.all(
      ['Ada', 'Bea', 'Cem'].map((given) =>
        named([given, 'Moment'], 'Cable Metallurgy', { number: `TB-2018-${given.length}${given.charCodeAt(0)}0` }),
      ),
    )
    const rows = await rowsOf('Cable Metallurgy')
    expect(rows).toHaveLength(1)
    expect(rows[0]).toMatchObject({ state: 'open', owner: null, source: { name: 'Technische Hochschule Tannberg' } })
    expect(rows[0]!.files.map(({ id }) => id).sort()).toEqual(people.map(({ id }) => id).sort())
    expect(rows[0]!.neededBy).toMatch(/^\d{4}-\d{2}-\d{2}$/)
    expect(await people[0]!.study()).toMatchObject({
      state: 'unknown programme',
      research: { state: 'open', outcome: null },
    })
    // What is known is no task.
    expect(await rowsOf('Electrical Engineering')).toEqual([])
  }, 60_000)

  test('it is concluded on with what was consulted, read by somebody else, and known to whoever comes next', async () => {
    const first = await named(['Nina', 'Next'], 'Lift Mechatronics')
    const id = (await rowsOf('Lift Mechatronics'))[0]!.id
    const { version } = await read(id)
    const both = await Promise.all(
      [ines, admin].map((who) => who.call('takeResearch', { params: { id }, body: { version } })),
    )
    expect(both.map(({ status }) => status).sort()).toEqual([200, 409])
    const empty = await save(id, { consulted: [], outcome: { ...outcome, why: '' } })
    expect(empty.body.faults?.map(({ pointer }) => pointer)).toEqual(['/body/consulted', '/body/outcome/why'])
    // What was found so far is kept, and nothing is concluded by it.
    expect((await save(id, { outcome: null, concluded: false })).status).toBe(200)
    expect((await second(id)).body.code).toBe('research-not-concluded')
    expect((await save(id)).status).toBe(200)
    expect(await read(id)).toMatchObject({ owner: 'The coordinator', mine: true, mayRead: false, alone: false })
    expect((await second(id)).body.code).toBe('two-persons')
    expect((await second(id, { agrees: false }, admin)).body.faults?.[0]?.pointer).toBe('/body/note')
    expect((await second(id, { agrees: false, note: 'Which register exactly?' }, admin)).status).toBe(200)
    expect(await read(id)).toMatchObject({ state: 'open', note: 'Which register exactly?' })
    expect((await save(id)).status).toBe(200)
    const version2 = (await read(id)).version
    const agreed = await Promise.all(
      [1, 2].map(() => admin.call('readAsSecond', { params: { id }, body: { version: version2, agrees: true } })),
    )
    expect(agreed.map(({ status }) => status).sort()).toEqual([200, 409])

    const { source } = await ines.done('readSource', { params: { id: house.source('tannberg').sourceId } })
    const known = source.programmes.filter(({ title }) => title === 'Lift Mechatronics')
    expect(known).toHaveLength(1)
    expect(known[0]).toMatchObject({
      level: 7,
      field: '0715',
      accreditations: [{ basis: 'assessed', from: 2015, to: null }],
    })
    // The first is told what came of it; it was found to be of another field than they wrote.
    expect(await first.study()).toMatchObject({
      research: { state: 'done', outcome: { comparableTo: outcome.comparableTo } },
    })
    const next = await named(['Otto', 'Other'], 'Lift Mechatronics', { field: '0715', number: 'TB-2018-5555' })
    expect(await next.study()).toMatchObject({ state: 'accredited', programme: 'MSc, Lift Mechatronics' })
    expect(
      await ProgrammeResearch.count({ where: { sourceId: house.source('tannberg').sourceId, programmeKey: '7 ' } }),
    ).toBe(0)
    expect(await rowsOf('Lift Mechatronics')).toEqual([])
  }, 60_000)

  test('one that is not recognised is remembered as that, and not looked into again', async () => {
    const first = await named(['Una', 'Unrecognised'], 'Astral Tramways')
    const id = (await rowsOf('Astral Tramways'))[0]!.id
    await save(id, { outcome: { ...outcome, recognised: false, comparableTo: 'A course of a few weeks' } })
    expect((await second(id, {}, admin)).status).toBe(200)
    const told = { state: 'unknown programme', research: { state: 'done', outcome: { recognised: false } } }
    expect(await first.study()).toMatchObject(told)
    const { version } = await read(id)
    const again = () => admin.call('reopenResearch', { params: { id }, body: { version } })
    const next = await named(['Udo', 'Unrecognised'], 'astral  TRAMWAYS', { number: 'TB-2018-7777' })
    expect(await next.study()).toMatchObject(told)
    expect(await rowsOf('Astral Tramways')).toEqual([])
    expect(
      (await ines.done('listResearch', { query: { state: 'done' } })).rows.map(({ programme }) => programme.title),
    ).toContain('Astral Tramways')
    // It may be recognised by now: then it is looked into once more.
    expect((await Promise.all([again(), again()])).map(({ status }) => status).sort()).toEqual([200, 409])
    expect(await read(id)).toMatchObject({ state: 'open', mine: false, outcome: { recognised: false }, readBy: null })
    expect(await next.study()).toMatchObject({ research: { state: 'open', outcome: null } })
    await save(id)
    expect((await second(id, {}, admin)).status).toBe(200)
    const reopened = await admin.call('reopenResearch', { params: { id }, body: { version: (await read(id)).version } })
    expect(reopened.body.code).toBe('research-not-concluded')
  }, 60_000)

  test('one may ask ahead of finishing, with a link in place of papers, before anything is sent', async () => {
    const candidate = await house.candidate('Ahead Early')
    const { id } = await candidate.done('beginApplication', { params: { slug: 'track-engineer' } })
    const going = {
      to: 'present' as const,
      outcome: 'in progress' as const,
      subject: 'Glacier Rail Design',
      number: '',
    }
    const { id: claimId } = await candidate.done('addClaim', { body: { details: aDegree(house, going) } })
    const ask = (one: string) => candidate.call('askAboutProgramme', { params: { id: one } })
    expect((await ask(claimId)).body.faults?.[0]?.pointer).toBe('/body/link')
    const claim = (await candidate.done('readDraft', { params: { id } })).claims.find((one) => one.id === claimId)!
    const details = { ...claim.details, link: 'https://tannberg.example/glacier-rail' } as never
    await candidate.done('changeClaim', { params: { id: claimId }, body: { version: claim.version, details } })
    expect((await Promise.all([ask(claimId), ask(claimId)])).map(({ status }) => status)).toEqual([200, 200])
    const [row] = await rowsOf('Glacier Rail Design')
    expect(row).toMatchObject({
      files: [],
      neededBy: null,
      programme: { link: 'https://tannberg.example/glacier-rail' },
    })
    const { studies } = await candidate.done('readDraft', { params: { id } })
    expect(studies[0]).toMatchObject({ research: { state: 'open' } })
    const { id: known } = await candidate.done('addClaim', { body: { details: aDegree(house) } })
    expect((await ask(known)).body.code).toBe('programme-known')
    expect(
      (await (await house.candidate('Stan Stranger')).call('askAboutProgramme', { params: { id: claimId } })).status,
    ).toBe(404)
  }, 60_000)
})
