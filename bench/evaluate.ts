import { Temporal } from 'temporal-polyfill'
import { partialDate } from '#core/dates/partialDate'
import { evaluate } from '#core/requirements/evaluate'
import type { Ask, ClaimFacts, FileFacts, Requirement } from '#core/requirements/requirement'
import { percentile, type Result } from './result'

const asks: Ask[] = [
  { kind: 'credential', credential: 'medical' },
  { kind: 'study', levelAtLeast: 6, fields: ['0713'] },
  { kind: 'experience', months: 36, tags: ['electrical'] },
  { kind: 'history', years: 5, toleratedGapDays: 30 },
  { kind: 'every work entry' },
  { kind: 'skills check', check: 'isolation' },
  { kind: 'answer', question: 'a' },
  { kind: 'permission' },
]

/** Sixty requirements with conditions, alternatives and exemptions, against forty claims. */
export function evaluateOnce(): Result[] {
  const requirements = Array.from(
    { length: 60 },
    (_, index): Requirement => ({
      key: `r${index}`,
      title: `Requirement ${index}`,
      why: '',
      gate: (['send', 'shortlist', 'offer', 'start'] as const)[index % 4]!,
      asks: asks[index % asks.length]!,
      alternatives: index % 3 === 0 ? [asks[(index + 1) % asks.length]!] : undefined,
      rung: (['claimed', 'evidenced', 'confirmed'] as const)[index % 3]!,
      validStartPlusDays: index % 2 === 0 ? 30 : undefined,
      when:
        index % 4 === 0
          ? {
              any: [
                { fact: 'b', is: 'yes' },
                { fact: 'file.workMonths', atLeast: 12 },
              ],
            }
          : undefined,
      exempt:
        index % 5 === 0 ? { when: { fact: 'file.accreditedFields', holds: '0999' }, because: 'known' } : undefined,
      waivableBy: [],
    }),
  )
  const claims = Array.from({ length: 40 }, (_, index): ClaimFacts => {
    const kind = (['work', 'study', 'certificate', 'licence'] as const)[index % 4]!
    return {
      id: `c${index}`,
      kind,
      label: `Claim ${index}`,
      rung: (['claimed', 'evidenced', 'asked', 'confirmed'] as const)[(index * 7) % 4]!,
      paper: (['none', 'to look at', 'seen'] as const)[index % 3]!,
      enquiry: (['none', 'open', 'answered'] as const)[(index * 5) % 3]!,
      ...(kind === 'study' ? { level: 4 + (index % 4), field: '0713' } : {}),
      ...(kind === 'work' || kind === 'study'
        ? {
            entry: {
              id: `c${index}`,
              from: partialDate(`${2000 + Math.floor(index / 2)}-03`),
              to: partialDate(`${2001 + Math.floor(index / 2)}-06`),
              tags: kind === 'work' ? ['employment', 'electrical'] : ['study'],
            },
          }
        : { credential: 'medical', term: { through: partialDate(`2027-0${1 + (index % 9)}-15`) } }),
    }
  })
  const file: FileFacts = {
    today: Temporal.PlainDate.from('2026-11-24'),
    targetStart: Temporal.PlainDate.from('2027-02-01'),
    claims,
    answers: { a: 'yes', b: 'no' },
    skills: [],
    permissionSigned: true,
    offer: 'none',
    onboarding: [],
    waivers: [],
  }
  for (let warm = 0; warm < 300; warm += 1) evaluate(requirements, file)
  const times = Array.from({ length: 2000 }, () => {
    const begun = performance.now()
    evaluate(requirements, file)
    return performance.now() - begun
  })
  return [
    {
      what: 'requirements of one application (60, against 40 claims), median',
      measured: `${percentile(times, 0.5).toFixed(3)} ms`,
      wanted: 'under 1 ms',
    },
    { what: 'the same, p95', measured: `${percentile(times, 0.95).toFixed(3)} ms`, wanted: '' },
  ]
}
