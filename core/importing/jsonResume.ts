import type { ImportField } from './fields'

type Resume = {
  basics?: { name?: string; email?: string; phone?: string }
  work?: { name?: string; company?: string; position?: string; startDate?: string; endDate?: string }[]
  education?: { institution?: string; area?: string; studyType?: string; startDate?: string; endDate?: string }[]
  certificates?: { name?: string; date?: string; issuer?: string }[]
}

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
 * Rows of one or several résumés (JSON Resume 1.0.0, jsonresume.org/schema): one for each study and each job. Certificates
 * there carry no number and no kind of ours; they are left out and said so by the caller.
 *
 * @throws SyntaxError where it is no JSON; RangeError where it is no résumé
 */
export function rowsOfResumes(text: string): { rows: Record<string, string>[]; leftOut: number } {
  const parsed: unknown = JSON.parse(text)
  const resumes = (Array.isArray(parsed) ? parsed : [parsed]) as Resume[]
  if (resumes.length === 0 || resumes.some((resume) => typeof resume !== 'object' || !resume?.basics))
    throw new RangeError('no résumé')
  let leftOut = 0
  const rows = resumes.flatMap(({ basics = {}, work = [], education = [], certificates = [] }) => {
    leftOut += certificates.length
    const person = { fullName: basics.name ?? '', mail: basics.email ?? '', phone: basics.phone ?? '' }
    const claims = [
      ...education.map((study) => ({
        'study.award': study.studyType ?? '',
        'study.subject': study.area ?? '',
        'study.source': study.institution ?? '',
        'study.from': study.startDate ?? '',
        'study.to': study.endDate ?? 'present',
      })),
      ...work.map((job) => ({
        'work.position': job.position ?? '',
        'work.source': job.name ?? job.company ?? '',
        'work.from': job.startDate ?? '',
        'work.to': job.endDate ?? 'present',
      })),
    ]
    return (claims.length > 0 ? claims : [{}]).map((claim) => ({ ...person, ...claim }) as Record<string, string>)
  })
  return { rows, leftOut }
}
