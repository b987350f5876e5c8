import anyAscii from 'any-ascii'
import { namePartsOf } from './keys'
import { editDistance, jaroWinkler } from './measures'
import { type FieldVerdict, type Reason, verdictOf } from './verdict'

/** A name the person also goes or went by, and the paper that shows it. */
export type KnownName = { name: string; evidencedBy: string }

/** Words that come and go in front of family names in many languages. */
const particles = new Set(
  'af al auf av bin bint da das de del della den der des di do dos du el ibn la las le los of ten ter van vom von y zu zum zur'.split(
    ' ',
  ),
)

/** Letters that two conventions turn into Latin differently: ü as u or ue, ø as o or oe, å as a or aa, ß as ss. */
const widened: Record<string, string> = {
  ä: 'ae',
  ö: 'oe',
  ü: 'ue',
  ø: 'oe',
  å: 'aa',
  æ: 'ae',
  œ: 'oe',
  ß: 'ss',
  þ: 'th',
  ð: 'd',
}

/**
 * Compares two names as a person would: case, accents, hyphens, the order of the parts, particles, transliteration,
 * initials, a part left out, and names the person is known by from another paper.
 *
 * @param ours the name as claimed
 * @param theirs the name as a document or a source gives it
 * @param known other names of the person, each with the paper that evidences it
 * @returns `same`; `equivalent` where only writing differs or a known name explains it; `close` where it is likely the same
 *   person and worth a look; `different` otherwise
 */
export function compareNames(ours: string, theirs: string, known: readonly KnownName[] = []): FieldVerdict {
  const direct = compareTwo(ours, theirs)
  if (direct.verdict === 'same' || direct.verdict === 'equivalent') return direct
  for (const { name, evidencedBy } of known) {
    const through = compareTwo(name, theirs)
    if (through.verdict === 'same' || through.verdict === 'equivalent') {
      return verdictOf('equivalent', [{ code: 'known-name', name, evidencedBy }, ...through.reasons])
    }
  }
  return direct
}

const mostParts = 5

/**
 * Whether somebody typed their own name, in whatever order and spelling: `Minjun Kim` for `Kim Min-jun`. Parts that are
 * written together or apart are the same.
 */
export function isOwnName(own: string, typed: string): boolean {
  if (compareNames(own, typed).verdict !== 'different') return true
  const whole = namePartsOf(own)
  const orders = permutationsOf(whole.slice(0, mostParts)).map((parts) => parts.join(''))
  const given = permutationsOf(namePartsOf(typed).slice(0, mostParts)).map((parts) => parts.join(''))
  return whole.length > 0 && given.some((text) => orders.includes(text))
}

const permutationsOf = (parts: readonly string[]): string[][] =>
  parts.length < 2
    ? [[...parts]]
    : parts.flatMap((part, nth) =>
        permutationsOf(parts.filter((_, other) => other !== nth)).map((rest) => [part, ...rest]),
      )

function compareTwo(ours: string, theirs: string): FieldVerdict {
  const a = tidy(ours)
  const b = tidy(theirs)
  if (a === '' || b === '') return verdictOf('not stated')
  if (a === b) return verdictOf('same')

  const writing = differencesOfWriting(a, b)
  const left = partsOf(a)
  const right = partsOf(b)
  if (sameList(left.plain, right.plain)) return verdictOf('equivalent', writing)
  if (sameList(left.wide, right.wide) || sameList(left.plain, right.wide) || sameList(left.wide, right.plain)) {
    return verdictOf('equivalent', [...writing, { code: 'transliteration' }])
  }
  for (const [ourParts, theirParts] of [
    [left.plain, right.plain],
    [left.wide, right.wide],
    [left.plain, right.wide],
    [left.wide, right.plain],
  ] as const) {
    if (sameList(sorted(ourParts), sorted(theirParts)))
      return verdictOf('equivalent', [...writing, { code: 'word-order' }])
    if (sameList(sorted(bare(ourParts)), sorted(bare(theirParts))))
      return verdictOf('equivalent', [...writing, { code: 'particles' }])
    // Parts run together: "Dreau Okafor", "Dreauokafor".
    if (ourParts.join('') === theirParts.join('')) return verdictOf('equivalent', writing)
  }
  return likeness(bare(left.plain), bare(right.plain), b, writing)
}

