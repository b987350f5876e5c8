import { createRequire } from 'node:module'
import { dirname, join } from 'node:path'
import { GlobalFonts } from '@napi-rs/canvas'

const require = createRequire(import.meta.url)

/**
 * Makes the fonts that ship with the application known to the canvas, so that what a test draws looks the same on every
 * machine, whatever fonts are installed there.
 *
 * @returns names for `context.font`: `sans` and `serif`, each with its bold
 */
export function registerShippedFonts() {
  const names = {
    sans: 'Shipped Sans',
    sansBold: 'Shipped Sans Bold',
    serif: 'Shipped Serif',
    serifBold: 'Shipped Serif Bold',
  }
  const load = (family: string, weight: number, name: string) => {
    const folder = join(dirname(require.resolve(`@fontsource/${family}/package.json`)), 'files')
    if (
      !GlobalFonts.has(name) &&
      !GlobalFonts.registerFromPath(join(folder, `${family}-latin-${weight}-normal.woff2`), name)
    )
      throw new Error(`the font ${family} ${weight} could not be read`)
  }
  load('atkinson-hyperlegible-next', 400, names.sans)
  load('atkinson-hyperlegible-next', 700, names.sansBold)
  load('newsreader', 400, names.serif)
  load('newsreader', 700, names.serifBold)
  return names
}
