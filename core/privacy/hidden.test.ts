import { type Question, type QuestionKind, questionKinds } from '../form/form'
import { rightsOf } from '../rights/rights'
import {
  covered,
  hiddenKindOfClaim,
  hiddenKindOfQuestion,
  kindOfSubject,
  mayReveal,
  readNameless,
  sees,
  subjectOf,
} from './hidden'

test('the coordinator needs birth dates and declarations, and has identity numbers shown only with a reason', () => {
  expect(sees(rightsOf(['coordinator']), 'birth date')).toBe(true)
  expect(sees(rightsOf(['coordinator']), 'identity number')).toBe(false)
  expect(mayReveal(rightsOf(['coordinator']), 'identity number')).toBe(true)
})

test('an assessor sees none of it and may have none of it shown', () => {
  for (const kind of ['identity number', 'birth date', 'declarations', 'health'] as const)
    expect([sees(rightsOf(['assessor']), kind), mayReveal(rightsOf(['assessor']), kind)]).toEqual([false, false])
})

test('a hiring manager may ask for declarations and not for health', () => {
  expect(mayReveal(rightsOf(['hiring manager']), 'declarations')).toBe(true)
  expect(mayReveal(rightsOf(['hiring manager']), 'health')).toBe(false)
  expect(mayReveal(rightsOf(['administrator']), 'health')).toBe(false)
})

test('a subject names its kind and its claim, and is read back', () => {
  expect(subjectOf('health', 'abc')).toBe('health abc')
  expect(kindOfSubject('identity number 42')).toBe('identity number')
  expect(kindOfSubject('birth date')).toBe('birth date')
  expect(kindOfSubject('salary')).toBeUndefined()
})

test('a number keeps its last two characters, a short one none', () => {
  expect(covered('P1234567')).toBe('••••••67')
  expect(covered('123')).toBe('•••')
})

test('where names are hidden, what is chosen or counted is read, what is written only by leave, who they are never', () => {
  const section = { key: 'more', title: '', heading: '', intro: '', holds: 'questions' as const, questions: [] }
  const ask = (kind: QuestionKind, more: Partial<Question> = {}) =>
    readNameless(section, { key: 'more.x', label: 'x', kind, required: true, ...more })
  expect(questionKinds.filter((kind) => ask(kind))).toEqual([
    ...['number', 'money', 'date', 'partial date', 'yes or no', 'one of', 'several of', 'ranked choice', 'country'],
    'declaration',
    'languages',
    'recipients',
  ])
  expect(questionKinds.filter((kind) => !ask(kind) && ask(kind, { nameless: true }))).toEqual(['text', 'long text'])
  expect(ask('one of', { fill: 'country-name' })).toBe(false)
  for (const key of ['about', 'contact'])
    expect(readNameless({ ...section, key }, { key: 'x', label: 'x', kind: 'yes or no', required: true })).toBe(false)
})

test('questions and claims say what they are hidden as', () => {
  const section = { key: 'declarations', title: '', heading: '', intro: '', holds: 'questions' as const, questions: [] }
  const question = { key: 'x', label: 'x', kind: 'yes or no' as const, required: true }
  expect(hiddenKindOfQuestion(section, question)).toBe('declarations')
  expect(hiddenKindOfQuestion({ ...section, key: 'about' }, { ...question, fill: 'bday' })).toBe('birth date')
  expect(hiddenKindOfQuestion({ ...section, key: 'about' }, question)).toBeUndefined()
  expect(hiddenKindOfClaim({ kind: 'certificate', credential: 'medical' })).toBe('health')
  expect(hiddenKindOfClaim({ kind: 'identity' })).toBe('identity number')
  expect(hiddenKindOfClaim({ kind: 'study' })).toBeUndefined()
})
