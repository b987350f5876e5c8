import { type Grades, type MarkFault, overallOf, scales, type Term } from '../grades/grades'
import { say } from './say'

/** Marks as they are kept: by term, on one of the known scales. */
export type Marks = { scale: string; terms: readonly Term[] }

/** The result of marks on their scale, or `undefined` where the scale is not known. */
export function resultOf({ scale, terms }: Marks): Grades | undefined {
  const known = scales[scale]
  return known && overallOf(terms, known)
}

/** What marks come to, in one sentence. */
export function marksWords(marks: Marks): string {
  const result = resultOf(marks)
  if (!result || result.percent === null) return say('Marks are given, none of them graded.')
  const name = result.class ? `, ${say(result.class)}` : ''
  return say('{{percent}} % overall{{class}}, from {{credits}} graded credits on the scale {{scale}}.', {
    percent: result.percent,
    class: name,
    credits: result.creditsGraded,
    scale: say(scales[marks.scale]!.name),
  })
}

export function markFaultWords(fault: MarkFault): string {
  switch (fault.code) {
    case 'not-a-mark':
      return fault.mark === ''
        ? say('A mark is missing. “passed” will do where there is no grade.')
        : say('“{{mark}}” is no mark of this scale.', { mark: fault.mark })
    case 'outside-the-scale':
      return say('{{mark}} lies outside of this scale.', { mark: fault.mark })
    case 'no-credits':
      return say('The credits are missing.')
  }
}

/** How the overall result is come by, for whoever wants to check it. */
export const howMarksAreCounted =
  'Each mark is turned into per cent between the worst (0 %) and the best (100 %) of the scale, and weighed by its credits. Failed courses count; courses passed without a grade do not. Rounded once, at the end, half up to one place.'
