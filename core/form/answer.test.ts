import { judge } from '../conditions/judge'
import { knownFacts } from '../conditions/vocabulary'
import { conditionWords } from '../words/conditions'
import { answerWords, questionSentence } from '../words/form'
import { type AnswerValue, answeredKeys, factsOfAnswers, faultOf, isAsked, isEmpty, missingIn } from './answer'
import type { Form, Question } from './form'

const question = (over: Partial<Question>): Question => ({
  key: 'q',
  label: 'Q',
  kind: 'text',
  required: true,
  ...over,
})
const records = question({
  kind: 'records',
  parts: [question({ key: 'name' }), question({ key: 'born', kind: 'date', required: false })],
})
const tongues = question({ key: 'speaks', label: 'Speaks', kind: 'languages' })
const address = { street: 'Dorfstrasse 4', postcode: '6800', town: 'Vallorne', region: '', country: 'Austria' }

test.each<[Question, AnswerValue, ReturnType<typeof faultOf>]>([
  [question({ limit: 3 }), 'four', { code: 'too-long', limit: 3 }],
  [question({ limit: 3 }), 'añ😀', undefined],
  [question({ kind: 'mail' }), 'a@b', { code: 'not-a-mail-address' }],
  [question({ kind: 'phone' }), '0512 555', { code: 'not-a-phone-number' }],
  [question({ kind: 'phone' }), '+43 512 555 0100', undefined],
  [question({ kind: 'date' }), '9.7.2021', { code: 'not-a-date' }],
  [question({ kind: 'date' }), '2023-02-29', { code: 'not-a-date' }],
  [question({ kind: 'date' }), '2023-02', { code: 'not-a-date' }],
  [question({ kind: 'partial date' }), '2023-02', undefined],
  [question({ kind: 'partial date' }), '2023~', undefined],
  [question({ kind: 'yes or no' }), 'perhaps', { code: 'not-an-option' }],
  [question({ kind: 'declaration' }), 'agreed', undefined],
  [question({ kind: 'one of', options: ['a', 'b'] }), 'c', { code: 'not-an-option' }],
  [question({ kind: 'several of', options: ['a', 'b'] }), ['a', 'b'], undefined],
  [question({ kind: 'several of', options: ['a', 'b'] }), ['a', 'a'], { code: 'named-twice' }],
  [question({ kind: 'several of', options: ['a', 'b'] }), ['c'], { code: 'not-an-option' }],
  [question({ kind: 'several of', options: ['a', 'b'] }), 'a', { code: 'wrong-shape' }],
  [question({ kind: 'ranked choice', options: ['a', 'b'], rankUpTo: 1 }), ['b', 'a'], { code: 'too-many', most: 1 }],
  [question({ kind: 'number', least: 1, most: 9 }), '0', { code: 'too-small', least: 1 }],
  [question({ kind: 'number', least: 1, most: 9 }), '9.5', { code: 'too-large', most: 9 }],
  [question({ kind: 'number' }), '1e3', { code: 'not-a-number' }],
  [question({ kind: 'money', most: 100 }), '10001', { code: 'too-large', most: 100 }],
  [question({ kind: 'money' }), '12.50', { code: 'not-a-number' }],
  [question({ kind: 'address' }), address, undefined],
  [question({ kind: 'address' }), { planet: 'Earth' }, { code: 'wrong-shape' }],
  [question({ kind: 'country and region' }), { country: 'Austria', region: 'Oberland' }, undefined],
  [question({ kind: 'text' }), { street: 'x' }, { code: 'wrong-shape' }],
  [records, [{ name: 'Ida', born: '2001-02-03' }], undefined],
  [records, [{ name: 'Ida', born: 'May' }], { code: 'not-a-date' }],
  [records, [{ shoe: '38' }], { code: 'wrong-shape' }],
  [tongues, [{ language: 'de', level: 'B2' }], undefined],
  [tongues, [{ language: 'de', level: 'B7' }], { code: 'not-an-option' }],
  [tongues, [{ language: 'tlh', level: 'B2' }], { code: 'not-an-option' }],
  [tongues, ['de', 'de'].map((language) => ({ language, level: 'A1' })), { code: 'named-twice' }],
  [question({}), '', undefined],
  [question({}), { blank: 'unknown', because: 'lost' }, { code: 'blank-not-allowed' }],
  [question({ blanks: ['unknown'] }), { blank: 'unknown', because: ' ' }, undefined],
  [question({ blanks: ['unknown'] }), { blank: 'unknown', because: 'lost in a flood' }, undefined],
  [question({ blanks: ['does not apply'] }), { blank: 'does not apply' }, undefined],
])('%j answered with %j has the fault %j', (asked, answer, fault) => expect(faultOf(asked, answer)).toEqual(fault))

const form: Form = [
  {
    key: 's',
    title: 'S',
    heading: '',
    intro: '',
    holds: 'questions',
    questions: [
      question({ key: 'pay', kind: 'money' }),
      question({ key: 'home', kind: 'address' }),
      question({ ...records, key: 'children', required: false }),
      question({ key: 'number', blanks: ['unknown', 'does not apply'] }),
      question({ key: 'ends', kind: 'date', blanks: ['does not expire'] }),
      question({ key: 'drives', kind: 'yes or no', explain: 'no' }),
    ],
  },
]

