import { compareClaim } from '../comparison/compareClaim'
import { fieldsOf } from '../comparison/fields'
import { accreditationIn, programmeOf, type Studied } from './programmes'
import type { Accreditation, Programme } from './source'

/** What an institution says it has awarded: dates in the notation of partial dates; what is empty it has not said. */
export type AwardRecord = {
  number: string
  name: string
  born: string
  award: string
  subject: string
  awarded: string
}

/** A study as far as it may be known already. */
export type StudyToKnow = Studied & { outcome?: 'finished' | 'in progress' | 'left' }

export const knownStates = [
  'unknown programme',
  'not accredited',
  'year outside',
  'not finished',
  'accredited',
] as const

/** How a study stands by what is known of its programme, before any record is looked at. */
export type KnownProgramme = {
  state: (typeof knownStates)[number]
  programme?: string
  /** The one the year of the award lies in; of a year outside, the latest there is. */
  accreditation?: Accreditation
}

/**
 * Whether a study was of a programme that is known and accredited, or assessed, in the year of its award.
 *
 * A year outside of every accreditation, or one whose readings are not all inside, does not count, nor what is not finished.
 */
export function knownProgramme(study: StudyToKnow, programmes: readonly Programme[]): KnownProgramme {
  const found = programmeOf(study, programmes)
  if (!found) return { state: 'unknown programme' }
  const programme = `${found.award}, ${found.title}`
  const { accreditations = [] } = found
  const latest = [...accreditations].sort((a, b) => a.from - b.from).at(-1)
  if (!latest) return { state: 'not accredited', programme }
  if (study.to === 'present' || (study.outcome ?? 'finished') !== 'finished')
    return { state: 'not finished', programme, accreditation: latest }
  const accreditation = accreditationIn(found, study.to)
  return accreditation
    ? { state: 'accredited', programme, accreditation }
    : { state: 'year outside', programme, accreditation: latest }
}

/** What an award was confirmed at once on. */
export type AwardBasis = Accreditation & { programme: string; record: string }

/**
 * Whether a record of what was awarded says the same as somebody claims: in every field that matters, and in the day of birth
 * where the record has one. A name alone proves nobody.
 *
 * @param claimed what is claimed, by the fields of a study
 * @param paper what somebody has read off its paper, where they have
 */
export function matchesRecord(
  claimed: Readonly<Record<string, string>>,
  record: Readonly<Record<string, string>>,
  paper?: Readonly<Record<string, string>>,
) {
  const said = Object.fromEntries(Object.entries(record).filter(([, value]) => value !== ''))
  const comparison = compareClaim(fieldsOf('study', claimed), claimed, paper, said, [])
  const born = comparison.fields.find(({ key }) => key === 'born')
  const sameBirth = !said.born || (born !== undefined && ['same', 'equivalent'].includes(born.bySource.verdict))
  // A number ties the record to the paper; without one any namesake would do.
  return { matches: comparison.outcome === 'agrees' && sameBirth && Boolean(claimed.number), comparison }
}
