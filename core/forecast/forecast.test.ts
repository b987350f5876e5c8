import fc from 'fast-check'
import { Temporal } from 'temporal-polyfill'
import { mondayToFriday } from '../calendar/workingDays'
import { workingDayTable } from '../calendar/workingDayTable'
import type { Step } from '../requirements/requirement'
import { kaplanMeier } from '../turnaround/kaplanMeier'
import type { Chain, Task } from './chains'
import type { Duration } from './duration'
import { forecast, keptShares } from './forecast'
import { usual } from './usual'

// A Tuesday.
const today = Temporal.PlainDate.from('2026-11-24')
const everyDay = workingDayTable(today, { weekend: [], holidays: new Set() })
const ours = workingDayTable(today, { ...mondayToFriday, holidays: new Set(['2026-11-26']) })
const calendars = new Map([
  ['every day', everyDay],
  ['ours', ours],
])

const exactly = (days: number): Duration => ({ kind: 'assumed', early: days, likely: days, late: days, waited: 0 })
const replies = (...days: number[]): Duration => ({
  ...{ kind: 'measured', in: 'days', waited: 0 },
  curve: kaplanMeier(days.map((day) => ({ days: day, ended: true }))),
})
const desk: Step = { who: 'desk', what: 'look' }
const source: Step = { who: 'source', what: 'reply' }
const task = (work: string, took: Duration, step = desk, calendar = 'every day'): Task => ({
  ...{ work, step, took, calendar },
})
const chain = (requirement: string, tasks: Task[], ...after: number[]): Chain => ({ requirement, tasks, after })
const of = (chains: Chain[], start = 30) => forecast({ chains, calendars }, { start, seed: 'a file' })

test('with nothing open it is ready today, and nothing holds it up', () => {
  expect(of([])).toMatchObject({ early: 0, likely: 0, late: 0, chance: 1, heldUpBy: null, help: null })
  expect(of([], -1).chance).toBe(0)
})

test('steps of one requirement come one after the other, requirements go side by side', () => {
  const both = of([
    chain('degree', [task('a', exactly(2)), task('b', exactly(3))]),
    chain('papers', [task('c', exactly(4))]),
  ])
  expect([both.early, both.likely, both.late]).toEqual([5, 5, 5])
  expect(both.heldUpBy).toEqual({ requirement: 'degree', step: desk, share: 1 })
})

test('a network computed by hand: two replies side by side, an offer after them, a task after the offer', () => {
  // The first takes 2 or 10 days, the second 6, each half of the time: all are in after 6 or 10, then 1 and 3.
  const made = of([
    chain('degree', [task('a', replies(2, 10), source)]),
    chain('job', [task('b', replies(6), source)]),
    chain('offer', [task('c', exactly(1))], 0, 1),
    chain('key', [task('d', exactly(3))], 2),
  ])
  expect(made.days).toEqual(keptShares.map((share) => (share <= 50 ? 10 : 14)))
  expect(made.heldUpBy).toMatchObject({ requirement: 'degree', share: 0.5 })
  expect(of([chain('degree', [task('a', replies(2, 10), source)])], 5).chance).toBe(0.5)
})

test('two that are independent are ready together as often as the product says', () => {
  const made = of(
    [chain('degree', [task('a', replies(2, 10), source)]), chain('job', [task('b', replies(2, 10), source)])],
    2,
  )
  expect(made.chance).toBeGreaterThan(0.2)
  expect(made.chance).toBeLessThan(0.3)
  // The same work in two requirements is one.
  const same = of(
    [chain('degree', [task('a', replies(2, 10), source)]), chain('level', [task('a', replies(2, 10), source)])],
    2,
  )
  expect(same.chance).toBe(0.5)
})

test('days are those that are worked: a Thursday that is free, a weekend, and a reply that comes on one', () => {
  expect(of([chain('degree', [task('a', exactly(2), desk, 'ours')])]).likely).toBe(3)
  expect(of([chain('degree', [task('a', exactly(0), desk, 'ours')])]).likely).toBe(0)
  expect(of([chain('degree', [task('a', replies(4), source, 'ours')])]).likely).toBe(6)
})

