import { isGivenName, soundOfSpelling } from './givenNames'
import { namePartsOf } from './keys'
import { differingPlaces, editDistance, jaroWinkler } from './measures'
import { isParticle, joined, type NamePart, type TakenApart, takeApart } from './nameParts'
import { mayBeNicknames } from './nicknames'
import { isHan, isLatin, readingsOf, sameInCyrillic } from './romanise'
import { arabicReadings, arabicWords, fitsArabic, isArabic, sameInArabic } from './romaniseArabic'
import { type FieldVerdict, type Reason, type Verdict, verdictOf } from './verdict'

/** A name the person also goes or went by, and the paper that shows it. */
export type KnownName = { name: string; evidencedBy: string }

/**
 * Compares two names as a person would: case, accents, hyphens, titles, the order of the parts, parts written together,
 * particles, other scripts by named standards, initials, nicknames, a part left out, and names the person is known by from
 * another paper. Two given names that are names of their own are two people, however alike.
 *
 * @param ours the name as claimed
 * @param theirs the name as a document or a source gives it
 * @param known other names of the person, each with the paper that evidences it
 * @returns `same`; `equivalent` where only writing differs or a known name explains it; `close` where it could be the same
 *   person and is worth a look; `different` otherwise. Places are in `theirs`. Symmetric but for the places.
 */
export function compareNames(ours: string, theirs: string, known: readonly KnownName[] = []): FieldVerdict {
  const direct = compareTwo(ours, theirs)
  if (direct.verdict === 'same' || direct.verdict === 'equivalent' || known.length === 0) return direct
  const through = known.map(({ name, evidencedBy }) => ({ name, evidencedBy, ...compareTwo(name, theirs) }))
  const explained = through.find(({ verdict }) => verdict === 'same' || verdict === 'equivalent')
  const could = direct.verdict === 'different' ? through.find(({ verdict }) => verdict === 'close') : undefined
  const by = explained ?? could
  if (!by) return direct
  const because: Reason = { code: 'known-name', name: by.name, evidencedBy: by.evidencedBy }
  return verdictOf(explained ? 'equivalent' : 'close', [because, ...by.reasons], by.places)
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
  if (isLatin(a) && isLatin(b)) return compareLatin(a, b)
  if (isArabic(a) !== isArabic(b) && (isLatin(a) || isLatin(b)))
    return isArabic(a) ? compareArabic(a, b) : compareArabic(b, a)
  if (isLatin(a) || isLatin(b)) return compareScripts(a, b)
  if (isHan(a) && isHan(b)) return compareCharacters(a, b)
  return compareLatin(a, b)
}

const weight: Record<Verdict, number> = { same: 0, equivalent: 1, close: 2, 'not stated': 3, different: 4 }

/** One name in another script and one in Latin letters: the reading by a standard that comes nearest. */
function compareScripts(a: string, b: string): FieldVerdict {
  const readings = readingsOf(isLatin(a) ? b : a)
  if (readings.length === 0) {
    const { verdict, reasons, places } = compareLatin(a, b)
    return verdictOf(verdict, [{ code: 'transliteration' }, ...reasons], places)
  }
  const latin = isLatin(a) ? a : b
  const found = readings
    .map((reading) => ({ reading, ...compareLatin(reading.text, latin) }))
    .sort((one, other) => weight[one.verdict] - weight[other.verdict])[0]!
  const { standard, text } = found.reading
  if (found.verdict === 'different')
    return verdictOf('different', [{ code: 'reads-as', standard, reading: text }, ...found.reasons])
  // The capitals, accents and hyphens of a reading are not those of whoever wrote the name.
  const telling = found.reasons.filter(({ code }) => !['case', 'accents', 'hyphens', 'run-together'].includes(code))
  const verdict = found.verdict === 'same' ? 'equivalent' : found.verdict
  return verdictOf(
    verdict,
    [{ code: 'romanised', standard, reading: text }, ...telling],
    isLatin(b) ? found.places : [],
  )
}

