import type { SourceGiven } from '#contract/sources'
import type { Visitor } from '../../test/client'
import { aDegree, applied, type House, look, openHouse } from '../../test/house'
import { aContact, aSource } from '../../test/source'
import { Claim } from '../records/claims/model'
import { Enquiry } from '../records/enquiries/model'
import { ProgrammeResearch } from '../records/sources/research'

let house: House
let ines: Visitor
let admin: Visitor
beforeAll(async () => {
  house = await openHouse('source_directory')
  ines = await house.staff('coordinator')
  admin = await house.staff('administrator')
}, 60_000)
afterAll(() => house.close())

const enter = async (over: Partial<SourceGiven> = {}, who = ines) => {
  const id = crypto.randomUUID()
  await who.done('saveSource', { params: { id }, body: { version: 0, source: aSource(over) } })
  return id
}
const read = (id: string) => ines.done('readSource', { params: { id } })
const find = async (text: string, more: { kind?: string; country?: string } = {}) =>
  (await ines.done('findSources', { query: { text, ...more } })).map(({ name }) => name)

describe('the search', () => {
  test.each([
    ['tannberg', 'Technische Hochschule Tannberg'],
    ['TH Tanberg', 'Technische Hochschule Tannberg'],
    ['Höhere Technische Lehranstalt', 'Technische Hochschule Tannberg'],
    ['AGSB', 'Alpine Grid Safety Board'],
    ['Karstiv Railway', 'Карстівський університет залізничного транспорту'],
    ['Politechniki Scholi', 'Πολυτεχνική Σχολή Θαλάσσης'],
    ['zicnice', 'Žičnice Moravnik'],
    ['Bergakadmie Kestrin', 'Bergakademie Kestrin'],
    ['mra', 'Mountain Railways Authority'],
  ])('finds by “%s” %s', async (text, name) => {
    expect((await find(text))[0]).toBe(name)
  })

  test('keeps to the kinds and the country that were asked for', async () => {
    expect(await find('arlac', { kind: 'university' })).toEqual(['Université d’Arlac'])
    expect(await find('arlac', { kind: 'employer' })).toEqual(['Remontées mécaniques du Val d’Arlac'])
    expect(await find('arlac', { country: 'AT' })).toEqual([])
  })

  test('is by the names a source has now', async () => {
    const id = await enter({ name: 'Gletscherschule Irren', contacts: [] })
    expect(await find('gletscherschule')).toEqual(['Gletscherschule Irren'])
    await ines.done('saveSource', {
      params: { id },
      body: { version: 1, source: aSource({ name: 'Firnschule Irren' }) },
    })
    expect(await find('gletscherschule')).toEqual([])
    expect(await find('firnschule')).toEqual(['Firnschule Irren'])
  })

  test('the directory goes page by page, and by state', async () => {
    const all = await ines.done('sourceDirectory', { query: {} })
    expect(all.rows.length).toBeGreaterThan(40)
    const swiss = await ines.done('sourceDirectory', { query: { country: 'CH' } })
    expect(swiss.rows.map(({ name }) => name)).toEqual([
      'Eidgenössisches Amt für Seilanlagen',
      'Haute école de Valsanta',
      'Valsanta Bergbahnen',
    ])
    const [hit] = (await ines.done('sourceDirectory', { query: { text: 'TUO' } })).rows
    expect(hit).toMatchObject({
      name: 'Technische Universität Oberwald',
      why: { by: 'short', how: 'same', name: 'TUO' },
    })
    const id = await enter({ name: 'Unseen so far' })
    const unseen = await ines.done('sourceDirectory', { query: { state: 'to check' } })
    expect(unseen.rows.map((row) => row.id)).toContain(id)
    expect(unseen.waiting.toCheck).toBe(unseen.rows.length)
  })
})

test('what cannot hold is said at its field, and nothing is written', async () => {
  const id = crypto.randomUUID()
  const source = aSource({
    contacts: [aContact({ mail: '' })],
    numberFormats: [{ claim: 'study', pattern: '##', example: 'A1' }],
  })
  const { status, body } = await ines.call('saveSource', { params: { id }, body: { version: 0, source } })
  expect([status, body.faults]).toEqual([
    422,
    [
      {
        pointer: '/body/source/contacts/0/mail',
        message: 'Give a mail address, a telephone number or a postal address.',
      },
      { pointer: '/body/source/numberFormats/0/example', message: 'The example does not fit the pattern.' },
    ],
  ])
  expect((await ines.call('readSource', { params: { id } })).status).toBe(404)
})

