import { mkdirSync, readFileSync, writeFileSync } from 'node:fs'
import { createRequire } from 'node:module'
import { dirname, join } from 'node:path'
import { fileURLToPath } from 'node:url'
import subset from 'subset-font'

/**
 * `npm run fonts`: cuts the shipped fonts to the letters English and German are written with, into `web/fonts/`. A page
 * with no other letters loads these alone, at two thirds of the bytes; for the others the whole font comes beside.
 */
const require = createRequire(import.meta.url)
const folder = fileURLToPath(new URL('../web/fonts/', import.meta.url))

const printable = Array.from({ length: 0x7e - 0x1f }, (_, place) => String.fromCodePoint(0x20 + place)).join('')
const letters = `${printable}\u00a0§·×äöüÄÖÜß–—‘’‚“”„…€`

const faces = [
  { family: 'Atkinson Hyperlegible Next', weights: [400, 600, 700] },
  { family: 'Atkinson Hyperlegible Mono', weights: [400] },
  { family: 'Newsreader', weights: [500] },
]

const unicodeRange = [...letters]
  .map((letter) => letter.codePointAt(0)!)
  .filter((point) => point > 0x7e)
  .sort((a, b) => a - b)
  .map((point) => `U+${point.toString(16).toUpperCase()}`)
  .join(', ')

mkdirSync(folder, { recursive: true })
const rules: string[] = []
for (const { family, weights } of faces)
  for (const weight of weights) {
    const name = family.toLowerCase().replaceAll(' ', '-')
    const files = join(dirname(require.resolve(`@fontsource/${name}/package.json`)), 'files')
    const whole = readFileSync(join(files, `${name}-latin-${weight}-normal.woff2`))
    const file = `${name}-${weight}.woff2`
    writeFileSync(join(folder, file), await subset(whole, letters, { targetFormat: 'woff2' }))
    rules.push(`@font-face {
  font-family: "${family}";
  font-style: normal;
  font-display: swap;
  font-weight: ${weight};
  src: url("./${file}") format("woff2");
  unicode-range: U+20-7E, ${unicodeRange};
}
`)
  }
writeFileSync(join(folder, 'fonts.css'), `/* Made by \`npm run fonts\`. */\n${rules.join('\n')}`)
