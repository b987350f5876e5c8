import { Temporal } from 'temporal-polyfill'
import { evaluate } from '../requirements/evaluate'
import type { FileFacts, Requirement } from '../requirements/requirement'
import { answerRequirements, type Form, faultOf, type Question, sectionOf } from './form'

const question = (over: Partial<Question>): Question => ({
  key: 'q',
  label: 'Q',
  kind: 'text',
  required: true,
  ...over,
})
const form: Form = [
  {
    key: 'declarations',
    title: '',
    heading: '',
    intro: '',
    holds: 'questions',
    questions: [
      question({ key: 'dismissed', kind: 'yes or no', explain: 'yes' }),
      question({ key: 'nickname', required: false }),
    ],
  },
  { key: 'work', title: '', heading: '', intro: '', holds: 'work', questions: [] },
]
const today = Temporal.PlainDate.from('2026-11-24')
const facts = (answers: FileFacts['answers']): FileFacts => ({
  today,
  targetStart: today,
  claims: [],
  answers,
  skills: [],
  permissionSigned: false,
  offer: 'none',
  onboarding: [],
  waivers: [],
})
const states = (answers: FileFacts['answers']) =>
  evaluate(answerRequirements(form), facts(answers)).map(({ state }) => state)

test('a yes asks for its explanation, a no does not, and what is optional is not asked for', () => {
  expect(states({})).toEqual(['unmet', 'undecided'])
  expect(states({ dismissed: 'no' })).toEqual(['met', 'not needed'])
  expect(states({ dismissed: 'yes' })).toEqual(['met', 'unmet'])
  expect(states({ dismissed: 'yes', 'dismissed.because': 'A misunderstanding.' })).toEqual(['met', 'met'])
})

test.each([
  [question({ limit: 3 }), 'four', { code: 'too-long', limit: 3 }],
  [question({ limit: 3 }), 'añ😀', undefined],
  [question({ kind: 'mail' }), 'a@b', { code: 'not-a-mail-address' }],
  [question({ kind: 'phone' }), '0512 555', { code: 'not-a-phone-number' }],
  [question({ kind: 'phone' }), '+43 512 555 0100', undefined],
  [question({ kind: 'date' }), '9.7.2021', { code: 'not-a-date' }],
  [question({ kind: 'yes or no' }), 'perhaps', { code: 'not-an-option' }],
  [question({ kind: 'one of', options: ['a', 'b'] }), 'c', { code: 'not-an-option' }],
  [question({}), '', undefined],
])('%j with the answer "%s" is %j', (asked, answer, fault) => expect(faultOf(asked, answer)).toEqual(fault))

test('each requirement is settled in its section, and some in none', () => {
  const asks = (ask: Requirement['asks']) => sectionOf(form, { ...answerRequirements(form)[0]!, asks: ask })?.key
  expect(asks({ kind: 'answer', question: 'dismissed.because' })).toBe('declarations')
  expect(asks({ kind: 'history', years: 5, toleratedGapDays: 30 })).toBe('work')
  expect(asks({ kind: 'offer accepted' })).toBeUndefined()
})
