import { Op } from 'sequelize'
import type { Visitor } from '../../../test/client'
import { applied, type House, openHouse, personAnswers, until } from '../../../test/house'
import { clockAhead } from '../../platform/clock'
import { retain } from '../../privacy/retain'
import { Account, Candidate } from '../../records/accounts/model'
import { Claim } from '../../records/claims/model'
import { Import, ImportedPerson } from '../../records/imports/model'
import { runImportJob } from './run'

let house: House
let desk: Visitor
beforeAll(async () => {
  house = await openHouse('imports')
  desk = await house.staff('coordinator')
}, 60_000)
afterAll(() => house.close())

const begin = async (text: string, fileName = 'people.csv') =>
  (await desk.done('beginImport', { query: { fileName }, body: Buffer.from(text) })).id

async function ran(id: string) {
  await desk.done('runImport', { params: { id } })
  return until(async () => {
    const read = await desk.done('readImport', { params: { id } })
    return read.state !== 'waiting' && read
  })
}

const heading = 'Vorname;Nachname;E-Mail;Geburtsdatum;Degree;University;Study from;Study to;Employer;Job start;Job end'
const rowFor = (name: string, mail: string) =>
  `${name};Import;${mail};9 Mar 1991;MSc;Technische Hochschule Tannberg;2010;2015;Seilwerk;2015-09;present`

test('a list is mapped by its heading, tried dry, imported whole, and taken back whole', async () => {
  const id = await begin([heading, rowFor('Anna', 'anna@import.test'), rowFor('Ben', 'ben@import.test')].join('\r\n'))
  const dry = await desk.done('readImport', { params: { id } })
  expect(dry).toMatchObject({ total: 2, faultCount: 0, people: { made: 2, known: 0, claims: 4 } })
  expect(dry.mapping).toMatchObject({ Vorname: 'givenNames', 'E-Mail': 'mail', Employer: 'work.source' })
  expect(await Account.count({ where: { mail: 'anna@import.test' } })).toBe(0)

  expect(await ran(id)).toMatchObject({ state: 'done', done: 2 })
  const made = await ImportedPerson.findAll({ where: { importId: id } })
  const candidates = await Candidate.findAll({ where: { id: made.map(({ candidateId }) => candidateId) } })
  expect(candidates.map(({ name, born }) => [name, born])).toEqual(
    expect.arrayContaining([['Anna Import', '1991-03-09']]),
  )
  const study = await Claim.findOne({ where: { candidateId: candidates[0]!.id, kind: 'study' }, rejectOnEmpty: true })
  expect(study.details).toMatchObject({ ...house.source('tannberg'), level: 7, from: '2010', to: '2015' })
  expect((await desk.call('runImport', { params: { id } })).body.code).toBe('ran')

  expect((await desk.done('readImport', { params: { id } })).brought.map(({ name }) => name)).toEqual([
    'Anna Import',
    'Ben Import',
  ])
  await desk.done('undoImport', { params: { id } })
  expect((await desk.done('find', { query: { text: 'anna import' } })).imported).toEqual([])
  expect(await Account.count({ where: { mail: ['anna@import.test', 'ben@import.test'] } })).toBe(0)
  expect(await Claim.count({ where: { candidateId: candidates.map((one) => one.id) } })).toBe(0)
  expect((await desk.call('undoImport', { params: { id } })).body.code).toBe('not-done')
})

test('what is wrong is said by row and column; rows that are right go in, and the others come back as a file', async () => {
  const text = [
    heading,
    rowFor('Cara', 'cara@import.test'),
    rowFor('Dora', 'dora at import'),
    rowFor('Cara', 'cara@import.test'),
    rowFor('Enno', 'enno@import.test').replace('2015;Seilwerk', '2009;Seilwerk'),
  ].join('\n')
  const id = await begin(text)
  const { faults } = await desk.done('readImport', { params: { id } })
  expect(faults).toEqual([
    { row: 3, column: 'E-Mail', message: '“dora at import” is not a mail address.' },
    { row: 4, column: 'The row', message: 'This repeats row 2.' },
    { row: 5, column: 'Study to', message: 'This ends before it begins.' },
  ])
  expect(await ran(id)).toMatchObject({ state: 'done', done: 1, total: 4, faultyRows: 3 })
  expect(await Account.count({ where: { mail: 'cara@import.test' } })).toBe(1)
  expect(await Account.count({ where: { mail: 'enno@import.test' } })).toBe(0)
  const left = await (await desk.request(`/api/desk/imports/${id}/left.csv`)).text()
  expect(left).toContain('Enno,Import,enno@import.test')
  expect(left).toContain('Study to: This ends before it begins.')
  // Put right, it is a file like any other.
  const again = await begin(left.replace('2009,Seilwerk', '2015,Seilwerk'), 'again.csv')
  expect(await ran(again)).toMatchObject({ done: 2, faultyRows: 1 })
  expect(await Account.count({ where: { mail: 'enno@import.test' } })).toBe(1)
  await desk.done('undoImport', { params: { id: again } })
  const none = await begin([heading, rowFor('Dora', 'dora at import')].join('\n'))
  expect((await desk.call('runImport', { params: { id: none } })).body.code).toBe('faulty')
})

