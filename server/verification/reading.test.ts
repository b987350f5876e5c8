import { drawPdf, drawPhoto } from '#scenario/papers'
import type { Visitor } from '../../test/client'
import { degraded } from '../../test/degraded'
import { aPermit, applied, claimOf, type House, openHouse, until } from '../../test/house'
import { queueUnread } from '../documents/reading/readQueued'
import { Document } from '../records/documents/model'
import { PaperReading } from '../records/documents/readings'

/** Papers are read after everything else, and while all tests run that takes its time. */
const patience = 90_000

let house: House
let desk: Visitor
beforeAll(async () => {
  house = await openHouse('reading', { readsPapers: true })
  desk = await house.staff('coordinator')
}, 60_000)
afterAll(() => house.close())

const card = (number = 'FH-93111') => ({
  issuer: 'First Hands Association',
  place: 'Vallorne, AT',
  heading: 'First aid at work',
  lines: ['issued to', 'Noor Adeyemi', 'born 1 May 1990', 'valid through 18 Nov 2028'],
  number,
  signedBy: 'For the issuing office',
  on: 'Issued 19 Nov 2026',
})

/** Somebody who has sent an application, with a first-aid card that says another number than the claim. */
async function withCard(bytes: Buffer, name: [string, string] = ['Noor', 'Adeyemi']) {
  const candidate = await house.candidate(name.join(' '))
  const { id, jobId } = await applied(house, candidate, name)
  const details = aPermit(house, 'first-aid', 'aid', 'FH-98111', '2028-11-18')
  const claim = await candidate.done('addClaim', { body: { details: { ...details, issued: '2026-11-19' } as never } })
  const upload = { params: { id: claim.id }, query: { fileName: 'Card.png' }, body: bytes }
  const document = await candidate.done('uploadDocument', upload)
  return { candidate, id, jobId, claimId: claim.id, documentId: document.id }
}

/** Once it was read: the application works through its own queue as well. */
const readingOf = (documentId: string) =>
  until(async () => {
    const reading = await desk.done('readByMachine', { params: { id: documentId } })
    return reading.state !== 'waiting' && reading
  })
const values = async (documentId: string) =>
  Object.fromEntries(
    Object.entries((await readingOf(documentId)).values as Record<string, { value: string }>).map(([key, read]) => [
      key,
      read.value,
    ]),
  )

test(
  'a photograph is read off, number and all: what it says is not what was claimed',
  async () => {
    const { id, claimId, documentId } = await withCard(drawPhoto(card()))
    expect(await readingOf(documentId)).toMatchObject({
      state: 'read',
      values: {
        number: { value: 'FH-93111', how: 'recognised', place: { page: 1 } },
        through: { value: '2028-11-18' },
      },
    })
    const { proof } = await claimOf(desk, id, claimId)
    expect(proof.claimed.number).toBe('FH-98111')

    const read = await values(documentId)
    const see = (body: object) => desk.call('seeDocument', { params: { id: documentId }, body: body as never })
    const { number: _, ...others } = read as Record<string, string>
    const open = await see({ version: 0, reads: others })
    expect([open.status, open.body]).toMatchObject([422, { faults: [{ pointer: '/body/reads/number' }] }])
    expect((await see({ version: 0, reads: { ...others, number: 'FH-93117' }, absent: ['issued'] })).status).toBe(200)

    const claim = await claimOf(desk, id, claimId)
    expect(claim.rung).toBe('evidenced')
    expect(claim.documents.at(-1)).toMatchObject({
      reads: { number: 'FH-93117', name: 'Noor Adeyemi' },
      readBy: {
        name: { by: 'machine', how: 'recognised' },
        number: { by: 'person', machine: 'FH-93111' },
        issued: { by: 'absent' },
      },
    })
    expect(claim.documents.at(-1)?.reads).not.toHaveProperty('issued')
    expect(claim.proof.comparison.fields.find(({ key }) => key === 'number')).toMatchObject({ document: 'FH-93117' })
  },
  patience,
)

test(
  'a worse copy says less, and nothing wrong',
  async () => {
    const paper = card('FH-41157')
    const pdf = await drawPdf(paper)
    for (const nth of [1, 3]) {
      const name: [string, string] = nth === 1 ? ['Edda', 'Faintly'] : ['Egon', 'Turned']
      const { documentId } = await withCard(await degraded(pdf, 'application/pdf', nth), name)
      const read = await values(documentId)
      const says: Record<string, string> = {
        ...{ number: 'FH-41157', issued: '2026-11-19', through: '2028-11-18', born: '1990-05-01' },
        ...{ name: 'Noor Adeyemi', title: 'First aid at work' },
      }
      expect([nth, (await readingOf(documentId)).state]).toEqual([nth, 'read'])
      expect(Object.keys(read).length).toBeGreaterThanOrEqual(3)
      for (const [key, value] of Object.entries(read)) expect([key, value]).toEqual([key, says[key]])
    }
  },
  patience,
)

