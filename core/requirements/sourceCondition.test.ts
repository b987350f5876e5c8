import { anEmptyFile } from '../../test/requirements'
import { conditionStates } from '../sources/conditions'
import { conditionKinds } from '../sources/source'
import { outcomeWords } from '../words/outcomes'
import { requirementTitle } from '../words/requirementTitle'
import { evaluate, openAt } from './evaluate'
import type { ClaimFacts, ConditionFact } from './requirement'
import { askedBySources, requirementsOfSources } from './sourceCondition'

const fact = (over: Partial<ConditionFact> = {}): ConditionFact => ({
  ...{ id: 'form', kind: 'own form', reason: 'Only on their form.', state: 'missing' },
  ...over,
})
const degree = (over: Partial<ClaimFacts> = {}): ClaimFacts => ({
  ...{ id: 'degree', kind: 'study', label: 'Laurea', rung: 'claimed', paper: 'to look at', enquiry: 'none' },
  ...{ source: 'Lumira', conditions: [fact()] },
  ...over,
})
const judged = (claim: ClaimFacts, sent: boolean) => {
  const requirements = requirementsOfSources([claim], sent)
  return { requirements, outcomes: evaluate(requirements, anEmptyFile({ claims: [claim] })) }
}
const of = (state: ConditionFact['state'], sent: boolean, kind: ConditionFact['kind'] = 'own form') =>
  judged(degree({ conditions: [fact({ state, kind })] }), sent).outcomes[0]!

test('before sending, what is handed in is enough; what is not keeps the gate "send" shut', () => {
  const open = conditionStates.filter((state) => openAt([of(state, false)], 'send').length > 0)
  expect(open).toEqual(['missing', 'sent back', 'not come'])
})

test('once sent, the signature is still the desk’s to look at, and what is missing their task', () => {
  const steps = Object.fromEntries(
    conditionStates.map((state) => [state, of(state, true).steps.map(({ who, what }) => `${who} ${what}`)]),
  )
  expect(steps).toEqual({
    missing: ['candidate upload', 'desk look'],
    'sent back': ['candidate upload', 'desk look'],
    'not come': ['candidate upload', 'desk look'],
    'in the post': ['desk look'],
    'to look at': ['desk look'],
    met: [],
  })
  expect(of('missing', true, 'number').steps).toEqual([{ who: 'candidate', what: 'answer' }])
  expect(of('missing', true).gate).toBe('start')
})

test.each<[string, Partial<ClaimFacts>]>([
  ['what is confirmed', { rung: 'confirmed' }],
  ['what was waived', { rung: 'waived' }],
  ['what is asked already', { rung: 'asked', enquiry: 'open' }],
  ['what was answered', { rung: 'asked', enquiry: 'answered' }],
  ['a source without conditions', { conditions: undefined }],
])('%s wants nothing for its source', (_, over) => expect(requirementsOfSources([degree(over)], true)).toEqual([]))

test('its title, its reason and what is told of it have words for every kind and state', () => {
  for (const kind of conditionKinds)
    for (const state of conditionStates) {
      const outcome = of(state, true, kind)
      expect(requirementTitle(outcome)).toMatch(/^Lumira: /)
      expect(outcomeWords(outcome)).toMatch(/^Lumira asks for /)
    }
  const { requirements, outcomes } = judged(degree(), false)
  expect(askedBySources(requirements, outcomes)).toEqual([
    {
      ...{ requirement: 'source degree form', claim: 'degree', condition: 'form', kind: 'own form', state: 'missing' },
      ...{ because: 'Only on their form.', source: 'Lumira' },
    },
  ])
})

test('where the claim or the condition has gone it is not needed', () => {
  const { requirements } = judged(degree(), false)
  for (const claims of [[], [degree({ conditions: [] })]])
    expect(evaluate(requirements, anEmptyFile({ claims }))[0]!.state).toBe('not needed')
})
