import { type Canvas, createCanvas } from '@napi-rs/canvas'
import { registerShippedFonts } from '../../test/fonts'
import { faultsOfPage, greyOf, measuredSide, measurePage } from './measure'

const fonts = registerShippedFonts()
const height = measuredSide
const width = Math.round(height / Math.SQRT2)

const margin = 110
const lineOf = (line: number) =>
  `Line ${line + 1}: the holder has passed all parts of the examination with ${60 + line} points`

/** A typed page with a heading, paragraphs and a table, as a good scan gives it. */
function page(paper = '#f7f5ef', ink = '#1d1d1b'): Canvas {
  const canvas = createCanvas(width, height)
  const pen = canvas.getContext('2d')
  pen.fillStyle = paper
  pen.fillRect(0, 0, width, height)
  pen.fillStyle = ink
  pen.font = `34px "${fonts.sansBold}"`
  pen.fillText('Certificate of Qualification', 110, 150)
  pen.font = `19px "${fonts.serif}"`
  for (let line = 0; line < 34; line++) pen.fillText(lineOf(line), margin, 220 + line * 30)
  pen.strokeStyle = ink
  pen.strokeRect(110, 1270, width - 220, 60)
  return canvas
}

const typed = page()
const widestLine = (() => {
  const pen = createCanvas(1, 1).getContext('2d')
  pen.font = `19px "${fonts.serif}"`
  return Math.max(...Array.from({ length: 34 }, (_, line) => pen.measureText(lineOf(line)).width))
})()

function copy(of: Canvas, change: (pen: ReturnType<Canvas['getContext']>, source: Canvas) => void): Canvas {
  const canvas = createCanvas(of.width, of.height)
  change(canvas.getContext('2d'), of)
  return canvas
}

const faultsOf = (canvas: Canvas) => {
  const { data } = canvas.getContext('2d').getImageData(0, 0, canvas.width, canvas.height)
  return faultsOfPage(measurePage(greyOf(new Uint8ClampedArray(data.buffer), canvas.width, canvas.height)))
}

const blurred = (pixels: number) =>
  copy(typed, (pen, source) => {
    pen.filter = `blur(${pixels}px)`
    pen.drawImage(source, 0, 0)
  })
const darkened = (share: number) =>
  copy(typed, (pen, source) => {
    pen.drawImage(source, 0, 0)
    pen.fillStyle = `rgba(0,0,0,${share})`
    pen.fillRect(0, 0, width, height)
  })
const shifted = (x: number, y: number) =>
  copy(typed, (pen, source) => {
    pen.fillStyle = '#f7f5ef'
    pen.fillRect(0, 0, width, height)
    pen.drawImage(source, x, y)
  })

describe('a page that is fine', () => {
  test.each([
    ['a clean scan', typed],
    ['grey recycled paper with weak ink', page('#c9c6bd', '#55544f')],
    ['a page that is a little soft', blurred(1)],
    ['a page photographed in the evening', darkened(0.35)],
    ['a page moved without losing anything', shifted(-60, 40)],
  ])('%s', (_what, canvas) => expect(faultsOf(canvas)).toEqual([]))

  test('a certificate with little on it', () => {
    const sparse = copy(typed, (pen) => {
      pen.fillStyle = '#fff'
      pen.fillRect(0, 0, width, height)
      pen.fillStyle = '#111'
      pen.font = `44px "${fonts.serifBold}"`
      pen.fillText('Diploma', 390, 400)
      pen.font = `24px "${fonts.serif}"`
      pen.fillText('awarded to Ilka Vantongeren on 3 March 2019', 270, 520)
      pen.fillText('for the completion of four years of study', 280, 570)
    })
    expect(faultsOf(sparse)).toEqual([])
  })

  test('a paper photographed whole on a dark table', () => {
    const onTable = copy(typed, (pen, source) => {
      pen.fillStyle = '#3d2c20'
      pen.fillRect(0, 0, width, height)
      pen.drawImage(source, 60, 60, width - 120, height - 120)
    })
    expect(faultsOf(onTable)).toEqual([])
  })
})

describe('degraded copies', () => {
  test.each([1.5, 2, 3, 6])('blurred by %s pixels', (pixels) => expect(faultsOf(blurred(pixels))).toEqual(['blurred']))
  test.each([0.62, 0.75, 0.9])('darkened by %s', (share) => expect(faultsOf(darkened(share))).toEqual(['too dark']))
  test.each([
    ['left', -220, 0],
    ['right', Math.round(width - margin - widestLine) + 90, 0],
    ['top', 0, -242],
    ['bottom', 0, 230],
  ])('cut off at the %s', (_side, x, y) => expect(faultsOf(shifted(x, y))).toEqual(['cut off']))

  test('an empty page, with the noise of a scanner', () => {
    const blank = copy(typed, (pen) => {
      pen.fillStyle = '#f4f2ec'
      pen.fillRect(0, 0, width, height)
      for (let at = 0; at < 4000; at++) {
        pen.fillStyle = `rgba(120,120,110,${0.05 + (at % 7) / 60})`
        pen.fillRect((at * 7919) % width, (at * 104729) % height, 1, 1)
      }
    })
    expect(faultsOf(blank)).toEqual(['empty'])
  })
})
