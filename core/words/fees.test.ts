import { aLine, aSchedule } from '../../test/fees'
import type { Facts } from '../conditions/condition'
import { knownFeeFacts } from '../fees/facts'
import { quote } from '../fees/quote'
import type { FeeAmount, FeeLine } from '../fees/schedule'
import { accounts } from '../money/ledger'
import {
  chargeWords,
  lineSentence,
  payerRequestWords,
  quotedLineWords,
  quotedTaxWords,
  rangeWords,
  scheduleSentence,
} from './fees'
import { accountWords, causeWords } from './ledger'

const facts = [
  { key: 'lift', label: 'Which lift?', kind: 'one of' as const, options: ['Chair', 'Gondola'] },
  { key: 'copies', label: 'Copies', kind: 'number' as const },
]
const of = (amount: FeeAmount, more: Partial<FeeLine> = {}) => aSchedule({ facts, lines: [aLine({ amount, ...more })] })
const explained = (amount: FeeAmount, given: Facts, more: Partial<FeeLine> = {}) => {
  const schedule = of(amount, more)
  const known = knownFeeFacts(schedule, [])
  const quoted = quote(schedule, { facts: { 'payment.means': 'none', ...given }, on: '2026-11-30' })
  return quotedLineWords(quoted.lines[0]!, schedule.lines[0]!, 'EUR', known)
}
const byLift: FeeAmount = { kind: 'by choice', fact: 'fee.lift', amounts: { Chair: 1000, Gondola: 3000 } }
const byCopies: FeeAmount = { kind: 'by number', fact: 'fee.copies', first: 1200, further: 800, most: 2000 }
const early: FeeAmount = { kind: 'by day', steps: [{ through: '2026-12-01', amount: 100 }], after: 200 }
const chair = { fact: 'fee.lift', is: 'Chair' }

test.each<[FeeAmount, Facts, Partial<FeeLine>, string]>([
  [{ kind: 'fixed', amount: 1 }, {}, {}, ''],
  [byLift, { 'fee.lift': 'Gondola' }, {}, '“Which lift” is Gondola.'],
  [byLift, {}, {}, 'Depends on “Which lift”.'],
  [byCopies, { 'fee.copies': 2 }, {}, '12.00 EUR for the first, 8.00 EUR for each further one; 2 in all.'],
  [
    byCopies,
    { 'fee.copies': 9 },
    {},
    '12.00 EUR for the first, 8.00 EUR for each further one; 9 in all. Never more than 20.00 EUR.',
  ],
  [{ ...byCopies, further: 1200 }, { 'fee.copies': 1 }, {}, '12.00 EUR for each of 1.'],
  [early, {}, {}, 'Sent through 1 Dec 2026; afterwards 2.00 EUR.'],
  [
    { kind: 'by day', steps: [{ through: '2026-11-01', amount: 1 }], after: 2 },
    {},
    {},
    'For whoever sends after the earlier days.',
  ],
  [byLift, { 'fee.lift': 'Gondola' }, { when: chair }, 'Not for you. Only if “Which lift” is Chair.'],
  [
    byLift,
    { 'fee.lift': 'Chair' },
    { when: { fact: 'payment.means', is: 'card' } },
    'Only if “how it is paid” is by card.',
  ],
  [
    byLift,
    { 'fee.lift': 'Chair' },
    { exempt: [{ when: chair, because: 'it is short', basisPoints: 2500 }] },
    '“Which lift” is Chair. 25 % less: it is short',
  ],
])('%j with %j %j: %s', (amount, given, more, words) => expect(explained(amount, given, more)).toBe(words))

test('what is not known is said from what to what, in the currency once', () => {
  expect(rangeWords({ least: 1000, most: 3000 }, 'EUR')).toBe('10.00 to 30.00 EUR')
  expect(rangeWords({ least: 1000, most: 1000 }, 'JPY')).toBe('1,000 JPY')
  expect(rangeWords({ least: 1000, most: 1000 }, 'KWD')).toBe('1.000 KWD')
})

test('a schedule is sentences, so that two versions are compared by them', () => {
  const tax = { key: 'vat', title: 'Value added tax', basisPoints: 2000 }
  const schedule = {
    ...of(byLift, { optional: true, tax: 'vat', exempt: [{ when: chair, because: 'short', basisPoints: 10_000 }] }),
    ...{ taxes: [tax], most: 5000, holds: true, surplus: 'kept' as const },
  }
  const known = knownFeeFacts(schedule, [])
  expect(lineSentence(schedule.lines[0]!, schedule, known)).toBe(
    'by “Which lift” Chair 10.00 EUR, Gondola 30.00 EUR, otherwise 0.00 EUR; can be left out; 100 % less if “Which lift” is Chair (short); with Value added tax.',
  )
  const all = scheduleSentence(schedule, known)
  for (const said of [
    'Value added tax: 20 %',
    'Taxes are included',
    'at most 50.00 EUR',
    'Due 14 days',
    'before it is paid',
    'nothing back',
  ])
    expect(all).toContain(said)
  const quoted = quote(schedule, { facts: { 'fee.lift': 'Gondola' }, on: '2026-11-30' })
  expect(quotedTaxWords(quoted.taxes[0]!, tax, quoted, true)).toBe('including Value added tax, 20 %')
  expect(quotedTaxWords(quoted.taxes[0]!, tax, quoted, false)).toBe('Value added tax, 20 % of 30.00 EUR')
})

test.each([
  ['asked', 'Talwerk was asked to pay 45.00 EUR. It is their turn.'],
  ['accepted', 'Talwerk pays 45.00 EUR.'],
  ['declined', 'Talwerk does not pay.'],
  ['lapsed', 'Talwerk has not answered in time.'],
  ['returned', 'Talwerk does not pay after all.'],
  ['withdrawn', 'Talwerk is not asked any more.'],
] as const)('an employer who was asked, %s: %s', (state, words) => {
  expect(payerRequestWords({ state, employer: 'Talwerk', amount: 4500 }, 'EUR')).toBe(words)
})

test.each([
  ['taken', 'taken over by an employer'],
  ['give', 'back from an employer'],
  ['employer-payment', 'paid by an employer'],
  ['of before', 'noted'],
])('a movement by “%s” is said as “%s”', (cause, words) => {
  expect(causeWords(cause)).toBe(words)
})

test('every account has words of its own', () => {
  const said = accounts.map(accountWords)
  expect(new Set(said).size).toBe(accounts.length)
})

test('a charge that an employer took over in part says what is left', () => {
  const charge = {
    state: 'open' as const,
    owed: 2600,
    currency: 'EUR',
    dueOn: '2026-12-11',
    late: false,
    total: 17_600,
  }
  expect(chargeWords({ ...charge, takenBack: 0 })).toBe('26.00 EUR to pay by 11 Dec 2026')
  expect(chargeWords({ ...charge, takenBack: 0, late: true })).toBe('26.00 EUR was due on 11 Dec 2026')
  expect(chargeWords({ ...charge, state: 'settled', owed: 0, takenBack: 0 })).toBe('Paid')
  expect(chargeWords({ ...charge, state: 'settled', owed: 0, takenBack: 17_600 })).toBe('Nothing to pay')
})
