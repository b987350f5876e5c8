import { compareAmounts } from './amounts'

test.each([
  ['2000000.00 EUR', '2000000.00 EUR', 'same'],
  ['2000000.00 EUR', '2,000,000 EUR', 'equivalent'],
  ['2000000.00 EUR', '2.000.000,00 €', 'equivalent'],
  ['2000000.00 EUR', 'EUR 2’000’000.00', 'equivalent'],
  ['2000000.00 EUR', '2 000 000', 'equivalent'],
  ['2000000.00 EUR', '200,000.00 EUR', 'different'],
  ['2000000.00 EUR', '2,000,000 CHF', 'different'],
  ['1250.50 EUR', '1.250,5 EUR', 'equivalent'],
  ['1250.50 EUR', '125050 EUR', 'different'],
  ['1250.50 EUR', 'as agreed', 'not stated'],
])('%s against %s: %s', (ours, theirs, verdict) => expect(compareAmounts(ours, theirs).verdict).toBe(verdict))
