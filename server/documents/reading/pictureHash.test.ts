import sharp from 'sharp'
import { bitsApart, mostBitsApart } from '#core/redFlags/papers'
import { drawPdf } from '#scenario/papers'
import { drawPage, openPdf } from '../../platform/pdf/drawPages'
import { evenOut } from './evenOut'
import { pictureHash } from './pictureHash'

/** A certificate of one form, at so many dots an inch. */
async function pictureOf(name: string, number: string, dots = 110): Promise<Buffer> {
  const bytes = await drawPdf({
    ...{ issuer: 'KARWEN POLYTECHNIC', place: 'Zarowa, PL', heading: 'This is to certify that', number },
    lines: ['the award named below has been conferred on', name, 'Master of Science', 'Mechanical Engineering'],
    ...{ signedBy: 'The registrar', on: '4 Jul 2016' },
  })
  const pdf = await openPdf(bytes)
  const canvas = await drawPage(await pdf.getPage(1), dots)
  await pdf.loadingTask.destroy()
  return sharp(canvas.data(), { raw: { width: canvas.width, height: canvas.height, channels: 4 } })
    .flatten({ background: '#ffffff' })
    .greyscale()
    .png()
    .toBuffer()
}
/** As a photograph is looked at: brought to its size first. */
const lookOf = async (picture: Buffer) => {
  const sized = await sharp(picture)
    .resize({ width: 2339, height: 2339, fit: 'inside', kernel: 'cubic' })
    .png()
    .toBuffer()
  return (await pictureHash(await evenOut(sized)))!
}

let original: string
beforeAll(async () => {
  original = await lookOf(await pictureOf('Marta Kowalczyk', 'KP-2016-0042'))
})

test.each<[string, (picture: Buffer) => Promise<Buffer>]>([
  ['scaled down', (picture) => sharp(picture).resize({ width: 600 }).png().toBuffer()],
  ['compressed', (picture) => sharp(picture).jpeg({ quality: 40 }).toBuffer()],
  ['made faint', (picture) => sharp(picture).linear(0.5, 110).png().toBuffer()],
  ['trimmed', (picture) => sharp(picture).extract({ left: 20, top: 25, width: 860, height: 1230 }).png().toBuffer()],
  [
    'given wider margins',
    (picture) =>
      sharp(picture).extend({ top: 90, left: 40, right: 10, bottom: 60, background: '#ffffff' }).png().toBuffer(),
  ],
])('a paper that was %s looks the same', async (_, change) => {
  const changed = await lookOf(await change(await pictureOf('Marta Kowalczyk', 'KP-2016-0042')))
  expect(bitsApart(original, changed)).toBeLessThanOrEqual(mostBitsApart)
})

test('another person’s paper of the same form looks different', async () => {
  for (const [name, number] of [
    ['Jan Nowak', 'KP-2015-0007'],
    ['Marta Nowicka', 'KP-2016-0043'],
  ] as const)
    expect(bitsApart(original, await lookOf(await pictureOf(name, number)))).toBeGreaterThan(mostBitsApart)
})

test('a page with next to nothing on it has no look', async () => {
  const blank = sharp({ create: { width: 600, height: 800, channels: 3, background: '#ffffff' } })
  expect(await pictureHash(await blank.clone().png().toBuffer())).toBeUndefined()
  const speck = await blank
    .composite([{ input: { create: { width: 8, height: 8, channels: 3, background: '#000' } } }])
    .png()
    .toBuffer()
  expect(await pictureHash(speck)).toBeUndefined()
})

test('it is 256 bits', () => expect(original).toMatch(/^[0-9a-f]{64}$/))
