import { anEmptyFile } from '../../test/requirements'
import { factsOfAnswers, faultOf } from '../form/answer'
import { answerRequirements, type Form, type Question } from '../form/form'
import { evaluate, openAt } from '../requirements/evaluate'
import type { Gate } from '../requirements/gates'
import { differencesOf } from '../rules/difference'
import { faultsOfRules } from '../rules/faults'
import { requirementsIn } from '../rules/rules'
import { send } from '../rules/sections'
import { answerWords } from '../words/form'
import { outcomeWords } from '../words/outcomes'
import { type Openness, opennessOf, type Recipient } from './choice'

const body = (key: string, over: Partial<Recipient> = {}): Recipient => ({
  ...{ key, name: `Body ${key}`, mail: `${key}@body.example`, language: 'en', gate: 'shortlist' },
  ...over,
})
const closedTo = (is: string) => [{ when: { fact: 'heights', is }, because: 'It inspects on ropes.' }]
const high = body('high', { exclusions: closedTo('no') })
const question: Question = {
  ...{ key: 'bodies', label: 'Bodies', kind: 'recipients', required: false, recipients: [body('low'), high] },
}
const of = (...keys: string[]) => ({ any: keys.map((holds) => ({ fact: 'bodies', holds })) })
const form: Form = [
  {
    ...{ key: 'own', title: 'Own', heading: '', intro: '', holds: 'questions' },
    questions: [
      { key: 'heights', label: 'Heights?', kind: 'yes or no', required: false },
      question,
      { key: 'both', label: 'Asked by both', kind: 'text', required: true, when: of('low', 'high') },
      { key: 'one', label: 'Asked by one', kind: 'text', required: true, when: of('high') },
    ],
  },
  send,
]
const rulesOf = (over: Partial<Question> = {}) => ({
  form: form.map((section) => ({
    ...section,
    questions: section.questions.map((one) => (one.key === 'bodies' ? { ...one, ...over } : one)),
  })),
  ...{ requirements: [], onboarding: [] },
})
const judged = (answers: Record<string, string | string[]>, authorised: string[] = []) =>
  evaluate(answerRequirements(form), anEmptyFile({ answers: factsOfAnswers(form, answers), authorised }))
const left = (answers: Record<string, string | string[]>, authorised: string[] = []) =>
  openAt(judged(answers, authorised), 'send').map(({ requirement }) => requirement.replace('answer:', ''))

test.each<[string, Record<string, string>, Openness]>([
  ['open as far as is known', { heights: 'yes' }, { state: 'open' }],
  ['closed with its reason', { heights: 'no' }, { state: 'closed', because: 'It inspects on ropes.' }],
  ['open until what would decide it is answered', {}, { state: 'undecided', deciding: ['heights'] }],
])('a body is %s', (_what, facts, expected) => {
  expect(opennessOf(high, facts)).toEqual(expected)
})

test('what closes it is said, whatever else is open', () => {
  const two = body('two', {
    exclusions: [{ when: { fact: 'age', atMost: 17 }, because: 'Too young.' }, ...closedTo('no')],
  })
  expect(opennessOf(two, { heights: 'no' })).toEqual({ state: 'closed', because: 'It inspects on ropes.' })
})

test('where nobody is chosen nobody is asked anything for them, and nothing is left open', () => {
  expect(left({})).toEqual([])
  expect(judged({}).map(({ state }) => state)).toEqual(['met', 'not needed', 'not needed'])
})

test('what two bodies ask is asked once, what one asks only where it is chosen', () => {
  expect(left({ bodies: ['low'] }, ['low'])).toEqual(['both'])
  expect(left({ bodies: ['low', 'high'], heights: 'yes' }, ['low', 'high'])).toEqual(['both', 'one'])
})

