import fc from 'fast-check'
import { Temporal } from 'temporal-polyfill'
import { aRequirement } from '../../test/requirements'
import type { Question, Section } from '../form/form'
import { evaluate } from '../requirements/evaluate'
import type { Ask, FileFacts, Requirement } from '../requirements/requirement'
import { rulesFaultWords } from '../words/rules'
import { differencesOf } from './difference'
import { effectOf, unchangedKeys } from './effect'
import { faultsOfRules } from './faults'
import { fileOfMadeUp, type MadeUp } from './madeUp'
import { type Rules, requirementsIn } from './rules'

const today = Temporal.PlainDate.from('2026-11-24')
const start = Temporal.PlainDate.from('2027-02-01')
const checks = { isolation: 'Isolation and lock-off' }

const ask = (key: string, over: Partial<Question> = {}): Question => ({
  key,
  label: `${key}?`,
  kind: 'yes or no',
  required: true,
  ...over,
})
const section = (key: string, over: Partial<Section> = {}): Section => ({
  key,
  title: key,
  heading: '',
  intro: '',
  holds: 'questions',
  questions: [],
  ...over,
})
const requirement = (key: string, asks: Ask, over: Partial<Requirement> = {}): Requirement =>
  aRequirement(asks, { key, title: key, ...over })
const rules = (over: Partial<Rules> = {}): Rules => ({
  form: [
    section('about', { questions: [ask('winter'), ask('dog', { when: { fact: 'winter', is: 'yes' } })] }),
    section('study', { holds: 'study' }),
    section('work', { holds: 'work' }),
    section('papers', { holds: 'credentials' }),
    section('send', { holds: 'send' }),
  ],
  requirements: [requirement('medical', { kind: 'credential', credential: 'medical' })],
  onboarding: [{ key: 'handbook', title: 'Handbook', text: 'Read it.' }],
  ...over,
})

describe('faults of rules', () => {
  const faults = (over: Partial<Rules>) =>
    faultsOfRules(rules(over), checks).map(({ pointer, code }) => `${pointer} ${code}`)

  test('sound rules have none', () => expect(faults({})).toEqual([]))

  test.each<[string, Partial<Rules>, string[]]>([
    [
      'a question that hangs on a later one, both ways round',
      {
        form: [
          section('about', {
            questions: [ask('a', { when: { fact: 'b', is: 'yes' } }), ask('b', { when: { fact: 'a', is: 'yes' } })],
          }),
          ...rules().form.slice(1),
        ],
      },
      ['/form/0/questions/0/when asked-later', '/form circle'],
    ],
    [
      'a condition that can never hold',
      {
        requirements: [
          requirement(
            'x',
            { kind: 'credential', credential: 'medical' },
            {
              when: {
                all: [
                  { fact: 'winter', is: 'yes' },
                  { fact: 'winter', is: 'no' },
                ],
              },
            },
          ),
        ],
      },
      ['/requirements/0/when never-holds'],
    ],
    [
      'requirements that rest on what is not there',
      {
        requirements: [
          requirement('a', { kind: 'declaration', question: 'gone', mustBe: 'yes' }),
          requirement('b', { kind: 'skills check', check: 'singing' }),
          requirement('c', { kind: 'onboarding task', task: 'swim' }),
          requirement('d', { kind: 'credential', credential: 'wizardry' }),
          requirement('e', { kind: 'permission' }),
        ],
      },
      [
        '/requirements/0/asks unknown-question',
        '/requirements/1/asks unknown-check',
        '/requirements/2/asks unknown-task',
        '/requirements/2/asks gate-too-early',
        '/requirements/3/asks unknown-credential',
        '/requirements/4/asks no-section-for',
      ],
    ],
    [
      'names used twice, two places to send, nothing to choose from',
      {
        form: [
          section('about', { questions: [ask('a', { kind: 'one of' }), ask('a')] }),
          section('send', { holds: 'send' }),
          section('send', { holds: 'send' }),
        ],
        requirements: [],
      },
      [
        '/form/2/key key-twice',
        '/form/1/key key-twice',
        '/form/0/questions/0/options no-options',
        '/form/2/holds holds-twice',
      ],
    ],
    [
      'a form that cannot be sent',
      { form: [section('work', { holds: 'work' })], requirements: [] },
      ['/form no-send-section'],
    ],
  ])('%s', (_what, over, expected) => expect(faults(over)).toEqual(expected))

  test('a circle is told as a way round', () => {
    const form = [
      section('about', {
        questions: [ask('a', { when: { fact: 'b', is: 'yes' } }), ask('b', { when: { fact: 'a', is: 'yes' } })],
      }),
      section('send', { holds: 'send' }),
    ]
    const circle = faultsOfRules({ form, requirements: [], onboarding: [] }, checks).find(
      ({ code }) => code === 'circle',
    )!
    expect(rulesFaultWords(circle, { form })).toBe(
      'These are asked only if each other is answered, in a circle: “a?”, then “b?”, then “a?”.',
    )
  })
})

