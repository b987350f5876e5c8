import { type Grades, type MarkFault, overallOf, scales, type Term } from '../grades/grades'

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
  if (!result || result.percent === null) return 'Marks are given, none of them graded.'
  const name = result.class ? `, ${result.class}` : ''
  return `${result.percent} % overall${name}, from ${result.creditsGraded} graded credits on the scale ${scales[marks.scale]!.name}.`
}

export function markFaultWords(fault: MarkFault): string {
  switch (fault.code) {
    case 'not-a-mark':
      return fault.mark === ''
        ? 'A mark is missing. “passed” will do where there is no grade.'
        : `“${fault.mark}” is no mark of this scale.`
    case 'outside-the-scale':
      return `${fault.mark} lies outside of this scale.`
    case 'no-credits':
      return 'The credits are missing.'
  }
}

/** How the overall result is come by, for whoever wants to check it. */
export const howMarksAreCounted =
  'Each mark is turned into per cent between the worst (0 %) and the best (100 %) of the scale, and weighed by its credits. Failed courses count; courses passed without a grade do not. Rounded once, at the end, half up to one place.'
