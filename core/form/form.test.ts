import { Temporal } from 'temporal-polyfill'
import { evaluate } from '../requirements/evaluate'
import type { FileFacts, Requirement } from '../requirements/requirement'
import { answerRequirements, type Form, type Question, sectionOf } from './form'

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

test('an answer can ask for a document, and a question is asked only while its condition and its section’s hold', () => {
  const asked: Form = [
    {
      ...form[0]!,
      when: { fact: 'file.studyLevel', atLeast: 6 },
      questions: [
        question({ key: 'abroad', kind: 'yes or no', paper: 'yes' }),
        question({ key: 'where', kind: 'country', when: { fact: 'abroad', is: 'yes' } }),
      ],
    },
  ]
  const states = (level: number, answers: FileFacts['answers']) =>
    evaluate(answerRequirements(asked), {
      ...facts(answers),
      claims: [
        { id: 's', kind: 'study', label: 'S', rung: 'claimed', paper: 'none', enquiry: 'none', level },
        ...(answers.paper
          ? [
              {
                id: 'p',
                kind: 'paper' as const,
                label: 'P',
                rung: 'claimed' as const,
                paper: 'to look at' as const,
                enquiry: 'none' as const,
                question: 'abroad',
              },
            ]
          : []),
      ],
    }).map(({ requirement, state }) => [requirement, state])
  expect(states(5, {})).toEqual([
    ['answer:abroad', 'not needed'],
    ['paper:abroad', 'not needed'],
    ['answer:where', 'not needed'],
  ])
  expect(states(6, { abroad: 'yes' })).toEqual([
    ['answer:abroad', 'met'],
    ['paper:abroad', 'unmet'],
    ['answer:where', 'unmet'],
  ])
  expect(states(6, { abroad: 'yes', where: 'France', paper: 'x' }).map(([, state]) => state)).toEqual([
    'met',
    'met',
    'met',
  ])
})

test('each requirement is settled in its section, and some in none', () => {
  const asks = (ask: Requirement['asks']) => sectionOf(form, { ...answerRequirements(form)[0]!, asks: ask })?.key
  expect(asks({ kind: 'answer', question: 'dismissed.because' })).toBe('declarations')
  expect(asks({ kind: 'history', years: 5, toleratedGapDays: 30 })).toBe('work')
  expect(asks({ kind: 'offer accepted' })).toBeUndefined()
})
