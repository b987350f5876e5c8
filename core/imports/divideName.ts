/** A full name in its parts. */
export type DividedName = {
  givenNames: string
  familyName: string
  /** No rule says where one ends and the other begins: somebody should look. */
  doubtful: boolean
}

const titles =
  /^(?:(?:prof|dr|mag|ing|di|mr|mrs|ms|miss|herr|frau|sir|univ|med|phil|techn|rer|nat|jur|habil|dipl|bakk)\.?|dipl\.?-?\s?ing\.?|h\.?c\.?)$/i
const afterwards =
  /^(?:jr|sr|ii|iii|phd|ph\.d|md|m\.?d|b\.?sc|m\.?sc|b\.?a|m\.?a|mba|llm|ll\.m|dipl\.?-?ing|mag|fh)\.?$/i
/** Words that begin a family name of several words. */
const particles = new Set(
  'van von vom zu zum zur de del della delle dei der den des di da das do dos du la las le les los ten ter te op af av bin ibn al el abu bint mac mc st san santa'.split(
    ' ',
  ),
)

/**
 * Divides a full name: `Grau, Ada` and `GRAU Ada` begin with the family name; `Ada van der Grau` has it from the first
 * particle on; titles stand outside. Of two words the second is the family name. Of more, nobody can say: the last is
 * taken, and it is marked.
 */
export function divideName(full: string): DividedName {
  const [before = '', ...behind] = full
    .split(',')
    .map((part) => part.trim())
    .filter((part, nth) => part !== '' && (nth === 0 || !part.split(/\s+/).every((word) => afterwards.test(word))))
  const words = wordsOf(before)
  if (behind.length > 0) {
    const given = wordsOf(behind.join(' '))
    return { givenNames: given.join(' '), familyName: words.join(' '), doubtful: behind.length > 1 }
  }
  if (words.length < 2) return { givenNames: words.join(' '), familyName: '', doubtful: true }
  const loud = words.map(isLoud)
  if (loud.some(Boolean) && !loud.every(Boolean)) {
    const family = words.filter((_, nth) => loud[nth])
    const inOne = loud.indexOf(true) + family.length - 1 === loud.lastIndexOf(true)
    return {
      givenNames: words.filter((_, nth) => !loud[nth]).join(' '),
      familyName: family.map(quiet).join(' '),
      doubtful: !inOne,
    }
  }
  const particle = words.findIndex((word, nth) => nth > 0 && particles.has(word.toLowerCase()))
  const from = particle > 0 && particle < words.length - 1 ? particle : words.length - 1
  return {
    givenNames: words.slice(0, from).join(' '),
    familyName: words.slice(from).join(' '),
    // Two given names, or two family names: `Maria Garcia Lopez` is the one, `Anna Maria Berger` the other.
    doubtful: from > 1 || particles.has(words[0]!.toLowerCase()),
  }
}

function wordsOf(text: string): string[] {
  const words = text.split(/\s+/).filter(Boolean)
  while (words.length > 1 && titles.test(words[0]!)) words.shift()
  while (words.length > 1 && afterwards.test(words.at(-1)!)) words.pop()
  return words
}

/** Written in capitals throughout, as many lists write family names. One letter is an initial. */
const isLoud = (word: string) =>
  word.length > 1 && /\p{Lu}/u.test(word) && word === word.toUpperCase() && !word.endsWith('.')

/** `MÜLLER-BERG` as `Müller-Berg`. */
const quiet = (word: string) =>
  word
    .toLowerCase()
    .replace(/(^|[-'’ ])(\p{L})/gu, (_, before: string, letter: string) => before + letter.toUpperCase())
