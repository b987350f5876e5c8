import fc from 'fast-check'
import type { Form, Question } from '../form/form'
import { conditionFaultWords, conditionWords } from '../words/conditions'
import { type Condition, type Facts, factsOf } from './condition'
import { circlesIn, faultsOfCondition } from './faults'
import { judge } from './judge'
import { knownFacts } from './vocabulary'

const ask = (key: string, over: Partial<Question>): Question => ({
  key,
  label: key,
  kind: 'text',
  required: true,
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
      ask('drives', { kind: 'yes or no', label: 'May you drive?' }),
      ask('years', { kind: 'number', label: 'Years of driving' }),
      ask('languages', { kind: 'several of', options: ['German', 'French', 'Italian'] }),
      ask('since', { kind: 'partial date' }),
      ask('home', { kind: 'address' }),
    ],
  },
]
const known = knownFacts(form, { isolation: 'Isolation and lock-off' })
const codes = (condition: Condition, place?: number) =>
  faultsOfCondition(condition, known, place).map(({ code }) => code)

test.each<[Condition, string[]]>([
  [{ fact: 'drives', is: 'yes' }, []],
  [{ fact: 'shoes', is: '38' }, ['unknown-fact']],
  [{ fact: 'drives', atLeast: 3 }, ['unfit-comparison']],
  [{ fact: 'languages', holds: 'Klingon' }, ['unknown-option']],
  [
    {
      all: [
        { fact: 'drives', is: 'yes' },
        { fact: 'drives', is: 'no' },
      ],
    },
    ['never-holds'],
  ],
  [
    {
      any: [
        { fact: 'drives', is: 'yes' },
        { fact: 'drives', is: 'no' },
      ],
    },
    ['always-holds'],
  ],
  [
    {
      all: [
        { fact: 'years', atLeast: 5 },
        { fact: 'years', atMost: 4 },
      ],
    },
    ['never-holds'],
  ],
  [
    {
      all: [
        { fact: 'years', atLeast: 5 },
        { fact: 'years', atMost: 5 },
      ],
    },
    [],
  ],
  [
    {
      all: [
        { fact: 'languages', holds: 'German' },
        { fact: 'languages', holds: 'French' },
      ],
    },
    [],
  ],
  [
    { all: [{ fact: 'languages', holds: 'German' }, { none: [{ fact: 'languages', holds: 'German' }] }] },
    ['never-holds'],
  ],
  [
    {
      all: [
        { fact: 'since', onOrAfter: '2022-01-01' },
        { fact: 'since', onOrBefore: '2021-12-31' },
      ],
    },
    ['never-holds'],
  ],
  [
    {
      all: [
        { fact: 'since', onOrAfter: '2021-01-01' },
        { fact: 'since', onOrBefore: '2021-12-31' },
      ],
    },
    [],
  ],
  [{ fact: 'home.country', is: 'Austria' }, []],
  [{ fact: 'file.checksPassed', holds: 'isolation' }, []],
  [{ fact: 'file.checksPassed', holds: 'singing' }, ['unknown-option']],
  [{ any: [] }, ['never-holds']],
  [{ all: [] }, ['always-holds']],
])('%j has the faults %j', (condition, faults) => expect(codes(condition)).toEqual(faults))

test('a question cannot hang on one that is asked at its place or later, and may hang on the file', () => {
  const condition: Condition = {
    all: [
      { fact: 'drives', is: 'yes' },
      { fact: 'years', atLeast: 2 },
    ],
  }
  expect(faultsOfCondition(condition, known, 1)).toEqual([{ code: 'asked-later', fact: 'years' }])
  expect(codes(condition, 2)).toEqual([])
  expect(codes({ fact: 'file.studyLevel', atLeast: 6 }, 0)).toEqual([])
})

