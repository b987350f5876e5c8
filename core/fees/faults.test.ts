import { aLine, aSchedule } from '../../test/fees'
import type { Form } from '../form/form'
import { feeFaultWords } from '../words/fees'
import { knownFeeFacts } from './facts'
import { faultsOfSchedule } from './faults'
import type { FeeAmount, FeeLine, FeeSchedule } from './schedule'

const form: Form = [
  {
    ...{ key: 'more', title: 'More', heading: '', intro: '', holds: 'questions' },
    questions: [
      { key: 'winter', label: 'Winter?', kind: 'yes or no', required: true },
      { key: 'years', label: 'Years', kind: 'number', required: true },
    ],
  },
  {
    ...{ key: 'equal', title: 'Equality', heading: '', intro: '', holds: 'equality' },
    questions: [{ key: 'equal.disabled', label: 'Disabled?', kind: 'yes or no', required: false }],
  },
]
const lift = { key: 'lift', label: 'Lift?', kind: 'one of' as const, options: ['Chair', 'Gondola'] }
const coming = (amount: FeeAmount, more: Partial<FeeLine> = {}) =>
  aSchedule({ facts: [lift], lines: [aLine({ amount, ...more })] })
const fixed: FeeAmount = { kind: 'fixed', amount: 1 }
const faults = (schedule: FeeSchedule) => faultsOfSchedule(schedule, form)

test.each<[string, FeeSchedule, [string, string][]]>([
  ['nothing', coming(fixed), []],
  ['a schedule without lines', aSchedule({ lines: [] }), [['/lines', 'no-lines']]],
  ['a currency that is none', aSchedule({ currency: 'EUX' }), [['/currency', 'no-such-currency']]],
  ['two lines of one key', aSchedule({ lines: [aLine(), aLine()] }), [['/lines/1/key', 'key-twice']]],
  ['nothing to choose', aSchedule({ facts: [{ ...lift, options: [] }] }), [['/facts/0/options', 'no-options']]],
  [
    'a count of what is no number',
    coming({ kind: 'by number', fact: 'winter', first: 1, further: 1 }),
    [['/lines/0/amount/fact', 'unfit-fact']],
  ],
  ['a count of an answer', coming({ kind: 'by number', fact: 'years', first: 1, further: 1 }), []],
  [
    'a fact nobody is asked',
    coming({ kind: 'by choice', fact: 'fee.none', amounts: {} }),
    [['/lines/0/amount/fact', 'no-such-fact']],
  ],
  [
    'an option there is not',
    coming({ kind: 'by choice', fact: 'fee.lift', amounts: { Chair: 1, Train: 2 } }),
    [['/lines/0/amount/amounts', 'unknown-option']],
  ],
  [
    'an amount by how it is paid',
    coming({ kind: 'by choice', fact: 'payment.means', amounts: { card: 1 } }),
    [['/lines/0/amount/fact', 'unfit-fact']],
  ],
  [
    'days that go back',
    coming({
      kind: 'by day',
      after: 1,
      steps: [
        { through: '2026-12-02', amount: 1 },
        { through: '2026-12-01', amount: 2 },
      ],
    }),
    [['/lines/0/amount/steps', 'days-not-in-order']],
  ],
  [
    'a share of a line there is not',
    coming({ kind: 'share', of: ['x'], basisPoints: 1 }),
    [['/lines/0/amount/of', 'no-such-line']],
  ],
  [
    'a share of itself',
    coming({ kind: 'share', of: ['exam'], basisPoints: 1 }),
    [['/lines/0/amount/of', 'share-of-share']],
  ],
  [
    'a least above the most',
    coming({ kind: 'share', of: [], basisPoints: 1, least: 2, most: 1 }),
    [['/lines/0/amount', 'least-above-most']],
  ],
  ['a tax there is not', coming(fixed, { tax: 'vat' }), [['/lines/0/tax', 'no-such-tax']]],
  [
    'a condition that never holds',
    coming(fixed, {
      when: {
        all: [
          { fact: 'winter', is: 'yes' },
          { fact: 'winter', is: 'no' },
        ],
      },
    }),
    [['/lines/0/when', 'never-holds']],
  ],
  [
    'an exemption by how it is paid',
    coming(fixed, { exempt: [{ when: { fact: 'payment.means', is: 'card' }, because: 'x', basisPoints: 1 }] }),
    [['/lines/0/exempt/0/when', 'means-too-early']],
  ],
  [
    'a condition on a voluntary answer',
    coming(fixed, { when: { fact: 'equal.disabled', is: 'yes' } }),
    [['/lines/0/when', 'unknown-fact']],
  ],
  [
    'an exemption on a voluntary answer',
    coming(fixed, { exempt: [{ when: { fact: 'equal.disabled', is: 'yes' }, because: 'x', basisPoints: 1 }] }),
    [['/lines/0/exempt/0/when', 'unknown-fact']],
  ],
])('%s', (_what, schedule, expected) => {
  const found = faults(schedule)
  expect(found.map(({ pointer, code }) => [pointer, code])).toEqual(expected)
  // Each is said as a sentence.
  for (const fault of found) expect(feeFaultWords(fault, knownFeeFacts(schedule, form))).toMatch(/^\S.*\.$/)
})
