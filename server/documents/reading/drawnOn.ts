import sharp from 'sharp'
import type { Place, ReadWord } from '#core/reading/paperText'

const columns = 120
const rows = 170

/**
 * Ink on an upright page that is no text and no rule: signatures, stamps, portraits, emblems. The page is laid over with a
 * grid; cells with ink outside of words that touch each other belong together.
 */
export async function drawnOn(picture: Buffer, words: readonly ReadWord[], page: number): Promise<Place[]> {
  const { data, info } = await sharp(picture)
    .greyscale()
    .resize(columns * 6, rows * 6, { fit: 'fill' })
    .normalise()
    .raw()
    .toBuffer({ resolveWithObject: true })
  const ink = new Uint8Array(columns * rows)
  const dark = (x: number, y: number) => data[(y * info.width + x) * info.channels]! < 128
  for (let row = 0; row < rows; row += 1)
    for (let column = 0; column < columns; column += 1) {
      let count = 0
      for (let y = row * 6; y < row * 6 + 6; y += 1)
        for (let x = column * 6; x < column * 6 + 6; x += 1) if (dark(x, y)) count += 1
      if (count >= 2) ink[row * columns + column] = 1
    }
  for (const { place } of words) {
    const [left, right] = [Math.floor(place.x * columns) - 1, Math.ceil((place.x + place.width) * columns) + 1]
    const [top, bottom] = [Math.floor(place.y * rows) - 1, Math.ceil((place.y + place.height) * rows) + 1]
    for (let row = Math.max(0, top); row < Math.min(rows, bottom); row += 1)
      for (let column = Math.max(0, left); column < Math.min(columns, right); column += 1)
        ink[row * columns + column] = 0
  }
  return together(ink)
    .filter(({ width, height, cells }) => width >= 3 && height >= 3 && width < columns * 0.8 && cells >= 8)
    .map(({ x, y, width, height }) => ({
      page,
      x: x / columns,
      y: y / rows,
      width: width / columns,
      height: height / rows,
    }))
}

type Patch = { x: number; y: number; width: number; height: number; cells: number }

/** Cells that touch each other, also at a corner, as patches. */
function together(ink: Uint8Array): Patch[] {
  const patches: Patch[] = []
  for (let start = 0; start < ink.length; start += 1) {
    if (!ink[start]) continue
    const open = [start]
    ink[start] = 0
    let [left, right, top, bottom, cells] = [columns, 0, rows, 0, 0]
    while (open.length > 0) {
      const cell = open.pop()!
      const [x, y] = [cell % columns, Math.floor(cell / columns)]
      cells += 1
      left = Math.min(left, x)
      right = Math.max(right, x)
      top = Math.min(top, y)
      bottom = Math.max(bottom, y)
      for (let dy = -1; dy <= 1; dy += 1)
        for (let dx = -1; dx <= 1; dx += 1) {
          const [nx, ny] = [x + dx, y + dy]
          const next = ny * columns + nx
          if (nx < 0 || ny < 0 || nx >= columns || ny >= rows || !ink[next]) continue
          ink[next] = 0
          open.push(next)
        }
    }
    patches.push({ x: left, y: top, width: right - left + 1, height: bottom - top + 1, cells })
  }
  return patches
}
