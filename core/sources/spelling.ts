import anyAscii from 'any-ascii'

/**
 * How names of bodies are found however they are written. A word is found by its key: plain Latin letters with what
 * languages and transliterations write differently made alike (ö, oe; й, y, j; c, k). A slip is found by leaving letters
 * out on both sides (Garbe 2012, "Symmetric Delete"; Boytsov 2011 for the deletion neighbourhood).
 */
const longestWord = 40
const slipPrefix = 8

const small = new Set(
  'a and d da das de degli dei del della der des di die do du e el et for fur i in l la le les na o och og of the u und v w y z za'.split(
    ' ',
  ),
)

/** Plain lower-case Latin letters and digits in words; single letters in a row are one word (`I. P. A.` is `ipa`). */
export function wordsOf(text: string): string[] {
  const parts = anyAscii(text.normalize('NFKC'))
    .toLowerCase()
    .replace(/&/g, ' and ')
    .split(/[^a-z0-9]+/)
    .filter(Boolean)
  const words: string[] = []
  let letters = ''
  const flush = () => {
    // A single letter beside words is an elided article.
    if (letters.length > 1) words.push(letters)
    letters = ''
  }
  for (const part of parts) {
    if (part.length === 1 && /[a-z]/.test(part)) letters += part
    else {
      flush()
      words.push(part.slice(0, longestWord))
    }
  }
  if (letters.length > 0 && (letters.length > 1 || words.length === 0)) words.push(letters)
  return words
}

/** The words that tell one name from another; all of them, where there are no others. */
export function tellingWordsOf(text: string): string[] {
  const words = wordsOf(text)
  const telling = words.filter((word) => !small.has(word))
  return telling.length > 0 ? telling : words
}

const alike: readonly (readonly [RegExp, string])[] = [
  [/ae/g, 'a'],
  [/oe/g, 'o'],
  [/ue/g, 'u'],
  [/tsch|tch|cz/g, 'ch'],
  [/sch|sz/g, 'sh'],
  [/kh/g, 'h'],
  [/ph/g, 'f'],
  [/th/g, 't'],
  [/ck/g, 'k'],
  [/c(?!h)/g, 'k'],
  [/q/g, 'k'],
  [/x/g, 'ks'],
  [/w/g, 'v'],
  [/[jy]/g, 'i'],
  [/z/g, 's'],
  [/(.)\1+/g, '$1'],
]

/** What a word is found by, however it is spelled or transliterated. */
export const spellingKey = (word: string): string =>
  alike.reduce((key, [letters, by]) => key.replace(letters, by), word)

/** A name without what is only spelling: two that have the same are the same words. */
export const nameKey = (name: string): string => tellingWordsOf(name).map(spellingKey).join(' ')

/** The first letters of a name's words, with and without its small words: `Université d’Arlac` may be `ua`. */
export function initialsOf(name: string): string[] {
  const of = (words: readonly string[]) => words.map((word) => word[0]).join('')
  const all = [of(wordsOf(name)), of(tellingWordsOf(name))]
  return [...new Set(all)].filter(({ length }) => length > 1 && length < 9)
}

/** How many letters may be wrong in a word of so many. */
export const allowedSlips = (length: number): number => (length < 4 ? 0 : length < 7 ? 1 : 2)

/** What is left of a key when so many letters are left out as may be wrong; with the key's beginning itself. */
export function slipsOf(key: string): string[] {
  const begin = key.slice(0, slipPrefix)
  let last = new Set([begin])
  const all = new Set(last)
  for (let slip = 0; slip < allowedSlips(key.length); slip += 1) {
    last = new Set([...last].flatMap((text) => Array.from(text, (_, at) => text.slice(0, at) + text.slice(at + 1))))
    for (const text of last) all.add(text)
  }
  return [...all]
}
