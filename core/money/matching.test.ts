import fc from 'fast-check'
import { matchTransfer, type Payable, referencesIn } from './matching'
import { creditorReference, writeCreditorReference } from './reference'

const payable = (nth: number, over: Partial<Payable> = {}): Payable => ({
  ...{ id: `c${nth}`, reference: creditorReference(`VM00000${nth}`), owed: 4500, currency: 'EUR', name: 'Ada Abend' },
  ...over,
})
const [one, two] = [payable(1), payable(2, { owed: 2000, name: 'Bo Bách' })]
const came = (over: object = {}) => ({ amount: 4500, currency: 'EUR', reference: '', text: '', payer: '', ...over })

test.each([
  ['in its place', { reference: one.reference }],
  ['in the text, with spaces', { text: `Kurs ${writeCreditorReference(one.reference)} danke` }],
  [
    'in small letters, with points and run together with a word',
    { text: `${one.reference.toLowerCase().replace(/(..)/g, '$1.')}ABEND` },
  ],
])('a reference is found %s', (_where, over) =>
  expect(matchTransfer(came(over), [one, two])).toEqual({ by: 'reference', parts: [{ id: 'c1', amount: 4500 }] }),
)

test('one digit wrong is no reference', () => {
  const wrong = `${one.reference.slice(0, -1)}9`
  expect(matchTransfer(came({ reference: wrong, payer: 'Somebody' }), [one])).toEqual({ by: 'nothing' })
})
test('too little and too much go to what is named', () => {
  expect(matchTransfer(came({ amount: 100, reference: one.reference }), [one])).toMatchObject({
    parts: [{ amount: 100 }],
  })
  expect(matchTransfer(came({ amount: 9900, reference: one.reference }), [one])).toMatchObject({
    parts: [{ amount: 9900 }],
  })
})
test('several for one are paid in their order, and what is left goes to the last', () => {
  const text = `${one.reference} ${two.reference}`
  expect(matchTransfer(came({ amount: 7000, text }), [one, two])).toMatchObject({
    parts: [
      { id: 'c1', amount: 4500 },
      { id: 'c2', amount: 2500 },
    ],
  })
  expect(matchTransfer(came({ amount: 3000, text }), [one, two])).toMatchObject({ parts: [{ id: 'c1', amount: 3000 }] })
})
test('without a reference it is proposed by amount and name, and never booked by that', () => {
  expect(matchTransfer(came({ amount: 2000, payer: 'Bach, Bo' }), [one, two])).toEqual({
    by: 'amount and name',
    candidates: ['c2'],
  })
  expect(matchTransfer(came({ amount: 2001, payer: 'Bach, Bo' }), [one, two])).toEqual({ by: 'nothing' })
  expect(matchTransfer(came({ amount: 2000, payer: 'Cy Cerny' }), [one, two])).toEqual({ by: 'nothing' })
})
test('another currency is another matter', () =>
  expect(matchTransfer(came({ currency: 'CHF', reference: one.reference }), [one])).toEqual({ by: 'nothing' }))

test('what is shared out adds up to what came', () =>
  fc.assert(
    fc.property(
      fc.integer({ min: 1, max: 1e9 }),
      fc.array(fc.integer({ min: -500, max: 5000 }), { minLength: 1, maxLength: 6 }),
      (amount, owed) => {
        const payables = owed.map((own, nth) => payable(nth, { owed: own }))
        const match = matchTransfer(
          came({ amount, text: payables.map(({ reference }) => reference).join(' ') }),
          payables,
        )
        expect(match.by === 'reference' && match.parts.reduce((sum, part) => sum + part.amount, 0)).toBe(amount)
      },
    ),
  ))
test('only references of ours are found', () =>
  expect(referencesIn('RF18 5390 0754 7034', new Set([one.reference]))).toEqual([]))
