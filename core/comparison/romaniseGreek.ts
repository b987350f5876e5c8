import type { Reading } from './romanisation'

export const isGreek = (text: string) => /\p{Script=Greek}/u.test(text)

type Rule = readonly [RegExp, string]

const letters = (table: string): Rule[] =>
  table.split(' ').map((pair) => {
    const [greek, latin] = pair.split(':') as [string, string]
    return [new RegExp(greek, 'g'), latin]
  })

const voiceless = '(?=[θκξπσςτφχψ]|$|\\s)'
/** αυ, ευ, ηυ before a voiceless letter and elsewhere. */
const upsilons: Rule[] = [
  [new RegExp(`αυ${voiceless}`, 'g'), 'af'],
  [new RegExp(`ευ${voiceless}`, 'g'), 'ef'],
  [new RegExp(`ηυ${voiceless}`, 'g'), 'if'],
  [/αυ/g, 'av'],
  [/ευ/g, 'ev'],
  [/ηυ/g, 'iv'],
]
const plain = 'α:a β:v ε:e ζ:z θ:th ι:i κ:k λ:l μ:m ν:n ξ:x ο:o π:p ρ:r [σς]:s τ:t φ:f ψ:ps'
const before = '(?<=^|[\\s-])'

/** ELOT 743, which is ISO 843:1997 type 2, and BGN/PCGN since 1996. */
const elot: Rule[] = [
  ...upsilons,
  [/ου/g, 'ou'],
  [/γγ/g, 'ng'],
  [/γξ/g, 'nx'],
  [/γχ/g, 'nch'],
  [new RegExp(`${before}μπ`, 'g'), 'b'],
  ...letters(`${plain} γ:g δ:d η:i υ:y χ:ch ω:o`),
]
/** ISO 843:1997 type 1, letter by letter. */
const iso843: Rule[] = letters(`ου:ou αυ:au ευ:eu ηυ:īu ${plain} γ:g δ:d η:ī υ:y χ:ch ω:ō`)
/** BGN/PCGN 1962. */
const bgn1962: Rule[] = [
  ...upsilons,
  [/ου/g, 'ou'],
  [/γγ|γκ/g, 'ng'],
  [new RegExp(`${before}μπ`, 'g'), 'b'],
  [/μπ/g, 'mb'],
  [new RegExp(`${before}ντ`, 'g'), 'd'],
  [/ντ/g, 'nd'],
  [/γ(?=[ειηυ])/g, 'y'],
  [/νδ/g, 'nd'],
  ...letters(`${plain} γ:g δ:dh η:i υ:i χ:kh ω:o`),
]

/** How a name in Greek letters is written in Latin ones, by each standard. Accents are set aside. */
export function greekReadings(text: string): Reading[] {
  const bare = text
    .normalize('NFD')
    .replace(/(?<!\p{Script=Latin})[\u0300\u0301\u0304\u0306\u0313\u0314\u0342\u0345]/gu, '')
    .normalize('NFC')
    .toLowerCase()
  const read = (rules: readonly Rule[]) =>
    rules
      .reduce((latin, [greek, by]) => latin.replace(greek, by), bare)
      .replace(/(?<=^|[\s-])\p{L}/gu, (letter) => letter.toUpperCase())
  return [
    { standard: 'ELOT 743', text: read(elot) },
    { standard: 'ISO 843', text: read(iso843) },
    { standard: 'BGN/PCGN', text: read(bgn1962) },
  ]
}
