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
const selfCheck = (answers: SelfCheck['answers'], holds: SelfCheck['holds']) =>
  fitOf(rules, { answers, holds }, '2027-01-11')

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

describe('an age', () => {
  const born = { key: 'born', label: 'Born', kind: 'date', required: true } as const
  const aged = {
    form: [{ ...form[0]!, questions: [...form[0]!.questions, born] }],
    requirements: [
      requirement('young', {
        ...{ kind: 'age', question: 'born', most: 35 },
        allowances: [{ years: 5, when: { fact: 'winter', is: 'yes' }, document: 'service' }],
      }),
    ],
  }
  const verdict = (answers: SelfCheck['answers']) => fitOf(aged, { answers, holds: {} }, '2027-01-11').verdict

  test('asks for the day of birth and for what an allowance rests on', () => {
    expect(factsThatDecide(aged).questions.map(({ key }) => key)).toEqual(['winter', 'born'])
    expect(factsThatDecide(aged).held).toEqual([])
  })

  test('is counted on the target start, with the allowance that holds', () => {
    expect(verdict({})).toBe('open')
    expect(verdict({ born: '1991-01-12' })).toBe('fits')
    expect(verdict({ born: '1991-01-11' })).toBe('does not fit')
    expect(verdict({ born: '1991-01-11', winter: 'yes' })).toBe('fits')
    expect(verdict({ born: '1985-01-11', winter: 'yes' })).toBe('does not fit')
  })
})
