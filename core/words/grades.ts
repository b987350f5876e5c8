import { type Grades, type MarkFault, overallOf, type ScaleKey, scaleKeys, scales, type Term } from '../grades/grades'
import { say } from './say'

/** Marks as they are kept: by term, on one of the known scales. */
export type Marks = { scale: string; terms: readonly Term[] }

/** The result of marks on their scale, or `undefined` where the scale is not known. */
export function resultOf({ scale, terms }: Marks): Grades | undefined {
  const known = scaleKeys.find((key) => key === scale)
  return known && overallOf(terms, scales[known])
}

/** What marks come to, in one sentence. */
export function marksWords(marks: Marks): string {
  const result = resultOf(marks)
  if (!result || result.percent === null) return say('marks.noneGraded')
  const name = result.class ? `, ${say(`names.class.${result.class}`)}` : ''
  return say('marks.overall', {
    percent: result.percent,
    class: name,
    credits: result.creditsGraded,
    scale: scaleName(marks.scale as ScaleKey),
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

export const scaleName = (scale: ScaleKey): string => say(`names.scale.${scale}`)

/** How the overall result is calculated, for whoever wants to check it. */
export const howMarksAreCounted = (): string => say('marks.howCounted')
