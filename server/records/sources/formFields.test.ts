import { PDFDocument, StandardFonts } from 'pdf-lib'
import { releaseForm } from '#scenario/sources/releaseForm'
import { textOf } from '../../../test/pdfText'
import formFields from './formFields'

type Made = { fields: string[]; filled?: Uint8Array }
const work = async (bytes: Uint8Array, fill?: Record<string, string>) => (await formFields({ bytes, fill })) as Made
const read = async ({ filled }: Made) => (await textOf(filled!.slice().buffer)).replace(/\s+/g, ' ')

/** A form of two pages with a field on each, a box to tick and one field that stands twice. */
async function form() {
  const document = await PDFDocument.create()
  const font = await document.embedFont(StandardFonts.Helvetica)
  const [first, second] = [document.addPage([400, 400]), document.addPage([400, 400])]
  first.drawText('Page one', { x: 20, y: 380, size: 9, font })
  second.drawText('Page two', { x: 20, y: 380, size: 9, font })
  const fields = document.getForm()
  const name = fields.createTextField('name')
  name.addToPage(first, { x: 20, y: 300, width: 200, height: 20 })
  name.addToPage(second, { x: 20, y: 300, width: 200, height: 20 })
  fields.createTextField('narrow').addToPage(second, { x: 20, y: 200, width: 60, height: 14 })
  fields.createCheckBox('agreed').addToPage(first, { x: 20, y: 200, width: 12, height: 12 })
  fields.createTextField('day').addToPage(second, { x: 20, y: 100, width: 60, height: 14 })
  return Buffer.from(await document.save())
}

test('only what takes text can be filled, each by its name once', async () => {
  expect((await work(await form())).fields.sort()).toEqual(['day', 'name', 'narrow'])
})

test('a field that stands twice is filled twice, on the page it stands on; what is left stays empty', async () => {
  const made = await work(await form(), { name: 'Zoë Łęcka', narrow: '' })
  const said = (await read(made)).replace(/\s/g, '')
  expect(said.match(/ZoëŁęcka/g)).toHaveLength(2)
  expect(said.indexOf('Pageone')).toBeLessThan(said.indexOf('ZoëŁęcka'))
  expect(said.lastIndexOf('ZoëŁęcka')).toBeGreaterThan(said.indexOf('Pagetwo'))
})

test('nothing can be typed into it any more, so that what is signed is what was printed', async () => {
  const { filled } = await work(await form(), { name: 'Ada' })
  const document = await PDFDocument.load(filled!)
  expect(document.getForm().getFields()).toEqual([])
  expect(document.getPageCount()).toBe(2)
})

test('what is long is written smaller and whole, also where its field is narrow', async () => {
  const long = 'Politecnico di Lumira, Facoltà di Ingegneria'
  expect(await read(await work(await form(), { narrow: long }))).toContain(long)
})

test('names of fields that the form has not are nothing to fill', async () => {
  const said = await read(await work(await form(), { signature: 'Forged' }))
  expect(said).not.toContain('Forged')
})

test('a form without fields comes back as it is', async () => {
  const document = await PDFDocument.create()
  document.addPage().drawText('By hand', { font: await document.embedFont(StandardFonts.Helvetica) })
  const made = await work(Buffer.from(await document.save()), {})
  expect([made.fields, await read(made)]).toEqual([[], 'By hand'])
})

test('the form of the demo has what its condition fills, and leaves day and signature to the hand', async () => {
  const { fields } = await work(await releaseForm('Politecnico di Lumira'))
  expect(fields).toEqual(['surname', 'given_names', 'date_of_birth', 'course', 'matriculation', 'released_to'])
})
