import type { Form } from '../form/form'
import { firstLook } from './firstLook'
import type { Outcome } from './requirement'

const outcome = (over: Partial<Outcome>): Outcome => ({
  requirement: 'r',
  title: 'R',
  gate: 'shortlist',
  state: 'unmet',
  reason: { code: 'to-ask', claim: 'c' },
  steps: [{ who: 'desk', what: 'ask' }],
  claims: [],
  ...over,
})
const look = (...outcomes: Outcome[]) => firstLook(outcomes, [], {}, {})

test('proof that is outstanding does not speak against anybody', () => {
  expect(look(outcome({})).eligible).toBe('yes')
  expect(look(outcome({ gate: 'start', reason: { code: 'nothing-claimed' } })).eligible).toBe('yes')
})

test('too little experience does, at whatever gate; a paper nobody claims does before the shortlist', () => {
  const little = outcome({ gate: 'offer', reason: { code: 'too-little-experience', months: 10, needed: 24 } })
  expect(look(little)).toMatchObject({ eligible: 'no', because: [little] })
  expect(look(outcome({ reason: { code: 'nothing-claimed' } })).eligible).toBe('no')
})

test('what turns on an open answer is undecided', () => {
  const undecided = outcome({ state: 'undecided', reason: { code: 'condition-undecided', deciding: ['q'] } })
  expect(look(undecided)).toMatchObject({ eligible: 'undecided', because: [undecided] })
  expect(look(undecided, outcome({ reason: { code: 'nothing-claimed' } })).eligible).toBe('no')
})

test('counts what is settled up to the shortlist', () => {
  const settled = look(
    outcome({ state: 'met', reason: { code: 'met' }, steps: [] }),
    outcome({}),
    outcome({ state: 'not needed', reason: { code: 'condition-false' }, steps: [] }),
    outcome({ gate: 'start' }),
  ).settled
  expect(settled).toEqual({ done: 1, of: 2 })
})

test('an honest blank is told with its reason, unless the question is not asked', () => {
  const form: Form = [
    {
      key: 's',
      title: 'S',
      heading: 'S',
      intro: '',
      holds: 'questions',
      questions: [
        { key: 'a', label: 'Licence number', kind: 'text', required: true, blanks: ['unknown'] },
        {
          key: 'b',
          label: 'Other',
          kind: 'text',
          required: true,
          blanks: ['unknown'],
          when: { fact: 'x', is: 'yes' },
        },
      ],
    },
  ]
  const answers = { a: { blank: 'unknown' as const }, 'a.because': 'Lost in a move', b: { blank: 'unknown' as const } }
  expect(firstLook([], form, answers, { x: 'no' }).blanks).toEqual([
    { label: 'Licence number', blank: 'unknown', because: 'Lost in a move' },
  ])
})
