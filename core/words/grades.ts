import { markScale } from '../catalogue/catalogue'
import { type Grades, type MarkFault, overallOf, type Term } from '../grades/grades'
import { say } from './say'
import { translated } from './translations'

/** Marks as they are kept: by term, on one of the known scales. */
export type Marks = { scale: string; terms: readonly Term[] }

/** The result of marks on their scale, or `undefined` where the scale is not known. */
export function resultOf({ scale, terms }: Marks): Grades | undefined {
  const known = markScale(scale)
  return known && overallOf(terms, known.scale)
}

/** What marks come to, in one sentence. */
export function marksWords(marks: Marks): string {
  const result = resultOf(marks)
  if (!result || result.percent === null) return say('marks.noneGraded')
  const name = result.class ? `, ${translated(result.class).name}` : ''
  return say('marks.overall', {
    percent: result.percent,
    class: name,
    credits: result.creditsGraded,
    scale: scaleName(marks.scale),
  })
}

export function markFaultWords(fault: MarkFault): string {
  switch (fault.code) {
    case 'not-a-mark':
      return fault.mark === '' ? say('marks.missing') : say('marks.notAMark', { mark: fault.mark })
    case 'outside-the-scale':
      return say('marks.outsideTheScale', { mark: fault.mark })
    case 'no-credits':
      return say('marks.noCredits')
  }
}

/** What a scale is called; its key where the catalogue does not know it. */
function scaleName(key: string): string {
  const scale = markScale(key)
  return scale ? translated(scale).name : key
}

/** How the overall result is calculated, for whoever wants to check it. */
export const howMarksAreCounted = (): string => say('marks.howCounted')
