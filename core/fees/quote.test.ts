import fc from 'fast-check'
import type { Condition, Facts } from '../conditions/condition'
import { factsOfFee } from './facts'
import { difference, type FeeQuote, quote } from './quote'
import type { FeeAmount, FeeLine, FeeSchedule } from './schedule'

const line = (key: string, amount: FeeAmount | number, more: Partial<FeeLine> = {}): FeeLine => ({
  ...{ key, title: key, why: '' },
  amount: typeof amount === 'number' ? { kind: 'fixed', amount } : amount,
  ...more,
})
const schedule = (lines: FeeLine[], more: Partial<FeeSchedule> = {}): FeeSchedule => ({
  ...{ key: 'fees', title: 'Fees', currency: 'EUR', facts: [], lines, taxes: [], taxIncluded: false },
  ...{ dueDays: 14, holds: false, surplus: 'given back', ...more },
})
const on = '2026-11-30'
const of = (one: FeeSchedule, facts: Facts = {}, more: object = {}) => quote(one, { facts, on, ...more })
const yes = (fact: string): Condition => ({ fact, is: 'yes' })
/** Nothing that is open would change it. */
const isSettled = ({ total: sum, lines, taxes }: FeeQuote) =>
  [sum, ...lines, ...taxes].every(({ least, most }) => least === most)
const total = (quoted: FeeQuote) => [quoted.total.least, quoted.total.most]

describe('what a line comes to', () => {
  test('each original and each further copy', () => {
    const copies = schedule([line('copies', { kind: 'by number', fact: 'n', first: 3500, further: 900 })])
    expect(total(of(copies, { n: 0 }))).toEqual([0, 0])
    expect(total(of(copies, { n: 1 }))).toEqual([3500, 3500])
    expect(total(of(copies, { n: 4 }))).toEqual([6200, 6200])
    expect(total(of(copies, { n: { least: 1, most: 3 } }))).toEqual([3500, 5300])
    expect(of(copies).deciding).toEqual(['n'])
  })
  test('a number is paid up to a maximum, and says so', () => {
    const capped = schedule([line('a', { kind: 'by number', fact: 'n', first: 100, further: 100, most: 350 })])
    expect(of(capped, { n: 9 }).lines[0]).toMatchObject({ most: 350, because: { capped: 350 } })
    expect(of(capped, { n: 3 }).lines[0]!.because).not.toHaveProperty('capped')
  })
  test('by category; before one is chosen, from the cheapest to the dearest of those there are', () => {
    const amount: FeeAmount = {
      kind: 'by choice',
      fact: 'c',
      amounts: { driver: 8000, mechanic: 5000 },
      otherwise: 2000,
    }
    const exam = schedule([line('exam', amount)])
    expect(total(of(exam, { c: 'driver' }))).toEqual([8000, 8000])
    expect(total(of(exam, { c: 'guard' }))).toEqual([2000, 2000])
    expect(total(of(exam))).toEqual([2000, 8000])
    const domains = new Map([['c', { values: ['driver', 'mechanic'] }]])
    expect(total(of(exam, {}, { domains }))).toEqual([5000, 8000])
  })
  test('early or late, by the day of sending, that day included', () => {
    const steps = [
      { through: '2026-11-30', amount: 4000 },
      { through: '2026-12-31', amount: 5000 },
    ]
    const early = schedule([line('entry', { kind: 'by day', steps, after: 7000 })])
    const sent = (day: string) => quote(early, { facts: {}, on: day }).lines[0]!
    expect(sent('2026-11-30')).toMatchObject({ most: 4000, because: { through: '2026-11-30', later: 5000 } })
    expect(sent('2026-12-01')).toMatchObject({ most: 5000, because: { through: '2026-12-31', later: 7000 } })
    expect(sent('2027-01-01')).toMatchObject({ most: 7000, because: { code: 'by-day' } })
  })
  test('a share of others, no less and no more than said, and nothing of nothing', () => {
    const share: FeeAmount = { kind: 'share', of: ['a'], basisPoints: 250, least: 100, most: 300 }
    const surcharge = (a: number) => of(schedule([line('a', a), line('s', share)])).lines[1]!
    expect(surcharge(8000)).toMatchObject({ most: 200 })
    expect(surcharge(1000)).toMatchObject({ most: 100, because: { bound: 'least' } })
    expect(surcharge(90_000)).toMatchObject({ most: 300, because: { bound: 'most' } })
    expect(surcharge(0).most).toBe(0)
  })
})

