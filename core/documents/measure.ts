/** A page in shades of grey, row by row, 0 black to 255 white. */
export type GreyPage = { width: number; height: number; grey: Uint8Array }

/** What is measured of a page. All are numbers without unit, and do not depend on the size of the picture it came from. */
export type PageMeasures = {
  /** Median over the written tiles of the variance of the Laplacian against the variance of the grey values. */
  sharpness: number
  /** Grey value that nine tenths of the page stay below: how light its paper is. */
  light: number
  /** Share of the page's tiles on which something is written or drawn. */
  ink: number
  /** Largest share, over the four borders, of border pixels where something written crosses. */
  crossing: number
}

export type PageFault = 'empty' | 'too dark' | 'blurred' | 'cut off'

/** Where a measure becomes a warning. Found on sharp pages and on degraded copies of them; see `measure.test.ts`. */
export const thresholds = { sharpness: 0.2, light: 105, ink: 0.004, crossing: 0.06 } as const

/** The longest side, in pixels, a page is brought to before it is measured. */
export const measuredSide = 1400

const tileSide = 48
/** Variance of the grey values of a tile from which on something is written there. */
const writtenContrast = 120
const edgeStep = 28
const { abs, round } = Math

/** Shades of grey from the red, green, blue and opacity of a picture (ITU-R BT.601 weights, on white). */
export function greyOf(rgba: Uint8ClampedArray, width: number, height: number): GreyPage {
  const grey = new Uint8Array(width * height)
  for (let at = 0, from = 0; at < grey.length; at++, from += 4) {
    const shade = 0.299 * rgba[from]! + 0.587 * rgba[from + 1]! + 0.114 * rgba[from + 2]!
    const opacity = rgba[from + 3]! / 255
    grey[at] = round(shade * opacity + 255 * (1 - opacity))
  }
  return { width, height, grey }
}

/**
 * Measures a page.
 *
 * Sharpness is the energy of the Laplacian (Pech-Pacheco et al., 2000), taken tile by tile and against the contrast of the
 * tile, so that a page with little on it, or grey paper, is not taken for a blurred one.
 */
export function measurePage(page: GreyPage): PageMeasures {
  const { written, tiles } = writtenTilesOf(page)
  const middle = written.sort((a, b) => a - b)[Math.floor(written.length / 2)]
  return {
    sharpness: middle ?? 0,
    light: lightOf(page),
    ink: tiles === 0 ? 0 : written.length / tiles,
    crossing: crossingOf(page),
  }
}

/** What a person should look at before sending a page, gravest first; an empty or dark page is not also called blurred. */
export function faultsOfPage(measures: PageMeasures): PageFault[] {
  if (measures.light < thresholds.light) return ['too dark']
  if (measures.ink < thresholds.ink) return ['empty']
  return [
    ...(measures.sharpness < thresholds.sharpness ? (['blurred'] as const) : []),
    ...(measures.crossing > thresholds.crossing ? (['cut off'] as const) : []),
  ]
}

/** How sharp each tile is on which something is written, and how many tiles there are. */
function writtenTilesOf({ width, height, grey }: GreyPage): { written: number[]; tiles: number } {
  const written: number[] = []
  let tiles = 0
  for (let top = 1; top + tileSide < height; top += tileSide) {
    for (let left = 1; left + tileSide < width; left += tileSide) {
      tiles++
      let sum = 0
      let squares = 0
      let bends = 0
      let bendSquares = 0
      for (let y = top; y < top + tileSide; y++) {
        for (let x = left; x < left + tileSide; x++) {
          const at = y * width + x
          const value = grey[at]!
          const bend = grey[at - 1]! + grey[at + 1]! + grey[at - width]! + grey[at + width]! - 4 * value
          sum += value
          squares += value * value
          bends += bend
          bendSquares += bend * bend
        }
      }
      const count = tileSide * tileSide
      const contrast = squares / count - (sum / count) ** 2
      if (contrast > writtenContrast) written.push((bendSquares / count - (bends / count) ** 2) / contrast)
    }
  }
  return { written, tiles }
}

function lightOf({ grey }: GreyPage): number {
  const counts = new Uint32Array(256)
  for (const value of grey) counts[value]!++
  let seen = 0
  for (let value = 0; value < 256; value++) {
    seen += counts[value]!
    if (seen >= grey.length * 0.9) return value
  }
  return 255
}

/** A narrow strip along each border; a pixel of the border counts where its strip has an edge running across it. */
function crossingOf(page: GreyPage): number {
  const { width, height, grey } = page
  const strip = Math.max(2, Math.round(Math.max(width, height) / 350))
  const share = (length: number, valueAt: (along: number, deep: number) => number) => {
    let crossed = 0
    for (let along = 0; along < length - 1; along++) {
      for (let deep = 0; deep < strip; deep++) {
        if (abs(valueAt(along, deep) - valueAt(along + 1, deep)) <= edgeStep) continue
        crossed++
        break
      }
    }
    return crossed / length
  }
  return Math.max(
    share(width, (x, deep) => grey[deep * width + x]!),
    share(width, (x, deep) => grey[(height - 1 - deep) * width + x]!),
    share(height, (y, deep) => grey[y * width + deep]!),
    share(height, (y, deep) => grey[y * width + width - 1 - deep]!),
  )
}
