import sharp, { type Sharp } from 'sharp'
import type { Place } from '#core/reading/paperText'
import { quarterTurns } from './recognise'

const lookedAt = 700
const mostDegrees = 8
const stepDegrees = 0.25
const least = 0.4

/** A picture brought upright: how far it was turned clockwise, in degrees, and its size before and after. */
export type Upright = {
  picture: Buffer
  degrees: number
  before: { width: number; height: number }
  after: { width: number; height: number }
}

/**
 * Brings the picture of a page upright: by quarter turns as the direction of its letters says, then by the angle at which
 * its lines are sharpest (the projection profile method; Postl 1986), up to 8 degrees either way.
 */
export async function straighten(grey: Buffer): Promise<Upright> {
  const { width = 1, height = 1 } = await sharp(grey).metadata()
  const quarter = await quarterTurns(await sharp(grey).png().toBuffer())
  const turned = quarter === 0 ? grey : await sharp(grey).rotate(quarter).png().toBuffer()
  const lean = await leanOf(sharp(turned))
  const degrees = quarter + (Math.abs(lean) >= least ? lean : 0)
  const picture =
    degrees % 360 === 0 ? turned : await sharp(grey).rotate(degrees, { background: '#ffffff' }).png().toBuffer()
  const after = await sharp(picture).metadata()
  return { picture, degrees, before: { width, height }, after: { width: after.width ?? 1, height: after.height ?? 1 } }
}

/** The angle, in degrees clockwise, that makes the rows of ink of a picture sharpest. */
async function leanOf(picture: Sharp): Promise<number> {
  const { data, info } = await picture
    .greyscale()
    .resize({ width: lookedAt, height: lookedAt, fit: 'inside', withoutEnlargement: true })
    .normalise()
    .raw()
    .toBuffer({ resolveWithObject: true })
  const ink: [number, number][] = []
  for (let y = 1; y < info.height - 1; y += 1)
    for (let x = 0; x < info.width; x += 2) {
      const at = y * info.width * info.channels + x * info.channels
      // The lower edges of letters: dark above, light below.
      const below = data[at + info.width * info.channels]!
      if (below - data[at]! > 60) ink.push([x - info.width / 2, y - info.height / 2])
    }
  if (ink.length < 50) return 0
  const sharpness = (degrees: number) => {
    const angle = (degrees * Math.PI) / 180
    const [sin, cos] = [Math.sin(angle), Math.cos(angle)]
    const rows = new Uint32Array(info.width + info.height)
    const middle = rows.length >> 1
    for (const [x, y] of ink) rows[Math.round(x * sin + y * cos) + middle]! += 1
    return rows.reduce((sum, count) => sum + count * count, 0)
  }
  let best = { degrees: 0, value: sharpness(0) }
  for (let degrees = -mostDegrees; degrees <= mostDegrees; degrees += stepDegrees) {
    const value = sharpness(degrees)
    // Straight is kept unless leaning is clearly better.
    if (value > best.value * (best.degrees === 0 ? 1.03 : 1)) best = { degrees, value }
  }
  return best.degrees
}

/** Where something stands on the picture as it was, that was found on it brought upright. */
export function placeBefore({ degrees, before, after }: Upright, place: Place): Place {
  const angle = (-degrees * Math.PI) / 180
  const [sin, cos] = [Math.sin(angle), Math.cos(angle)]
  const corners = [
    [place.x, place.y],
    [place.x + place.width, place.y],
    [place.x, place.y + place.height],
    [place.x + place.width, place.y + place.height],
  ].map(([x, y]) => {
    const fromMiddle = [(x! - 0.5) * after.width, (y! - 0.5) * after.height] as const
    return [
      (fromMiddle[0] * cos - fromMiddle[1] * sin) / before.width + 0.5,
      (fromMiddle[0] * sin + fromMiddle[1] * cos) / before.height + 0.5,
    ] as const
  })
  const inside = (value: number) => Math.min(1, Math.max(0, value))
  const xs = corners.map(([x]) => inside(x))
  const ys = corners.map(([, y]) => inside(y))
  const [x, y] = [Math.min(...xs), Math.min(...ys)]
  return { page: place.page, x, y, width: Math.max(...xs) - x, height: Math.max(...ys) - y }
}