describe('merging', () => {
  const twins = async (name: string) => {
    const other = `${name.replace('ö', 'oe')}`
    const [kept, gone] = [
      await enter({ name }),
      await enter({ name: other, answerWorkingDays: 3, notes: 'Rings back' }),
    ]
    return { kept, gone }
  }
  const merge = (who: Visitor, kept: string, gone: string, over: object = {}) =>
    who.call('mergeSources', {
      params: { id: kept },
      body: { goneId: gone, version: 1, goneVersion: 1, take: [], ...over },
    })

  test('two that go by one name are shown together, with what would be lost; one goes, and comes back', async () => {
    const { kept, gone } = await twins('Skischule Hörnle')
    const [twin] = (await read(kept)).twins
    expect(twin).toMatchObject({
      id: gone,
      lost: ['answerWorkingDays'],
      reasons: [{ code: 'name' }, { code: 'domain' }],
    })
    const candidate = await house.candidate('Merle Merge')
    const { id: application, degreeId } = await applied(house, candidate, ['Merle', 'Merge'])
    await candidate.done('addClaim', {
      body: { details: aDegree(house, { sourceId: gone, sourceName: 'Skischule Hoernle', number: 'X-1' }) },
    })
    const { data: claims } = { data: await Claim.findAll({ where: { sourceId: gone } }) }
    const merged = await merge(ines, kept, gone, { take: ['answerWorkingDays'] })
    expect(merged.status).toBe(200)
    expect(await read(kept)).toMatchObject({
      ...{ claims: 1, twins: [], source: { answerWorkingDays: 3, notes: 'Rings back' } },
      merges: [{ name: 'Skischule Hoernle', claims: 1 }],
    })
    expect((await read(gone)).mergedInto).toMatchObject({ id: kept })
    expect(await find('skischule hoernle')).toEqual(['Skischule Hörnle'])
    const [claim] = await Claim.findAll({ where: { id: claims[0]!.id } })
    expect([claim!.sourceId, claim!.details.sourceId]).toEqual([kept, kept])
    // A form that was open meanwhile names the one that went, and gets the one that stays.
    const changed = await candidate.done('changeClaim', {
      params: { id: claim!.id },
      body: {
        version: claim!.version,
        details: aDegree(house, { sourceId: gone, sourceName: 'Skischule Hoernle', number: 'X-2' }),
      },
    })
    expect(changed.details).toMatchObject({ sourceId: kept, sourceName: 'Skischule Hörnle' })

    await ines.done('undoSourceMerge', { params: { id: merged.body.id } })
    expect((await read(kept)).source).toMatchObject({ answerWorkingDays: 8, notes: '', names: [] })
    expect((await read(gone)).state).toBe('to check')
    expect((await Claim.findByPk(claim!.id))!.sourceId).toBe(gone)
    expect((await ines.call('undoSourceMerge', { params: { id: merged.body.id } })).body.code).toBe('undone')
    expect(await Claim.count({ where: { id: degreeId, sourceId: house.source('tannberg').sourceId } })).toBe(1)
    expect((await ines.done('readFile', { params: { id: application } })).claims.length).toBeGreaterThan(2)
  })

  test('records of awards and research follow; of a number that both have, the one that stays has its own', async () => {
    const { kept, gone } = await twins('Bergschule Gröden')
    const list = (id: string, rows: string[]) =>
      ines.done('importAwards', { params: { id }, body: Buffer.from(['number;name;award', ...rows].join('\n')) })
    const held = async (id: string) =>
      (await ines.done('readAwards', { params: { id }, query: {} })).rows.map(({ name }) => name).sort()
    await list(kept, ['G-1;Ada Kept;BSc'])
    await list(gone, ['g 1;Ada Gone;BSc', 'G-2;Bea Gone;BSc'])
    const research = { state: 'open' as const, consulted: [], openedAt: new Date(), version: 0 }
    const programme = { title: 'Ropes', award: 'BSc', level: 6, field: '0715', language: '', link: '' }
    const id = crypto.randomUUID()
    await ProgrammeResearch.create({ ...research, id, sourceId: gone, programmeKey: '6 rops', programme })
    const merged = await merge(ines, kept, gone)
    expect(merged.status).toBe(200)
    expect(await held(kept)).toEqual(['Ada Kept', 'Bea Gone'])
    expect((await ProgrammeResearch.findByPk(id))!.sourceId).toBe(kept)
    await ines.done('undoSourceMerge', { params: { id: merged.body.id } })
    expect([await held(kept), await held(gone)]).toEqual([['Ada Kept'], ['Ada Gone', 'Bea Gone']])
    expect((await ProgrammeResearch.findByPk(id))!.sourceId).toBe(gone)
  })

  test('an enquiry under way follows, and is answered', async () => {
    const { id: application, degreeId } = await applied(house, await house.candidate('Enno Follow'), ['Enno', 'Follow'])
    await look(ines, application, degreeId)
    const { id: enquiry } = await ines.done('raiseEnquiry', {
      params: { id: degreeId },
      body: { applicationId: application },
    })
    const { sourceId: gone } = house.source('tannberg')
    const kept = await enter({ name: 'Tannberg, the other entry', contacts: [] })
    const { body } = await merge(ines, kept, gone, { goneVersion: (await read(gone)).version })
    expect((await Enquiry.findByPk(enquiry))!.sourceId).toBe(kept)
    const proof = await ines.done('readProof', { params: { id: application, claimId: degreeId } })
    expect(proof.enquiries[0]!.source).toBe('Tannberg, the other entry')
    await admin.done('undoSourceMerge', { params: { id: body.id } })
    expect((await Enquiry.findByPk(enquiry))!.sourceId).toBe(gone)
  })

  test('of two who merge at once one does; both ways at once one goes', async () => {
    const { kept, gone } = await twins('Bootsverleih Kölk')
    const both = await Promise.all([merge(ines, kept, gone), merge(admin, gone, kept)])
    expect(both.map(({ status }) => status).sort()).toEqual([200, 409])
    const { id } = both.find(({ status }) => status === 200)!.body
    const undone = await Promise.all([ines, admin].map((who) => who.call('undoSourceMerge', { params: { id } })))
    expect(undone.map(({ status }) => status).sort()).toEqual([200, 409])
  })

  test('a claim that names the source that goes at that very moment is not left behind', async () => {
    const { kept, gone } = await twins('Fährbetrieb Gösch')
    const candidates = await Promise.all(['Ada', 'Bea', 'Cem'].map((name) => house.candidate(`${name} Moment`)))
    const details = aDegree(house, { sourceId: gone, sourceName: 'Faehrbetrieb Goesch', number: 'G-1' })
    const [merged, ...added] = await Promise.all([
      merge(ines, kept, gone),
      ...candidates.map((candidate) => candidate.call('addClaim', { body: { details } })),
    ])
    expect([merged!.status, ...added.map(({ status }) => status)]).toEqual([200, 200, 200, 200])
    expect(await Claim.count({ where: { sourceId: gone } })).toBe(0)
    expect(await Claim.count({ where: { sourceId: kept } })).toBe(3)
  })

  test('a source is not merged into itself, nor one that has gone; what was set apart stays apart', async () => {
    const { kept, gone } = await twins('Kanuclub Öhlen')
    expect((await merge(ines, kept, kept)).body.code).toBe('itself')
    await ines.done('setSourcesApart', { params: { id: kept }, body: { otherId: gone } })
    expect((await read(kept)).twins).toEqual([])
    const { source } = await read(kept)
    await ines.done('saveSource', { params: { id: kept }, body: { version: 1, source: { ...source, notes: 'Again' } } })
    expect((await read(kept)).twins).toEqual([])
    expect((await ines.call('setSourcesApart', { params: { id: gone }, body: { otherId: kept } })).status).toBe(409)
    expect((await merge(ines, kept, gone, { version: 2 })).status).toBe(200)
    const changed = await ines.call('saveSource', { params: { id: gone }, body: { version: 2, source } })
    expect(changed.body.code).toBe('merged')
    expect((await merge(ines, kept, gone, { version: 3, goneVersion: 2 })).body.code).toBe('merged')
  })
})

