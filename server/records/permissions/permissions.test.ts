import { createCanvas } from '@napi-rs/canvas'
import { PDFDocument, PDFName, PDFRawStream } from 'pdf-lib'
import { type House, openHouse } from '../../../test/house'
import { Permission } from './model'

let house: House
beforeAll(async () => {
  house = await openHouse('permissions')
}, 60_000)
afterAll(() => house.close())

function drawn(width = 400, height = 150): string {
  const canvas = createCanvas(width, height)
  const pen = canvas.getContext('2d')
  pen.moveTo(20, height - 30)
  pen.bezierCurveTo(80, 10, 160, height, width - 20, 40)
  pen.stroke()
  return `data:image/png;base64,${canvas.toBuffer('image/png').toString('base64')}`
}

const password = 'a-long-enough-secret'
async function begun(name: string) {
  const candidate = await house.candidate(name)
  const { id } = await candidate.done('beginApplication', { params: { slug: 'track-engineer' } })
  const sign = (body: object) =>
    candidate.call('signPermission', { params: { id }, body: { password, agreed: true, ...body } })
  return { candidate, id, sign }
}
async function picturesIn(bytes: ArrayBuffer): Promise<number> {
  const pdf = await PDFDocument.load(bytes)
  return pdf.context
    .enumerateIndirectObjects()
    .filter(
      ([, object]) => object instanceof PDFRawStream && object.dict.get(PDFName.of('Subtype'))?.toString() === '/Image',
    ).length
}

test('a name that is drawn stands in the signed PDF, under the name on file', async () => {
  const { candidate, id, sign } = await begun('Drawn Name')
  expect((await sign({ fullName: '', drawing: drawn() })).status).toBe(200)
  const { permission } = await candidate.done('readDraft', { params: { id } })
  expect(permission?.fullName).toBe('Drawn Name')
  const pdf = await candidate.request(`/api/my/applications/${id}/permission.pdf`)
  expect(await picturesIn(await pdf.arrayBuffer())).toBeGreaterThan(0)
  expect(await Permission.findOne({ where: { applicationId: id } })).toMatchObject({
    drawn: true,
    textVersion: 'v3 en',
  })
})

test('a name that is typed has no picture, and has to be one’s own', async () => {
  const { candidate, id, sign } = await begun('Typed Name')
  expect((await sign({ fullName: 'Ty' })).body.faults?.[0]?.pointer).toBe('/body/fullName')
  expect((await sign({ fullName: 'Somebody Else' })).body.faults?.[0]?.message).toMatch(/Typed Name/)
  expect((await sign({ fullName: 'Typed Name' })).status).toBe(200)
  const pdf = await candidate.request(`/api/my/applications/${id}/permission.pdf`)
  expect(await picturesIn(await pdf.arrayBuffer())).toBe(0)
})

test.each([
  ['what is no picture', `data:image/png;base64,${Buffer.from('not a picture').toString('base64')}`, '/body/drawing'],
  ['half a picture', drawn().slice(0, 60), '/body/drawing'],
  ['a picture larger than anybody signs', drawn(3200, 200), '/body/drawing'],
  ['another kind of picture', 'data:image/svg+xml;base64,AAAA', '/body/drawing'],
])('%s is refused and signs nothing', async (_what, drawing, pointer) => {
  const { candidate, id, sign } = await begun('Broken Drawing')
  const refused = await sign({ fullName: '', drawing })
  expect([refused.status, refused.body.faults?.[0]?.pointer]).toEqual([422, pointer])
  expect((await candidate.done('readDraft', { params: { id } })).permission).toBeNull()
})

test('the text is read and signed in the language of the page', async () => {
  const { candidate, id } = await begun('Deutsche Unterschrift')
  const german = { headers: { 'Accept-Language': 'de' } }
  const draft = (await (await candidate.request(`/api/my/applications/${id}`, german)).json()) as {
    permissionText: string
  }
  expect(draft.permissionText).toMatch(/^Ich erlaube Vallorne Mountain Lines, meine Angaben/)
  expect((await candidate.done('readDraft', { params: { id } })).permissionText).toMatch(/^I allow/)
})
