import { buffer } from 'node:stream/consumers'
import { createCanvas } from '@napi-rs/canvas'
import {
  ExternalHyperlink,
  Footer,
  Header,
  ImageRun,
  type ISectionOptions,
  Packer,
  Paragraph,
  Table,
  TableCell,
  TableRow,
  TextRun,
  Document as Word,
} from 'docx'
import { getDocument } from 'pdfjs-dist/legacy/build/pdf.mjs'
import yazl from 'yazl'
import type { Visitor } from '../../test/client'
import { aDegree, applied, type House, openHouse } from '../../test/house'
import { readBytes } from '../records/documents/bytes'
import { Blob, Document } from '../records/documents/model'

let house: House
let candidate: Visitor
let claimId: string
beforeAll(async () => {
  house = await openHouse('wordfiles')
  candidate = await house.candidate('Willa Word')
  claimId = (await candidate.done('addClaim', { body: { details: aDegree(house) } })).id
}, 60_000)
afterAll(() => house.close())

const wordOf = (...children: ISectionOptions['children'][number][]) =>
  Packer.toBuffer(new Word({ sections: [{ children }] }))
const send = (body: Buffer, fileName = 'My degree.docx') =>
  candidate.call('uploadDocument', { params: { id: claimId }, query: { fileName }, body })
const textOf = async (bytes: Uint8Array) => {
  const pdf = await getDocument({ data: new Uint8Array(bytes) }).promise
  const texts = await Promise.all(
    Array.from({ length: pdf.numPages }, async (_, index) => {
      const { items } = await (await pdf.getPage(index + 1)).getTextContent()
      return items.map((item) => ('str' in item ? item.str : '')).join(' ')
    }),
  )
  return { pages: pdf.numPages, text: texts.join(' ').replace(/\s+/g, ' ') }
}

test('text, a table and a picture come through, what was sent stays beside it', async () => {
  const picture = createCanvas(4000, 300).toBuffer('image/png')
  const cell = (words: string) => new TableCell({ children: [new Paragraph(words)] })
  const sent = await wordOf(
    new Paragraph({ text: 'Certificate of study', heading: 'Heading1' }),
    new Paragraph({ children: [new TextRun({ text: 'Łukasz Żółć, Ψηφία, Москва – 12 €', bold: true })] }),
    new Table({ rows: [new TableRow({ children: [cell('Rope inspection'), cell('very good')] })] }),
    new Paragraph({
      children: [
        new ImageRun({ type: 'png', data: picture, transformation: { width: 4000, height: 300 } }),
        new ExternalHyperlink({ link: 'https://far.example/', children: [new TextRun('elsewhere')] }),
      ],
    }),
    new Paragraph({ text: 'Page two', pageBreakBefore: true }),
  )
  const { body } = await send(sent)
  expect(body).toMatchObject({ mediaType: 'application/pdf', fileName: 'My degree.pdf', fromWord: true })
  const { sha256, originalSha256 } = await Document.findByPk(body.id, { rejectOnEmpty: true })
  const { bytes } = await readBytes(sha256!)
  expect(bytes.toString('latin1')).not.toContain('far.example')
  const { text } = await textOf(bytes)
  for (const words of ['Certificate of study', 'Łukasz Żółć, Ψηφία, Москва – 12 €', 'Rope inspection', 'very good'])
    expect(text).toContain(words)
  const original = await candidate.request(`/api/documents/${body.id}/original`)
  expect(original.headers.get('content-disposition')).toMatch(/^attachment; filename\*=UTF-8''My%20degree.docx/)
  expect(Buffer.from(await original.arrayBuffer()).equals(sent)).toBe(true)
  const stranger = await house.candidate('Selma Stranger')
  expect((await stranger.request(`/api/documents/${body.id}/original`)).status).toBe(404)
  // The same file once more is known again by the PDF it becomes.
  expect((await send(sent)).body.code).toBe('same-bytes')
  expect(originalSha256).not.toBeNull()
})

test('a long one has as many pages as it has, and no more than are taken', async () => {
  const linesOf = (count: number) => wordOf(...Array.from({ length: count }, (_, nth) => new Paragraph(`Line ${nth}`)))
  expect((await send(await linesOf(200))).body.pages).toBeGreaterThan(3)
  expect((await send(await linesOf(2000))).body.code).toBe('too-many-pages')
})