describe('a file of sources', () => {
  const load = (text: string, dry: 'yes' | 'no', fileName = 'x.csv') =>
    ines.done('importSources', { query: { fileName, dry }, body: Buffer.from(text) })

  test('what is saved as JSON or as a table reads back as the same', async () => {
    const json = await (await ines.request('/api/desk/source-exports?format=json')).text()
    const back = await load(json, 'yes', 'x.json')
    expect(new Set(back.rows.map(({ becomes }) => becomes))).toEqual(new Set(['same']))
    expect(back.rows.length).toBeGreaterThan(40)
    const csv = await (await ines.request('/api/desk/source-exports?format=csv')).text()
    const faulty = (await load(csv, 'yes')).rows.filter(({ becomes }) => becomes !== 'same')
    expect(faulty).toEqual([])
  })

  test('new, changed and faulty rows are told dry; the good ones go in once, also twice at the same moment', async () => {
    const csv = [
      'name,kind,country,town,mail,phone,other names,answer working days',
      'Import Akademie,school,AT,Imst,office@import.example,+43 1 234,Imp Ak; IA,12',
      'Berufsschule Steinach,school,AT,Steinach am Berg,,,,',
      'Nowhere,castle,AT,,x@y.example,,,',
      'Berufschule Steinach,school,AT,,,,,',
    ].join('\n')
    const dry = await load(csv, 'yes')
    expect(dry.written).toBe(0)
    expect(dry.rows.map(({ row, becomes }) => [row, becomes])).toEqual([
      [2, 'new'],
      [3, 'changed'],
      [4, 'faulty'],
      [5, 'new'],
    ])
    expect(dry.rows[2]!.message).toMatch(/^\/source\/kind|kind/)
    expect(dry.rows[3]!.twin).toBe('Berufsschule Steinach')
    expect(await find('Import Akademie')).toEqual([])
    const line = csv.split('\n').slice(0, 2).join('\n')
    const both = await Promise.all(
      [1, 2].map(() =>
        ines.call('importSources', { query: { fileName: 'x.csv', dry: 'no' }, body: Buffer.from(line) }),
      ),
    )
    expect(both.map(({ status }) => status)).toContain(200)
    expect(await find('Import Akademie')).toEqual(['Import Akademie'])
    const [row] = (await ines.done('sourceDirectory', { query: { text: 'Import Akademie' } })).rows
    expect(row).toMatchObject({ state: 'to check', mail: 'office@import.example', aliases: ['Imp Ak', 'IA'] })
    expect((await load(line, 'no')).rows[0]!.becomes).toBe('same')
    expect((await load(line.replace('Imst', 'Telfs'), 'no')).written).toBe(1)
    expect((await read(row!.id)).source).toMatchObject({ town: 'Telfs', answerWorkingDays: 12 })
  })

  test('a table as a spreadsheet saves it is read: semicolons, another encoding, a marked telephone number', async () => {
    const csv = "Name;Kind;Country;Town;Mail;Phone\nHöhenschule Zürs;school;AT;Zürs;z@zuers.example;'+43 5583 1\n"
    const { rows } = await ines.done('importSources', {
      query: { fileName: 'x.csv', dry: 'no' },
      body: Buffer.from(csv, 'latin1'),
    })
    expect(rows[0]).toMatchObject({ name: 'Höhenschule Zürs', becomes: 'new', message: '' })
    const [found] = (await ines.done('sourceDirectory', { query: { text: 'Hoehenschule' } })).rows
    expect((await read(found!.id)).contacts[0]).toMatchObject({ mail: 'z@zuers.example', phone: '+43 5583 1' })
  })

  test.each(['', 'no columns at all', '{"a": 1}', '[', '"open'])('%j is refused in words', async (text) => {
    const { status, body } = await ines.call('importSources', {
      query: { fileName: 'x', dry: 'yes' },
      body: Buffer.from(text),
    })
    expect([status, body.code]).toEqual([409, 'unreadable-file'])
  })
})

