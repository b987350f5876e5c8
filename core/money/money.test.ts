import fc from 'fast-check'
import { amountInDigits, minorUnits, readAmount } from './currency'
import { type Account, charged, isBalanced, type Posting, paid, paidByEmployer, takenOver, waived } from './ledger'
import { creditorReference, readCreditorReference, writeCreditorReference } from './reference'
import { allocate, shareOf, shareWithin } from './share'

describe('currencies', () => {
  // Browsers know more decimals of some currencies than ISO 4217 says, or fewer; of these they say the same.
  const known =
    'AUD BAM BGN BHD BIF BRL CAD CHF CLP CNY CZK DJF DKK EGP EUR GBP GEL GNF HKD ILS INR ISK JOD JPY KES KMF KRW KWD LYD MAD MDL MKD MXN NOK NZD OMR PLN PYG RON RWF SEK SGD THB TND TRY UAH UGX USD VND VUV XAF XOF XPF ZAR'
  test('have the minor units of ISO 4217', () => {
    for (const currency of known.split(' ')) {
      const { maximumFractionDigits } = new Intl.NumberFormat('en', { style: 'currency', currency }).resolvedOptions()
      expect([currency, minorUnits(currency)]).toEqual([currency, maximumFractionDigits])
    }
  })
  test.each([
    ['45.5', 'EUR', 4550],
    ['45,50', 'EUR', 4550],
    ['1 250', 'EUR', 125_000],
    ["1'250.00", 'CHF', 125_000],
    ['1200', 'JPY', 1200],
    ['1.234', 'KWD', 1234],
    ['0', 'EUR', 0],
    ['45.501', 'EUR', undefined],
    ['45.500', 'EUR', 4550],
    ['12.5', 'JPY', undefined],
    ['-3', 'EUR', undefined],
    ['', 'EUR', undefined],
    ['four', 'EUR', undefined],
  ])('%s in %s is read as %s', (text, currency, minor) => expect(readAmount(text, currency)).toBe(minor))
  test('what is written in digits is read as the same', () =>
    fc.assert(
      fc.property(fc.integer({ min: 0, max: 1e11 }), fc.constantFrom('EUR', 'JPY', 'KWD', 'CLF'), (minor, currency) => {
        expect(readAmount(amountInDigits(minor, currency), currency)).toBe(minor)
      }),
    ))
})

describe('shares', () => {
  test.each([
    [1000, 2000, 200],
    [1, 5000, 1],
    [1, 4999, 0],
    [333, 1000, 33],
    [335, 1000, 34],
    [0, 10_000, 0],
  ])('%s at %s hundredths of a per cent is %s', (amount, points, part) => expect(shareOf(amount, points)).toBe(part))
  test('a tax within an amount and the rest of it, taxed, come to the amount again, give or take one', () =>
    fc.assert(
      fc.property(fc.integer({ min: 0, max: 1e10 }), fc.integer({ min: 1, max: 10_000 }), (amount, rate) => {
        const within = shareWithin(amount, rate)
        expect(Math.abs(amount - within + shareOf(amount - within, rate) - amount)).toBeLessThanOrEqual(1)
      }),
    ))
  test('what is split adds up, each part is within one of its share, and the order makes no difference', () =>
    fc.assert(
      fc.property(
        fc.integer({ min: 0, max: 1e11 }),
        fc.dictionary(fc.string({ minLength: 1, maxLength: 4 }), fc.integer({ min: 0, max: 1e9 }), { maxKeys: 8 }),
        (amount, weights) => {
          const sum = Object.values(weights).reduce((all, one) => all + one, 0)
          const parts = allocate(amount, weights)
          const added = Object.values(parts).reduce((all, one) => all + one, 0)
          expect(added).toBe(sum === 0 ? 0 : amount)
          const turned = allocate(amount, Object.fromEntries(Object.entries(weights).reverse()))
          for (const [key, weight] of Object.entries(weights)) {
            expect(turned[key]).toBe(parts[key])
            if (sum > 0) expect(Math.abs(parts[key]! - (amount * weight) / sum)).toBeLessThanOrEqual(1.001)
          }
        },
      ),
    ))
})

describe('creditor references', () => {
  // The example of ISO 11649, annex, as banks publish it.
  test('have the check digits of the standard', () => {
    expect(creditorReference('539007547034')).toBe('RF18539007547034')
    expect(readCreditorReference('RF18 5390 0754 7034')).toBe('RF18539007547034')
    expect(writeCreditorReference('RF18539007547034')).toBe('RF18 5390 0754 7034')
  })
  test('of which one character is wrong, or two neighbours are swapped, are refused', () =>
    fc.assert(
      fc.property(
        fc.stringMatching(/^[0-9A-Z]{1,21}$/),
        fc.nat(),
        fc.constantFrom(...'0123456789'),
        (own, at, other) => {
          const reference = creditorReference(own)
          expect(readCreditorReference(reference.toLowerCase())).toBe(reference)
          const place = 2 + (at % (reference.length - 2))
          const changed = reference.slice(0, place) + other + reference.slice(place + 1)
          if (changed !== reference && /\d/.test(reference[place]!))
            expect(readCreditorReference(changed)).toBeUndefined()
        },
      ),
    ))
  test('hold letters and digits only, at most 21', () => {
    expect(() => creditorReference('AP-1')).toThrow(RangeError)
    expect(() => creditorReference('')).toThrow(RangeError)
    expect(() => creditorReference('1'.repeat(22))).toThrow(RangeError)
    expect(creditorReference('1'.repeat(21))).toHaveLength(25)
  })
})

describe('postings', () => {
  const amount = fc.integer({ min: -1_000_000, max: 1_000_000 })
  const sumOn = (account: Account, postings: readonly Posting[]) =>
    postings.reduce((sum, one) => (one.account === account ? sum + one.amount : sum), 0)

  test('come to nothing, whatever was moved', () => {
    fc.assert(
      fc.property(amount, amount, (total, tax) => {
        const all = [charged({ total, tax }), paid('card', total), waived(total), takenOver(total)]
        for (const one of [...all, paidByEmployer('transfer', total)]) {
          expect(isBalanced(one)).toBe(true)
          // Nothing is posted that is nothing.
          expect(one.every((posting) => posting.amount !== 0)).toBe(true)
        }
      }),
    )
  })
  test('what an employer takes over it owes instead of whoever was charged, and pays or gives back whole', () => {
    fc.assert(
      fc.property(fc.integer({ min: 1, max: 1_000_000 }), (owed) => {
        const over = [...charged({ total: owed, tax: 0 }), ...takenOver(owed)]
        expect([sumOn('receivable', over), sumOn('employers', over)]).toEqual([0, owed])
        const back = [...over, ...takenOver(-owed)]
        expect([sumOn('receivable', back), sumOn('employers', back)]).toEqual([owed, 0])
        const settled = [...over, ...paidByEmployer('transfer', owed)]
        expect([sumOn('employers', settled), sumOn('bank', settled)]).toEqual([0, owed])
      }),
    )
  })
})