describe('whether it is charged', () => {
  const base = schedule([
    line('a', 10_000, {
      exempt: [
        { when: yes('disabled'), because: 'x', basisPoints: 5000 },
        { when: yes('member'), because: 'y', basisPoints: 10_000 },
      ],
    }),
    line('b', 2000, { when: yes('fast'), optional: true }),
  ])
  test('what is not known gives a range that says what would decide it', () => {
    const open = of(base)
    expect(total(open)).toEqual([0, 12_000])
    expect(open.deciding).toEqual(['disabled', 'member', 'fast'])
    expect(isSettled(open)).toBe(false)
  })
  test('of two exemptions that hold the larger one counts', () => {
    expect(of(base, { disabled: 'yes', member: 'no', fast: 'no' }).lines[0]).toMatchObject({
      state: 'reduced',
      most: 5000,
    })
    expect(of(base, { disabled: 'yes', member: 'yes', fast: 'no' }).lines[0]).toMatchObject({
      ...{ state: 'exempt', most: 0, full: { most: 10_000 }, exemption: { nth: 1 } },
    })
  })
  test('once the larger holds, the smaller decides nothing any more', () =>
    expect(of(base, { member: 'yes', fast: 'no' })).toMatchObject({ deciding: [], total: { least: 0, most: 0 } }))
  test('what is left out is said; what cannot be is charged all the same', () => {
    const facts = { disabled: 'no', member: 'no', fast: 'yes' }
    expect(of(base, facts, { leftOut: ['b', 'a'] }).lines.map(({ state }) => state)).toEqual(['charged', 'left out'])
  })
})

describe('taxes', () => {
  const twenty = { key: 't', title: 'Tax', basisPoints: 2000 }
  test('are added once for each rate, on the sum and not line by line', () => {
    const three = ['a', 'b', 'c'].map((key) => line(key, 3, { tax: 't' }))
    // Line by line it would be 1 each: 0.6 rounded.
    expect(of(schedule(three, { taxes: [twenty] }))).toMatchObject({ taxes: [{ most: 2 }], total: { most: 11 } })
  })
  test('are part of the amounts where these include them', () => {
    const included = of(schedule([line('a', 12_000, { tax: 't' })], { taxes: [twenty], taxIncluded: true }))
    expect(included).toMatchObject({ taxes: [{ most: 2000, on: { most: 12_000 } }], total: { most: 12_000 } })
  })
  test('hold at a place only', () => {
    const here = schedule([line('a', 1000, { tax: 't' })], {
      taxes: [{ ...twenty, when: { fact: 'country', is: 'AT' } }],
    })
    expect(total(of(here, { country: 'AT' }))).toEqual([1200, 1200])
    expect(total(of(here, { country: 'CH' }))).toEqual([1000, 1000])
    expect(of(here)).toMatchObject({ total: { least: 1000, most: 1200 }, deciding: ['country'] })
  })
  test('a maximum is one over everything', () => {
    const capped = of(schedule([line('a', 9000, { tax: 't' }), line('b', 5000)], { taxes: [twenty], most: 12_000 }))
    expect(total(capped)).toEqual([12_000, 12_000])
    const [tax] = capped.taxes
    expect(9000 + 5000 + capped.cap.most + tax!.most).toBe(12_000)
    expect(tax!.most).toBeLessThan(1800)
  })
})

