import fc from 'fast-check'
import { faultsOfCondition } from '../conditions/faults'
import { knownFacts } from '../conditions/vocabulary'
import type { MarkFault } from '../grades/grades'
import { usualKeeping } from '../organisation/organisation'
import type { Keeping } from '../privacy/retention'
import type { Ask, OutcomeReason, Requirement } from '../requirements/requirement'
import type { RulesFault } from '../rules/faults'
import type { Rules } from '../rules/rules'
import { howMarksAreCounted, markFaultWords, marksWords } from './grades'
import { outcomeWords } from './outcomes'
import { paperWords, requirementSentence } from './requirements'
import { keepingWords } from './retention'
import { rulesFaultWords } from './rules'
import { languages, speakBy } from './say'

/** Every sentence the house can say is whole in both languages: no place left open, nothing said to be undefined. */
function expectWhole(text: string, ends = /[.:!?]$/) {
  expect(text).not.toMatch(/\{\{|\}\}|undefined|null|NaN|\[object|\s,|\s\.| {2}/)
  expect(text).toMatch(ends)
}
afterEach(() => speakBy(() => 'en'))

const name = fc.constantFrom('MSc', 'Rope access card', 'Seilwerk Nordrampe')
const source = fc.constantFrom(undefined, 'Academy of Tannberg')
const day = fc.constantFrom('2026-12-31', '2027-02-10')
const number = fc.integer({ min: 0, max: 99 })
const coded = <Code extends string>(...codes: Code[]) => fc.record({ code: fc.constantFrom(...codes) })

const reason: fc.Arbitrary<OutcomeReason> = fc.oneof(
  coded(
    'condition-false',
    'nothing-claimed',
    'no-work-entries',
    'check-not-sat',
    'check-under-way',
    'not-signed',
    'no-offer',
    'offer-open',
    'offer-expired',
    'offer-declined',
    'task-open',
  ) as fc.Arbitrary<OutcomeReason>,
  fc.record({ code: fc.constant('met' as const), claim: fc.option(name, { nil: undefined }) }),
  fc.record({ code: fc.constant('waived' as const), by: name, reason: fc.constant('Known for years.') }),
  fc.record({ code: fc.constant('exempt' as const), because: fc.constant('it was shown before') }),
  fc.record({ code: fc.constant('condition-undecided' as const), deciding: fc.array(name, { minLength: 1 }) }),
  fc.record({ code: fc.constant('answer-missing' as const), question: name }),
  fc.record({
    code: fc.constantFrom(
      'paper-missing' as const,
      'paper-to-look-at' as const,
      'paper-sent-back' as const,
      'to-ask' as const,
      'asked' as const,
      'reply-in' as const,
      'source-silent' as const,
      'source-declined' as const,
      'contradicted' as const,
      'unconfirmable' as const,
    ),
    claim: name,
    source,
  }),
  fc.record({ code: fc.constant('lapses-early' as const), claim: name, lastDay: day, needed: day, shortBy: number }),
  fc.record({ code: fc.constant('validity-unknown' as const), claim: name }),
  fc.record({ code: fc.constant('begins-late' as const), claim: name, firstDay: day, needed: day, lateBy: number }),
  fc.record({
    code: fc.constant('standing' as const),
    claim: name,
    standing: fc.constantFrom('restricted' as const, 'suspended' as const, 'revoked' as const),
  }),
  fc.record({
    code: fc.constant('gaps' as const),
    days: number,
    first: fc.record({ from: day, through: day }),
    count: fc.integer({ min: 1, max: 4 }),
  }),
  fc.record({ code: fc.constant('possible-gaps' as const), days: number }),
  fc.record({ code: fc.constant('too-little-experience' as const), months: number, needed: number }),
  fc.record({
    code: fc.constant('experience-unclear' as const),
    least: number,
    most: number,
    needed: number,
    inexact: fc.array(name, { minLength: 1 }),
  }),
  fc.record({ code: fc.constant('work-open' as const), open: number, of: number, claim: name }),
  fc.record({ code: fc.constantFrom('check-failed' as const, 'check-passed' as const), percent: number }),
  fc.record({ code: fc.constant('answer-other' as const), question: name, answer: name, needed: name }),
  fc.record({ code: fc.constant('too-few-references' as const), confirmed: number, needed: number, asked: number }),
  fc.record({ code: fc.constant('too-few-vouch' as const), done: number, needed: number, asked: number }),
  fc.record({
    code: fc.constant('fee-open' as const),
    charged: fc.boolean(),
  }),
)

const ask: fc.Arbitrary<Ask> = fc.oneof(
  fc.record({ kind: fc.constant('answer' as const), question: name }),
  fc.record({
    kind: fc.constant('study' as const),
    levelAtLeast: fc.integer({ min: 3, max: 8 }),
    fields: fc.constantFrom(undefined, ['0713'], ['0713', '0732']),
  }),
  fc.record({ kind: fc.constant('credential' as const), credential: fc.constantFrom('first-aid', 'rope-access') }),
  fc.record({
    kind: fc.constant('history' as const),
    years: fc.integer({ min: 1, max: 10 }),
    toleratedGapDays: number,
    of: fc.constantFrom(undefined, 'home' as const),
  }),
  fc.record({ kind: fc.constant('experience' as const), months: fc.constant(36), tags: fc.constant(['rack']) }),
  fc.record({
    kind: fc.constantFrom('vouching' as const, 'reference' as const),
    count: fc.integer({ min: 1, max: 3 }),
  }),
  fc.record({ kind: fc.constant('skills check' as const), check: name }),
  fc.record({ kind: fc.constant('document' as const), question: name }),
  fc.record({ kind: fc.constant('declaration' as const), question: name, mustBe: fc.constantFrom('yes', 'no') }),
  fc.record({ kind: fc.constant('fee' as const), schedule: name }),
  fc.record({ kind: fc.constant('onboarding task' as const), task: name }),
  fc.constantFrom<Ask>(
    { kind: 'every work entry' },
    { kind: 'permission' },
    { kind: 'identity' },
    { kind: 'offer accepted' },
  ),
)
const requirement: fc.Arbitrary<Requirement> = fc.record({
  key: fc.constant('k'),
  title: fc.constant('T'),
  why: fc.constant(''),
  gate: fc.constantFrom('send' as const, 'shortlist' as const, 'offer' as const, 'start' as const),
  asks: ask,
  alternatives: fc.oneof(fc.constant(undefined), fc.tuple(ask)),
  rung: fc.constantFrom('claimed' as const, 'evidenced' as const, 'confirmed' as const),
  paper: fc.boolean(),
  validStartPlusDays: fc.constantFrom(undefined, 0, 1, 30),
  waivableBy: fc.constant([]),
})

describe.each(languages)('in %s', (language) => {
  beforeEach(() => speakBy(() => language))

  test('every reason reads as a sentence', () =>
    fc.assert(
      fc.property(reason, (given) => expectWhole(outcomeWords({ reason: given, title: 'T' }))),
      { numRuns: 500 },
    ))

  test('every requirement reads as a sentence that begins like one, and names its paper', () =>
    fc.assert(
      fc.property(requirement, (given) => {
        const sentence = requirementSentence(given)
        expectWhole(sentence)
        expect(sentence).toMatch(/^[\p{Lu}\d„“]/u)
        const paper = paperWords(given)
        if (paper !== undefined) expectWhole(paper, /\d+ \S+$/)
      }),
      { numRuns: 500 },
    ))

  test('what is kept says what it is and by which rule', () => {
    for (const code of ['not-sent', 'under-way', 'ended', 'cleared', 'trail'] as const) {
      const { what, rule } = keepingWords({ code, title: 'Rope access', until: null } satisfies Keeping, usualKeeping)
      expectWhole(rule)
      expectWhole(what, code === 'trail' ? /\S$/ : /Rope access/)
    }
  })

  test('marks say what they come to, and what is wrong with them', () => {
    const faults: MarkFault[] = [
      { code: 'not-a-mark', term: 0, course: 0, mark: '' },
      { code: 'not-a-mark', term: 0, course: 0, mark: 'very good' },
      { code: 'outside-the-scale', term: 0, course: 0, mark: '9' },
      { code: 'no-credits', term: 0, course: 0 },
    ]
    for (const fault of faults) expectWhole(markFaultWords(fault))
    expectWhole(marksWords({ scale: 'nobody knows', terms: [] }))
    expectWhole(howMarksAreCounted())
  })
})

describe('what is wrong with rules', () => {
  const rules: Pick<Rules, 'form'> = {
    form: [
      {
        key: 'a',
        title: 'A',
        heading: 'A',
        intro: '',
        holds: 'questions',
        questions: [
          { key: 'winter', label: 'Winter?', kind: 'yes or no', required: true },
          { key: 'dog', label: 'A dog?', kind: 'yes or no', required: true },
        ],
      },
    ],
  }
  type Given = RulesFault extends infer Each ? (Each extends unknown ? Omit<Each, 'pointer'> : never) : never
  const said = (fault: Given) => rulesFaultWords({ pointer: '', ...fault } as RulesFault, rules)

  test.each<[Given, string]>([
    [{ code: 'key-twice', key: 'winter' }, 'The short name “winter” is used twice. Change one of them.'],
    [{ code: 'no-options' }, 'There is nothing to choose from. Add the choices.'],
    [{ code: 'no-parts' }, 'A list of records needs at least one question for each record.'],
    [{ code: 'no-send-section' }, 'The form has to end with reading through and sending.'],
    [{ code: 'holds-twice', holds: 'study' }, 'There are two sections for studies. Remove one.'],
    [{ code: 'unknown-question', question: 'cat' }, 'It depends on the question “cat”, which the form does not ask.'],
    [{ code: 'unknown-check', check: 'x' }, 'There is no skills check “x”.'],
    [{ code: 'unknown-task', task: 'x' }, 'There is no onboarding task “x” here. Add it, or choose another.'],
    [{ code: 'unknown-document-kind', documentKind: 'x' }, 'There is no kind of document “x” in the catalogue.'],
    [{ code: 'no-languages' }, 'The catalogue offers no languages to choose from.'],
    [{ code: 'unknown-credential', credential: 'x' }, 'There is no licence or certificate “x” in the catalogue.'],
    [
      { code: 'no-section-for', holds: 'credentials' },
      'The form has no section for licences and certificates, where this would be given.',
    ],
    [
      { code: 'circle', way: ['winter', 'dog'] },
      'These are asked only if each other is answered, in a circle: “Winter?”, then “A dog?”, then “Winter?”.',
    ],
  ])('%j is said and put right', (fault, words) => expect(said(fault)).toBe(words))

  test('of a condition, in the words of the form', () => {
    const [fault] = faultsOfCondition({ fact: 'cat', is: 'yes' }, knownFacts(rules.form))
    expectWhole(said(fault!))
  })
})
