import type { Reading } from './romanisation'

export type Cyrillic = 'ICAO 9303' | 'ISO 9' | 'BGN/PCGN'

export const isCyrillic = (text: string) => /\p{Script=Cyrillic}/u.test(text)

const tableOf = (text: string): Readonly<Record<string, string>> =>
  Object.fromEntries(text.split(' ').map((pair) => pair.split(':') as [string, string]))

const shared = 'а:a б:b в:v г:g ґ:g д:d з:z к:k л:l м:m н:n о:o п:p р:r с:s т:t у:u ф:f'

/** ICAO Doc 9303-3, eighth edition, section 6 B. */
const icao = tableOf(
  `${shared} е:e ё:e є:ie ж:zh и:i і:i ї:i й:i х:kh ц:ts ч:ch ш:sh щ:shch ъ:ie ы:y ь: э:e ю:iu я:ia ў:u ђ:d ј:j љ:lj њ:nj ћ:c џ:dz`,
)
/** ISO 9:1995, table 1. */
const iso9 = tableOf(
  `${shared} е:e ё:ë є:ê ж:ž и:i і:ì ї:ï й:j х:h ц:c ч:č ш:š щ:ŝ ъ: ы:y ь: э:è ю:û я:â ў:ŭ ђ:đ ј:j љ:lj њ:nj ћ:ć џ:dž`,
)
/** BGN/PCGN 1947 for Russian. */
const bgn = tableOf(
  `${shared} е:e ё:yo є:ye ж:zh и:i і:i ї:yi й:y х:kh ц:ts ч:ch ш:sh щ:shch ъ: ы:y ь: э:e ю:yu я:ya ў:w ђ:đ ј:j љ:lj њ:nj ћ:ć џ:dž`,
)

/** What a language writes otherwise; which one it is shows by its letters. */
const languages: readonly { letters: RegExp; icao: string; bgn: string }[] = [
  { letters: /[іїєґ]/, icao: 'г:h и:y', bgn: 'г:h и:y' },
  { letters: /[ђјљњћџ]/, icao: 'х:h ц:c ч:c ж:z ш:s', bgn: 'х:h ц:c ч:č ж:ž ш:š' },
  { letters: /ў/, icao: 'г:h ё:io', bgn: 'г:h ё:yo' },
]

/** How a name in Cyrillic letters is written in Latin ones, by each standard. */
export function cyrillicReadings(text: string): Reading[] {
  const lower = text.toLowerCase()
  const language = languages.find(({ letters }) => letters.test(lower))
  const own = (table: Readonly<Record<string, string>>, other: string | undefined) =>
    other ? { ...table, ...tableOf(other) } : table
  const byIcao = written(lower, own(icao, language?.icao))
  const byBgn = written(lower, own(bgn, language?.bgn))
  const initial = (reading: string) => reading.replace(/(?<=^|[\s-]|[aeiouy])e/g, 'ye')
  const readings: Reading[] = [
    { standard: 'ICAO 9303', text: byIcao },
    // Many passports leave out what stands for the hard sign and write the ending as one letter.
    { standard: 'ICAO 9303', text: byIcao.replace(/(ii|iy|yi)(?=$|[\s-])/g, 'y') },
    { standard: 'BGN/PCGN', text: initial(byBgn) },
    { standard: 'BGN/PCGN', text: byBgn },
    // BGN/PCGN 1947, note 3: the endings -ий and -ый may both be y.
    { standard: 'BGN/PCGN', text: byBgn.replace(/(iy|yy)(?=$|[\s-])/g, 'y') },
    { standard: 'ISO 9', text: written(lower, iso9) },
  ]
  const once = new Map(readings.reverse().map((reading) => [reading.text, reading]))
  return [...once.values()].reverse().map(({ standard, text: read }) => ({ standard, text: titled(read) }))
}

const written = (text: string, table: Readonly<Record<string, string>>) =>
  [...text].map((letter) => table[letter] ?? letter).join('')

const titled = (text: string) => text.replace(/(?<=^|[\s-])\p{L}/gu, (letter) => letter.toUpperCase())
