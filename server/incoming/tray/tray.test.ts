import { execFileSync } from 'node:child_process'
import { PDFDocument } from 'pdf-lib'
import { sheetReference } from '#core/tray/coverSheet'
import type { Visitor } from '../../../test/client'
import { aDegree, aPaper, applied, type House, openHouse, tokenIn, until } from '../../../test/house'
import { readBytes } from '../../records/documents/bytes'
import { Document } from '../../records/documents/model'
import { CoverSheet, TrayPaper } from '../../records/tray/model'

let house: House
let desk: Visitor
beforeAll(async () => {
  house = await openHouse('paper')
  desk = await house.staff('coordinator')
}, 120_000)
afterAll(() => house.close())

const drawTiff = `
  import sharp from 'sharp'
  const words = Buffer.from('<svg width="700" height="300"><text y="80" font-size="60">A letter</text></svg>')
  const page = { create: { width: 900, height: 1200, channels: 3, background: '#fdfdf8' } }
  process.stdout.write(await sharp(page).composite([{ input: words, left: 90, top: 300 }]).tiff().toBuffer())`

async function joined(...parts: Uint8Array[]): Promise<Uint8Array> {
  const out = await PDFDocument.create()
  for (const part of parts) {
    const from = await PDFDocument.load(part)
    for (const page of await out.copyPages(from, from.getPageIndices())) out.addPage(page)
  }
  return out.save()
}

async function blankPage() {
  const pdf = await PDFDocument.create()
  pdf.addPage([595, 842])
  return pdf.save()
}

/** A slip with a word on it: a scan of many is read in little time. */
async function smallPage() {
  const pdf = await PDFDocument.create()
  pdf.addPage([120, 80]).drawText('Receipt', { x: 10, y: 30, size: 20 })
  return pdf.save()
}

async function sheetsPdf(id: string, ...numbers: number[]) {
  const reply = await desk.request(`/api/desk/applications/${id}/cover-sheets?numbers=${numbers}`)
  return new Uint8Array(await reply.arrayBuffer())
}

/** Somebody who has applied, with a printed sheet for their degree and one for their job. */
async function withSheets(name: [string, string]) {
  const candidate = await house.candidate(name.join(' '))
  const { id, degreeId, jobId } = await applied(house, candidate, name)
  const { sheets } = await desk.done('printCoverSheets', {
    params: { id },
    body: {
      papers: [
        { claimId: degreeId, part: 'transcript' },
        { claimId: jobId, part: 'certificate' },
      ],
    },
  })
  const pdf = (nth: number) => sheetsPdf(id, sheets[nth]!.number)
  return { candidate, id, degreeId, jobId, sheets, first: await pdf(0), second: await pdf(1) }
}

const put = (bytes: Uint8Array, fileName = 'scan.pdf') =>
  desk.done('putInTray', { query: { fileName }, body: Buffer.from(bytes) })
const paperOf = (sheet: number, state = 'filed') =>
  until(async () => (await TrayPaper.findOne({ where: { coverSheet: sheet, state } })) ?? undefined)
const waitingWith = (words: string) =>
  until(async () => (await desk.done('readTray')).waiting.find(({ why }) => why.includes(words)))

test('papers fed on their side, under a weak lamp and out of order, are split and filed by their sheets', async () => {
  const { id, degreeId, jobId, sheets, first, second, candidate } = await withSheets(['Paula', 'Paper'])
  const paper = await aPaper('Transcript')
  const feeder = [first, paper, second, await aPaper('Letter'), first, await blankPage(), paper]
  await house.scan(await joined(...feeder), { turned: 90, faint: true })
  const [filed, other] = [await paperOf(sheets[0]!.number), await paperOf(sheets[1]!.number)]
  expect([filed.pages, other.pages]).toEqual([2, 1])
  const documents = await Document.findAll({ where: { id: [filed.documentId!, other.documentId!] } })
  const degree = documents.find((document) => document.id === filed.documentId)!
  expect(degree).toMatchObject({ claimId: degreeId, part: 'transcript', pages: 2 })
  expect(documents.find((document) => document.id === other.documentId)).toMatchObject({ claimId: jobId, pages: 1 })
  // Lying on its right side it is turned three quarters on.
  const upright = await PDFDocument.load((await readBytes(degree.sha256!)).bytes)
  expect(upright.getPages().map((page) => page.getRotation().angle)).toEqual([270, 270])
  const { happenings } = await candidate.done('readStatus', { params: { id } })
  expect(happenings.map(({ text }) => text).join()).toContain('We filed a paper you sent for')
  expect((await CoverSheet.findByPk(sheets[0]!.number))?.usedAt).not.toBeNull()
}, 120_000)

test('a sheet that was used before, and one of a withdrawn application, are said so and nothing is filed', async () => {
  const { id, degreeId, first, second, sheets, candidate } = await withSheets(['Uta', 'Used'])
  await put(await joined(first, await aPaper('Once')))
  await paperOf(sheets[0]!.number)
  await put(await joined(first, await aPaper('Twice')))
  expect((await waitingWith(`${sheets[0]!.reference} was used before`)).pages).toBe(1)
  const { sheets: again } = await desk.done('printCoverSheets', {
    params: { id },
    body: { papers: [{ claimId: degreeId, part: 'transcript' }] },
  })
  await put(await joined(await sheetsPdf(id, again[0]!.number), ...Array(21).fill(await smallPage())))
  await waitingWith('has 21 pages')
  await candidate.done('withdraw', { params: { id } })
  await put(await joined(second, await aPaper('Late')))
  await waitingWith(`${sheets[1]!.reference} belongs to an application that was withdrawn`)
  const refused = await desk.call('printCoverSheets', {
    params: { id },
    body: { papers: [{ claimId: id, part: 'other' }] },
  })
  expect(refused.body.code).toBe('ended')
}, 120_000)