describe('what a paper has to show', () => {
  const facts = [
    { key: 'disabled', label: 'd', kind: 'yes or no' as const, proof: 'a pass' },
    { key: 'category', label: 'c', kind: 'one of' as const, options: ['plain', 'trainee'], proof: 'a contract' },
  ]
  const withFacts = schedule([], { facts })
  test.each([
    ['none', 'no'],
    ['to look at', 'yes'],
    ['accepted', 'yes'],
    ['refused', 'no'],
  ] as const)('with its proof %s a yes counts as %s', (proof, counts) =>
    expect(factsOfFee(withFacts, { disabled: { value: 'yes', proof } })).toEqual({ 'fee.disabled': counts }),
  )
  test('a no, and the first of several, need no proof', () =>
    expect(
      factsOfFee(withFacts, { disabled: { value: 'no', proof: 'none' }, category: { value: 'plain', proof: 'none' } }),
    ).toEqual({ 'fee.disabled': 'no', 'fee.category': 'plain' }))
  test('a category whose paper was refused is the first one', () =>
    expect(factsOfFee(withFacts, { category: { value: 'trainee', proof: 'refused' } })).toEqual({
      'fee.category': 'plain',
    }))
})

test.each([
  [5000, 3000, 'given back', { owed: 2000, giveBack: 0 }],
  [3000, 5000, 'given back', { owed: 0, giveBack: 2000 }],
  [3000, 5000, 'kept', { owed: 0, giveBack: 0 }],
  [3000, 3000, 'kept', { owed: 0, giveBack: 0 }],
] as const)('of %s after %s was paid, %s', (now, paid, surplus, left) =>
  expect(difference(now, paid, surplus)).toEqual(left),
)

