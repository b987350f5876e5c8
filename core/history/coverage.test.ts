import fc from 'fast-check'
import { Temporal } from 'temporal-polyfill'
import { dayNumber, spanInDays } from '../dates/dayNumber'
import { type PartialDate, partialDate } from '../dates/partialDate'
import { coverage, gapsIn, type HistoryEntry, readingsOf } from './coverage'
import { clip, intersect, isRange, lengthOf, type Range, union, without } from './ranges'
import { daysUpTo, yearsUpTo } from './window'

const daysOf = ({ from, through }: Range) =>
  Array.from({ length: Math.max(0, through - from + 1) }, (_, nth) => from + nth)
const allDays = (ranges: readonly Range[]) => ranges.flatMap(daysOf)
const sorted = (days: Iterable<number>) => [...new Set(days)].sort((a, b) => a - b)

const range = fc.tuple(fc.integer({ min: 0, max: 30 }), fc.integer({ min: 0, max: 8 })).map(([from, more]) => ({
  from,
  through: from + more,
}))
const ranges = fc.array(range, { maxLength: 6 })

describe('ranges of days, against the days themselves', () => {
  test('together they are the same days, in order and apart', () =>
    fc.assert(
      fc.property(ranges, (given) => {
        const joined = union(given)
        expect(allDays(joined)).toEqual(sorted(allDays(given)))
        for (const [nth, one] of joined.entries())
          expect(one.from).toBeGreaterThan((joined[nth - 1]?.through ?? Number.NEGATIVE_INFINITY) + 1)
      }),
    ))

  test('what remains of one without others', () =>
    fc.assert(
      fc.property(range, ranges, (whole, taken) => {
        const gone = new Set(allDays(taken))
        expect(allDays(without(whole, union(taken)))).toEqual(daysOf(whole).filter((day) => !gone.has(day)))
      }),
    ))

  test('what two share, and what lies within one', () =>
    fc.assert(
      fc.property(range, range, ranges, (a, b, some) => {
        const both = daysOf(a).filter((day) => daysOf(b).includes(day))
        expect(isRange(intersect(a, b))).toBe(both.length > 0)
        if (both.length > 0) expect([daysOf(intersect(a, b)), lengthOf(intersect(a, b))]).toEqual([both, both.length])
        expect(allDays(clip(some, a))).toEqual(allDays(some).filter((day) => daysOf(a).includes(day)))
      }),
    ))
})

const first = dayNumber({ year: 2021, month: 1, day: 1 })
const last = first + 119
/** Days, months, and either with "about", in the first four months of a year: small enough to try every reading. */
const date: fc.Arbitrary<PartialDate> = fc
  .record({
    month: fc.integer({ min: 1, max: 4 }),
    day: fc.option(fc.integer({ min: 1, max: 28 }), { nil: undefined }),
    about: fc.boolean(),
  })
  .map(({ month, day, about }) => ({ year: 2021, month, ...(day ? { day } : {}), about: day !== undefined && about }))
const entryOf = fc
  .record({ from: date, to: fc.oneof(date, fc.constant('present' as const)) })
  .map((dates, nth = 0) => ({ id: String(nth), ...dates }))
const entries = fc
  .array(entryOf, { maxLength: 4 })
  .map((given) => given.map((entry, nth): HistoryEntry => ({ ...entry, id: String(nth) })))

/** Every way an entry can be read: a first and a last day, the first not after the last. */
function everyReading({ from, to }: HistoryEntry): Range[] {
  const begin = spanInDays(from)
  const end = to === 'present' ? { earliest: last, latest: last } : spanInDays(to)
  return daysOf({ from: begin.earliest, through: begin.latest }).flatMap((one) =>
    daysOf({ from: end.earliest, through: end.latest }).flatMap((other) =>
      one <= other ? [{ from: one, through: other }] : [],
    ),
  )
}
const within = (day: number) => (reading: Range) => reading.from <= day && day <= reading.through

