import { anEmptyFile, aRequirement } from '../../test/requirements'
import { papersOfCredential, papersOfStudy } from '../documents/papers'
import { faultsOfRules } from '../rules/faults'
import { outcomeWords } from '../words/outcomes'
import { requirementSentence } from '../words/requirements'
import { evaluate } from './evaluate'
import { withinReach } from './reach'
import type { ClaimFacts, Requirement } from './requirement'

const licence = (over: Partial<ClaimFacts> = {}): ClaimFacts => ({
  ...{ id: 'c1', kind: 'licence', label: 'Licence', rung: 'claimed', paper: 'seen', enquiry: 'none' },
  credential: 'driving',
  interim: { seen: true, since: '2026-11-01', finalBy: '2026-12-20' },
  ...over,
})
const rule = (over: Partial<Requirement> = {}) =>
  aRequirement({ kind: 'credential', credential: 'driving' }, { rung: 'confirmed', interim: { days: 60 }, ...over })
const judged = (over: Partial<ClaimFacts> = {}, asked = rule()) =>
  evaluate([asked], anEmptyFile({ claims: [licence(over)] }))[0]!

test('a gate passes on an interim paper where the rule takes one, until the day the final one is owed', () => {
  const outcome = judged()
  expect(outcome).toMatchObject({
    state: 'met',
    reason: { code: 'met-for-now', finalBy: '2026-12-20' },
    claims: ['c1'],
  })
  expect(outcomeWords(outcome)).toBe(
    'Met for now by an interim paper for Licence; the final one is owed by 20 Dec 2026.',
  )
})

test.each<[string, Partial<ClaimFacts>, Requirement, string, string]>([
  ['a rule that takes none', {}, rule({ interim: undefined }), 'interim-not-enough', 'upload look ask reply compare'],
  [
    'one nobody has looked at',
    { interim: { seen: false, since: '2026-11-01', finalBy: '2026-12-20' } },
    rule(),
    'paper-to-look-at',
    'look',
  ],
  [
    'one whose day has passed',
    { interim: { seen: true, since: '2026-10-01', finalBy: '2026-11-23' } },
    rule(),
    'interim-over',
    'upload look ask reply compare',
  ],
  [
    'a later day than the rule allows',
    { interim: { seen: true, since: '2026-10-01', finalBy: '2027-06-01' } },
    rule({ interim: { days: 53 } }),
    'interim-over',
    'upload look ask reply compare',
  ],
  [
    'over, and the final one waits to be looked at',
    { paper: 'to look at', interim: { seen: true, since: '2026-10-01', finalBy: '2026-11-23', finalToLookAt: true } },
    rule(),
    'paper-to-look-at',
    'look ask reply compare',
  ],
  ['contradicted, whatever stands in', { rung: 'contradicted' }, rule(), 'contradicted', 'decide'],
])('not: %s', (_, over, asked, code, steps) => {
  const outcome = judged(over, asked)
  expect([outcome.state, outcome.reason.code]).toEqual(['unmet', code])
  expect(outcome.steps.map(({ what }) => what).join(' ')).toBe(steps)
})

test('the last day counts, and the day the rule allows comes first where it is earlier', () => {
  const until = (finalBy: string, days: number) =>
    judged({ interim: { seen: true, since: '2026-11-01', finalBy } }, rule({ interim: { days } })).reason
  expect(until('2026-11-24', 60)).toMatchObject({ code: 'met-for-now', finalBy: '2026-11-24' })
  expect(until('2027-03-01', 23)).toMatchObject({ code: 'met-for-now', finalBy: '2026-11-24' })
  expect(until('2027-03-01', 22)).toMatchObject({ code: 'interim-over', finalBy: '2026-11-23' })
})

test('a receipt that a renewal was applied for stands in for a licence that lapses before the start', () => {
  const lapsing = { term: { through: '2026-12-01' as never } }
  expect(
    judged({ ...lapsing, interim: undefined }, rule({ rung: 'evidenced', validStartPlusDays: undefined })).state,
  ).toBe('met')
  expect(judged(lapsing, rule({ validStartPlusDays: 30 })).reason.code).toBe('met-for-now')
})

test('what was confirmed needs no final paper, and what asks for no paper takes no notice of one that is interim', () => {
  expect(judged({ rung: 'confirmed' }, rule({ interim: undefined })).reason.code).toBe('met')
  expect(judged({}, rule({ rung: 'claimed', interim: undefined })).reason.code).toBe('met')
})

test('the rule says it in its sentence, cannot be where nothing is issued, and goes with the paper', () => {
  expect(requirementSentence(rule())).toContain('An interim paper, or the receipt of an application, does for 60 days')
  const none = { ...rule(), asks: { kind: 'permission' as const }, rung: 'claimed' as const }
  const faults = faultsOfRules({ form: [], requirements: [none], onboarding: [] }, {})
  expect(faults).toContainEqual({ pointer: '/requirements/0/interim', code: 'no-interim' })
  expect(withinReach(none).interim).toBeUndefined()
  expect(withinReach(rule({ rung: 'claimed' })).interim).toBeUndefined()
  expect(withinReach(rule()).interim).toEqual({ days: 60 })
})

test('the rule behind a requirement has an address that can be followed, or none', () => {
  const cited = (link?: string) =>
    faultsOfRules(
      {
        form: [],
        requirements: [{ ...rule(), citation: { text: 'Order, section 14', ...(link ? { link } : {}) } }],
        onboarding: [],
      },
      {},
    ).filter(({ code }) => code === 'no-link').length
  expect(['https://law.example/14', undefined, 'http://law.example'].map(cited)).toEqual([0, 0, 0])
  expect(['javascript:alert(1)', 'law.example', 'https://', 'https:// law'].map(cited)).toEqual([1, 1, 1, 1])
})

test('an interim certificate does for a degree with one full transcript or one of each term, and a receipt for a licence', () => {
  const paper = (part: Parameters<typeof papersOfStudy>[1][number]['part']) => ({ part, pages: 1, translated: false })
  const lacks = (...parts: Parameters<typeof paper>[0][]) => papersOfStudy({}, parts.map(paper), []).missing
  expect(lacks()).toEqual(['certificate'])
  expect(lacks('interim certificate', 'transcript')).toEqual([])
  expect(lacks('interim certificate', 'transcripts of each term')).toEqual([])
  expect(lacks('transcripts of each term')).toEqual(['certificate'])
  expect(lacks('interim certificate')).toEqual(['transcript'])
  expect(papersOfCredential(true, [paper('receipt of application')]).missing).toEqual([])
  expect(papersOfStudy({ outcome: 'in progress' }, [], []).interim).toEqual([])
})