test('a register that comes with a merge from somebody unchecked is looked at by a second person first', async () => {
  const kept = await enter({ name: 'Ohne Register', kind: 'employer', contacts: [] })
  const gone = await enter({ name: 'Mit Register', kind: 'employer', contacts: [], register: 'elsewhere' })
  await ines.done('saveSource', {
    params: { id: kept },
    body: { version: 1, source: aSource({ name: 'Ohne Register', kind: 'employer', register: null }) },
  })
  const { version, contacts } = await read(kept)
  const how = Object.fromEntries(contacts.map(({ id }) => [id, 'letter' as const]))
  await admin.done('checkSource', { params: { id: kept }, body: { version, how } })
  await ines.done('mergeSources', {
    params: { id: kept },
    body: { goneId: gone, version: version + 1, goneVersion: 1, take: [] },
  })
  expect(await read(kept)).toMatchObject({
    ...{ state: 'to check', checkedBy: null, mayCheck: false, source: { register: 'elsewhere' } },
  })
})

test('what is searched for among possible doubles is one; as many are counted as are listed', async () => {
  await enter({ name: 'Zwillingsschule Au', contacts: [] })
  await enter({ name: 'Zwillings-Schule Au', contacts: [] })
  await enter({ name: 'Zwillingsschul Au', contacts: [] })
  const only = (await ines.done('sourceDirectory', { query: { state: 'double' } })).rows
  const { waiting, rows } = await ines.done('sourceDirectory', { query: { state: 'double', text: 'tannberg' } })
  expect(rows).toEqual([])
  expect(waiting.doubles).toBe(only.length)
  expect(only.length).toBeGreaterThan(1)
})

test('an identifier that is none is a row without one, and a row that is changed meanwhile leaves the others', async () => {
  const source = (id: string, name: string) => ({ id, ...aSource({ name, contacts: [] }) })
  const sources = [source('no-identifier', 'Importschule Eins'), source(crypto.randomUUID(), 'Importschule Zwei')]
  const load = () =>
    ines.call('importSources', {
      query: { fileName: 's.json', dry: 'no' },
      body: Buffer.from(JSON.stringify({ sources })),
    })
  const both = await Promise.all([load(), load()])
  expect(both.map(({ status }) => status)).toEqual([200, 200])
  expect(both.reduce((sum, { body }) => sum + body.written, 0)).toBe(2)
  const [row] = (await ines.done('sourceDirectory', { query: { text: 'Importschule Eins' } })).rows
  expect((await read(row!.id)).version).toBe(1)
})
