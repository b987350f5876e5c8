import { createCanvas } from '@napi-rs/canvas'
import { PDFDocument } from 'pdf-lib'
import { aDegree, aPaper, type House, openHouse } from '../../test/house'
import { keepBytes, readBytes } from './bytes'
import { BlobChunk } from './model'

let house: House
let upload: (
  bytes: Buffer,
  fileName?: string,
) => Promise<{
  status: number
  body: { code?: string; title?: string; mediaType?: string; pages?: number; fileName?: string }
}>
beforeAll(async () => {
  house = await openHouse('documents')
  const candidate = await house.candidate('Uma Upload')
  const { id } = await candidate.done('addClaim', { body: { details: aDegree(house) } })
  upload = (body, fileName = 'Paper.pdf') =>
    candidate.call('uploadDocument', { params: { id }, query: { fileName }, body })
}, 60_000)
afterAll(() => house.close())

const pdfOf = async (pages: number) => {
  const pdf = await PDFDocument.create()
  for (let page = 0; page < pages; page += 1) pdf.addPage()
  return Buffer.from(await pdf.save())
}

test('a kind is told from the content, whatever the name says', async () => {
  const png = createCanvas(20, 20).toBuffer('image/png')
  expect((await upload(png, 'Scan.pdf')).body).toMatchObject({ mediaType: 'image/png', pages: 1 })
  expect((await upload(createCanvas(21, 20).toBuffer('image/jpeg'), 'Photo.jpg')).body).toMatchObject({
    mediaType: 'image/jpeg',
  })
  expect((await upload(await pdfOf(3))).body).toMatchObject({ mediaType: 'application/pdf', pages: 3 })
  expect((await upload(Buffer.from('just words'), 'Degree.pdf')).body).toMatchObject({ code: 'wrong-kind' })
})

test('what cannot be taken says why and what to do', async () => {
  expect((await upload(Buffer.alloc(0))).body.code).toBe('empty-file')
  expect((await upload(await pdfOf(21))).body).toMatchObject({
    code: 'too-many-pages',
    title: 'The file has 21 pages; at most 20 can be taken.',
  })
  expect((await upload(Buffer.concat([Buffer.from('%PDF-1.7\n'), Buffer.alloc(500, 7)]))).body.code).toBe('broken-pdf')
  const tooLarge = await upload(Buffer.concat([await pdfOf(1), Buffer.alloc(10 * 1024 * 1024)]))
  expect([tooLarge.status, tooLarge.body.code]).toEqual([413, 'file-too-large'])
})

test('the same bytes are noticed, and strange names tidied', async () => {
  const paper = await aPaper('Twice')
  expect((await upload(paper, '../../etc/pass:wd?.pdf')).body.fileName).toBe('.. .. etc pass wd .pdf')
  expect((await upload(paper, 'Again.pdf')).body.code).toBe('same-bytes')
})

test('bytes come back as they were, in chunks; changed ones are noticed', async () => {
  const bytes = Buffer.from(Array.from({ length: 1_300_000 }, (_, index) => index % 251))
  const sha256 = await keepBytes(bytes, 'application/pdf', new Date())
  expect(await keepBytes(bytes, 'application/pdf', new Date())).toBe(sha256)
  expect(await BlobChunk.count({ where: { sha256 } })).toBe(3)
  expect((await readBytes(sha256)).bytes.equals(bytes)).toBe(true)
  await BlobChunk.update({ bytes: Buffer.from('other') }, { where: { sha256, nth: 1 } })
  await expect(readBytes(sha256)).rejects.toThrow('not what they were')
})
