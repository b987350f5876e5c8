import { PDFDocument } from 'pdf-lib'
import type { Visitor } from '../../../test/client'
import { aDegree, aPaper, applied, type House, openHouse, until } from '../../../test/house'
import { Document } from '../../records/documents/model'
import { CoverSheet, TrayPaper } from '../../records/tray/model'

let house: House
let desk: Visitor
beforeAll(async () => {
  house = await openHouse('own_sheets')
  desk = await house.staff('coordinator')
}, 120_000)
afterAll(() => house.close())

async function joined(...parts: Uint8Array[]): Promise<Buffer> {
  const out = await PDFDocument.create()
  for (const part of parts) {
    const from = await PDFDocument.load(part)
    for (const page of await out.copyPages(from, from.getPageIndices())) out.addPage(page)
  }
  return Buffer.from(await out.save())
}

async function sender(name: [string, string]) {
  const candidate = await house.candidate(name.join(' '))
  const { id, degreeId, jobId } = await applied(house, candidate, name)
  const make = (...papers: [claimId: string, part: 'transcript' | 'certificate', pages: number][]) =>
    candidate.done('makeMyCoverSheets', {
      params: { id },
      body: { papers: papers.map(([claimId, part, pages]) => ({ claimId, part, pages })) },
    })
  const pdf = async (...numbers: number[]) =>
    new Uint8Array(
      await (await candidate.request(`/api/my/applications/${id}/cover-sheets.pdf?numbers=${numbers}`)).arrayBuffer(),
    )
  const mine = async () => (await candidate.done('listMyCoverSheets', { params: { id } })).sheets
  const once = (reference: string, state: string) =>
    until(async () => (await mine()).find((sheet) => sheet.reference === reference && sheet.state === state))
  return { candidate, id, degreeId, jobId, make, pdf, mine, once }
}

const put = (bytes: Buffer) => desk.done('putInTray', { query: { fileName: 'fax.pdf' }, body: bytes })

test('what comes behind a sheet of one’s own is filed, and one sees that it came', async () => {
  const { id, degreeId, make, pdf, once, mine, candidate } = await sender(['Fay', 'Fax'])
  const { sheets } = await make([degreeId, 'transcript', 2])
  const sheet = sheets[0]!
  const printed = await pdf(sheet.number)
  await house.scan(await joined(printed, await aPaper('One'), await aPaper('Two')), { turned: 180 })
  expect(await once(sheet.reference, 'came')).toMatchObject({ pages: 2, fault: null, cameAt: expect.any(String) })
  const filed = await TrayPaper.findOne({ where: { coverSheet: sheet.number, state: 'filed' }, rejectOnEmpty: true })
  expect(await Document.findByPk(filed.documentId!)).toMatchObject({ claimId: degreeId, part: 'transcript', pages: 2 })
  // A second time it files nothing, and what came first stands.
  await put(await joined(printed, await aPaper('Late')))
  expect((await house.mailTo(candidate.mail, 'something is not right')).text).toContain('was used before')
  expect(await mine()).toMatchObject([{ state: 'came', fault: null }])
  expect((await candidate.request(`/api/my/applications/${id}/cover-sheets.pdf?numbers=${sheet.number}`)).status).toBe(
    404,
  )
}, 120_000)

test('another number of pages waits for a person, who finds the place first; the sender is told', async () => {
  const { candidate, id, degreeId, make, pdf, once } = await sender(['Paco', 'Pages'])
  const { sheets } = await make([degreeId, 'transcript', 3])
  const { number, reference } = sheets[0]!
  await put(await joined(await pdf(number), await aPaper('Only one')))
  expect(await once(reference, 'not right')).toMatchObject({ fault: 'pages' })
  const waits = await until(async () =>
    (await desk.done('readTray')).waiting.find(({ why }) => why.includes(`${reference} it has 3 pages; 1 came`)),
  )
  expect(waits.guesses[0]).toMatchObject({ applicationId: id, claimId: degreeId, because: ['sheet'] })
  expect((await house.mailTo(candidate.mail, 'something is not right')).text).toContain('another number of pages')
  await desk.done('filePaper', {
    params: { id: waits.id },
    body: { applicationId: id, claimId: degreeId, part: 'transcript' },
  })
  expect(await once(reference, 'came')).toMatchObject({ fault: null })
}, 120_000)

test('sheets beneath their papers file nothing behind the wrong one', async () => {
  const { degreeId, jobId, make, pdf, once } = await sender(['Benno', 'Beneath'])
  const { sheets } = await make([degreeId, 'certificate', 1], [jobId, 'certificate', 1])
  const [first, second] = [sheets[0]!, sheets[1]!]
  await put(await joined(await aPaper('A'), await pdf(first.number), await aPaper('B'), await pdf(second.number)))
  expect(await once(first.reference, 'not right')).toMatchObject({ fault: 'beneath' })
  expect(await once(second.reference, 'not right')).toMatchObject({ fault: 'beneath' })
  expect(await TrayPaper.count({ where: { coverSheet: [first.number, second.number], state: 'filed' } })).toBe(0)
}, 120_000)

test('one sheet waits for one paper, also when it is asked for twice at once; it can be done away with', async () => {
  const { candidate, id, degreeId, jobId, make, mine } = await sender(['Tom', 'Twice'])
  const made = await Promise.all([1, 2, 3, 4].map((pages) => make([degreeId, 'transcript', pages])))
  expect(new Set(made.map(({ sheets }) => sheets[0]!.number)).size).toBe(1)
  expect(await CoverSheet.count({ where: { applicationId: id } })).toBe(1)
  const { number } = made[0]!.sheets[0]!
  const stranger = await house.candidate('Sue Stranger')
  const params = { number: String(number) }
  expect((await stranger.call('callOffCoverSheet', { params })).status).toBe(404)
  await candidate.done('callOffCoverSheet', { params })
  expect(await mine()).toEqual([])
  const body = { papers: [{ claimId: jobId, part: 'data page' as const, pages: 1 }] }
  expect((await candidate.call('makeMyCoverSheets', { params: { id }, body })).status).toBe(422)
  await candidate.done('withdraw', { params: { id } })
  expect((await candidate.call('makeMyCoverSheets', { params: { id }, body })).body.code).toBe('ended')
}, 120_000)

test('while the application is still being written a sheet finds its place too', async () => {
  const candidate = await house.candidate('Drew Draft')
  const { id } = await candidate.done('beginApplication', { params: { slug: 'cableway-electrical-supervisor' } })
  const { id: claimId } = await candidate.done('addClaim', { body: { details: aDegree(house) } })
  const { sheets } = await candidate.done('makeMyCoverSheets', {
    params: { id },
    body: { papers: [{ claimId, part: 'certificate', pages: 1 }] },
  })
  const reply = await candidate.request(`/api/my/applications/${id}/cover-sheets.pdf?numbers=${sheets[0]!.number}`)
  await put(await joined(new Uint8Array(await reply.arrayBuffer()), await aPaper('Certificate')))
  await until(async () => (await Document.count({ where: { claimId } })) > 0)
  const { sheets: seen } = await candidate.done('listMyCoverSheets', { params: { id } })
  expect(seen).toMatchObject([{ state: 'came', title: expect.stringContaining('certificate') }])
}, 120_000)