test('many people go in by stretches, once each although the job runs twice, and are taken back together', async () => {
  const rows = Array.from({ length: 230 }, (_, nth) => rowFor(`Many${nth}`, `many${nth}@import.test`))
  const id = await begin([heading, ...rows].join('\n'))
  await Import.update({ state: 'waiting' }, { where: { id } })
  await Promise.all([1, 2].map(() => runImportJob(house.deps, { importId: id })))
  expect(await desk.done('readImport', { params: { id } })).toMatchObject({ state: 'done', done: 230 })
  expect(await ImportedPerson.count({ where: { importId: id } })).toBe(230)
  await desk.done('undoImport', { params: { id } })
  expect(await Account.count({ where: { mail: { [Op.like]: 'many%@import.test' } } })).toBe(0)
}, 60_000)

test('UTF-16, a line that says the delimiter, and a short row are read; a row with too many cells is told', async () => {
  const text = 'sep=;\r\nName;Mail;Phone\r\nAda Grau;ada@import.test\r\nBen Grau;ben2@import.test;1;2\r\n'
  const bytes = Buffer.concat([Buffer.from([0xff, 0xfe]), Buffer.from(text, 'utf16le')])
  const { id } = await desk.done('beginImport', { query: { fileName: 'x.csv' }, body: bytes })
  const read = await desk.done('readImport', { params: { id } })
  expect(read).toMatchObject({ total: 2, faultyRows: 1, columns: ['Name', 'Mail', 'Phone'] })
  expect(read.faults).toEqual([{ row: 3, column: 'The row', message: 'It has 4 cells, but the heading has 3.' }])
})

test('a column is taken for another by hand; two for the same, and one that is not there, are refused', async () => {
  const id = await begin('Who,Where,Electronic post\nFritz Import,Seilwerk,fritz@import.test')
  const map = (mapping: Record<string, string>) => desk.call('mapImport', { params: { id }, body: { mapping } })
  expect((await desk.done('readImport', { params: { id } })).faultCount).toBeGreaterThan(0)
  expect((await map({ Who: 'mail', 'Electronic post': 'mail' })).status).toBe(422)
  expect((await map({ Elsewhere: 'mail' })).status).toBe(422)
  expect((await map({ Who: 'nonsense' })).status).toBe(422)
  expect((await map({ Who: 'fullName', 'Electronic post': 'mail' })).status).toBe(200)
  expect((await ran(id)).state).toBe('done')
  // Whoever makes an account with this address finds what was taken in.
  const fritz = house.visitor()
  await fritz.done('signUp', { body: { name: 'Fritz', mail: 'fritz@import.test', password: 'seven quiet marmots' } })
  expect((await house.mailTo('fritz@import.test', 'Confirm')).text).toContain('/confirm/')
})

test('an import of which somebody has used something is not taken back', async () => {
  const id = await begin([heading, rowFor('Greta', 'greta@import.test')].join('\n'))
  await ran(id)
  const [person] = await ImportedPerson.findAll({ where: { importId: id } })
  await Claim.update({ rung: 'evidenced' }, { where: { id: person!.claims[0]! } })
  expect((await desk.call('undoImport', { params: { id } })).body.code).toBe('in-use')
})

test('résumés are read as well; what is neither is refused in words', async () => {
  const resume = {
    basics: { name: 'Hedda Import', email: 'hedda@import.test' },
    education: [{ institution: 'Tannberg', studyType: 'Bachelor', startDate: '2010', endDate: '2013' }],
  }
  const id = await begin(JSON.stringify(resume), 'resume.json')
  expect(await ran(id)).toMatchObject({ format: 'json resume', state: 'done', people: { known: 1 } })
  const refused = (text: string) =>
    desk.call('beginImport', { query: { fileName: 'x.csv' }, body: Buffer.from(text) }).then(({ body }) => body.title)
  expect(await refused('{"a": 1}')).toBe('This is JSON, but not a résumé.')
  expect(await refused('Name,Mail\n"open')).toBe('The file cannot be read as CSV.')
  expect(await refused('Name,Mail\n')).toBe('There is nobody in this file.')
})

test('umlauts survive a spreadsheet that saved in another encoding', async () => {
  const bytes = Buffer.from('Name;Mail\nJ\u00fcrg M\u00fcller;juerg@import.test', 'latin1')
  const { id } = await desk.done('beginImport', { query: { fileName: 'x.csv' }, body: bytes })
  expect((await desk.done('readImport', { params: { id } })).sample[0]?.[0]).toBe('Jürg Müller')
})

test('the address of somebody who works here is a fault of its row, and they are not imported', async () => {
  const { account } = await desk.done('readSession')
  const id = await begin([heading, rowFor('Emil', 'emil@import.test'), rowFor('Ines', account!.mail)].join('\r\n'))
  const { faults } = await desk.done('readImport', { params: { id } })
  expect(faults).toEqual([{ row: 3, column: 'E-Mail', message: 'This is the address of somebody who works here.' }])
  expect(await ran(id)).toMatchObject({ done: 1 })
  expect(await ImportedPerson.count({ where: { importId: id } })).toBe(1)
})

