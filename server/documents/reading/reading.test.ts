import { createCanvas } from '@napi-rs/canvas'
import sharp from 'sharp'
import { drawPdf, drawPhoto } from '#scenario/papers'
import { drawPage, openPdf } from '../../platform/pdf/drawPages'
import { drawnOn } from './drawnOn'
import { evenOut } from './evenOut'
import { readPaper } from './readPaper'
import { canRecognise } from './recognise'
import { placeBefore, straighten } from './straighten'

const paper = {
  ...{ issuer: 'Karwen Linie', place: 'Zarowa, PL', heading: 'Certificate of employment' },
  lines: ['We confirm that', 'Dario Benvenuti', 'has worked for us as Train driver', 'from 1 Jan 2021'],
  ...{ signedBy: 'Human resources', on: '21 Oct 2026' },
}

async function pictureOf(bytes: Buffer): Promise<Buffer> {
  const pdf = await openPdf(bytes)
  const canvas = await drawPage(await pdf.getPage(1), 120)
  await pdf.loadingTask.destroy()
  return sharp(canvas.data(), { raw: { width: canvas.width, height: canvas.height, channels: 4 } })
    .flatten({ background: '#ffffff' })
    .greyscale()
    .png()
    .toBuffer()
}

const brightness = async (picture: Buffer) => {
  const { channels } = await sharp(picture).stats()
  return { darkest: channels[0]!.min, mean: channels[0]!.mean }
}

test('the text of a PDF is read with the place of each word', async () => {
  const { text: read } = await readPaper(new Uint8Array(await drawPdf(paper)), 'application/pdf')
  if (read === 'no recognition') throw new Error('a text layer needs none')
  expect(read.how).toBe('text layer')
  const dario = read.words.find(({ text }) => text === 'Dario')!
  const issuer = read.words.find(({ text }) => text === 'KARWEN')!
  expect([dario.place.page, dario.place.y > issuer.place.y, dario.place.x > 0.3 && dario.place.x < 0.5]).toEqual([
    1,
    true,
    true,
  ])
})

test('a faint copy comes out as black on white, and a shadow over it is taken away', async () => {
  const page = await pictureOf(await drawPdf(paper))
  const faint = await sharp(page).linear(0.3, 160).png().toBuffer()
  expect((await brightness(faint)).darkest).toBeGreaterThan(150)
  const even = await brightness(await evenOut(faint))
  expect([even.darkest < 30, even.mean > 235]).toEqual([true, true])
})

test('a page that leans is brought upright, and places are found again where they were', async () => {
  const page = await pictureOf(await drawPdf(paper))
  const leaning = await sharp(page).rotate(4, { background: '#ffffff' }).png().toBuffer()
  const upright = await straighten(leaning)
  expect(upright.degrees).toBeGreaterThan(-4.8)
  expect(upright.degrees).toBeLessThan(-3.2)
  const middle = { page: 1, x: 0.45, y: 0.45, width: 0.1, height: 0.1 }
  const before = placeBefore(upright, middle)
  expect(Math.abs(before.x + before.width / 2 - 0.5)).toBeLessThan(0.02)
  expect((await straighten(page)).degrees).toBe(0)
})

test('a quarter turn is undone as well', async () => {
  const page = await pictureOf(await drawPdf(paper))
  const lying = await sharp(page).rotate(90).png().toBuffer()
  expect(Math.round((await straighten(lying)).degrees)).toBe(270)
}, 30_000)

test('a hand and a stamp are found beside the words, and frames and rules are not', async () => {
  const words = async (signed?: number) => {
    const bytes = await drawPdf({ ...paper, signed })
    const { text: read } = await readPaper(new Uint8Array(bytes), 'application/pdf')
    return read === 'no recognition' ? [] : read.drawn
  }
  const [unsigned, signed] = [await words(), await words(9)]
  expect(unsigned).toHaveLength(1)
  expect(signed).toHaveLength(2)
  const hand = signed.find(({ x }) => x > 0.5)!
  expect(hand.width / (hand.height * Math.SQRT2)).toBeGreaterThan(2)
})

test('an empty page has nothing drawn on it', async () => {
  const blank = createCanvas(400, 560).toBuffer('image/png')
  expect(await drawnOn(await sharp(blank).flatten({ background: '#ffffff' }).png().toBuffer(), [], 1)).toEqual([])
})

test('where the program is missing it is said, and a text layer is read all the same', async () => {
  expect(await canRecognise()).toBe(true)
  const path = process.env.PATH
  process.env.PATH = '/nowhere'
  try {
    expect(await canRecognise()).toBe(false)
    const photo = await readPaper(new Uint8Array(drawPhoto(paper)), 'image/png')
    expect(photo.text).toBe('no recognition')
    // What it looks like is known all the same.
    expect(photo.pictures).toEqual([expect.stringMatching(/^[0-9a-f]{64}$/)])
    const pdf = await readPaper(new Uint8Array(await drawPdf(paper)), 'application/pdf')
    expect(pdf.text).toMatchObject({ how: 'text layer' })
  } finally {
    process.env.PATH = path
  }
})
