import { Temporal } from 'temporal-polyfill'
import { anEmptyFile, aRequirement } from '../../test/requirements'
import { partialDate } from '../dates/partialDate'
import { rightsOf } from '../rights/rights'
import { ballWords, outcomeWords } from '../words/outcomes'
import { paperWords, requirementSentence } from '../words/requirements'
import { evaluate } from './evaluate'
import type { ClaimFacts, FileFacts, Requirement } from './requirement'

const today = Temporal.PlainDate.from('2026-11-24')
const file = (over: Partial<FileFacts> = {}) => anEmptyFile({ targetStart: today.add({ days: 60 }), ...over })
const asking = (asks: Requirement['asks'], over: Partial<Requirement> = {}) =>
  aRequirement(asks, { key: 'asked', title: 'What is asked', gate: 'shortlist', ...over })
const one = (rule: Requirement, facts: FileFacts) => evaluate([rule], facts)[0]!
const stretch = (
  kind: 'work' | 'residence' | 'study',
  from: string,
  to: string | 'present',
  id = `${kind} ${from}`,
): ClaimFacts => ({
  id,
  kind,
  label: id,
  rung: 'claimed',
  paper: 'none',
  enquiry: 'none',
  entry: { id, from: partialDate(from), to: to === 'present' ? to : partialDate(to), tags: [kind] },
})

describe('people who vouch', () => {
  const rule = asking({ kind: 'vouching', count: 2 })
  test.each([
    [undefined, 'name someone', '0 of 2 have vouched.'],
    [{ asked: 1, done: 0 }, 'name someone', '0 of 2 have vouched, 1 asked.'],
    [{ asked: 2, done: 1 }, 'reply', '1 of 2 have vouched, 1 asked.'],
  ])('%j: the next step is to %s', (vouching, step, words) => {
    const outcome = one(rule, file(vouching ? { vouching } : {}))
    expect([outcome.state, outcome.steps[0]?.what, outcomeWords(outcome)]).toEqual(['unmet', step, words])
  })
  test('enough of them meet it, and more do no harm', () => {
    expect(one(rule, file({ vouching: { asked: 2, done: 2 } })).state).toBe('met')
    expect(one(rule, file({ vouching: { asked: 4, done: 3 } })).state).toBe('met')
  })
  test('is said to whoever considers applying, and to the desk', () => {
    expect(requirementSentence(rule)).toBe('2 people who vouch for you, before the shortlist.')
    expect(requirementSentence(asking({ kind: 'vouching', count: 1 }))).toMatch(/^Somebody who vouches for you/)
    expect(ballWords({ who: 'candidate', what: 'name someone' }, rightsOf(['coordinator']))).toBe(
      'Candidate: name somebody',
    )
  })
})

describe('a paper of identity', () => {
  const rule = asking({ kind: 'identity' }, { rung: 'evidenced' })
  const identity = (over: Partial<ClaimFacts>): ClaimFacts => ({
    id: 'i',
    kind: 'identity',
    label: 'Passport',
    rung: 'claimed',
    paper: 'none',
    enquiry: 'none',
    ...over,
  })
  test.each([
    ['nothing-claimed', [] as ClaimFacts[]],
    ['paper-missing', [identity({})]],
    ['paper-to-look-at', [identity({ paper: 'to look at' })]],
    ['paper-sent-back', [identity({ paper: 'sent back' })]],
  ])('%s', (code, claims) => expect(one(rule, file({ claims })).reason.code).toBe(code))
  test('is met once somebody has looked at it', () => {
    expect(one(rule, file({ claims: [identity({ paper: 'seen', rung: 'evidenced' })] })).state).toBe('met')
  })
  test('no other claim stands for it', () => {
    expect(one(rule, file({ claims: [identity({ kind: 'licence', paper: 'seen', rung: 'evidenced' })] })).state).toBe(
      'unmet',
    )
  })
  test('names the papers it takes', () => {
    expect(paperWords(rule)).toMatch(/^The passport or identity card/)
    expect(requirementSentence(rule)).toBe('A paper that shows who you are, shown by a document, before the shortlist.')
  })
})

describe('homes and work are two histories', () => {
  const homes = asking({ kind: 'history', years: 2, toleratedGapDays: 30, of: 'home' })
  const work = asking({ kind: 'history', years: 2, toleratedGapDays: 30 })
  test('a home fills no gap of work, nor work one of home', () => {
    const housed = file({ claims: [stretch('residence', '2020-01-01', 'present')] })
    expect([one(homes, housed).state, one(work, housed).state]).toEqual(['met', 'unmet'])
    const working = file({
      claims: [stretch('work', '2020-01-01', '2025-10-31'), stretch('study', '2025-11', 'present')],
    })
    expect([one(homes, working).state, one(work, working).state]).toEqual(['unmet', 'met'])
  })
  test('both are judged in one file, each by its own stretches', () => {
    const both = file({
      claims: [
        stretch('work', '2020-01-01', 'present'),
        stretch('residence', '2020-01-01', '2025-06-30'),
        stretch('residence', '2025-09-01', 'present'),
      ],
    })
    const [home, job] = evaluate(
      [
        { ...homes, key: 'h' },
        { ...work, key: 'w' },
      ],
      both,
    )
    expect([home!.state, job!.state]).toEqual(['unmet', 'met'])
    expect(home!.reason).toMatchObject({ code: 'gaps', days: 62, first: { from: '2025-07-01', through: '2025-08-31' } })
  })
  test('a tolerated gap between two homes is none', () => {
    const moved = file({
      claims: [stretch('residence', '2020-01-01', '2025-06-30'), stretch('residence', '2025-07-25', 'present')],
    })
    expect(one(homes, moved).state).toBe('met')
  })
  test('are said apart', () => {
    expect(requirementSentence(homes)).toMatch(/^Where you lived in the last 2 years, with no gap longer than 30 days/)
    expect(requirementSentence(work)).toMatch(/^What you did in the last 2 years/)
  })
})