const values = fc.constantFrom('yes', 'no')
const leaf: fc.Arbitrary<Condition> = fc.oneof(
  fc.record({ fact: fc.constant('drives'), is: values }),
  fc.record({ fact: fc.constant('years'), atLeast: fc.integer({ min: 0, max: 3 }) }),
  fc.record({ fact: fc.constant('years'), atMost: fc.integer({ min: 0, max: 3 }) }),
  fc.record({ fact: fc.constant('languages'), holds: fc.constantFrom('German', 'French') }),
)
const { condition: conditions } = fc.letrec<{ condition: Condition }>((tie) => ({
  condition: fc.oneof(
    { maxDepth: 3 },
    leaf,
    fc.array(tie('condition'), { maxLength: 3 }).map((all) => ({ all })),
    fc.array(tie('condition'), { maxLength: 3 }).map((any) => ({ any })),
    fc.array(tie('condition'), { maxLength: 3 }).map((none) => ({ none })),
  ),
}))
const answers: fc.Arbitrary<Facts> = fc.record({
  drives: values,
  years: fc.integer({ min: -1, max: 5 }),
  languages: fc.subarray(['German', 'French', 'Italian']),
})

test('what is said never to hold is false for every answer, and what is said always to hold is true', () => {
  fc.assert(
    fc.property(conditions, answers, (condition, facts) => {
      const [fault] = faultsOfCondition(condition, known)
      if (fault?.code === 'never-holds') expect(judge(condition, facts).truth).toBe(false)
      if (fault?.code === 'always-holds') expect(judge(condition, facts).truth).toBe(true)
    }),
    { numRuns: 500 },
  )
})

test('what is not said to be impossible can be met, and can be missed', () => {
  const all = (['yes', 'no'] as const).flatMap((drives) =>
    [-1, 0, 0.5, 1, 1.5, 2, 2.5, 3, 4].flatMap((years) =>
      [[], ['German'], ['French'], ['German', 'French']].map((languages) => ({ drives, years, languages })),
    ),
  )
  fc.assert(
    fc.property(conditions, (condition) => {
      fc.pre(factsOf(condition).length > 0 && faultsOfCondition(condition, known).length === 0)
      const truths = all.map((facts) => judge(condition, facts).truth)
      expect(truths).toContain(true)
      expect(truths).toContain(false)
    }),
  )
})

test.each([
  [{ a: ['b'], b: ['a'] }, [['a', 'b']]],
  [{ a: ['a'] }, [['a']]],
  [{ a: ['b'], b: ['c'], c: [] }, []],
  [{ a: ['b', 'c'], b: [], c: ['a'] }, [['a', 'c']]],
])('%j goes round in %j', (dependsOn, circles) => {
  expect(circlesIn(new Map(Object.entries(dependsOn)))).toEqual(circles)
})

test.each<[Condition, string]>([
  [{ fact: 'drives', is: 'yes' }, '“May you drive” is yes'],
  [
    {
      all: [
        { fact: 'drives', is: 'yes' },
        {
          any: [
            { fact: 'years', atLeast: 2 },
            { fact: 'file.credentials', holds: 'medical' },
          ],
        },
      ],
    },
    '“May you drive” is yes and (“Years of driving” is at least 2 or “licences and certificates” include Medical fitness for mountain operations)',
  ],
  [
    { none: [{ fact: 'home.country', oneOf: ['France', 'Italy'] }] },
    '(neither holds: “home: country” is France or Italy)',
  ],
  [{ fact: 'since', onOrAfter: '2021-03-09' }, '“since” is on or after 9 Mar 2021'],
  [{ fact: 'file.studyLevel', atLeast: 6 }, '“highest level of study” is at least bachelor'],
])('%j reads "%s"', (condition, words) => expect(conditionWords(condition, known)).toBe(words))

test('a fault says how to put it right', () => {
  const [fault] = faultsOfCondition({ fact: 'years', atLeast: 2 }, known, 0)
  expect(conditionFaultWords(fault!, known)).toBe(
    'The condition looks at “Years of driving”, which is asked later. Move that question up, or choose an earlier one.',
  )
})

test('a partial date is compared as far as it goes', () => {
  const since = (value: string) => judge({ fact: 'since', onOrAfter: '2021-06-01' }, { since: value }).truth
  expect(['2020', '2021', '2021-06', '2021-07-01', '2022'].map(since)).toEqual([false, 'undecided', true, true, true])
  expect(judge({ fact: 'since', onOrBefore: '2021-06' }, { since: '2021-06-30' }).truth).toBe(true)
})
