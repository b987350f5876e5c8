import { createRequire } from 'node:module'
import { dirname, join } from 'node:path'
import { createCanvas, GlobalFonts } from '@napi-rs/canvas'
import { rgb } from 'pdf-lib'
import { draw, faceOf, newPdf, widthOf } from '#server/platform/pdf/pdfText'

/** What stands on a certificate or a letter. */
export type Paper = {
  issuer: string
  place: string
  heading: string
  lines: string[]
  number?: string
  signedBy: string
  /** Signed by hand; each number is another hand. */
  signed?: number
  on: string
}

const ink = rgb(0.1, 0.13, 0.16)

/** Draws a paper as a PDF of one page: a frame, the issuer, what is certified, a number, a signature line. */
export async function drawPdf({ issuer, place, heading, lines, number, signedBy, signed, on }: Paper): Promise<Buffer> {
  const pdf = await newPdf(`${heading}, ${issuer}`, new Date(0))
  const serif = await faceOf(pdf, 'newsreader', 400)
  const bold = await faceOf(pdf, 'newsreader', 700)
  const page = pdf.addPage([595, 842])
  page.drawRectangle({ x: 36, y: 36, width: 523, height: 770, borderColor: ink, borderWidth: 1.2 })
  page.drawRectangle({ x: 42, y: 42, width: 511, height: 758, borderColor: ink, borderWidth: 0.4 })
  const centred = (face: typeof serif, text: string, y: number, size: number) =>
    draw(page, face, text, (595 - widthOf(face, text, size)) / 2, y, size)
  centred(bold, issuer.toUpperCase(), 720, issuer.length > 28 ? 19 : 24)
  centred(serif, place, 696, 12)
  page.drawLine({ start: { x: 200, y: 676 }, end: { x: 395, y: 676 }, thickness: 0.6, color: ink })
  centred(serif, heading, 630, 20)
  lines.forEach((line, index) => {
    centred(index === 1 ? bold : serif, line, 570 - index * 34, index === 1 ? 22 : 15)
  })
  if (number) centred(serif, `N° ${number}`, 300, 14)
  centred(serif, `${place.split(',')[0]}, ${on}`, 230, 12)
  page.drawLine({ start: { x: 330, y: 160 }, end: { x: 500, y: 160 }, thickness: 0.6, color: ink })
  draw(page, serif, signedBy, 335, 145, 11)
  if (signed !== undefined)
    page.drawSvgPath(handOf(signed), { x: 345, y: 190, borderColor: rgb(0.1, 0.16, 0.42), borderWidth: 1.5 })
  page.drawCircle({ x: 140, y: 160, size: 42, borderColor: rgb(0.42, 0.2, 0.24), borderWidth: 1.4 })
  page.drawCircle({ x: 140, y: 160, size: 35, borderColor: rgb(0.42, 0.2, 0.24), borderWidth: 0.6 })
  return Buffer.from(await pdf.save())
}

/** Somebody's hand: a run of loops and strokes. */
function handOf(seed: number): string {
  let path = 'M 0 18'
  for (let nth = 0; nth < 7; nth += 1) {
    const [x, up] = [nth * 18, 6 + ((seed * (nth + 3) * 7) % 24)]
    path += ` C ${x + 4} ${18 - up}, ${x + 14} ${18 - up}, ${x + 12} 18 S ${x + 10} ${22 + (up % 9)}, ${x + 18} 18`
  }
  return path
}

const require = createRequire(import.meta.url)
let registered = false

function registerFonts() {
  if (registered) return
  const folder = join(dirname(require.resolve('@fontsource/newsreader/package.json')), 'files')
  for (const [name, part] of [
    ['Paper', 'latin-400'],
    ['Paper', 'latin-ext-400'],
    ['Paper Bold', 'latin-700'],
  ] as const) {
    GlobalFonts.registerFromPath(join(folder, `newsreader-${part}-normal.woff2`), name)
  }
  registered = true
}

/** Draws a card or certificate as a photographed PNG: slightly turned, on a table. `cutOff` loses its lower third. */
export function drawPhoto(
  { issuer, place, heading, lines, number, on }: Paper,
  options: { cutOff?: boolean } = {},
): Buffer {
  registerFonts()
  const canvas = createCanvas(1000, options.cutOff ? 430 : 680)
  const page = canvas.getContext('2d')
  page.fillStyle = '#8d8478'
  page.fillRect(0, 0, 1000, 680)
  page.translate(70, 40)
  page.rotate(0.012)
  page.fillStyle = '#fbfaf5'
  page.fillRect(0, 0, 860, 590)
  page.strokeStyle = '#2b4a5e'
  page.lineWidth = 3
  page.strokeRect(18, 18, 824, 554)
  page.fillStyle = '#1d2b33'
  const write = (text: string, y: number, size: number, bold = false) => {
    page.font = `${size}px "${bold ? 'Paper Bold' : 'Paper'}"`
    page.fillText(text, 60, y)
  }
  write(issuer, 90, 38, true)
  write(place, 125, 20)
  write(heading, 190, 32)
  lines.forEach((line, index) => {
    write(line, 250 + index * 46, index === 1 ? 34 : 24, index === 1)
  })
  if (number) write(`No. ${number}`, 480, 28)
  write(on, 530, 22)
  return canvas.toBuffer('image/png')
}
