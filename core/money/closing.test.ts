import { bookkeepingRow, usualMapping } from './bookkeeping'
import { compareDay } from './closing'
import { accounts } from './ledger'

const moved = (payment: string, amount: number, refund?: string) => ({
  ...{ payment, amount, currency: 'EUR' },
  ...(refund ? { refund } : {}),
})
const nothing = { booked: [], reported: [] }

describe('the closing of a day', () => {
  test('what both have with the same amount agrees, refunds too', () => {
    const day = [moved('a', 4500), moved('a', -1000, 'r'), moved('b', 100)]
    expect(compareDay(day, [...day].reverse(), nothing)).toEqual({ agreed: 3, differences: [] })
  })
  test.each([
    ['not-booked', [], [moved('a', 4500)], { theirs: 4500 }],
    ['not-reported', [moved('a', 4500)], [], { ours: 4500 }],
    ['other-amount', [moved('a', 4500)], [moved('a', 4400)], { ours: 4500, theirs: 4400 }],
    ['other-amount', [moved('a', 4500)], [{ ...moved('a', 4500), currency: 'CHF' }], { ours: 4500, theirs: 4500 }],
    ['not-booked', [moved('a', 4500)], [moved('a', 4500), moved('a', -500, 'r')], { refund: 'r', theirs: -500 }],
  ])('%s', (code, booked, reported, more) => {
    expect(compareDay(booked, reported, nothing).differences).toEqual([
      { code, payment: 'a', currency: 'EUR', ...more },
    ])
  })
  test('what one of them has on another day agrees', () => {
    const [late, early] = [moved('late', 4500), moved('early', 100)]
    expect(compareDay([late], [early], { booked: [early], reported: [late] })).toEqual({ agreed: 2, differences: [] })
    expect(compareDay([late], [], { booked: [], reported: [moved('late', 1)] }).differences).toHaveLength(1)
  })
})

describe('a row for bookkeeping', () => {
  const line = {
    ...{ entry: 'e1', on: '2026-11-30', account: 'income' as const, amount: -123_456, currency: 'EUR' },
    ...{ cause: 'charge', document: 'I-2026-00001', about: 'VM-00012' },
  }
  const words = { cause: 'charged', account: 'income' }
  test('what is below nothing is credit, with the accounts and signs of whoever keeps the books', () => {
    expect(bookkeepingRow(line, usualMapping, words)).toEqual([
      '2026-11-30',
      'e1',
      'I-2026-00001',
      'VM-00012',
      'charged',
      'income',
      '',
      '1234.56',
      'EUR',
    ])
    const mapping = {
      ...usualMapping,
      columns: [
        { heading: 'Konto', field: 'account' as const },
        { heading: 'Betrag', field: 'amount' as const },
        { heading: 'Tag', field: 'on' as const },
      ],
      accounts: { ...usualMapping.accounts, income: '8400' },
      ...{ decimal: ',' as const, day: 'DD.MM.YYYY' as const },
    }
    expect(bookkeepingRow(line, mapping, words)).toEqual(['8400', '-1234,56', '30.11.2026'])
    expect(bookkeepingRow({ ...line, currency: 'JPY' }, mapping, words)[1]).toBe('-123456')
  })
  test('the usual mapping names every account there is', () => {
    expect(Object.keys(usualMapping.accounts)).toEqual([...accounts])
  })
})
