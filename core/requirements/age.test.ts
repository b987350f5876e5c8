import fc from 'fast-check'
import { Temporal } from 'temporal-polyfill'
import { anEmptyFile, aRequirement } from '../../test/requirements'
import { outcomeWords } from '../words/outcomes'
import { requirementSentence } from '../words/requirements'
import { ageOn } from './ageLimits'
import { evaluate } from './evaluate'
import type { Ask, ClaimFacts, FileFacts, Requirement } from './requirement'

const day = (iso: string) => Temporal.PlainDate.from(iso)
const allowances = [
  { years: 5, when: { fact: 'served', is: 'yes' }, document: 'service' },
  { years: 2, when: { fact: 'local', is: 'yes' } },
]
const asks = (over: object = {}) => ({ kind: 'age', question: 'born', most: 35, ...over }) as Ask
const judged = (answers: FileFacts['answers'], ask = asks(), over: Partial<FileFacts & Requirement> = {}) =>
  evaluate([aRequirement(ask, { gate: over.gate ?? 'offer' })], anEmptyFile({ answers, claims: over.claims ?? [] }))[0]!

// The target start is 11 January 2027.
test.each([
  ['2000-02-29', '2018-02-28', 17],
  ['2000-02-29', '2018-03-01', 18],
  ['2000-02-29', '2020-02-29', 20],
  ['1999-01-11', '2027-01-10', 27],
  ['1999-01-11', '2027-01-11', 28],
])('born on %s, on %s: %d', (born, on, age) => expect(ageOn(born, on)).toBe(age))

test.each([
  [asks({ most: undefined, least: 18 }), '2009-01-11', 'met'],
  [asks({ most: undefined, least: 18 }), '2009-01-12', 'too-young'],
  [asks({ most: undefined, least: 18, on: '2027-01-12' }), '2009-01-12', 'met'],
  [asks(), '1991-01-12', 'met'],
  [asks(), '1991-01-11', 'too-old'],
  [asks(), '', 'answer-missing'],
  [asks(), '1991', 'answer-missing'],
])('%j for somebody born on “%s”: %s', (ask, born, code) => expect(judged({ born }, ask).reason.code).toBe(code))

test('an allowance moves the limit for whom it holds, and only once what it rests on is shown', () => {
  const ask = asks({ allowances })
  const born = '1988-06-01'
  expect(judged({ born, served: 'no', local: 'yes' }, ask).reason.code).toBe('too-old')
  expect(judged({ born, served: 'yes' }, ask)).toMatchObject({ state: 'unmet', reason: { code: 'nothing-claimed' } })
  const paper: ClaimFacts = {
    ...{ id: 'c', kind: 'paper', label: 'Service record', rung: 'claimed', question: 'service', enquiry: 'none' },
    paper: 'to look at',
  }
  const shown = (state: ClaimFacts['paper']) =>
    judged({ born, served: 'yes' }, ask, {
      claims: [{ ...paper, paper: state, rung: state === 'seen' ? 'evidenced' : 'claimed' }],
    })
  expect(shown('to look at').reason.code).toBe('paper-to-look-at')
  expect(shown('seen').state).toBe('met')
  expect(judged({ born: '1989-06-01', local: 'yes' }, ask).state).toBe('met')
  // Before it is sent nobody looks at anything: that the paper is there is enough.
  expect(judged({ born, served: 'yes' }, ask, { gate: 'send', claims: [paper] }).state).toBe('met')
})

test('it is said in words, by the rule and by what it comes to', () => {
  expect(requirementSentence(aRequirement(asks({ least: 18, allowances })))).toMatch(
    /^An age of 18 to 35 on the first day, with an allowance of up to 5 years/,
  )
  expect(outcomeWords(judged({ born: '1991-01-11' }))).toBe('36 years old on 11 Jan 2027; 35 at most are allowed.')
})

test('nobody grows younger, and an allowance never takes away', () => {
  const at = fc.integer({ min: -20_000, max: 20_000 }).map((days) => day('1990-01-01').add({ days }))
  fc.assert(
    fc.property(at, at, fc.integer({ min: 1, max: 800 }), (born, on, later) => {
      const [from, then] = [on, on.add({ days: later })].map(String)
      expect(ageOn(born.toString(), then!)).toBeGreaterThanOrEqual(ageOn(born.toString(), from!))
      // Counted another way.
      if (born.day < 29)
        expect(ageOn(born.toString(), from!)).toBe(
          Math.floor(born.until(on, { largestUnit: 'year' }).total({ unit: 'year', relativeTo: born })),
        )
    }),
  )
  fc.assert(
    fc.property(fc.integer({ min: 0, max: 30_000 }), fc.integer({ min: 1, max: 40 }), (days, years) => {
      const born = day('2020-01-01').subtract({ days }).toString()
      const plain = judged({ born, local: 'yes' }).state
      const allowed = judged(
        { born, local: 'yes' },
        asks({ allowances: [{ years, when: { fact: 'local', is: 'yes' } }] }),
      )
      if (plain === 'met') expect(allowed.state).toBe('met')
    }),
  )
})
