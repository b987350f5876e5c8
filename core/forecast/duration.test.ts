import fc from 'fast-check'
import { kaplanMeier } from '../turnaround/kaplanMeier'
import * as duration from './duration'
import { usual } from './usual'

type Duration = duration.Duration
const daysUntil = (one: Duration, share: number) => duration.daysUntil(one)(share)

const ended = (...days: number[]) => days.map((day) => ({ days: day, ended: true }))
const open = (...days: number[]) => days.map((day) => ({ days: day, ended: false }))
const measured = (curve: ReturnType<typeof kaplanMeier>, waited = 0): Duration => ({
  ...{ kind: 'measured', curve, in: 'days', waited },
})

describe('a wait that was measured', () => {
  const four = kaplanMeier(ended(2, 4, 6, 10))

  test('ends as such waits have ended', () =>
    expect([0.2, 0.25, 0.3, 0.6, 0.8].map((share) => daysUntil(measured(four), share))).toEqual([2, 2, 4, 6, 10]))

  test('ends as those have that had lasted as long: after five days it is one of two', () => {
    expect([0.4, 0.5, 0.6].map((share) => daysUntil(measured(four, 5), share))).toEqual([1, 1, 5])
    // Two days in, none of those is left that ended on the second.
    expect([0.3, 0.5, 0.9].map((share) => daysUntil(measured(four, 2), share))).toEqual([2, 4, 8])
  })

  test('goes on exponentially where nobody has waited so long: the closed form', () => {
    // 4 ends in 22 days of waiting, all before the tenth day.
    for (const share of [0.1, 0.5, 0.8, 0.95])
      for (const waited of [10, 11, 40])
        expect(daysUntil(measured(four, waited), share)).toBe(Math.max(1, Math.ceil((-Math.log(1 - share) * 22) / 4)))
  })

  test('of a curve that stops with some waiting, the rest go on from the longest wait, as fast as it came down to them', () => {
    // Half are left after five days; half of those after as many again, whoever has waited three.
    const half = kaplanMeier([...ended(5), ...open(5)])
    expect([daysUntil(measured(half), 0.75), daysUntil(measured(half, 3), 0.75)]).toEqual([10, 7])
    // One of two was still waited for after twenty days: nothing is known to end before.
    const long = kaplanMeier([...ended(5), ...open(20)])
    expect(daysUntil(measured(long), 0.75)).toBe(40)
    expect(daysUntil(measured(long, 30), 0.5)).toBe(20)
  })

  test('drawn from many exponential waits, what is left does not depend on how long it has lasted', () => {
    const mean = 20
    const many = kaplanMeier(
      ended(...Array.from({ length: 4000 }, (_, nth) => -Math.log(1 - (nth + 0.5) / 4000) * mean)),
    )
    for (const waited of [0, 10, 30, 60])
      for (const share of [0.2, 0.5, 0.8]) {
        const closed = -Math.log(1 - share) * mean
        expect(Math.abs(daysUntil(measured(many, waited), share) - closed)).toBeLessThanOrEqual(1)
      }
  })

  test('of ours may end on the day it comes up, and on the day it is looked at', () => {
    const ours = (waited: number): Duration => ({
      ...{ kind: 'measured', curve: kaplanMeier(ended(0, 0, 1, 3)), in: 'working days', waited },
    })
    expect([0.5, 0.6, 0.9].map((share) => daysUntil(ours(0), share))).toEqual([0, 1, 3])
    // One that is there since yesterday: the two that ended at once say nothing of it.
    expect([0.4, 0.5, 0.9].map((share) => daysUntil(ours(1), share))).toEqual([0, 0, 2])
  })

  test('lasts two years at most, and one day at least', () => {
    const slow = kaplanMeier([...ended(700), ...open(...Array(50).fill(700))])
    expect(daysUntil(measured(slow, 701), 0.99)).toBe(730)
    expect(daysUntil(measured(kaplanMeier(ended(0, 0, 1))), 0.5)).toBe(1)
  })
})

describe('a time that is assumed', () => {
  const assumed = (early: number, likely: number, late: number, waited = 0): Duration => ({
    ...{ kind: 'assumed', early, likely, late, waited },
  })

  test('is triangular: its median by the closed form', () => {
    // The mode lies below the middle: late − √((1 − p)(late − early)(late − likely)).
    expect(daysUntil(assumed(0, 10, 100), 0.5)).toBe(Math.round(100 - Math.sqrt(0.5 * 100 * 90)))
    expect(daysUntil(assumed(0, 80, 100), 0.5)).toBe(Math.round(Math.sqrt(0.5 * 100 * 80)))
    expect(daysUntil(assumed(4, 4, 4), 0.9)).toBe(4)
  })

  test('past its late day it goes on, as long again as is likely', () => {
    expect(daysUntil(assumed(1, 10, 20, 25), 0.5)).toBe(Math.round(10 * Math.log(2)))
    expect(daysUntil(assumed(0, 0, 0), 0.5)).toBe(0)
  })
})

const durations = fc.oneof(
  fc
    .constantFrom(...Object.values(usual))
    .chain(([early, likely, late]) =>
      fc.nat(40).map((waited): Duration => ({ kind: 'assumed', early, likely, late, waited })),
    ),
  fc
    .tuple(
      fc.array(fc.record({ days: fc.nat(60), ended: fc.boolean() }), { minLength: 1, maxLength: 20 }),
      fc.integer({ min: 1, max: 30 }),
      fc.nat(80),
    )
    .map(([waits, one, waited]) => measured(kaplanMeier([...waits, ...ended(one)]), waited)),
)

test('a larger share never takes less long, and no share is in the past', () =>
  fc.assert(
    fc.property(durations, (one) => {
      const days = Array.from({ length: 99 }, (_, nth) => daysUntil(one, (nth + 1) / 100))
      expect(days).toEqual([...days].sort((a, b) => a - b))
      expect(days[0]).toBeGreaterThanOrEqual(0)
      expect(days.every(Number.isInteger)).toBe(true)
    }),
  ))
