import { transferCode } from './transferCode'

const account = { holder: 'Red Cross of the Valley', iban: 'BE72 0000 0000 1616', bic: 'BPOTBEB1' }
const what = { amount: 100, currency: 'EUR', reference: 'RF18539007547034' }

test('a code has the lines of EPC069-12 in their order', () =>
  expect(transferCode(account, what)!.split('\n')).toEqual([
    ...['BCD', '002', '1', 'SCT', 'BPOTBEB1', 'Red Cross of the Valley', 'BE72000000001616', 'EUR1.00', ''],
    'RF18539007547034',
  ]))
test.each([
  [1, 'EUR0.01'],
  [99_999_999_999, 'EUR999999999.99'],
  [4550, 'EUR45.50'],
])('%s cents are written as %s', (amount, written) =>
  expect(transferCode(account, { ...what, amount })!.split('\n')[7]).toBe(written),
)
test.each([
  ['nothing', { amount: 0 }],
  ['more than a transfer can be', { amount: 100_000_000_000 }],
  ['another currency', { currency: 'CHF' }],
])('there is none for %s', (_what, over) => expect(transferCode(account, { ...what, ...over })).toBeUndefined())
test('there is none without an account; a long name is cut to what fits, never inside a character', () => {
  expect(transferCode({ ...account, iban: '' }, what)).toBeUndefined()
  const [, , , , , name] = transferCode({ ...account, holder: '🚡'.repeat(60) }, what)!.split('\n')
  expect([...name!]).toHaveLength(60)
  expect(transferCode({ ...account, holder: '🚡'.repeat(90) }, what)).toBeUndefined()
})
