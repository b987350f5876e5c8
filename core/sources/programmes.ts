import { partialDate, spanOf } from '../dates/partialDate'
import type { Accreditation, Programme } from './source'
import { nameKey } from './spelling'

/** A study, as far as it is looked for among what its institution offers. */
export type Studied = {
  subject: string
  level: number
  field: string
  /** The programme it was chosen as, if it was. */
  programme?: string
  /** When it ended, or `present`. */
  to: string
}

/**
 * The programme a study was of: the same level and field, under the name it was chosen by or under that of its subject.
 */
export function programmeOf<P extends Programme>(study: Studied, programmes: readonly P[]): P | undefined {
  const alike = programmes.filter(({ level, field }) => level === study.level && field === study.field)
  const called = (name: string | undefined) =>
    name
      ? alike.find(({ title, award }) => [title, `${award}, ${title}`].some((own) => nameKey(own) === nameKey(name)))
      : undefined
  return called(study.programme) ?? called(study.subject)
}

/**
 * The accreditation or assessment of a programme that a year of award lies in.
 *
 * @param awarded a day in the notation of partial dates; one whose year is only about lies in it if every reading does.
 *   What goes on has none yet.
 */
export function accreditationIn({ accreditations = [] }: Programme, awarded: string): Accreditation | undefined {
  if (awarded === 'present') return undefined
  const { earliest, latest } = spanOf(partialDate(awarded))
  return accreditations.find(({ from, to }) => earliest.year >= from && (to === null || latest.year <= to))
}

/** The programme a study was of and what accredits it in the year of its award, where there are both. */
export function accreditedAs<P extends Programme>(study: Studied, programmes: readonly P[]) {
  const programme = programmeOf(study, programmes)
  const accreditation = programme && accreditationIn(programme, study.to)
  return programme && accreditation ? { programme, accreditation } : undefined
}