/** Two names in Chinese characters: what only sounds the same could be another person, or the same in other characters. */
function compareCharacters(a: string, b: string): FieldVerdict {
  const [one, other] = [a, b].map((text) => text.replace(/[\s·•]+/g, ''))
  if (one === other) return verdictOf('equivalent', [{ code: 'separators' }])
  const [left, right] = [readingsOf(a)[0]!, readingsOf(b)[0]!]
  return left.text === right.text
    ? verdictOf('close', [{ code: 'same-sound' }], differingPlaces([...a], [...b]))
    : verdictOf('different', [{ code: 'reads-as', standard: right.standard, reading: right.text }])
}

/** Arabic leaves out vowels: a known name has to fit with them, any other may only not speak against it. */
function compareArabic(arabic: string, latin: string): FieldVerdict {
  const words = arabicWords(arabic)
  const { parts } = takeApart(latin)
  const open = joinArabic(parts)
  const reading = words.map((word) => arabicReadings(word)[0]!.text).join(' ')
  const standard = words.some((word) => arabicReadings(word)[0]!.standard === 'BGN/PCGN') ? 'BGN/PCGN' : 'ISO 233'
  let certain = true
  const unread = words.filter((word) => {
    const fits = open.map((part) => fitsArabic(word, part))
    const at = fits.includes('known') ? fits.indexOf('known') : fits.indexOf('letters')
    if (at === -1) return true
    certain &&= fits[at] === 'known'
    open.splice(at, 1)
    return false
  })
  const matched = words.length - unread.length
  if ((unread.length > 0 && open.length > 0) || matched < 2)
    return verdictOf('different', [{ code: 'reads-as', standard, reading }])
  const missing: Reason[] =
    unread.length + open.length > 0 ? [{ code: 'part-missing', parts: [...unread, ...open] }] : []
  const verdict = certain && missing.length === 0 ? 'equivalent' : 'close'
  return verdictOf(verdict, [{ code: 'romanised', standard, reading }, ...missing])
}

/** `Abd`, `Abu`, `al` and the like belong to what follows them. */
function joinArabic(parts: readonly NamePart[]): string[] {
  const joinedParts: string[] = []
  let before = ''
  for (const { plain } of parts) {
    before += plain
    if (/^(abd|abdu?l?|abdel|abu|al|el|ul|bin|ben|ibn|a[rsnzdt])$/.test(plain)) continue
    joinedParts.push(before)
    before = ''
  }
  return before ? [...joinedParts, before] : joinedParts
}

type Pair = { a: NamePart[]; b: NamePart[]; how: 'equal' | 'joined' | Likeness; reason?: Reason }

function compareLatin(a: string, b: string): FieldVerdict {
  const left = takeApart(a)
  const right = takeApart(b)
  const writing = differencesOfWriting(a, b)
  const aside = setAside(left, right)
  if (left.generation && right.generation && left.generation !== right.generation)
    return verdictOf('different', [{ code: 'generation', ours: left.generation, theirs: right.generation }])
  const pairs = pairOff(left.parts, right.parts)
  const restA = left.parts.filter((part) => !pairs.some((pair) => pair.a.includes(part)))
  const restB = right.parts.filter((part) => !pairs.some((pair) => pair.b.includes(part)))
  const found = judge(pairs, restA, restB, b)
  const reasons = [...found.reasons, ...aside, ...(found.verdict === 'different' ? [] : writing)]
  // Father and son may bear one name, and one of the papers may leave out which of them it is.
  if (found.verdict === 'equivalent' && left.generation !== right.generation)
    return verdictOf('close', [{ code: 'part-missing', parts: [left.generation ?? right.generation!] }, ...reasons])
  return verdictOf(found.verdict, reasons, found.places)
}

const setAside = (left: TakenApart, right: TakenApart): Reason[] => {
  const plain = (titles: readonly string[]) => titles.map((title) => title.toLowerCase()).join(' ')
  const titles = [...new Set([...left.titles, ...right.titles])]
  return plain(left.titles) === plain(right.titles) ? [] : [{ code: 'titles', titles }]
}

