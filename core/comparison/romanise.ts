import anyAscii from 'any-ascii'
import { pinyin } from 'pinyin-pro'
import type { Reading, Romanisation } from './romanisation'
import { type Cyrillic, cyrillicReadings, isCyrillic } from './romaniseCyrillic'
import { greekReadings, isGreek } from './romaniseGreek'

const compoundSurnames = new Set(
  '欧阳 歐陽 司马 司馬 上官 诸葛 諸葛 夏侯 皇甫 尉迟 尉遲 公孙 公孫 慕容 令狐 司徒 东方 東方 端木 南宫 南宮'.split(' '),
)

export const isHan = (text: string) =>
  /\p{Script=Han}/u.test(text) && !/[\p{Script=Hiragana}\p{Script=Katakana}]/u.test(text)
export const isLatin = (text: string) => !/[^\p{Script=Latin}\P{L}]/u.test(text)

/**
 * How a name in another script may be written in Latin letters: Cyrillic by ICAO 9303-3, section 6 B, by ISO 9:1995 and by
 * BGN/PCGN (Russian 1947, Ukrainian 2019 and 1965, Serbian 2005); Greek by ELOT 743 (ISO 843 type 2), ISO 843 type 1 and
 * BGN/PCGN 1962; Chinese characters by ISO 7098 (pinyin, the surname first and read as one).
 *
 * @returns the readings, the usual one first; none where the script is not one of these
 */
export function readingsOf(text: string): Reading[] {
  if (isHan(text)) return pinyinReadings(text)
  if (isCyrillic(text)) return cyrillicReadings(text)
  if (isGreek(text)) return greekReadings(text)
  return []
}

function pinyinReadings(text: string): Reading[] {
  const characters = [...text.replace(/[\s·•]+/g, '')]
  const head = compoundSurnames.has(characters.slice(0, 2).join('')) ? 2 : 1
  const syllables = pinyin(characters.join(''), { toneType: 'none', type: 'array', surname: 'head', v: true })
  const written = (parts: readonly string[], ue: string) => capital(parts.join('').replaceAll('v', ue))
  // ü is u in most forms, yu in passports since 2012 (GB/T 28039), and v where it was typed.
  const ways = syllables.some((syllable) => syllable.includes('v')) ? ['u', 'yu', 'v'] : ['u']
  return ways.map((ue) => ({
    standard: 'ISO 7098',
    text: `${written(syllables.slice(0, head), ue)} ${written(syllables.slice(head), ue)}`.trim(),
  }))
}

/**
 * Whether two parts in Latin letters come from one Cyrillic word by two standards: `Shcherbakov` and `Ščerbakov`.
 * Parts of fewer than four letters say too little.
 */
export function sameInCyrillic(a: string, b: string): { ours: Romanisation; theirs: Romanisation } | undefined {
  if (Math.min(a.length, b.length) < 4) return undefined
  return fromCyrillic(a, b) ?? reversed(fromCyrillic(b, a))
}

function fromCyrillic(a: string, b: string) {
  for (const standard of ['BGN/PCGN', 'ICAO 9303', 'ISO 9'] as const satisfies Cyrillic[]) {
    const readings = cyrillicReadings(backToCyrillic(a.toLowerCase(), standard))
    const plain = (text: string) =>
      anyAscii(text)
        .toLowerCase()
        .replace(/[^a-z]/g, '')
    const own = readings.some((reading) => reading.standard === standard && plain(reading.text) === plain(a))
    const other = readings.find((reading) => reading.standard !== standard && plain(reading.text) === plain(b))
    if (own && other) return { ours: standard, theirs: other.standard }
  }
  return undefined
}

const reversed = (found: { ours: Romanisation; theirs: Romanisation } | undefined) =>
  found && { ours: found.theirs, theirs: found.ours }

const backwards: Record<Cyrillic, string> = {
  'BGN/PCGN':
    'shch щ zh ж kh х ts ц ch ч sh ш yu ю ya я ye е yo ё ey ей ay ай oy ой iy ий a а b б v в g г d д e е z з i и k к l л m м n н o о p п r р s с t т u у f ф y ы',
  'ICAO 9303':
    'shch щ zh ж kh х ts ц ch ч sh ш iu ю ia я ei ей ai ай oi ой ii ий a а b б v в g г d д e е z з i и k к l л m м n н o о p п r р s с t т u у f ф y ы',
  'ISO 9':
    'ŝ щ ž ж č ч š ш û ю â я ë ё è э ej ей aj ай oj ой ij ий j й h х c ц a а b б v в g г d д e е z з i и k к l л m м n н o о p п r р s с t т u у f ф y ы',
}
const pairsOf = (table: string) =>
  table.split(' ').reduce<[string, string][]>((pairs, token, at, all) => {
    if (at % 2 === 0) pairs.push([token, all[at + 1]!])
    return pairs
  }, [])

function backToCyrillic(text: string, standard: Cyrillic): string {
  const pairs = pairsOf(backwards[standard]).sort(([a], [b]) => b.length - a.length)
  let cyrillic = ''
  for (let at = 0; at < text.length; ) {
    const found = pairs.find(([latin]) => text.startsWith(latin, at))
    cyrillic += found?.[1] ?? text[at]
    at += found?.[0].length ?? 1
  }
  return cyrillic
}

const capital = (text: string) => text.replace(/^./, (letter) => letter.toUpperCase())
