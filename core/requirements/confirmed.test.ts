import { anEmptyFile, aRequirement } from '../../test/requirements'
import { isStillAskedAbout } from '../sources/asked'
import { outcomeWords } from '../words/outcomes'
import { evaluate } from './evaluate'
import type { Ask, ClaimFacts, Requirement } from './requirement'
import { requirementsOfSources } from './sourceCondition'

const licence = (over: Partial<ClaimFacts> = {}): ClaimFacts => ({
  ...{
    id: 'card',
    kind: 'licence',
    label: 'Switching authority',
    rung: 'confirmed',
    paper: 'seen',
    enquiry: 'answered',
  },
  ...{ credential: 'hv', confirmed: { since: '2025-11-01', until: '2026-11-01', stale: true as const } },
  ...over,
})
const fresh = { since: '2026-03-01', until: '2027-03-01' }
const judge = (
  claim: ClaimFacts,
  over: Partial<Requirement> = {},
  asks: Ask = { kind: 'credential', credential: 'hv' },
) => evaluate([aRequirement(asks, { rung: 'confirmed', ...over })], anEmptyFile({ claims: [claim] }))[0]!

test('what was confirmed serves until its day, and says since when and until when', () => {
  const outcome = judge(licence({ confirmed: fresh }))
  expect([outcome.state, outcome.reason.code]).toEqual(['met', 'confirmed-since'])
  expect(outcomeWords(outcome)).toBe('Switching authority: confirmed since 1 Mar 2026, serves until 1 Mar 2027.')
  const forGood = judge(licence({ confirmed: { since: '2020-01-07', until: null } }))
  expect(outcomeWords(forGood)).toBe('Switching authority: confirmed since 7 Jan 2020, and not asked again.')
})

test('after it, it is asked again where it has to be confirmed, and only there', () => {
  const outcome = judge(licence())
  expect(outcome).toMatchObject({ state: 'unmet', reason: { code: 'confirmed-long-ago' } })
  expect(outcome.steps.map(({ who, what }) => `${who} ${what}`)).toEqual(['desk ask', 'source reply', 'desk compare'])
  expect(judge(licence(), { rung: 'evidenced' }).state).toBe('met')
  expect(judge(licence({ confirmed: undefined })).reason.code).toBe('met')
})

test('a job that was confirmed too long ago is no reference any more', () => {
  const job = (confirmed: ClaimFacts['confirmed']) =>
    licence({ kind: 'work', confirmed, entry: { id: 'job', from: {} as never, to: 'present', tags: ['employment'] } })
  const reference: Ask = { kind: 'reference', count: 1 }
  expect(judge(job(fresh), {}, reference).state).toBe('met')
  expect(judge(job({ ...fresh, stale: true }), {}, reference).state).toBe('unmet')
})

test('whoever would be asked again stands among those one may say no to, and asks for what it always does', () => {
  const details = { kind: 'licence', sourceName: 'Grid Board' }
  expect(isStillAskedAbout({ rung: 'confirmed', details, confirmed: fresh as never })).toBe(false)
  expect(isStillAskedAbout({ rung: 'confirmed', details, confirmed: null })).toBe(false)
  expect(isStillAskedAbout({ rung: 'confirmed', details, confirmed: { stale: true } })).toBe(true)
  const conditions = [{ id: 'form', kind: 'own form' as const, reason: '', state: 'missing' as const }]
  expect(requirementsOfSources([licence({ conditions })], true)).toHaveLength(1)
  expect(requirementsOfSources([licence({ conditions, confirmed: fresh })], true)).toHaveLength(0)
})