test('two versions are compared as sentences', () => {
  const after = rules({
    form: [
      section('about', {
        questions: [ask('dog', { when: { fact: 'winter', is: 'yes' } }), ask('winter', { explain: 'no' })],
      }),
      ...rules().form.slice(1),
    ],
    requirements: [
      requirement('medical', { kind: 'credential', credential: 'medical' }, { gate: 'start' }),
      requirement('history', { kind: 'history', years: 5, toleratedGapDays: 30 }),
    ],
    onboarding: [],
  })
  expect(
    differencesOf(rules(), after, checks).map(({ of, key, before, after: now }) => [of, key, before, now]),
  ).toEqual([
    [
      'question',
      'winter',
      'about: winter? (yes or no; has to be answered).',
      'about: winter? (yes or no; has to be answered). A no asks what happened.',
    ],
    [
      'requirement',
      'medical',
      'Medical fitness for mountain operations, before an offer.  Nobody may waive it.',
      'Medical fitness for mountain operations, before the first day.  Nobody may waive it.',
    ],
    [
      'requirement',
      'history',
      undefined,
      'What you did in the last 5 years, with no gap longer than 30 days, before an offer.  Nobody may waive it.',
    ],
    ['task', 'handbook', 'Handbook: Read it.', undefined],
    [
      'order',
      'order',
      expect.stringMatching(/^about · winter\? · dog\?/),
      expect.stringMatching(/^about · dog\? · winter\?/),
    ],
  ])
  expect(differencesOf(rules(), rules(), checks)).toEqual([])
})

const nobody: MadeUp = { answers: {}, credentials: [], checksPassed: [], permissionSigned: false }
const madeUp = (over: Partial<MadeUp>): MadeUp => ({ ...nobody, ...over })
const file = (over: Partial<MadeUp> = {}, form = rules().form) => fileOfMadeUp(madeUp(over), form, today, start)

test('a made-up person is judged like a real one', () => {
  const person = file({
    answers: { winter: 'yes' },
    study: { level: 7, field: '0713', accredited: true, rung: 'confirmed' },
    credentials: [{ credential: 'medical', rung: 'evidenced', through: '2027-02-20' }],
    work: { months: 40, tags: ['electrical'], rung: 'claimed' },
    checksPassed: ['isolation'],
    permissionSigned: true,
  })
  const states = evaluate(
    [
      requirement('degree', { kind: 'study', levelAtLeast: 6, fields: ['0713'] }, { rung: 'confirmed' }),
      requirement(
        'medical',
        { kind: 'credential', credential: 'medical' },
        { rung: 'evidenced', validStartPlusDays: 30 },
      ),
      requirement('experience', { kind: 'experience', months: 36, tags: ['electrical'] }),
      requirement('check', { kind: 'skills check', check: 'isolation' }),
      requirement(
        'theory',
        { kind: 'skills check', check: 'singing' },
        {
          exempt: { when: { fact: 'file.accreditedFields', holds: '0713' }, because: 'the programme is accredited' },
        },
      ),
      requirement('winter', { kind: 'declaration', question: 'winter', mustBe: 'yes' }),
      requirement('references', { kind: 'reference', count: 1 }),
      requirement('fee', { kind: 'fee', schedule: 'exam' }),
    ],
    person,
  ).map(({ requirement: key, state, reason }) => [key, state, reason.code])
  expect(states).toEqual([
    ['degree', 'met', 'met'],
    ['medical', 'unmet', 'lapses-early'],
    ['experience', 'met', 'met'],
    ['check', 'met', 'check-passed'],
    ['theory', 'not needed', 'exempt'],
    ['winter', 'met', 'met'],
    ['references', 'unmet', 'too-few-references'],
    ['fee', 'unmet', 'fee-open'],
  ])
})

test('the effect of a change: who gains, who loses, and which gate opens or shuts', () => {
  const before = { requirements: requirementsIn(rules()), file: file({ answers: { winter: 'no' } }) }
  const after = {
    requirements: requirementsIn(
      rules({
        requirements: [
          requirement('history', { kind: 'history', years: 2, toleratedGapDays: 0 }, { gate: 'send' }),
          requirement(
            'medical',
            { kind: 'credential', credential: 'medical' },
            { when: { fact: 'winter', is: 'yes' } },
          ),
        ],
      }),
    ),
    file: before.file,
  }
  const { changes, gates } = effectOf(before, after)
  expect(changes.map(({ requirement: key, before: was, after: is, effect }) => [key, was, is, effect])).toEqual([
    ['medical', 'unmet', 'not needed', 'loses'],
    ['history', 'absent', 'unmet', 'gains'],
  ])
  expect(gates.map(({ gate, before: was, after: is }) => [gate, was, is])).toEqual([
    ['send', 'open', 'shut'],
    ['shortlist', 'open', 'shut'],
  ])
  expect(effectOf(before, before)).toEqual({ changes: [], gates: [] })
  // What is the same on both sides is judged once, and comes out the same.
  const unchanged = unchangedKeys(before.requirements, after.requirements)
  expect([...unchanged]).toEqual(['answer:winter', 'answer:dog'])
  expect(effectOf(before, after, unchanged)).toEqual({ changes, gates })
})

