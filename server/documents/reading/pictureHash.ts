import sharp from 'sharp'

/** The longer side to which a page is brought before its margins are found, so that ink counts alike. */
const lookedAt = 1654
/** The side to which what lies within them is brought. */
const side = 192
/** Frequencies a side, from one at which words differ: what is lower is the same on all papers of one form. */
const lowest = 32
const frequencies = 16
/** A page with less ink, as a share of its dots, is all but empty: such pages are alike whatever they are. */
const leastInk = 0.002
/** Darker is ink; a shadow at the edge of a photograph is not. */
const dark = 70

const cosines = Array.from({ length: frequencies }, (_, u) =>
  Float64Array.from({ length: side }, (_, x) => Math.cos(((2 * x + 1) * (lowest + u) * Math.PI) / (2 * side))),
)

/**
 * What the picture of an upright, evened page looks like, as 256 bits: the signs of 16 by 16 frequencies of a discrete cosine
 * transform (type II) of its ink without margins. Pictures of one paper differ in few bits however they were scaled,
 * compressed, lightened, turned a little or trimmed; papers of one form with other words in more. How many is measured by
 * `npm run bench -- pictures`.
 *
 * @param picture in grey, upright and evened
 * @returns 64 hexadecimal digits; `undefined` where there is next to nothing on it
 */
export async function pictureHash(picture: Buffer): Promise<string | undefined> {
  const ink = await withoutMargins(picture)
  if (!ink) return undefined
  const { data, info } = await ink
    .resize(side, side, { fit: 'fill', kernel: 'lanczos3' })
    .greyscale()
    .raw()
    .toBuffer({ resolveWithObject: true })
  const value = (x: number, y: number) => data[(y * side + x) * info.channels]!
  const rows = cosines.map((cosine) =>
    Float64Array.from({ length: side }, (_, y) => {
      let sum = 0
      for (let x = 0; x < side; x += 1) sum += cosine[x]! * value(x, y)
      return sum
    }),
  )
  const bits = cosines.flatMap((cosine) =>
    rows.map((row) => {
      let sum = 0
      for (let y = 0; y < side; y += 1) sum += cosine[y]! * row[y]!
      return sum > 0
    }),
  )
  return Array.from({ length: 64 }, (_, nth) =>
    bits
      .slice(nth * 4, nth * 4 + 4)
      .reduce((sum, bit) => sum * 2 + Number(bit), 0)
      .toString(16),
  ).join('')
}

/** A picture cut to where its ink is. Single specks do not count. */
async function withoutMargins(page: Buffer) {
  const { data, info } = await sharp(page)
    .resize({ width: lookedAt, height: lookedAt, fit: 'inside' })
    .greyscale()
    .raw()
    .toBuffer({ resolveWithObject: true })
  const { width, height, channels } = info
  const columns = new Uint32Array(width)
  const rows = new Uint32Array(height)
  let count = 0
  for (let y = 0; y < height; y += 1)
    for (let x = 0; x < width; x += 1) {
      if (data[(y * width + x) * channels]! >= dark) continue
      columns[x]! += 1
      rows[y]! += 1
      count += 1
    }
  if (count < leastInk * width * height) return undefined
  const [left, right] = edges(columns, count)
  const [top, bottom] = edges(rows, count)
  if (right - left < 16 || bottom - top < 16) return undefined
  return sharp(data, { raw: { width, height, channels } }).extract({
    left,
    top,
    width: right - left + 1,
    height: bottom - top + 1,
  })
}

/** Where the ink begins and ends: outside lies a four-hundredth of it at most. */
function edges(counts: Uint32Array, all: number): [number, number] {
  const most = all / 400
  let [from, before] = [0, 0]
  while (from < counts.length && before + counts[from]! <= most) before += counts[from++]!
  let [to, after] = [counts.length - 1, 0]
  while (to > from && after + counts[to]! <= most) after += counts[to--]!
  return [from, to]
}