test.each([
  ['Arabic', 'شهادة الدراسة'],
  ['Chinese', '毕业证书'],
  ['Hebrew', 'תעודה'],
])('letters that cannot be set are said, not left out: %s', async (_, words) => {
  const { body, status } = await send(await wordOf(new Paragraph(words)))
  expect([status, body.code, body.title]).toEqual([
    422,
    'word-letters',
    'This Word file holds letters there is no font for here.',
  ])
})

const zipped = async (files: Record<string, Buffer>) => {
  const zip = new yazl.ZipFile()
  for (const [path, bytes] of Object.entries(files)) zip.addBuffer(bytes, path)
  zip.end()
  return buffer(zip.outputStream as NodeJS.ReadableStream)
}
const types = Buffer.from(
  `<?xml version="1.0"?><Types xmlns="http://schemas.openxmlformats.org/package/2006/content-types"><Default Extension="rels" ContentType="application/vnd.openxmlformats-package.relationships+xml"/><Default Extension="xml" ContentType="application/xml"/><Override PartName="/word/document.xml" ContentType="application/vnd.openxmlformats-officedocument.wordprocessingml.document.main+xml"/></Types>`,
)

test('one that is broken, or unfolds without end, is refused in a sentence, and nobody else waits', async () => {
  const broken = await zipped({ '[Content_Types].xml': types, 'word/document.xml': Buffer.from('<w:document') })
  expect((await send(broken)).body.code).toBe('word-broken')
  const whole = await wordOf(new Paragraph('Half of it'))
  expect((await send(whole.subarray(0, whole.length / 2))).body.code).toBe('wrong-kind')

  const bomb = await zipped({ '[Content_Types].xml': types, 'word/document.xml': Buffer.alloc(600 * 1024 * 1024, 32) })
  expect(bomb.length).toBeLessThan(1024 * 1024)
  const begun = performance.now()
  const refused = send(bomb)
  await candidate.done('readSession')
  expect(performance.now() - begun).toBeLessThan(2000)
  expect((await refused).body.code).toBe('too-much-inside')
}, 60_000)

test('the words of a letterhead come first, those of the foot last', async () => {
  const bytes = await Packer.toBuffer(
    new Word({
      sections: [
        {
          headers: { default: new Header({ children: [new Paragraph('Halden Rope Works & Sons')] }) },
          footers: { default: new Footer({ children: [new Paragraph('Registered at Vallorne')] }) },
          children: [new Paragraph('She worked here for six years.')],
        },
      ],
    }),
  )
  const { body } = await send(bytes, 'Reference.docx')
  const { sha256 } = await Document.findByPk(body.id, { rejectOnEmpty: true })
  expect((await textOf((await readBytes(sha256!)).bytes)).text).toMatch(
    /^Halden Rope Works & Sons.*six years\..*Registered at Vallorne$/,
  )
})

test('a picture of a kind that cannot be set, or that unfolds to more than its pixels, is not left out in silence', async () => {
  const withPicture = (type: 'png' | 'gif', data: Buffer) =>
    wordOf(new Paragraph({ children: [new ImageRun({ type, data, transformation: { width: 90, height: 90 } })] }))
  const png = createCanvas(12, 12).toBuffer('image/png')
  const wide = Buffer.from(png)
  wide.writeUInt32BE(60_000, 16)
  wide.writeUInt32BE(60_000, 20)
  for (const bytes of [await withPicture('gif', Buffer.from('GIF89a')), await withPicture('png', wide)])
    expect((await send(bytes)).body.code).toBe('word-picture')
})

test('what it was is erased with it', async () => {
  const person = await house.candidate('Wanda Word')
  const { id, degreeId } = await applied(house, person, ['Wanda', 'Word'])
  const bytes = await wordOf(new Paragraph('Only once, Wanda'))
  const sent = await person.done('uploadDocument', {
    params: { id: degreeId },
    query: { fileName: 'Once.docx' },
    body: bytes,
  })
  const { sha256, originalSha256 } = await Document.findByPk(sent.id, { rejectOnEmpty: true })
  const kept = () => Blob.count({ where: { sha256: [sha256!, originalSha256!] } })
  expect(await kept()).toBe(2)
  const desk = await house.staff('coordinator')
  const { claims } = await desk.done('readFile', { params: { id } })
  const { version } = claims.flatMap(({ documents }) => documents).find((document) => document.id === sent.id)!
  const reason = 'It says nothing we may keep'
  await desk.done('discardDocument', { params: { id: sent.id }, body: { version, reason } })
  expect(await kept()).toBe(0)
  expect((await person.request(`/api/documents/${sent.id}/original`)).status).toBe(404)
})