test('who came with an import and has not applied is found, seen as far as it brought, and goes by itself in time', async () => {
  const id = await begin([heading, rowFor('Gisela', 'gisela@import.test')].join('\r\n'))
  await ran(id)
  const [found] = (await desk.done('find', { query: { text: 'gisela imp' } })).imported
  expect(found).toMatchObject({ name: 'Gisela Import', because: 'from people.csv' })
  const params = { candidateId: found!.candidateId }
  const person = await desk.done('readImportedPerson', { params })
  expect(person).toMatchObject({ mail: 'gisela@import.test', born: '1991-03-09', hasAccount: false, applications: [] })
  expect(person.claims.map(({ label, rung, from, to }) => [label, rung, from, to])).toEqual([
    ['MSc', 'claimed', '2010', '2015'],
    ['Seilwerk', 'claimed', '2015-09', 'present'],
  ])
  expect((await desk.done('readAccessLog', { params })).entries.map(({ what }) => what)).toEqual(['what was imported'])
  const administrator = await house.staff('administrator')
  expect((await administrator.done('readImportedPerson', { params })).born).toBeNull()
  const manager = await house.staff('hiring manager')
  expect((await manager.done('find', { query: { text: 'gisela imp' } })).imported).toEqual([])
  const twin = await house.candidate('Gisela Import')
  await applied(house, twin, ['Gisela', 'Import'])
  const sameDay = rowFor('Gisela', 'gisela.two@import.test').replace(
    '9 Mar 1991',
    personAnswers('Gisela', 'Import')['about.born']!,
  )
  await ran(await begin([heading, sameDay].join('\r\n')))
  const pairs = async () => (await desk.done('listDuplicates')).pairs.map(({ names }) => [...names].sort())
  await until(async () => (await pairs()).some((names) => names.every((name) => name === 'Gisela Import')))
  // Merged into the file of who has applied, they are found there only, and their import cannot be taken back.
  const second = await desk.done('find', { query: { text: 'gisela.two@import.test' } })
  const secondId = second.imported[0]!.candidateId
  const pair = (await desk.done('listDuplicates')).pairs.find((one) => [one.oneId, one.otherId].includes(secondId))!
  const keptId = pair.oneId === secondId ? pair.otherId : pair.oneId
  await desk.done('mergeFiles', { params: { keptId }, body: { mergedId: secondId, reason: 'The same birth date' } })
  expect((await desk.done('find', { query: { text: 'gisela.two@import.test' } })).imported).toEqual([])
  expect((await desk.call('readImportedPerson', { params: { candidateId: secondId } })).status).toBe(404)
  const imports = await desk.done('listImports')
  expect((await desk.call('undoImport', { params: { id: imports[0]!.id } })).body.code).toBe('in-use')
  const stranger = await house.candidate('Sonja Stranger')
  await stranger.done('beginApplication', { params: { slug: 'track-engineer' } })
  const { id: strangers } = await Candidate.findOne({ where: { name: 'Sonja Stranger' }, rejectOnEmpty: true })
  expect((await desk.call('readImportedPerson', { params: { candidateId: strangers } })).status).toBe(404)

  const begun = await desk.done('beginFor', {
    body: {
      slug: 'track-engineer',
      givenNames: 'Gisela',
      familyName: 'Import',
      mail: person.mail,
      language: 'en',
      how: 'by phone',
    },
  })
  expect(begun.theirs).toBe(false)
  expect((await desk.done('readDraft', { params: { id: begun.id }, behalf: begun.id })).claims).toHaveLength(2)
  await desk.done('setAsideBehalf', { params: { id: begun.id } })
  expect((await desk.call('readImportedPerson', { params })).status).toBe(404)

  await ran(await begin([heading, rowFor('Ottilie', 'ottilie@import.test')].join('\r\n')))
  const [kept] = (await desk.done('find', { query: { text: 'ottilie' } })).imported
  const ahead = (days: number) => ({
    ...house.deps,
    clock: clockAhead(days * 86_400_000, house.deps.organisation.timeZone),
  })
  await retain(ahead(179))
  expect((await Candidate.findByPk(kept!.candidateId))?.erasedAt).toBeNull()
  await retain(ahead(182))
  expect((await Candidate.findByPk(kept!.candidateId))?.erasedAt).not.toBeNull()
})

test('a telephone number comes back from a file to put right as it was', async () => {
  const id = await begin('Name;Mail;Phone\nAda Grau;ada at import;+43 512 555 0100')
  const left = await (await desk.request(`/api/desk/imports/${id}/left.csv`)).text()
  const again = await begin(left.replace('ada at import', 'ada.phone@import.test'), 'again.csv')
  await ran(again)
  const account = await Account.findOne({ where: { mail: 'ada.phone@import.test' }, rejectOnEmpty: true })
  expect((await Candidate.findOne({ where: { accountId: account.id } }))?.phone).toBe('+43 512 555 0100')
})