const asks: Ask[] = [
  { kind: 'credential', credential: 'medical' },
  { kind: 'credential', credential: 'first-aid' },
  { kind: 'skills check', check: 'isolation' },
  { kind: 'permission' },
  { kind: 'study', levelAtLeast: 5 },
]
const rung = fc.constantFrom('claimed' as const, 'evidenced' as const, 'confirmed' as const)
const people: fc.Arbitrary<FileFacts> = fc
  .record({
    answers: fc.constantFrom<MadeUp['answers']>({}, { winter: 'yes' }, { winter: 'no' }),
    credentials: fc.uniqueArray(
      fc.record({
        credential: fc.constantFrom('medical', 'first-aid'),
        rung,
        through: fc.constantFrom('2027-01-20', '2028-01-20', ''),
      }),
      { selector: ({ credential }) => credential },
    ),
    checksPassed: fc.subarray(['isolation']),
    permissionSigned: fc.boolean(),
  })
  .map((person) => file(person))
const requirements: fc.Arbitrary<Requirement[]> = fc
  .array(
    fc.record({
      asks: fc.constantFrom(...asks),
      alternatives: fc.subarray(asks),
      rung,
      when: fc.constantFrom(undefined, { fact: 'winter', is: 'yes' }),
      validStartPlusDays: fc.constantFrom(undefined, 0, 30),
    }),
    { maxLength: 5 },
  )
  .map((given) => given.map(({ asks: first, ...more }, index) => requirement(`r${index}`, first, more)))

test('a waiver never makes another requirement unmet', () => {
  fc.assert(
    fc.property(requirements, people, fc.nat(4), (asked, person, which) => {
      const key = `r${which}`
      const waived = { ...person, waivers: [{ requirement: key, by: 'B', reason: 'R' }] }
      const others = (facts: FileFacts) => evaluate(asked, facts).filter((outcome) => outcome.requirement !== key)
      expect(others(waived)).toEqual(others(person))
    }),
  )
})

test('alternatives are free of order', () => {
  fc.assert(
    fc.property(requirements, people, (asked, person) => {
      const turned = asked.map((one) => {
        const [first, ...more] = [one.asks, ...(one.alternatives ?? [])].reverse()
        return { ...one, asks: first!, alternatives: more }
      })
      const states = (all: readonly Requirement[]) => evaluate(all, person).map(({ state }) => state)
      expect(states(turned)).toEqual(states(asked))
    }),
  )
})

describe('the time to finish', () => {
  const timed = (over: object = {}) => rules({ completeWithin: { days: 30, remindAt: [3, 7], extraDays: 14, ...over } })

  test('set, changed and taken away it is said as a sentence, with its steps from the first', () => {
    const said = (before: Rules, after: Rules) =>
      differencesOf(before, after, checks).map(({ of, before: was, after: is }) => [of, was, is])
    const thirty =
      'To be finished within 30 days of beginning, and what is still theirs within as many of sending. Reminded at 7, 3 days left. Extended once by 14 days, with a reason.'
    expect(said(rules(), timed())).toEqual([['time', undefined, thirty]])
    expect(said(timed(), rules())).toEqual([['time', thirty, undefined]])
    expect(said(timed(), timed({ days: 10, remindAt: [], extraDays: 0 }))).toEqual([
      [
        'time',
        thirty,
        'To be finished within 10 days of beginning, and what is still theirs within as many of sending.',
      ],
    ])
    // In whatever order the steps were typed.
    expect(said(timed(), timed({ remindAt: [7, 3] }))).toEqual([])
  })
  test.each([
    [[30], ['/completeWithin/remindAt']],
    [
      [29, 40, 31],
      ['/completeWithin/remindAt', '/completeWithin/remindAt'],
    ],
    [[29, 0], []],
  ])('steps %j are faults at %j', (remindAt, pointers) => {
    const found = faultsOfRules(timed({ remindAt }), checks)
    expect(found.map(({ pointer }) => pointer)).toEqual(pointers)
    for (const fault of found)
      expect(rulesFaultWords(fault, rules())).toMatch(/^A reminder \d+ days before the end would come before/)
  })
})