/** Pairs the parts off, surest first: equal, written together, then by what may be said for each pair. Symmetric. */
function pairOff(ours: readonly NamePart[], theirs: readonly NamePart[]): Pair[] {
  const pairs: Pair[] = []
  const open = () => ({
    a: ours.filter((part) => !pairs.some((pair) => pair.a.includes(part))),
    b: theirs.filter((part) => !pairs.some((pair) => pair.b.includes(part))),
  })
  const take = (found: Pair[], rank: (pair: Pair) => number = () => 0) => {
    const key = ({ a, b }: Pair) => [joined(a, 'plain'), joined(b, 'plain')].sort().join(' ')
    found.sort((one, other) => rank(one) - rank(other) || (key(one) < key(other) ? -1 : 1))
    for (const pair of found) {
      const { a, b } = open()
      if (pair.a.every((part) => a.includes(part)) && pair.b.every((part) => b.includes(part))) pairs.push(pair)
    }
  }
  take(eachPair(ours, theirs, (a, b) => (isEqual(a, b) ? { a: [a], b: [b], how: 'equal' } : undefined)))
  take([
    ...together(open().a, open().b),
    ...together(open().b, open().a).map(({ a, b, ...pair }) => ({ ...pair, a: b, b: a })),
  ])
  take(
    eachPair(open().a, open().b, (a, b) => {
      const like = likenessOf(a, b)
      return like && { a: [a], b: [b], ...like }
    }),
    ({ how }) => likenesses.indexOf(how as Likeness),
  )
  return pairs
}

const eachPair = (
  ours: readonly NamePart[],
  theirs: readonly NamePart[],
  pair: (a: NamePart, b: NamePart) => Pair | undefined,
) => ours.flatMap((a) => theirs.flatMap((b) => pair(a, b) ?? []))

const isEqual = (a: NamePart, b: NamePart) =>
  a.plain === b.plain || a.wide === b.wide || a.plain === b.wide || a.wide === b.plain

/** Several parts that follow each other on one side and are one on the other: `Min-jun` and `Minjun`. */
function together(many: readonly NamePart[], one: readonly NamePart[]): Pair[] {
  const found: Pair[] = []
  for (let from = 0; from < many.length; from += 1)
    for (let to = from + 2; to <= many.length; to += 1) {
      const run = many.slice(from, to)
      const same = one.find((part) => joined(run, 'plain') === part.plain || joined(run, 'wide') === part.wide)
      if (same) found.push({ a: run, b: [same], how: 'joined', reason: { code: 'run-together' } })
    }
  return found
}

/** What may be said for two parts that are not equal, surest first. */
const likenesses = ['romanised', 'nickname', 'variant', 'initial', 'spelling'] as const
type Likeness = (typeof likenesses)[number]
const worth: Record<Pair['how'], number> = {
  equal: 1,
  joined: 1,
  romanised: 1,
  nickname: 0.75,
  variant: 0.75,
  initial: 0.5,
  spelling: 0.5,
}

function likenessOf(a: NamePart, b: NamePart): { how: Likeness; reason: Reason } | undefined {
  const [ours, theirs] = [a.plain, b.plain]
  const said = { ours: a.written, theirs: b.written }
  if ((ours.length === 1) !== (theirs.length === 1)) {
    if (ours[0] !== theirs[0]) return undefined
    const [initial, name] = ours.length === 1 ? [ours, b.written] : [theirs, a.written]
    return { how: 'initial', reason: { code: 'initials', initial, name } }
  }
  if (mayBeNicknames(ours, theirs)) return { how: 'nickname', reason: { code: 'nickname', ...said } }
  const twoNames = isGivenName(ours) && isGivenName(theirs)
  const standards = twoNames ? undefined : sameInCyrillic(a.written, b.written)
  if (standards) return { how: 'romanised', reason: { code: 'romanisations', ...standards } }
  if (soundOfSpelling(ours) === soundOfSpelling(theirs) || sameInArabic(ours, theirs))
    return { how: 'variant', reason: { code: 'variant', ...said } }
  if (twoNames) return undefined
  const steps = editDistance(ours, theirs)
  const near =
    Math.min(ours.length, theirs.length) >= 3 && (steps <= 1 || (steps <= 2 && jaroWinkler(ours, theirs) >= 0.9))
  return near ? { how: 'spelling', reason: { code: 'spelling', ...said } } : undefined
}

