import type { ImportField } from './fields'

type Resume = {
  basics?: { name?: string; email?: string; phone?: string }
  work?: { name?: string; company?: string; position?: string; startDate?: string; endDate?: string }[]
  education?: { institution?: string; area?: string; studyType?: string; startDate?: string; endDate?: string }[]
  volunteer?: { organization?: string; position?: string; startDate?: string; endDate?: string }[]
  certificates?: unknown[]
  languages?: unknown[]
  skills?: unknown[]
  references?: unknown[]
}

const leftOutParts = ['certificates', 'languages', 'skills', 'references'] as const
export type LeftOut = (typeof leftOutParts)[number]

/** Every part of a résumé may be missing; one of them says that it is one. */
const isResume = (resume: unknown): resume is Resume =>
  typeof resume === 'object' &&
  resume !== null &&
  ['basics', 'work', 'education', 'volunteer'].some((part) => part in resume)

/** Columns of rows made from JSON Resume; each is the field it holds. */
export const resumeMapping = Object.fromEntries(
  (
    [
      'fullName',
      'mail',
      'phone',
      'study.award',
      'study.subject',
      'study.source',
      'study.from',
      'study.to',
      'work.position',
      'work.source',
      'work.from',
      'work.to',
    ] as const
  ).map((field) => [field, field]),
) as Record<string, ImportField>

/**
 * Rows of one or several résumés (JSON Resume 1.0.0, jsonresume.org/schema): one for each study, job and voluntary work.
 * Certificates there carry no number and no kind of ours; they, languages, skills and references are left out and counted.
 *
 * @throws SyntaxError where it is no JSON; RangeError where it is no résumé
 */
export function rowsOfResumes(text: string): { rows: Record<string, string>[]; leftOut: Record<LeftOut, number> } {
  const parsed: unknown = JSON.parse(text)
  const resumes = (Array.isArray(parsed) ? parsed : [parsed]) as Resume[]
  if (resumes.length === 0 || !resumes.every(isResume)) throw new RangeError('no résumé')
  const leftOut = { certificates: 0, languages: 0, skills: 0, references: 0 }
  const rows = resumes.flatMap((resume) => {
    const { basics = {}, work = [], volunteer = [], education = [] } = resume
    for (const part of leftOutParts) leftOut[part] += resume[part]?.length ?? 0
    const person = { fullName: basics.name ?? '', mail: basics.email ?? '', phone: basics.phone ?? '' }
    const claims = [
      ...education.map((study) => ({
        'study.award': study.studyType ?? '',
        'study.subject': study.area ?? '',
        'study.source': study.institution ?? '',
        'study.from': study.startDate ?? '',
        'study.to': study.endDate || 'present',
      })),
      ...work.map((job) => ({
        'work.position': job.position ?? '',
        'work.source': job.name ?? job.company ?? '',
        'work.from': job.startDate ?? '',
        'work.to': job.endDate || 'present',
      })),
      ...volunteer.map((job) => ({
        'work.position': job.position ?? '',
        'work.source': job.organization ?? '',
        'work.from': job.startDate ?? '',
        'work.to': job.endDate || 'present',
      })),
    ]
    return (claims.length > 0 ? claims : [{}]).map((claim) => ({ ...person, ...claim }) as Record<string, string>)
  })
  return { rows, leftOut }
}
