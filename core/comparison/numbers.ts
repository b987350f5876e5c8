import { differingPlaces } from './measures'
import { type FieldVerdict, verdictOf } from './verdict'

/** Characters that scanners and tired eyes take for each other. */
const misread = '0O 0D 0Q OQ OD 1I 1L IL 5S 8B 86 6G 2Z 17 38 UV 27 49'.split(' ').map((pair) => new Set(pair))

/** A number so short that one character more is another number. */
const shortest = 4

/**
 * Compares two numbers of papers (certificate, licence, register numbers).
 *
 * @returns `same`; `equivalent` where only case or separators differ; `close` with the places (positions in `theirs` as
 *   written) where every differing character is one that is easily misread, two neighbours are swapped, one character is
 *   there more or less, zeros at the front were lost, or letters in front were left out; else `different`, and why
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
  const inTheirs = (places: readonly number[]) => places.map((place) => right[place]!.at)
  if (leftText.length !== rightText.length) return compareLengths(a, b, leftText, rightText, inTheirs)
  const differing = [...rightText].flatMap((character, index) => (character === leftText[index] ? [] : [index]))
  const places = inTheirs(differing)
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
  const count = differing.length
  return verdictOf('different', [{ code: 'other-characters', count, of: rightText.length }], places)
}

/** Two numbers of which one has more characters: what may have been lost of it on the way. */
function compareLengths(
  a: string,
  b: string,
  ours: string,
  theirs: string,
  inTheirs: (places: readonly number[]) => number[],
): FieldVerdict {
  const unpadded = (text: string) => text.replace(/(?<![0-9])0+(?=[0-9])/g, '')
  const [longer, shorter] = ours.length > theirs.length ? [ours, theirs] : [theirs, ours]
  const places = inTheirs(differingPlaces([...ours], [...theirs]))
  const [byGroups, otherGroups] = [a, b].map((text) => unpadded(text.toUpperCase()).replace(/[^\p{L}\p{N}]/gu, ''))
  if (byGroups === otherGroups || unpadded(ours) === unpadded(theirs))
    return verdictOf('close', [{ code: 'leading-zeros' }], places)
  if (shorter.length >= shortest) {
    const front = longer.slice(0, longer.length - shorter.length)
    if (longer.endsWith(shorter) && /^\p{L}/u.test(front))
      return verdictOf('close', [{ code: 'prefix-missing', prefix: front }], places)
    if (longer.length === shorter.length + 1) {
      const at = [...longer].findIndex((character, index) => character !== shorter[index])
      const without = longer.slice(0, at) + longer.slice(at + 1)
      if (without === shorter)
        return verdictOf(
          'close',
          [{ code: ours === shorter ? 'one-more' : 'one-less', character: longer[at]! }],
          places,
        )
    }
  }
  return verdictOf('different', [{ code: 'other-length', ours: ours.length, theirs: theirs.length }], places)
}

type Placed = { character: string; at: number }

const significant = (text: string): Placed[] =>
  [...text].map((character, at) => ({ character, at })).filter(({ character }) => /[\p{L}\p{N}]/u.test(character))
const textOf = (placed: readonly Placed[]) => placed.map(({ character }) => character).join('')
const separatorsOf = (text: string) => text.replace(/[\p{L}\p{N}]/gu, '·')
export const isMisread = ({ ours, theirs }: { ours: string; theirs: string }) =>
  misread.some((pair) => pair.has(ours) && pair.has(theirs))
