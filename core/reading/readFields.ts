import anyAscii from 'any-ascii'
import type { Field, FieldKey, Statement } from '../comparison/compareClaim'
import { compareNames } from '../comparison/names'
import { compareNumbers } from '../comparison/numbers'
import type { Verdict } from '../comparison/verdict'
import { compareWords } from '../comparison/words'
import type { ZoneReading } from '../identity/machineZone'
import { datesInText } from './datesInText'
import { beforeName, beforeNumber, beforePosition, isLabelOf, type LabelledDate, unaccented } from './labels'
import {
  type HowRead,
  type Line,
  linesOf,
  type PaperText,
  type Place,
  placeOf,
  type ReadWord,
  wordsBetween,
} from './paperText'
import { zoneIn } from './zoneIn'

/** One value as it stands on a paper, and where it was read. */
export type ReadValue = { value: string; how: HowRead | 'code' | 'zone'; place: Place }
export type ReadValues = Partial<Record<FieldKey, ReadValue>>

type Found = { value: string; words: ReadWord[] }
type Reader = (page: Page, claimed: string) => Found | undefined
type Page = { lines: Line[]; fields: ReadonlySet<FieldKey> }

/**
 * Reads from the text of a paper what it says of each field. What is claimed only tells which of several numbers, names or
 * words on the page is meant: the value is always the text that stands there. What was read doubtfully, or stands nowhere, is
 * left out.
 *
 * @param today decides the century of days in a machine-readable zone
 */
export function readFields(
  paper: PaperText,
  fields: readonly Field[],
  claimed: Statement,
  today: Parameters<typeof zoneIn>[1],
): ReadValues {
  const page: Page = { lines: linesOf(paper.words), fields: new Set(fields.map(({ key }) => key)) }
  const zone = zoneIn(paper, today)
  const values: ReadValues = {}
  for (const { key } of fields) {
    const said = typeof claimed[key] === 'string' ? claimed[key] : ''
    const read =
      fromZone(zone, key) ?? (key === 'number' ? fromCodes(paper, said) : undefined) ?? fromText(paper, page, key, said)
    if (read) values[key] = read
  }
  return values
}

function fromText(paper: PaperText, page: Page, key: FieldKey, claimed: string): ReadValue | undefined {
  const found = readers[key](page, claimed)
  if (!found || found.words.some(({ doubtful }) => doubtful)) return undefined
  if (paper.how === 'recognised' && mayLackMarks(found.value, claimed)) return undefined
  return { value: found.value, how: paper.how, place: placeOf(found.words) }
}

/** Marks on letters are small, and of many languages recognition knows none: where only they differ, a person has to look. */
const mayLackMarks = (read: string, claimed: string) =>
  read.toLowerCase() !== claimed.toLowerCase() && anyAscii(read).toLowerCase() === anyAscii(claimed).toLowerCase()

function fromZone(zone: { reading: ZoneReading; place: Place } | undefined, key: FieldKey): ReadValue | undefined {
  if (!zone) return undefined
  const { givenNames, familyName, number, born, through } = zone.reading
  const of: Partial<Record<FieldKey, string>> = { name: `${givenNames} ${familyName}`.trim(), number, born, through }
  const value = of[key]
  return value ? { value, how: 'zone', place: zone.place } : undefined
}

/** A code that holds something like the number: alone, or behind a colon or slash. */
function fromCodes({ codes }: PaperText, claimed: string): ReadValue | undefined {
  const parts = codes.flatMap(({ text, place }) =>
    text
      .split(/[\s|;,:=/?&]+/)
      .filter((part) => isNumber(part))
      .map((value) => ({ value, how: 'code' as const, place })),
  )
  return nearest(parts, ({ value }) => compareNumbers(claimed, value).verdict, ['same', 'equivalent', 'close'])
}

const weight: Record<Verdict, number> = { same: 0, equivalent: 1, close: 2, 'not stated': 3, different: 4 }

/** Of several, the one that comes nearest; none where none comes near enough. */
function nearest<T>(all: readonly T[], verdict: (one: T) => Verdict, enough: readonly Verdict[]): T | undefined {
  const judged = all
    .map((one) => ({ one, verdict: verdict(one) }))
    .sort((a, b) => weight[a.verdict] - weight[b.verdict])
  return judged[0] && enough.includes(judged[0].verdict) ? judged[0].one : undefined
}