describe('laws, for any schedule and anybody', () => {
  const names = ['p', 'q', 'r']
  const minor = fc.integer({ min: 0, max: 1_000_000 })
  const when = fc.constantFrom(...names).map(yes)
  const plainAmount: fc.Arbitrary<FeeAmount> = fc.oneof(
    fc.record({ kind: fc.constant('fixed' as const), amount: minor }),
    fc.record({
      kind: fc.constant('by number' as const),
      fact: fc.constant('n'),
      first: minor,
      further: minor,
      most: fc.option(minor, { nil: undefined }),
    }) as fc.Arbitrary<FeeAmount>,
    fc.record({
      kind: fc.constant('by choice' as const),
      fact: fc.constant('c'),
      amounts: fc.record({ x: minor, y: minor }),
      otherwise: minor,
    }),
  )
  const share: fc.Arbitrary<FeeAmount> = fc
    .record({ basisPoints: fc.integer({ min: 1, max: 10_000 }), least: fc.integer({ min: 0, max: 500 }), more: minor })
    .map(({ basisPoints, least, more }) => ({ kind: 'share', of: [], basisPoints, least, most: least + more }))
  const anyLine = (nth: number) =>
    fc
      .record({
        amount: nth < 3 ? plainAmount : fc.oneof(plainAmount, share),
        when: fc.option(when, { nil: undefined }),
        off: fc.option(fc.record({ when, basisPoints: fc.integer({ min: 1, max: 10_000 }) }), { nil: undefined }),
        optional: fc.boolean(),
        tax: fc.constantFrom(undefined, 't', 'u'),
      })
      .map(({ amount, off, optional, tax, ...more }) =>
        line(`l${nth}`, amount, {
          ...(more.when ? { when: more.when } : {}),
          ...(off ? { exempt: [{ ...off, because: '' }] } : {}),
          ...(optional ? { optional } : {}),
          ...(tax ? { tax } : {}),
        }),
      )
  const anySchedule = fc
    .record({
      lines: fc.tuple(...[0, 1, 2, 3, 4].map(anyLine)),
      taxIncluded: fc.boolean(),
      rates: fc.tuple(fc.integer({ min: 1, max: 3000 }), fc.integer({ min: 1, max: 3000 })),
      place: fc.boolean(),
      most: fc.option(fc.integer({ min: 0, max: 2_000_000 }), { nil: undefined }),
    })
    .map(({ lines, taxIncluded, rates, place, most }) =>
      schedule(lines, {
        taxIncluded,
        ...(most === undefined ? {} : { most }),
        taxes: [
          { key: 't', title: 't', basisPoints: rates[0] },
          { key: 'u', title: 'u', basisPoints: rates[1], ...(place ? { when: yes('q') } : {}) },
        ],
      }),
    )
  const full = fc.record({
    ...Object.fromEntries(names.map((name) => [name, fc.constantFrom('yes', 'no')])),
    n: fc.integer({ min: 0, max: 30 }),
    c: fc.constantFrom('x', 'y', 'z'),
  }) as fc.Arbitrary<Facts>
  const some = (facts: Facts, kept: readonly boolean[]) =>
    Object.fromEntries(Object.entries(facts).filter((_, nth) => kept[nth % kept.length]))
  const kept = fc.array(fc.boolean(), { minLength: 5, maxLength: 5 })
  const sides = ['least', 'most'] as const

  test('lines, the maximum and added taxes make up the total, in whole minor units, never below nothing', () =>
    fc.assert(
      fc.property(anySchedule, full, kept, (one, facts, known) => {
        const quoted = of(one, some(facts, known))
        for (const side of sides) {
          const parts = [...quoted.lines, quoted.cap, ...(one.taxIncluded ? [] : quoted.taxes)]
          expect(parts.reduce((sum, part) => sum + part[side], 0)).toBe(quoted.total[side])
          for (const part of [...parts, quoted.total]) expect(Number.isSafeInteger(part[side])).toBe(true)
          expect(quoted.total[side]).toBeGreaterThanOrEqual(0)
        }
        expect(quoted.total.least).toBeLessThanOrEqual(quoted.total.most)
        if (one.most !== undefined) expect(quoted.total.most).toBeLessThanOrEqual(one.most)
      }),
      { numRuns: 400 },
    ))
  test('leaving an option out never raises it', () =>
    fc.assert(
      fc.property(anySchedule, full, kept, fc.subarray(['l0', 'l1', 'l2', 'l3', 'l4']), (one, facts, known, out) => {
        const [with_, without] = [[], out].map((leftOut) => of(one, some(facts, known), { leftOut }).total)
        for (const side of sides) expect(without![side]).toBeLessThanOrEqual(with_![side])
      }),
      { numRuns: 600 },
    ))
  test('the order of lines and taxes makes no difference', () =>
    fc.assert(
      fc.property(anySchedule, full, kept, (one, facts, known) => {
        const turned = { ...one, lines: [...one.lines].reverse(), taxes: [...one.taxes].reverse() }
        const [a, b] = [of(one, some(facts, known)), of(turned, some(facts, known))]
        expect(b.total).toEqual(a.total)
        expect([...b.taxes].reverse()).toEqual(a.taxes)
        expect([...b.lines].reverse()).toEqual(a.lines)
      }),
      { numRuns: 300 },
    ))
  test('whatever turns out, it comes to something within what was said before; with everything known it is settled', () =>
    fc.assert(
      fc.property(anySchedule, full, kept, (one, facts, known) => {
        const [before, after] = [of(one, some(facts, known)), of(one, facts)]
        expect(isSettled(after)).toBe(true)
        expect(after.total.most).toBeGreaterThanOrEqual(before.total.least)
        expect(after.total.most).toBeLessThanOrEqual(before.total.most)
        expect(after.deciding).toEqual([])
      }),
      { numRuns: 600 },
    ))
  test('nothing is left to decide where it is settled, and something is where it is not', () =>
    fc.assert(
      fc.property(anySchedule, full, kept, (one, facts, known) => {
        const { total: sum, deciding } = of(one, some(facts, known))
        if (sum.least < sum.most) expect(deciding.length).toBeGreaterThan(0)
      }),
      { numRuns: 400 },
    ))
})
