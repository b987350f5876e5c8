import { type FieldVerdict, verdictOf } from './verdict'

/** Characters that scanners and tired eyes take for each other. */
const misread = ['0O', '0D', '0Q', 'OQ', 'OD', '1I', '1L', 'IL', '5S', '8B', '86', '6G', '2Z', '17', '38', 'UV'].map(
  (pair) => new Set(pair),
)

/**
 * Compares two numbers of papers (certificate, licence, register numbers).
 *
 * @returns `same`; `equivalent` where only case or separators differ; `close` with the places (positions in `theirs` as
 *   written) where every differing character is one that is easily misread, or two neighbours are swapped; else `different`
 */
export function compareNumbers(ours: string, theirs: string): FieldVerdict {
  const a = ours.trim()
  const b = theirs.trim()
  if (a === '' || b === '') return verdictOf('not stated')
  if (a === b) return verdictOf('same')
  const left = significant(a)
  const right = significant(b)
  const leftText = textOf(left).toUpperCase()
  const rightText = textOf(right).toUpperCase()
  if (leftText === rightText) {
    const separators = textOf(left) === textOf(right) || separatorsOf(a) !== separatorsOf(b)
    const caseDiffers = textOf(left) !== textOf(right)
    return verdictOf('equivalent', [
      ...(separators ? [{ code: 'separators' as const }] : []),
      ...(caseDiffers ? [{ code: 'case' as const }] : []),
    ])
  }
  if (leftText.length !== rightText.length) return verdictOf('different', [{ code: 'nothing-alike' }])
  const differing = [...rightText].flatMap((character, index) => (character === leftText[index] ? [] : [index]))
  const places = differing.map((index) => right[index]!.at)
  const pairs = differing.map((index) => ({ ours: leftText[index]!, theirs: rightText[index]! }))
  if (differing.length <= 3 && pairs.every(isMisread)) return verdictOf('close', [{ code: 'misread', pairs }], places)
  const [first, second] = differing
  if (
    differing.length === 2 &&
    second === first! + 1 &&
    leftText[first!] === rightText[second] &&
    leftText[second] === rightText[first!]
  ) {
    const swapped = { ours: leftText.slice(first, second + 1), theirs: rightText.slice(first, second + 1) }
    return verdictOf('close', [{ code: 'swapped', ...swapped }], places)
  }
  return verdictOf('different', [], places)
}

type Placed = { character: string; at: number }

const significant = (text: string): Placed[] =>
  [...text].map((character, at) => ({ character, at })).filter(({ character }) => /[\p{L}\p{N}]/u.test(character))
const textOf = (placed: readonly Placed[]) => placed.map(({ character }) => character).join('')
const separatorsOf = (text: string) => text.replace(/[\p{L}\p{N}]/gu, '·')
const isMisread = ({ ours, theirs }: { ours: string; theirs: string }) =>
  misread.some((pair) => pair.has(ours) && pair.has(theirs))