const readers: Record<FieldKey, Reader> = {
  name: readName,
  number: readNumber,
  born: readDate('born'),
  issued: readDate('issued'),
  through: readDate('through'),
  awarded: readDate('awarded'),
  from: readDate('from'),
  to: readDate('to'),
  title: readWords,
  award: readWords,
  subject: readWords,
  second: readWords,
  position: readPosition,
  amount: readAmount,
}

const part = /\p{Lu}[\p{L}\p{M}'’.-]*/u
const particle = /^(?:van|von|der|den|de|du|di|da|del|della|la|le|zu|zum|zur|ter|ten|bin|al|el|y|dos|das)$/
/** Words as people print names: with capitals, particles between them, nothing else. */
function isNameLine(words: readonly ReadWord[]): boolean {
  const capitals = words.filter(({ text }) => new RegExp(`^${part.source},?$`, 'u').test(text)).length
  return (
    words.length >= 2 &&
    words.length <= 6 &&
    capitals >= 2 &&
    words.every(({ text }) => part.test(text) || particle.test(text)) &&
    !words.some(({ text }) => /\d/.test(text))
  )
}

/** A name stands behind words like "certify that", on the same line or the next; or it is what comes nearest the claim. */
function readName({ lines }: Page, claimed: string): Found | undefined {
  const labelled = lines.flatMap((line, nth) => {
    const places = [...line.starts.keys()].filter((at) =>
      beforeName.test(`${unaccented(line.text.slice(0, line.starts[at]! - (at > 0 ? 1 : 0)))} `),
    )
    const behind = places.map((at) => nameAtStart(line.words.slice(at))).filter((words) => words !== undefined)
    const next = beforeName.test(`${unaccented(line.text)} `) ? lines[nth + 1] : undefined
    return next && isNameLine(next.words) ? [...behind, next.words] : behind
  })
  const best = nearest(labelled, (words) => compareNames(claimed, textOf(words)).verdict, [
    'same',
    'equivalent',
    'close',
    'different',
  ])
  if (best) return { value: textOf(best), words: best }
  return nearName(lines, claimed)
}

function nameAtStart(words: readonly ReadWord[]): ReadWord[] | undefined {
  const end = words.findIndex(({ text }) => !part.test(text) && !particle.test(text))
  const run = words.slice(0, end === -1 ? words.length : end)
  // What a comma ends, ends there.
  const comma = run.findIndex(({ text }, nth) => nth > 0 && text.endsWith(','))
  const name = comma === -1 ? run : run.slice(0, comma + 1)
  return isNameLine(name) ? name : undefined
}

const textOf = (words: readonly ReadWord[]) =>
  words
    .map(({ text }) => text)
    .join(' ')
    .replace(/[,;:.]+$/, (end) => (end === '.' && /\b\p{Lu}\.$/u.test(words.at(-1)!.text) ? end : ''))

const longestName = 6

function nearName(lines: readonly Line[], claimed: string): Found | undefined {
  const runs = lines.flatMap(({ words }) =>
    isNameLine(words)
      ? [[...words]]
      : words.flatMap((_, from) =>
          Array.from({ length: Math.min(longestName, words.length - from) }, (_, length) =>
            words.slice(from, from + length + 1),
          ).filter(isNameLine),
        ),
  )
  const judged = runs
    .map((words) => ({ words, verdict: compareNames(claimed, textOf(words)).verdict }))
    .filter(({ verdict }) => verdict === 'same' || verdict === 'equivalent' || verdict === 'close')
    .sort((a, b) => weight[a.verdict] - weight[b.verdict] || a.words.length - b.words.length)
  return judged[0] && { value: textOf(judged[0].words), words: judged[0].words }
}

/** Groups of capitals and digits with at least one digit, as numbers of papers are. */
const numberPattern =
  /(?<![\p{L}\p{N}])(?:\p{Lu}{1,6}|[\p{Lu}\d]*\d[\p{Lu}\d]*)(?:\s?[-./–]\s?[\p{Lu}\d]+|\s\d[\p{Lu}\d]*)*(?![\p{L}\p{N}])/gu
const isNumber = (text: string) =>
  /\d/.test(text) && text.replace(/[^\p{L}\p{N}]/gu, '').length >= 3 && /^[\p{Lu}\d][\p{Lu}\d ./–-]*$/u.test(text)

function readNumber({ lines }: Page, claimed: string): Found | undefined {
  const all = lines.flatMap((line) => {
    const dates = datesInText(line.text)
    return [...line.text.matchAll(numberPattern)]
      .map(({ 0: value, index }) => ({
        value,
        words: wordsBetween(line, index, index + value.length),
        labelled: beforeNumber.test(unaccented(line.text.slice(0, index))),
        index,
      }))
      .filter(
        ({ value, index }) =>
          isNumber(value) && !dates.some(({ from, to }) => index < to && index + value.length > from),
      )
  })
  const verdict = ({ value }: { value: string }) => compareNumbers(claimed, value).verdict
  const labelled = all.filter((one) => one.labelled)
  if (labelled.length === 1) return labelled[0]
  return (
    nearest(labelled, verdict, ['same', 'equivalent', 'close']) ??
    nearest(all, verdict, ['same', 'equivalent', 'close'])
  )
}

type Dated = { value: string; words: ReadWord[]; before: string; above: string }

function readDate(key: LabelledDate): Reader {
  return ({ lines, fields }) => {
    const dates: Dated[] = lines.flatMap((line, nth) =>
      datesInText(line.text).map(({ value, from, to }, at, all) => ({
        value,
        words: wordsBetween(line, from, to),
        before: line.text.slice(all[at - 1]?.to ?? 0, from),
        above: lines[nth - 1]?.text ?? '',
      })),
    )
    const own = (date: Dated) =>
      isLabelOf(key, date.before) || (date.before.trim() === '' && isLabelOf(key, date.above))
    const labelled = dates.filter(own)
    const values = new Set(labelled.map(({ value }) => value))
    if (values.size === 1) return labelled[0]
    // A paper that says it twice and otherwise has to be read by a person.
    if (values.size > 1) return undefined
    const signedOff = key === 'awarded' || (key === 'issued' && fields.has('title'))
    return signedOff ? signingDay(dates) : undefined
  }
}

/** The day beside the place at the foot, where no other date is without a word that says what it is. */
function signingDay(dates: readonly Dated[]): Dated | undefined {
  const keys: readonly LabelledDate[] = ['born', 'issued', 'through', 'awarded', 'from', 'to']
  const bare = dates.filter(
    ({ before, above }) =>
      !keys.some((key) => isLabelOf(key, before) || (before.trim() === '' && isLabelOf(key, above))),
  )
  const placed = bare.filter(({ before }) =>
    /^[\p{Lu}][\p{L}\s.'-]*,?\s*(?:(?:the|den|am|le|li|il)\s*)?$/u.test(before.trim()),
  )
  return bare.length === 1 && placed.length === 1 ? placed[0] : undefined
}

/** The words on the paper that mean what is claimed, or nearly; which others were meant, a person has to say. */
function readWords({ lines }: Page, claimed: string): Found | undefined {
  const length = claimed.split(/\s+/).length
  const runs = lines.flatMap(({ words }) =>
    words.flatMap((_, from) =>
      Array.from({ length: Math.min(length + 4, words.length - from) }, (_, more) =>
        words.slice(from, from + more + 1),
      ),
    ),
  )
  const judged = runs
    .map((words) => ({ words, value: textOf(words), verdict: compareWords(claimed, textOf(words)) }))
    .filter(
      ({ verdict: { verdict, reasons } }) =>
        verdict === 'same' ||
        verdict === 'equivalent' ||
        (verdict === 'close' && reasons.some(({ code }) => code === 'spelling')),
    )
    .sort((a, b) => weight[a.verdict.verdict] - weight[b.verdict.verdict] || a.words.length - b.words.length)
  return judged[0]
}

function readPosition(page: Page, claimed: string): Found | undefined {
  const near = readWords(page, claimed)
  if (near) return near
  const behind = page.lines.flatMap((line) => {
    const label = beforePosition.exec(unaccented(line.text))
    if (!label) return []
    const words = line.words.filter((_, nth) => line.starts[nth]! >= label.index + label[0].length)
    const end = words.findIndex(({ text }, nth) => nth > 0 && /[.,;]$/.test(text))
    const run = end === -1 ? words : words.slice(0, end + 1)
    return run.length > 0 && run.length <= 6 && !/\d/.test(textOf(run)) ? [run] : []
  })
  return behind.length === 1 ? { value: textOf(behind[0]!), words: behind[0]! } : undefined
}

const amountPattern = /(?:(?:EUR|CHF|USD|GBP|€|£|\$)\s?\d[\d.,'’ ]*\d|\d[\d.,'’ ]*\d\s?(?:EUR|CHF|USD|GBP|€|£|\$))/g

function readAmount({ lines }: Page): Found | undefined {
  const all = lines.flatMap((line) =>
    [...line.text.matchAll(amountPattern)].map(({ 0: value, index }) => ({
      value,
      words: wordsBetween(line, index, index + value.length),
    })),
  )
  return all.length === 1 ? all[0] : undefined
}