test('what only a body needs holds up sending, and no gate after it', () => {
  const outcomes = evaluate(
    requirementsIn(rulesOf()),
    anEmptyFile({ answers: factsOfAnswers(form, { bodies: ['low'] }), authorised: [] }),
  )
  const openBy = (gate: Gate) => openAt(outcomes, gate).map(({ requirement }) => requirement)
  expect(openBy('send')).toEqual(['answer:bodies', 'answer:both'])
  expect(openBy('shortlist')).toEqual([])
})

test('a paper that one body needs is asked for where it is chosen, and nowhere else', () => {
  const paper: Question = { key: 'extract', label: 'Extract', kind: 'document', required: true, when: of('high') }
  const own = form.map((section, nth) =>
    nth === 0 ? { ...section, questions: [...section.questions, paper] } : section,
  )
  const asked = (...bodies: string[]) =>
    evaluate(
      answerRequirements(own),
      anEmptyFile({
        answers: factsOfAnswers(own, { bodies, heights: 'yes', both: 'x', one: 'x' }),
        authorised: bodies,
      }),
    )
      .filter(({ state }) => state === 'unmet')
      .map(({ requirement, reason }) => [requirement, reason.code])
  expect(asked('low')).toEqual([])
  expect(asked('low', 'high')).toEqual([['answer:extract', 'nothing-claimed']])
})

test('each that is chosen has to be allowed, and to be open; the reason names it', () => {
  const reasonOf = (...given: Parameters<typeof judged>) => outcomeWords(judged(...given)[0]!)
  expect(reasonOf({ bodies: ['low', 'high'], heights: 'yes' }, ['high'])).toBe(
    'Body low may not be told yet: sign the permission.',
  )
  expect(reasonOf({ bodies: ['low', 'high'], heights: 'yes' })).toMatch(/Body low and others, 2 in all/)
  expect(reasonOf({ bodies: ['high'], heights: 'no' }, ['high'])).toBe(
    'Body high is not open to you: It inspects on ropes.',
  )
})

test('an answer names those there are, each once, and is read by their names', () => {
  expect(faultOf(question, ['low', 'high'])).toBeUndefined()
  expect(faultOf(question, ['nobody'])).toEqual({ code: 'not-an-option' })
  expect(faultOf(question, ['low', 'low'])).toEqual({ code: 'named-twice' })
  expect(answerWords(question, ['low', 'high'])).toBe('Body low, Body high')
})

test.each<[string, Partial<Question>, string]>([
  ['without anybody to choose', { recipients: [] }, 'no-recipients'],
  ['with one twice', { recipients: [body('low'), body('low')] }, 'key-twice'],
  [
    'closed by what is asked later',
    { recipients: [body('low', { exclusions: [{ when: { fact: 'both', is: 'x' }, because: 'x' }] })] },
    'asked-later',
  ],
  [
    'closed by what nobody asks',
    { recipients: [body('low', { exclusions: [{ when: { fact: 'nothing', is: 'x' }, because: 'x' }] })] },
    'unknown-fact',
  ],
])('rules %s are not published', (_what, over, code) => {
  expect(faultsOfRules(rulesOf(over), {}).map((fault) => fault.code)).toContain(code)
})

test('rules that offer two bodies are right; two such questions are not', () => {
  expect(faultsOfRules(rulesOf(), {})).toEqual([])
  const twice = rulesOf()
  const again = { ...question, key: 'again' }
  twice.form[0]!.questions = [...twice.form[0]!.questions, again]
  expect(faultsOfRules(twice, {}).map(({ code }) => code)).toEqual(['recipients-twice'])
})

test('that a body closes to others, or reads another mailbox, is a difference in a sentence', () => {
  const before = rulesOf()
  const after = rulesOf({
    recipients: [body('low', { mail: 'new@body.example' }), { ...high, exclusions: closedTo('yes') }],
  })
  const [difference, ...more] = differencesOf(before, after, {})
  expect(more).toEqual([])
  expect(difference!.before).toMatch(/low@body.example.*Not open if .*no.*: It inspects on ropes/)
  expect(difference!.after).toMatch(/new@body.example.*Not open if .*yes/)
})