test('a paper without a sheet waits with the best guess, and one step files it', async () => {
  const { id, degreeId } = await withSheets(['Gudrun', 'Guessable'])
  const pdf = await PDFDocument.create()
  const page = pdf.addPage([595, 842])
  page.drawText('Technische Hochschule Tannberg confers upon Gudrun Guessable', { x: 60, y: 700, size: 12 })
  page.drawText('the degree of MSc, N. TB-2018-9034', { x: 60, y: 670, size: 12 })
  await put(await pdf.save(), 'from the post.pdf')
  const waiting = await until(async () =>
    (await desk.done('readTray')).waiting.find(({ fileName }) => fileName === 'from the post.pdf'),
  )
  expect(waiting.why).toBe('It came without a cover sheet.')
  expect(waiting.guesses[0]).toMatchObject({ applicationId: id, claimId: degreeId, name: 'Gudrun Guessable' })
  expect(waiting.guesses[0]!.because).toEqual(expect.arrayContaining(['name', 'number']))
  const params = { id: waiting.id }
  expect((await desk.request(`/api/desk/tray/${waiting.id}/paper`)).headers.get('content-type')).toBe('application/pdf')
  await desk.done('filePaper', { params, body: { applicationId: id, claimId: degreeId, part: 'transcript' } })
  const again = await desk.call('filePaper', { params, body: { applicationId: id, claimId: degreeId } })
  expect(again.body.code).toBe('settled')
  expect((await desk.done('readTray')).filed.map(({ by }) => by)).toContain('The coordinator')
}, 120_000)

test('papers of somebody who wrote on paper find the application begun for them, until it is theirs', async () => {
  const mail = 'berta@mail.test'
  const { id } = await desk.done('beginFor', {
    body: { slug: 'track-engineer', givenNames: 'Berta', familyName: 'Behalf', mail, language: 'en', how: 'on paper' },
  })
  const claim = await desk.done('addClaim', { behalf: id, body: { details: aDegree(house) } })
  const papers = (part: 'certificate' | 'transcript') => ({ claimId: claim.id, part })
  const { sheets } = await desk.done('printCoverSheets', {
    params: { id },
    body: { papers: [papers('certificate'), papers('transcript')] },
  })
  const [first, second] = [await sheetsPdf(id, sheets[0]!.number), await sheetsPdf(id, sheets[1]!.number)]
  const pdf = await PDFDocument.create()
  pdf.addPage([595, 842]).drawText('awarded to Berta Behalf, N. TB-2018-9034', { x: 60, y: 700, size: 12 })
  await put(await joined(first, await aPaper('Master of Science')))
  await paperOf(sheets[0]!.number)
  await put(await pdf.save(), 'a loose page.pdf')
  const waiting = await until(async () =>
    (await desk.done('readTray')).waiting.find(({ fileName }) => fileName === 'a loose page.pdf'),
  )
  expect(waiting.guesses[0]).toMatchObject({
    applicationId: id,
    claimId: claim.id,
    name: 'Berta Behalf',
    reference: '',
  })

  await desk.done('askToTakeOver', { params: { id } })
  const token = tokenIn((await house.mailTo(mail, 'Please read through')).text, 'take-over')
  const berta = house.visitor()
  await berta.done('takeOverBehalf', { params: { token }, body: { password: 'three quiet herons by the lake' } })
  // What was printed before still finds its place; otherwise it is nobody else's any more.
  await put(await joined(second, await aPaper('Transcript of records')))
  await paperOf(sheets[1]!.number)
  const where = { applicationId: id, claimId: claim.id }
  expect((await desk.call('filePaper', { params: { id: waiting.id }, body: where })).status).toBe(404)
  expect((await desk.call('placesFor', { params: { id } })).status).toBe(404)
  const { claims } = await berta.done('readDraft', { params: { id } })
  expect(claims[0]!.documents.map(({ part }) => part)).toEqual(['certificate', 'transcript'])
}, 120_000)

test('pages of a TIFF and a photograph are read as well; what is no scan is refused', async () => {
  const { sheets } = await withSheets(['Tiffany', 'Tiff'])
  // In a process of its own: two libraries that draw do not share one with the test's runner.
  const picture = execFileSync(process.execPath, ['--input-type=module', '-e', drawTiff])
  await put(new Uint8Array(picture), 'letter.tif')
  const waiting = await until(async () =>
    (await desk.done('readTray')).waiting.find(({ fileName }) => fileName === 'letter.tif'),
  )
  expect(waiting).toMatchObject({ pages: 1, why: 'It came without a cover sheet.' })
  await desk.done('takeOutOfTray', { params: { id: waiting.id } })
  expect((await desk.call('takeOutOfTray', { params: { id: waiting.id } })).status).toBe(409)
  const refused = await desk.call('putInTray', { query: { fileName: 'x.pdf' }, body: Buffer.from('hello there') })
  expect(refused.body.code).toBe('wrong-kind')
  await put(new TextEncoder().encode('%PDF-1.7 and then nothing'), 'broken.pdf')
  const broken = await until(async () =>
    (await desk.done('readTray')).refused.find(({ fileName }) => fileName === 'broken.pdf'),
  )
  expect(broken.fault).toContain('cannot be opened')
  await put(await blankPage(), 'empty.pdf')
  const empty = await until(async () =>
    (await desk.done('readTray')).refused.find(({ fileName }) => fileName === 'empty.pdf'),
  )
  expect(empty.fault).toBe('Every page is blank.')
  expect(sheetReference(sheets[1]!.number)).toBe(sheets[1]!.reference)
}, 120_000)