describe('what would help most', () => {
  const slow = { ...task('a', replies(20), source), instead: { how: 'telephone' as const, took: replies(14) } }

  test('is another way of asking, by as many days as the likely day comes forward, and no more than what else waits', () => {
    expect(of([chain('degree', [slow])], 15).help).toEqual({
      ...{ requirement: 'degree', step: source, how: 'telephone', days: 6, chance: 1 },
    })
    expect(of([chain('degree', [slow]), chain('job', [task('b', replies(18), source)])]).help?.days).toBe(2)
  })

  test('is to do ours now, or to have the candidate’s by tomorrow, if it is next', () => {
    const upload: Step = { who: 'candidate', what: 'upload' }
    expect(of([chain('degree', [task('a', exactly(5))])]).help).toMatchObject({ how: 'now', days: 5 })
    expect(of([chain('degree', [task('a', exactly(5), upload)])]).help).toMatchObject({ how: 'tomorrow', days: 4 })
    expect(of([chain('degree', [task('a', replies(9), source), task('b', exactly(5))])]).help).toBeNull()
    // It is next on the way that ends last, though the answer after it takes longer.
    const next = of([chain('degree', [task('a', exactly(3)), task('b', replies(9), source)])]).help
    expect(next).toMatchObject({ how: 'now', step: desk, days: 3 })
  })

  test('is nothing where no change gains a day, and nobody has a paper renewed in one', () => {
    const renew: Step = { who: 'candidate', what: 'renew' }
    expect(of([chain('medical', [task('a', exactly(12), renew)])]).help).toBeNull()
    expect(of([chain('degree', [slow]), chain('job', [task('b', replies(20), source)])]).help).toBeNull()
  })
})

test('where the days have not held, they stand for more of the futures', () => {
  const chains = [chain('degree', [task('a', replies(...Array.from({ length: 100 }, (_, nth) => nth + 1)), source)])]
  const wider = forecast(
    { chains, calendars },
    { start: 30, seed: 's', levels: { early: 0.1, likely: 0.6, late: 0.95 } },
  )
  expect([wider.early, wider.likely, wider.late]).toEqual([10, 60, 95])
  expect(of(chains).late).toBe(80)
})

const someTask = fc
  .tuple(fc.nat(9), fc.constantFrom(...Object.values(usual)), fc.boolean())
  .map(([nth, [early, likely, late], measured]) =>
    measured
      ? task(`work ${nth}`, replies(early + 1, likely + 1, late + 1), source)
      : task(`work ${nth}`, { kind: 'assumed', early, likely, late, waited: 0 }, desk, 'ours'),
  )
const someChains = fc.array(fc.array(someTask, { minLength: 1, maxLength: 4 }), { minLength: 1, maxLength: 5 })
const chainsOf = (all: Task[][]) => all.map((tasks, nth) => chain(`r${nth}`, tasks, ...(nth === 4 ? [0, 1] : [])))

test('one more open step, or one more requirement, never makes any of the days earlier', () =>
  fc.assert(
    fc.property(someChains, someTask, fc.nat(4), fc.nat(4), (chains, more, where, place) => {
      const before = of(chainsOf(chains)).days
      const longer = chains.map((tasks, nth) =>
        nth === where % chains.length ? tasks.toSpliced(place, 0, more) : tasks,
      )
      for (const after of [of(chainsOf(longer)).days, of([...chainsOf(chains), chain('more', [more])]).days])
        expect(after.filter((day, nth) => day < before[nth]!)).toEqual([])
    }),
    { numRuns: 60 },
  ))

test('days are in order, the same seed gives the same, and who holds it up does so in some share', () =>
  fc.assert(
    fc.property(someChains, (chains) => {
      const made = of(chainsOf(chains))
      expect(made.days).toEqual([...made.days].sort((a, b) => a - b))
      expect(of(chainsOf(chains))).toEqual(made)
      expect(made.heldUpBy!.share).toBeGreaterThan(0)
      expect(made.heldUpBy!.share).toBeLessThanOrEqual(1 + 1e-9)
    }),
    { numRuns: 60 },
  ))
