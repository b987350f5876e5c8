import type { FactValue } from '../conditions/condition'
import type { FileFactName } from '../conditions/vocabulary'
import { monthsOfExperience } from '../history/experience'
import type { FileFacts } from './requirement'

/** The facts of a file: its highest level of study (ISCED 2011), fields (ISCED-F 2013), papers, months of work in all. */
export function factsOfFile({ claims, skills, today }: FileFacts): Record<FileFactName, FactValue> {
  const good = claims.filter(
    ({ rung, contradictedBefore }) => rung !== 'contradicted' && (rung === 'confirmed' || !contradictedBefore),
  )
  const studies = good.filter(({ kind }) => kind === 'study')
  const jobs = good.flatMap(({ kind, entry }) => (kind === 'work' && entry && isEmployment(entry.tags) ? [entry] : []))
  return {
    'file.studyLevel': Math.max(0, ...studies.map(({ level }) => level ?? 0)),
    'file.studyFields': unique(
      studies.flatMap(({ field, second }) => [field, ...(second?.as === 'second field' ? [second.field] : [])]),
    ),
    'file.accreditedFields': unique(studies.filter(({ accredited }) => accredited).map(({ field }) => field)),
    'file.credentials': unique(good.map(({ credential }) => credential)),
    'file.workMonths': jobs.length === 0 ? 0 : monthsOfWork(jobs, today),
    'file.workTags': unique(jobs.flatMap(({ tags }) => tags)),
    'file.checksPassed': unique(skills.flatMap(({ check, passed }) => (passed ? [check] : []))),
  }
}

function monthsOfWork(jobs: Parameters<typeof monthsOfExperience>[0], today: FileFacts['today']): FactValue {
  const { least, most } = monthsOfExperience(jobs, [], today)
  return least === most ? least : { least, most }
}

const isEmployment = (tags: readonly string[]) => tags.includes('employment') || tags.includes('self-employment')
const unique = (values: readonly (string | undefined)[]) => [...new Set(values.filter((value) => value !== undefined))]
