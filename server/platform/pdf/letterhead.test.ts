import { getDocument, OPS } from 'pdfjs-dist/legacy/build/pdf.mjs'
import sharp from 'sharp'
import { type Sheet, sheetPdf } from './sheetPdf'

/** What a reader of PDFs finds on the first page: its texts with their left ends, and how many pictures are painted. */
async function firstPageOf(from: Sheet['from']) {
  const bytes = await sheetPdf({ from, title: 'A sheet', paragraphs: ['Words.'], facts: [] }, new Date(0))
  const document = await getDocument({ data: new Uint8Array(bytes), verbosity: 0 }).promise
  const page = await document.getPage(1)
  const { items } = await page.getTextContent()
  const { fnArray } = await page.getOperatorList()
  await document.destroy()
  return {
    texts: items.flatMap((item) => ('str' in item && item.str.trim() ? [item] : [])),
    pictures: fnArray.filter((operator) => operator === OPS.paintImageXObject).length,
  }
}

test('a sheet says at its head who it is from, with the logo where there is one', async () => {
  const logo = await sharp({ create: { width: 480, height: 120, channels: 4, background: '#2c6a94' } })
    .png()
    .toBuffer()
  const bare = await firstPageOf({ name: 'Grimvik Ferries' })
  const full = await firstPageOf({ name: 'Grimvik Ferries', logo })
  expect([bare.pictures, full.pictures]).toEqual([0, 1])
  for (const { texts } of [bare, full]) {
    expect(texts.map(({ str }) => str)).toEqual(['Grimvik Ferries', 'A sheet', 'Words.'])
    const [name] = texts
    // It ends where the text of the page ends, at a margin of 64 points on A4.
    expect(name!.transform[4] + name!.width).toBeCloseTo(595 - 64, 0)
  }
})

test('the same sheet is the same bytes', async () => {
  const sheet: Sheet = { from: { name: 'Grimvik Ferries' }, title: 'A sheet', paragraphs: [], facts: [] }
  expect(await sheetPdf(sheet, new Date(0))).toEqual(await sheetPdf(sheet, new Date(0)))
})