describe('an entry, against every way it can be read', () => {
  test('covers certainly what all readings cover, and possibly what one does', () =>
    fc.assert(
      fc.property(entryOf, (entry) => {
        const all = everyReading(entry)
        const { certain, possible } = readingsOf(entry, last)
        for (const day of daysOf({ from: first - 5, through: last + 5 })) {
          expect(all.length > 0 && all.every(within(day))).toBe(within(day)(certain) && all.length > 0)
          expect(all.some(within(day))).toBe(within(day)(possible))
        }
      }),
      { numRuns: 60 },
    ))

  test('no tolerance: every day is covered, in a certain gap or in a possible one', () =>
    fc.assert(
      fc.property(entries, (given) => {
        const read = given.map(everyReading).filter((all) => all.length > 0)
        const window = { from: first, through: last }
        const { certainGaps, possibleGaps } = gapsIn(given, window, 0)
        const byOne = (day: number) => read.some((all) => all.every(within(day)))
        const byNone = (day: number) => !read.some((all) => all.some(within(day)))
        expect(allDays(certainGaps)).toEqual(daysOf(window).filter(byNone))
        expect(allDays(possibleGaps)).toEqual(daysOf(window).filter((day) => !byNone(day) && !byOne(day)))
      }),
      { numRuns: 60 },
    ))

  test('what is tolerated is left out, and nothing else', () =>
    fc.assert(
      fc.property(entries, fc.integer({ min: 0, max: 40 }), (given, tolerated) => {
        const window = { from: first, through: last }
        const { certainGaps } = gapsIn(given, window, tolerated)
        expect(certainGaps).toEqual(gapsIn(given, window, 0).certainGaps.filter((gap) => lengthOf(gap) > tolerated))
      }),
    ))
})

const day = (text: string) => Temporal.PlainDate.from(text)
const entry = (id: string, from: string, to: string): HistoryEntry => ({
  id,
  from: partialDate(from),
  to: to === 'present' ? to : partialDate(to),
})
const spring = { from: day('2021-01-01'), through: day('2021-04-30') }

test('a sliver beside a certain gap is not told by itself unless it is longer than what is tolerated', () => {
  // February is certainly missing; of January and March a day at the edge each may be.
  const months = [entry('a', '2020-12-01', '2021-01'), entry('b', '2021-03', '2021-04-30')]
  const gaps = (tolerated: number) => {
    const { certainGaps, possibleGaps } = coverage(months, spring, tolerated)
    return [certainGaps.map(({ days }) => days), possibleGaps.map(({ days }) => days)]
  }
  expect(gaps(0)).toEqual([[28], [30, 30]])
  expect(gaps(27)).toEqual([[28], [30, 30]])
  expect(gaps(30)).toEqual([[], [88]])
})

test('overlaps are within the window, longest certain, with both named', () => {
  const jobs = [
    entry('a', '2020-06-01', '2021-02-10'),
    entry('b', '2021-02-01', 'present'),
    entry('c', '2021-04', '2021-05'),
  ]
  const { certainOverlaps, possibleOverlaps, window } = coverage(jobs, spring, 0)
  expect(certainOverlaps.map(({ between, days }) => [between, days])).toEqual([
    [['a', 'b'], 10],
    [['b', 'c'], 1],
  ])
  expect(possibleOverlaps).toEqual([])
  expect([window.days, window.from.toString(), window.through.toString()]).toEqual([120, '2021-01-01', '2021-04-30'])
})

test('what cannot be asked is refused', () => {
  expect(() => coverage([], { from: day('2021-02-01'), through: day('2021-01-31') }, 0)).toThrow(RangeError)
  expect(() => coverage([], spring, -1)).toThrow(RangeError)
  expect(coverage([], { from: day('2021-02-01'), through: day('2021-02-01') }, 0).certainGaps).toHaveLength(1)
})

test('windows of years begin the day after, on every day of eight years', () => {
  for (let at = day('2019-01-01'); at.year < 2027; at = at.add({ days: 1 }))
    for (const years of [1, 4, 5]) {
      const { from, through } = yearsUpTo(at, years)
      expect(daysUpTo(at, years)).toEqual({ from: dayNumber(from), through: dayNumber(through) })
    }
  expect(daysUpTo(day('2100-02-28'), 1).from).toBe(dayNumber({ year: 2099, month: 3, day: 1 }))
  expect(daysUpTo(day('2004-02-29'), 4).from).toBe(dayNumber({ year: 2000, month: 3, day: 1 }))
  expect(daysUpTo(day('2104-02-29'), 4).from).toBe(dayNumber({ year: 2100, month: 3, day: 1 }))
})
