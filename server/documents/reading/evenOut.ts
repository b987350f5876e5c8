import sharp from 'sharp'

/** The side of the squares over which the brightness of the paper is taken, in pixels. */
const square = 32
/** Of its pixels, the paper is brighter than so many. */
const share = 0.85
const darkest = 40

/**
 * Evens out how a page is lit: every pixel is set against the paper around it, so that shadows, yellowed and faint copies
 * come out as black on white. Then what is darkest becomes black.
 *
 * @param grey a picture in grey
 * @returns the same as PNG
 */
export async function evenOut(grey: Buffer): Promise<Buffer> {
  const { data, info } = await sharp(grey).greyscale().raw().toBuffer({ resolveWithObject: true })
  const { width, height, channels } = info
  const columns = Math.ceil(width / square)
  const rows = Math.ceil(height / square)
  const paper = new Uint8Array(columns * rows)
  for (let row = 0; row < rows; row += 1)
    for (let column = 0; column < columns; column += 1) {
      const histogram = new Uint32Array(256)
      let count = 0
      for (let y = row * square; y < Math.min(height, (row + 1) * square); y += 2)
        for (let x = column * square; x < Math.min(width, (column + 1) * square); x += 2) {
          histogram[data[(y * width + x) * channels]!]! += 1
          count += 1
        }
      paper[row * columns + column] = Math.max(darkest, valueAt(histogram, count * share))
    }
  const around = await sharp(Buffer.from(paper), { raw: { width: columns, height: rows, channels: 1 } })
    .blur(1.2)
    .resize(width, height, { fit: 'fill', kernel: 'linear' })
    .greyscale()
    .raw()
    .toBuffer()
  const even = Buffer.alloc(width * height)
  const histogram = new Uint32Array(256)
  for (let at = 0; at < even.length; at += 1) {
    const value = Math.min(255, Math.round((data[at * channels]! * 255) / Math.max(darkest, around[at]!)))
    even[at] = value
    histogram[value]! += 1
  }
  const ink = Math.min(200, valueAt(histogram, even.length * 0.004))
  for (let at = 0; at < even.length; at += 1)
    even[at] = Math.max(0, Math.round(((even[at]! - ink) * 255) / (255 - ink)))
  return sharp(even, { raw: { width, height, channels: 1 } })
    .png({ compressionLevel: 1 })
    .toBuffer()
}

/** The value below which so many lie. */
function valueAt(histogram: Uint32Array, count: number): number {
  let sum = 0
  for (let value = 0; value < histogram.length; value += 1) {
    sum += histogram[value]!
    if (sum >= count) return value
  }
  return 255
}