test('answers become facts that conditions can compare', () => {
  const facts = factsOfAnswers(form, {
    pay: '4500000',
    home: address,
    children: [{ name: 'Ida' }, { name: 'Otto' }],
    ends: { blank: 'does not expire' },
    drives: 'no',
    'drives.because': 'No licence yet.',
    unasked: 'left over from another version',
  })
  expect(facts).toEqual({
    pay: 45_000,
    home: 'Austria',
    'home.country': 'Austria',
    'home.region': '',
    children: 2,
    ends: 'does not expire',
    drives: 'no',
    'drives.because': 'No licence yet.',
  })
  expect(judge({ fact: 'pay', atLeast: 45_000 }, facts).truth).toBe(true)
})

test('an honest "I don’t know" is an answer and leaves its fact open', () => {
  const answers = { number: { blank: 'unknown' as const, because: 'the card is at home' } }
  expect(answeredKeys(form, answers)).toEqual(new Set(['number']))
  expect(factsOfAnswers(form, answers)).toEqual({})
  expect(judge({ fact: 'number', is: 'A1' }, factsOfAnswers(form, answers)).deciding).toEqual(['number'])
})

test('not knowing counts once it says why', () => {
  const asked = question({ key: 'number', blanks: ['unknown'] })
  expect(missingIn(asked, { blank: 'unknown' })).toEqual({ code: 'part-missing', part: 'because' })
  expect(answeredKeys(form, { number: { blank: 'unknown' } }).size).toBe(0)
})

test('an answer that is begun and not whole is no fact yet, and not answered', () => {
  const answers = { home: { town: 'Vallorne' }, children: [{ born: '2001-02-03' }] }
  expect(factsOfAnswers(form, answers)).toEqual({})
  expect(answeredKeys(form, answers).size).toBe(0)
  expect(missingIn(form[0]!.questions[1]!, answers.home)).toEqual({ code: 'part-missing', part: 'country' })
})

test('the street of an address is only missing where it is asked', () => {
  const home = { town: 'Vallorne', country: 'Austria' }
  const asked = question({ key: 'home', kind: 'address' })
  expect(missingIn(asked, home)).toBeUndefined()
  expect(missingIn({ ...asked, street: true }, home)).toEqual({ code: 'part-missing', part: 'street' })
})

test.each([
  ['', true],
  [[], true],
  [{ street: '', town: '' }, true],
  [{ blank: 'present' as const }, false],
  ['0', false],
])('%j is empty: %s', (answer, empty) => expect(isEmpty(answer)).toBe(empty))

test('what is undecided is not asked yet', () => {
  const asked = question({ when: { fact: 'drives', is: 'yes' } })
  expect([{}, { drives: 'yes' }, { drives: 'no' }].map((facts) => isAsked(asked, facts))).toEqual([false, true, false])
})

test.each<[Question, AnswerValue, string]>([
  [question({ kind: 'date' }), '2021-07-09', '9 Jul 2021'],
  [question({ kind: 'money', unit: 'EUR' }), '4550', '45.50 EUR'],
  [question({ kind: 'number', unit: 'minutes' }), '25', '25 minutes'],
  [question({ kind: 'identity number' }), 'X1234567', '•••••567'],
  [question({ kind: 'identity number' }), '1234', '••••'],
  [question({ kind: 'address' }), address, 'Dorfstrasse 4, 6800, Vallorne, Austria'],
  [question({ kind: 'ranked choice' }), ['b', 'a'], '1. b 2. a'],
  [question({ kind: 'several of' }), ['b', 'a'], 'b, a'],
  [records, [{ name: 'Ida', born: '2001-02-03' }, { name: 'Otto' }], 'Ida, 3 Feb 2001; Otto'],
  [question({}), { blank: 'unknown', because: 'lost in a flood' }, 'Not known: lost in a flood'],
  [question({}), { blank: 'does not expire' }, 'Does not expire'],
])('%j answered with %j reads "%s"', (asked, answer, words) => expect(answerWords(asked, answer)).toBe(words))

test('a question reads as a sentence with everything an answer leads to', () => {
  expect(
    questionSentence(
      question({ label: 'May you drive?', kind: 'yes or no', explain: 'no', paper: 'yes', seenBy: ['coordinator'] }),
    ),
  ).toBe(
    'May you drive? (yes or no; has to be answered). A no asks what happened. A yes asks for a document. Only read by: coordinator.',
  )
})

test('how well somebody speaks each language is a fact once it is whole, also that they do not', () => {
  const asked: Form = [{ ...form[0]!, questions: [tongues] }]
  const known = { key: 'speaks', value: [{ language: 'de', level: 'B2' }] }
  const facts = factsOfAnswers(asked, { speaks: known.value })
  expect([facts['speaks.de'], facts['speaks.fr'], facts.speaks]).toEqual([4, 0, undefined])
  expect(factsOfAnswers(asked, { speaks: [{ language: 'de' }] })).toEqual({})
  expect(missingIn(tongues, [{ language: 'de' }])).toEqual({ code: 'part-missing', part: 'level' })
  expect(answerWords(tongues, known.value)).toBe('German, B2')
  const condition = { fact: 'speaks.de', atLeast: 3 }
  expect(judge(condition, facts).truth).toBe(true)
  expect(conditionWords(condition, knownFacts(asked))).toBe('“Speaks: German” is at least B1')
})
