import anyAscii from 'any-ascii'
import { editDistance, jaroWinkler } from './measures'
import { type FieldVerdict, verdictOf } from './verdict'

/** Short and long forms of awards and positions that mean the same. The first is the form used to compare. */
const equivalents: readonly (readonly string[])[] = [
  ['master of science', 'msc', 'm sc', 'ms', 'maitrise en sciences'],
  ['bachelor of science', 'bsc', 'b sc', 'bs'],
  ['master of engineering', 'meng', 'm eng'],
  ['bachelor of engineering', 'beng', 'b eng'],
  ['bachelor of arts', 'ba', 'b a'],
  ['master of arts', 'ma', 'm a'],
  ['higher national diploma', 'hnd'],
  ['doctor of philosophy', 'phd', 'ph d', 'dphil'],
  ['supervisor', 'shift lead', 'team lead'],
]

/** Compares titles, subjects and positions: case, accents, punctuation, known short forms, a slip of spelling, a part left out. */
export function compareWords(ours: string, theirs: string): FieldVerdict {
  const a = ours.trim()
  const b = theirs.trim()
  if (a === '' || b === '') return verdictOf('not stated')
  if (a === b) return verdictOf('same')
  const left = plain(a)
  const right = plain(b)
  if (left === right)
    return verdictOf('equivalent', [{ code: a.toLowerCase() === b.toLowerCase() ? 'case' : 'separators' }])
  if (longForm(left) === longForm(right)) {
    const [short, long] = a.length < b.length ? [a, b] : [b, a]
    return verdictOf('equivalent', [{ code: 'abbreviation', short, long }])
  }
  const leftWords = longForm(left).split(' ')
  const rightWords = longForm(right).split(' ')
  if (sorted(leftWords) === sorted(rightWords)) return verdictOf('equivalent', [{ code: 'word-order' }])
  const missing = symmetricDifference(leftWords, rightWords)
  const contained =
    leftWords.every((word) => rightWords.includes(word)) || rightWords.every((word) => leftWords.includes(word))
  if (contained) return verdictOf('close', [{ code: 'part-missing', parts: missing }])
  if (editDistance(left, right) <= 2 && jaroWinkler(left, right) >= 0.9)
    return verdictOf('close', [{ code: 'spelling', ours: a, theirs: b }])
  const only = (own: readonly string[], others: readonly string[]) => own.filter((word) => !others.includes(word))
  return verdictOf('different', [
    { code: 'other-words', ours: only(leftWords, rightWords), theirs: only(rightWords, leftWords) },
  ])
}

const plain = (text: string) =>
  anyAscii(text)
    .toLowerCase()
    .replace(/[^a-z0-9]+/g, ' ')
    .trim()

function longForm(text: string): string {
  const whole = equivalents.find((forms) => forms.includes(text))
  if (whole) return whole[0]!
  return equivalents.reduce((current, [long, ...short]) => {
    const found = short.find((form) => ` ${current} `.includes(` ${form} `))
    return found ? ` ${current} `.replace(` ${found} `, ` ${long} `).trim() : current
  }, text)
}

const sorted = (words: readonly string[]) => [...words].sort().join(' ')
const symmetricDifference = (a: readonly string[], b: readonly string[]) => [
  ...a.filter((word) => !b.includes(word)),
  ...b.filter((word) => !a.includes(word)),
]