test(
  'the same bytes are read once, whoever shows them',
  async () => {
    const bytes = drawPhoto(card('FH-77001'))
    const first = await withCard(bytes, ['Ona', 'Once'])
    const before = await PaperReading.count()
    const second = await withCard(bytes, ['Tina', 'Twice'])
    expect(await PaperReading.count()).toBe(before)
    expect((await values(second.documentId)).number).toBe((await values(first.documentId)).number)
  },
  patience,
)

test(
  'what could not be recognised, or was erased, is read once that is possible',
  async () => {
    const bytes = drawPhoto(card('FH-66231'))
    const first = await withCard(bytes, ['Rea', 'Read'])
    expect((await values(first.documentId)).number).toBe('FH-66231')
    const { sha256 } = await Document.findByPk(first.documentId, { rejectOnEmpty: true })
    const own = { where: { sha256: sha256! } }
    await PaperReading.update({ state: 'no recognition', text: null }, own)
    expect((await readingOf(first.documentId)).state).toBe('no recognition')
    expect(await queueUnread(house.deps)).toBe(0)
    await until(async () => (await readingOf(first.documentId)).state === 'read')
    await PaperReading.destroy(own)
    const again = await withCard(bytes, ['Ria', 'Again'])
    expect((await values(again.documentId)).number).toBe('FH-66231')
  },
  patience,
)

describe('a letter of work', () => {
  const letter = (signed?: number) =>
    drawPdf({
      ...{ issuer: 'Nordrampe Seilbahnen', place: 'Nordrampe, AT', heading: 'Certificate of employment' },
      lines: [
        'We confirm that',
        'Lena Letter',
        'has worked for us as Electrical engineer',
        'from 1 May 2018',
        'and still does.',
      ],
      ...{ signedBy: 'Human resources', on: '21 Oct 2026', signed },
    })

  async function withLetter(name: [string, string], signed?: number) {
    const candidate = await house.candidate(name.join(' '))
    const { id, jobId } = await applied(house, candidate, name)
    const upload = { params: { id: jobId }, query: { fileName: 'Letter.pdf' }, body: await letter(signed) }
    const { id: documentId } = await candidate.done('uploadDocument', upload)
    return { candidate, id, jobId, documentId }
  }

  test(
    'is looked at part by part, and each has to be said',
    async () => {
      const { id, jobId, documentId } = await withLetter(['Lena', 'Letter'], 7)
      const { values: read, letter: found, state } = await readingOf(documentId)
      expect(state).toBe('read')
      expect(Object.keys(found!).sort()).toEqual(['first day', 'last day', 'letterhead', 'signature', 'title'])
      const reads = Object.fromEntries(
        Object.entries(read as Record<string, { value: string }>).map(([key, one]) => [key, one.value]),
      )
      const see = (letter?: object) =>
        desk.call('seeDocument', { params: { id: documentId }, body: { version: 0, reads, letter } as never })
      expect((await see()).status).toBe(422)
      const all = { title: 'there', 'first day': 'there', 'last day': 'there', signature: 'there', letterhead: 'there' }
      expect((await see(all)).status).toBe(200)
      expect((await claimOf(desk, id, jobId)).documents.at(-1)?.letter).toEqual(all)
    },
    patience,
  )

  test('without a signature goes back with that sentence, in the language of whoever reads it', async () => {
    const { candidate, id, jobId, documentId } = await withLetter(['Una', 'Unsigned'])
    expect((await readingOf(documentId)).letter).not.toHaveProperty('signature')
    const back = (body: object) => desk.call('sendDocumentBack', { params: { id: documentId }, body: body as never })
    expect((await back({ version: 0, reason: '' })).status).toBe(422)
    expect((await back({ version: 0, reason: '', lacks: ['signature', 'letterhead'] })).status).toBe(200)
    const claim = await claimOf(desk, id, jobId)
    expect(claim.documents.at(-1)?.sentBackBecause).toBe(
      'Missing on the letter: a signature, the letterhead of the employer.',
    )
    await house.workOff()
    const mail = await house.mailTo(candidate.mail, 'better copy')
    expect(mail.text).toContain('Missing on the letter: a signature')
  })
})
