import type { Studied } from './programmes'
import type { Programme } from './source'
import { nameKey } from './spelling'

/** What somebody has looked at to know a programme. */
export type Consulted = { what: string; link: string }

/** What a programme comes to, by whoever has looked into it. */
export type ResearchOutcome = {
  /** ISCED 2011 and ISCED-F 2013, as found and not as claimed. */
  level: number
  field: string
  recognised: boolean
  /** What it compares to here; where it is not recognised, what it falls short of. */
  comparableTo: string
  why: string
  /** Years of award it holds for; null while it goes on. */
  from: number
  to: number | null
}

export const researchStates = ['open', 'second reader', 'done'] as const

/** A programme as candidates name it. */
export type ResearchedProgramme = Pick<Programme, 'title' | 'award' | 'level' | 'field' | 'language'> & { link: string }

const longestKey = 200

/** What makes two candidates mean the same programme of an institution: its level and its subject, however spelled. */
export const programmeKey = ({ level, subject }: Pick<Studied, 'level' | 'subject'>): string =>
  `${level} ${nameKey(subject)}`.slice(0, longestKey)

/** What is missing before a programme can be concluded on, each with where it stands. */
export function faultsOfResearch(consulted: readonly Consulted[], outcome: ResearchOutcome) {
  const named = consulted.filter(({ what }) => what.trim() !== '')
  return [
    ...(named.length === 0 ? [{ pointer: '/consulted', code: 'nothing-consulted' as const }] : []),
    ...(outcome.why.trim().length < 3 ? [{ pointer: '/outcome/why', code: 'no-reason' as const }] : []),
    ...(outcome.comparableTo.trim() === ''
      ? [{ pointer: '/outcome/comparableTo', code: 'no-comparison' as const }]
      : []),
    ...(outcome.to !== null && outcome.to < outcome.from
      ? [{ pointer: '/outcome/to', code: 'years-reversed' as const }]
      : []),
  ]
}

/** A programme that was recognised, as its source has it from now on: assessed by us, for the years it holds for. */
export const assessedProgramme = (
  { title, award, language, link }: ResearchedProgramme,
  { level, field, from, to }: ResearchOutcome,
  by: string,
): Programme => ({
  ...{ title, award, level, field, language, link },
  accreditations: [{ by, basis: 'assessed', from, to }],
})