/** Pairs the parts off: equal parts first, then initials, then near spellings; what is left over is missing. */
function likeness(
  ours: readonly string[],
  theirs: readonly string[],
  theirText: string,
  writing: Reason[],
): FieldVerdict {
  const left = [...ours]
  const right = [...theirs]
  const reasons: Reason[] = []
  let whole = take(left, right, (a, b) => a === b).length
  for (const [a, b] of take(left, right, (a, b) => (a.length === 1) !== (b.length === 1) && a[0] === b[0])) {
    reasons.push({ code: 'initials', initial: a.length === 1 ? a : b, name: a.length === 1 ? b : a })
  }
  const near = take(
    left,
    right,
    (a, b) => Math.min(a.length, b.length) >= 3 && (editDistance(a, b) <= 1 || jaroWinkler(a, b) >= 0.9),
  )
  const places: number[] = []
  for (const [a, b] of near) {
    reasons.push({ code: 'spelling', ours: a, theirs: b })
    places.push(...placesOf(a, b, theirText))
    whole += 0.5
  }
  const missing = left.length > 0 && right.length > 0 ? undefined : [...left, ...right]
  if (!missing || whole < 1) return verdictOf('different', [{ code: 'nothing-alike' }])
  if (missing.length > 0) reasons.push({ code: 'part-missing', parts: missing })
  // One shared part alone is not enough: "Maria" and "Maria Grau" may be anyone.
  if (whole + 0.5 * reasons.filter(({ code }) => code === 'initials').length < 1.5)
    return verdictOf('different', [{ code: 'nothing-alike' }])
  return verdictOf('close', [...reasons, ...writing], places)
}

/** Removes and returns the pairs that fit, each part used once. */
function take(left: string[], right: string[], fits: (a: string, b: string) => boolean): [string, string][] {
  const pairs: [string, string][] = []
  for (const a of [...left]) {
    const at = right.findIndex((b) => fits(a, b))
    if (at === -1) continue
    pairs.push([a, right[at]!])
    left.splice(left.indexOf(a), 1)
    right.splice(at, 1)
  }
  return pairs
}

/** Where, in their text as written, the part that differs has other letters than ours. */
function placesOf(ourPart: string, theirPart: string, theirText: string): number[] {
  const start = fold(theirText).indexOf(theirPart)
  // Folding can lengthen a text (ß becomes ss); places are given only where it did not.
  if (start === -1 || fold(theirText).length !== theirText.length) return []
  return [...theirPart].flatMap((letter, index) => (letter === ourPart[index] ? [] : [start + index]))
}

function differencesOfWriting(a: string, b: string): Reason[] {
  const reasons: Reason[] = []
  const same = (change: (text: string) => string) => change(a) === change(b)
  const lower = (text: string) => text.toLowerCase()
  const unaccented = (text: string) => text.normalize('NFD').replace(/\p{M}/gu, '')
  const unhyphened = (text: string) => text.replace(/[-‐–'’.]/g, ' ').replace(/\s+/g, ' ')
  const [lowA, lowB] = [lower(a), lower(b)]
  if (same(lower) || isShouted(a) !== isShouted(b)) reasons.push({ code: 'case' })
  if (lowA !== lowB && (unaccented(lowA) !== lowA) !== (unaccented(lowB) !== lowB)) reasons.push({ code: 'accents' })
  if (/[-‐–]/.test(a) !== /[-‐–]/.test(b) && (unhyphened(lowA) !== lowA) !== (unhyphened(lowB) !== lowB))
    reasons.push({ code: 'hyphens' })
  if (isLatin(a) !== isLatin(b)) reasons.push({ code: 'transliteration' })
  return reasons
}

const isShouted = (text: string) =>
  text.split(/\s+/).some((part) => part.length > 1 && part === part.toUpperCase() && part !== part.toLowerCase())
const isLatin = (text: string) => !/[^\p{Script=Latin}\P{L}]/u.test(text)
const tidy = (text: string) => text.normalize('NFC').replace(/\s+/g, ' ').trim()
const fold = (text: string) => anyAscii(text.normalize('NFC')).toLowerCase()

function partsOf(text: string) {
  // "Okafor, Maëlle" is a family name first; the comma only says so.
  const split = (folded: string) => folded.split(/[^a-z0-9]+/).filter(Boolean)
  const wide = [...text.toLowerCase()].map((letter) => widened[letter] ?? letter).join('')
  const together = (value: string) => value.replace(/['’`]/g, '')
  return { plain: split(fold(together(text))), wide: split(fold(together(wide))) }
}

const bare = (parts: readonly string[]) => parts.filter((part) => !particles.has(part))
const sorted = (parts: readonly string[]) => [...parts].sort()
const sameList = (a: readonly string[], b: readonly string[]) =>
  a.length === b.length && a.every((part, index) => part === b[index])
