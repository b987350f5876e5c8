import { datesInText } from './datesInText'
import { unaccented } from './labels'
import { linesOf, type PaperText, type Place } from './paperText'
import type { ReadValues } from './readFields'

/** What a letter of work has to have on it to prove anything. */
export const letterParts = ['title', 'first day', 'last day', 'signature', 'letterhead'] as const
export type LetterPart = (typeof letterParts)[number]
export type LetterState = 'there' | 'missing'

/** What a person found of each part of a letter. */
export type LetterFindings = Partial<Record<LetterPart, LetterState>>

/** Where each part was found by machine; what is not here was not found, which does not say that it is not there. */
export type LetterReading = Partial<Record<LetterPart, Place>>

/** How somebody who still works there is written of, in English, German, French and Italian. */
const still =
  /still (?:does|works|employed|with us)|to (?:this day|date)|to the present|bis heute|weiterhin|noch bei uns|a ce jour|jusqu.a present|toujours|tuttora|fino ad oggi/

/** A letterhead stands in the upper third; a signature in the lower two thirds, wider than high. */
const upperThird = 0.36
const lowerPart = 0.4
/** A stamp is about as high as it is wide. */
const widerThanHigh = 1.4
const leastWidth = 0.08

/**
 * What a machine finds of the parts of a letter of work.
 *
 * @param values what was read of it
 * @param issuer by its names; a letterhead is most of the words of one of them
 */
export function readLetter(paper: PaperText, values: ReadValues, issuer: readonly string[]): LetterReading {
  const lines = linesOf(paper.words)
  const last = values.to?.place ?? lines.find(({ text }) => still.test(unaccented(text)))?.words[0]?.place
  const head = lines.find(
    ({ text, words }) => words[0]!.place.page === 1 && isUpper(words[0]!.place, paper) && namesOne(text, issuer),
  )
  const signed = paper.drawn.find(
    (place) =>
      place.y > lowerPart && place.width > place.height * Math.SQRT2 * widerThanHigh && place.width > leastWidth,
  )
  return {
    ...(values.position ? { title: values.position.place } : {}),
    ...(values.from ? { 'first day': values.from.place } : {}),
    ...(last ? { 'last day': last } : {}),
    ...(signed ? { signature: signed } : {}),
    ...(head ? { letterhead: head.words[0]!.place } : {}),
  }
}

/** Of a page that lies turned, the place does not say what is above; then the order of its lines does. */
const isUpper = ({ y }: Place, { words }: PaperText) =>
  words.some(({ line }) => line !== undefined) ? true : y < upperThird

function namesOne(line: string, names: readonly string[]): boolean {
  const said = new Set(wordsIn(line))
  if (datesInText(line).length > 0) return false
  return names.some((name) => {
    const wanted = wordsIn(name)
    // A sentence about the employer is no letterhead.
    return (
      wanted.length > 0 &&
      said.size <= wanted.length + 4 &&
      wanted.filter((word) => said.has(word)).length >= Math.ceil(wanted.length * 0.6)
    )
  })
}

const wordsIn = (text: string) =>
  unaccented(text)
    .split(/[^\p{L}\p{N}]+/u)
    .filter(({ length }) => length > 2)

/** The parts of a letter that are missing, in order. */
export const missingParts = (findings: LetterFindings): LetterPart[] =>
  letterParts.filter((part) => findings[part] === 'missing')
