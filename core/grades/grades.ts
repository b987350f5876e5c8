import type { Translations } from '../words/translations'

/** A class of overall results, by the per cent it begins at. */
export type ScaleClass = { from: number; name: string; translations?: Translations<'name'> }

/** How an institution marks: from its worst to its best mark, or by letters. Classes stand best first. */
export type Scale = {
  classes: readonly ScaleClass[]
} & (
  | { kind: 'numbers'; worst: number; best: number; pass: number }
  | { kind: 'letters'; letters: readonly { letter: string; percent: number; passes: boolean }[] }
)

/** One course of a term. A mark of `passed` was given without a grade: its credits count, and weigh nothing. */
export type Course = { title: string; credits: number; mark: string }
export type Term = { name: string; courses: readonly Course[] }

export type MarkFault = { term: number; course: number } & (
  | { code: 'not-a-mark'; mark: string }
  | { code: 'outside-the-scale'; mark: string }
  | { code: 'no-credits' }
)

/** One line of the working: a course's mark as per cent, and what it adds. */
export type Worked = {
  term: string
  title: string
  credits: number
  mark: string
  percent: number | null
  passed: boolean
}

export type Grades = {
  /** Of all graded courses, weighted by their credits; `null` where nothing is graded. */
  percent: number | null
  /** The class of the scale the percentage falls into; `null` where it reaches none. */
  class: ScaleClass | null
  creditsEarned: number
  creditsGraded: number
  working: Worked[]
  faults: MarkFault[]
}

/** Percentages are rounded half up to this many places, once, at the end. */
const places = 1

/**
 * The overall result of a course of study from its marks by term.
 *
 * A number is turned into per cent on the straight line from the worst mark (0 %) to the best (100 %), which serves
 * rising scales (0 to 100, 0 to 4, 1 to 6) and falling ones (5 to 1) alike; a letter by the scale's own table. The
 * overall percentage is the mean weighted by credits over all graded courses, failed ones included:
 * sum(credits x percent) / sum(credits). It is rounded half up to one place, once, and the class is that of the rounded
 * percentage.
 *
 * @returns the result with its working; marks that cannot be read are in `faults` and count nowhere
 */
export function overallOf(terms: readonly Term[], scale: Scale): Grades {
  const working: Worked[] = []
  const faults: MarkFault[] = []
  terms.forEach((term, termAt) => {
    term.courses.forEach(({ title, credits, mark }, courseAt) => {
      const at = { term: termAt, course: courseAt }
      const read = readMark(mark, scale)
      if (!(credits > 0)) faults.push({ ...at, code: 'no-credits' })
      else if ('code' in read) faults.push({ ...at, ...read })
      else working.push({ term: term.name, title, credits, mark, ...read })
    })
  })
  const graded = working.filter(({ percent }) => percent !== null)
  const creditsGraded = sum(graded.map(({ credits }) => credits))
  const weighted = sum(graded.map(({ credits, percent }) => credits * percent!))
  const percent = creditsGraded > 0 ? roundHalfUp(weighted / creditsGraded) : null
  return {
    percent,
    class: percent === null ? null : (scale.classes.find(({ from }) => percent >= from) ?? null),
    creditsEarned: sum(working.filter(({ passed }) => passed).map(({ credits }) => credits)),
    creditsGraded,
    working,
    faults,
  }
}

type Read = { percent: number | null; passed: boolean } | { code: 'not-a-mark' | 'outside-the-scale'; mark: string }

function readMark(text: string, scale: Scale): Read {
  const mark = text.trim()
  if (mark.toLowerCase() === 'passed') return { percent: null, passed: true }
  if (scale.kind === 'letters') {
    const found = scale.letters.find(({ letter }) => letter.toLowerCase() === mark.toLowerCase())
    return found ? { percent: found.percent, passed: found.passes } : { code: 'not-a-mark', mark }
  }
  // Digits with at most one decimal mark, as on a transcript: `1e1` and `0x10` are numbers to a program only.
  if (!/^-?\d+(?:[.,]\d+)?$/.test(mark)) return { code: 'not-a-mark', mark }
  const value = Number(mark.replace(',', '.'))
  const { worst, best, pass } = scale
  if (value < Math.min(worst, best) || value > Math.max(worst, best)) return { code: 'outside-the-scale', mark }
  const rising = best > worst
  return { percent: ((value - worst) / (best - worst)) * 100, passed: rising ? value >= pass : value <= pass }
}

const sum = (values: readonly number[]) => values.reduce((total, value) => total + value, 0)

/** Half up: 66.65 becomes 66.7. A hair is added, since 66.65 is a little less in binary. */
function roundHalfUp(value: number): number {
  const factor = 10 ** places
  return Math.floor(value * factor + 0.5 + 1e-9) / factor
}