/** What the pairs and what is left over come to. */
function judge(
  pairs: readonly Pair[],
  restA: readonly NamePart[],
  restB: readonly NamePart[],
  b: string,
): FieldVerdict {
  const reasons = pairs.flatMap(({ reason }) => reason ?? [])
  const certain = pairs.every(({ how }) => how === 'equal' || how === 'joined' || how === 'romanised')
  const [leftA, leftB] = [restA, restB].map((rest) => rest.filter(({ plain }) => !isParticle(plain))) as [
    NamePart[],
    NamePart[],
  ]
  const placesOfLeft = leftB.flatMap(({ at, written }) => [...written].map((_, nth) => at + nth))
  const alike = pairs.reduce((sum, { how }) => sum + worth[how], 0)
  const anchored = pairs.some(({ how }) => worth[how] === 1)
  if (leftA.length > 0 && leftB.length > 0) {
    if (!anchored) return verdictOf('different', [{ code: 'nothing-alike' }], placesOfLeft)
    const other: Reason = { code: 'other-name', ours: leftA[0]!.written, theirs: leftB[0]!.written }
    return verdictOf('different', [other], placesOfLeft)
  }
  if (alike === 0) return verdictOf('different', [{ code: 'nothing-alike' }], placesOfLeft)
  // One shared part alone is not enough: "Maria" and "Maria Grau" may be anyone.
  if (!anchored || alike < 1.5) {
    if (!(certain && restA.length + restB.length === 0))
      return verdictOf('different', [{ code: 'too-little', part: pairs[0]!.b[0]!.written }], placesOfLeft)
  }
  const left = [...leftA, ...leftB]
  if (!certain || left.length > 0) {
    const missing: Reason[] =
      left.length > 0 ? [{ code: 'part-missing', parts: left.map(({ written }) => written) }] : []
    const places = pairs.flatMap(({ a, b: theirs, how }) =>
      how === 'spelling' || how === 'variant' ? placesIn(a[0]!, theirs[0]!) : [],
    )
    return verdictOf('close', [...reasons, ...missing], [...places, ...placesOfLeft])
  }
  const wide = pairs.some((pair) => pair.how === 'equal' && pair.a[0]!.plain !== pair.b[0]!.plain)
  const order = inOrder(pairs) ? [] : orderReason(pairs, b)
  const particles: Reason[] = restA.length + restB.length > 0 ? [{ code: 'particles' }] : []
  const all = [...reasons, ...(wide ? [{ code: 'transliteration' } as const] : []), ...order, ...particles]
  const doubtful = order.some(({ code }) => code === 'order-unsure') || (restA.length > 0 && restB.length > 0)
  return verdictOf(doubtful ? 'close' : 'equivalent', all)
}

/** Where the letters of their part differ from ours. */
const placesIn = (ours: NamePart, theirs: NamePart): number[] =>
  differingPlaces([...ours.written.toLowerCase()], [...theirs.written.toLowerCase()]).map((nth) => theirs.at + nth)

const inOrder = (pairs: readonly Pair[]) => {
  const inOurs = [...pairs].sort((one, other) => one.a[0]!.at - other.a[0]!.at)
  return inOurs.every((pair, nth) => nth === 0 || inOurs[nth - 1]!.b[0]!.at < pair.b[0]!.at)
}

/** Thomas Martin and Martin Thomas are two people, unless one of them says which is the family name. */
function orderReason(pairs: readonly Pair[], b: string): Reason[] {
  const parts = pairs.flatMap((pair) => pair.b)
  const said =
    b.includes(',') || pairs.some((pair) => [...pair.a, ...pair.b].some(({ written }) => isCapitals(written)))
  const either = parts.length === 2 && parts.every(({ plain }) => isGivenName(plain))
  return [{ code: either && !said ? 'order-unsure' : 'word-order' }]
}

const isCapitals = (text: string) => text.length > 1 && text === text.toUpperCase() && text !== text.toLowerCase()

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
  return reasons
}

const isShouted = (text: string) => text.split(/\s+/).some((part) => isCapitals(part.replace(/[^\p{L}]/gu, '')))
const tidy = (text: string) => text.normalize('NFC').replace(/\s+/g, ' ').trim()
