import type { Form } from '../form/form'
import type { Requirement } from '../requirements/requirement'
import { factsThatDecide, fitOf, type SelfCheck } from './fit'

const requirement = (key: string, asks: Requirement['asks'], over: Partial<Requirement> = {}): Requirement => ({
  key,
  title: key,
  why: '',
  gate: 'start',
  asks,
  rung: 'confirmed',
  waivableBy: [],
  ...over,
})
const form: Form = [
  {
    key: 's',
    title: 'S',
    heading: '',
    intro: '',
    holds: 'questions',
    questions: [
      { key: 'name', label: 'Name', kind: 'text', required: true },
      { key: 'winter', label: 'Winter?', kind: 'yes or no', required: true },
      { key: 'heights', label: 'Heights?', kind: 'yes or no', required: true },
    ],
  },
]
const degree: Requirement['asks'] = { kind: 'study', levelAtLeast: 6 }
const requirements = [
  requirement('degree-said', degree, { gate: 'send', rung: 'claimed' }),
  requirement('degree-proven', degree),
  requirement('heights', { kind: 'declaration', question: 'heights', mustBe: 'yes' }),
  requirement('blasting', { kind: 'credential', credential: 'blasting' }, { when: { fact: 'winter', is: 'yes' } }),
  requirement(
    'ropes',
    { kind: 'credential', credential: 'rope-access' },
    {
      exempt: { when: { fact: 'file.credentials', holds: 'blasting' }, because: 'it is part of it' },
    },
  ),
  requirement('check', { kind: 'skills check', check: 'isolation' }),
  requirement('offer', { kind: 'offer accepted' }),
]
const rules = { form, requirements }
const selfCheck = (answers: SelfCheck['answers'], holds: SelfCheck['holds']) => fitOf(rules, { answers, holds })

test('asks only for the few facts that decide, each once', () => {
  const { questions, held } = factsThatDecide(rules)
  expect(questions.map(({ key }) => key)).toEqual(['winter', 'heights'])
  expect(held.map(({ key }) => key)).toEqual(['degree-said', 'blasting', 'ropes'])
})

test('says which fact is missing while nothing speaks against it', () => {
  const { verdict, lines } = selfCheck({ heights: 'yes' }, { 'degree-said': 'yes' })
  expect(verdict).toBe('open')
  expect(lines.map(({ state, missing }) => [state, missing])).toEqual([
    ['fits', []],
    ['fits', []],
    ['open', ['winter']],
    ['open', ['ropes']],
  ])
})

test('one requirement that is not held is enough for a no, whatever is still open', () => {
  expect(selfCheck({ heights: 'no' }, {}).verdict).toBe('does not fit')
  expect(selfCheck({}, { 'degree-said': 'no' }).verdict).toBe('does not fit')
})

test('a condition that does not hold asks for nothing, and an exemption counts', () => {
  expect(selfCheck({ heights: 'yes', winter: 'no' }, { 'degree-said': 'yes', ropes: 'yes' }).verdict).toBe('fits')
  const exempt = selfCheck({ heights: 'yes', winter: 'yes' }, { 'degree-said': 'yes', blasting: 'yes' })
  expect(exempt.verdict).toBe('fits')
  expect(exempt.lines.at(-1)!.state).toBe('not needed')
})
