import fc from 'fast-check'
import { Temporal } from 'temporal-polyfill'
import { dayNumber } from '../dates/dayNumber'
import { partialDate } from '../dates/partialDate'
import { coverage, type HistoryEntry } from './coverage'
import { monthsOfExperience } from './experience'
import { daysUpTo, yearsUpTo } from './window'

const day = (text: string) => Temporal.PlainDate.from(text)
const entry = (id: string, from: string, to: string): HistoryEntry => ({
  id,
  from: partialDate(from),
  to: to === 'present' ? to : partialDate(to),
})
const year2021 = { from: day('2021-01-01'), through: day('2021-12-31') }
const said = (stretches: { from: Temporal.PlainDate; through: Temporal.PlainDate; days: number }[]) =>
  stretches.map(({ from, through, days }) => `${from}/${through} ${days}`)

describe('coverage of a history', () => {
  test('adjoining days are no gap', () => {
    const found = coverage(
      [entry('a', '2021-01-01', '2021-06-30'), entry('b', '2021-07-01', '2021-12-31')],
      year2021,
      0,
    )
    expect(found).toMatchObject({ coveredDays: 365, certainGaps: [], possibleGaps: [], certainOverlaps: [] })
  })

  test('one missing day is a gap, unless it is tolerated', () => {
    const entries = [entry('a', '2021-01-01', '2021-06-30'), entry('b', '2021-07-02', '2021-12-31')]
    expect(said(coverage(entries, year2021, 0).certainGaps)).toEqual(['2021-07-01/2021-07-01 1'])
    expect(coverage(entries, year2021, 1).certainGaps).toEqual([])
  })

  test('29 February is missed only in a leap year', () => {
    const around = [entry('a', '2023-02-01', '2023-02-28'), entry('b', '2023-03-01', '2023-03-31')]
    expect(coverage(around, { from: day('2023-02-01'), through: day('2023-03-31') }, 0).certainGaps).toEqual([])
    const leap = [entry('a', '2024-02-01', '2024-02-28'), entry('b', '2024-03-01', '2024-03-31')]
    expect(said(coverage(leap, { from: day('2024-02-01'), through: day('2024-03-31') }, 0).certainGaps)).toEqual([
      '2024-02-29/2024-02-29 1',
    ])
  })

  test('months leave certain and possible gaps apart', () => {
    const found = coverage([entry('a', '2021-01-01', '2021-03'), entry('b', '2021-05', '2021-12-31')], year2021, 0)
    expect(said(found.certainGaps)).toEqual(['2021-04-01/2021-04-30 30'])
    expect(said(found.possibleGaps)).toEqual(['2021-03-02/2021-03-31 30', '2021-05-01/2021-05-30 30'])
  })

  test('a gap that only some readings have is possible, not certain', () => {
    const found = coverage([entry('a', '2021-01-01', '2021-03'), entry('b', '2021-04', '2021-12-31')], year2021, 30)
    expect(found.certainGaps).toEqual([])
    expect(said(found.possibleGaps)).toEqual(['2021-03-02/2021-04-29 59'])
  })

  test('overlaps are certain or possible and name both entries', () => {
    const found = coverage(
      [
        entry('a', '2021-01-01', '2021-06-30'),
        entry('b', '2021-06-01', '2021-12-31'),
        entry('c', '2021-12', 'present'),
      ],
      year2021,
      0,
    )
    expect(found.certainOverlaps).toEqual([
      expect.objectContaining({ days: 30, between: ['a', 'b'] }),
      expect.objectContaining({ days: 1, between: ['b', 'c'] }),
    ])
    expect(found.possibleOverlaps).toEqual([])
  })

  test('present runs to the end of the window, and an entry that ends before it begins covers nothing', () => {
    const found = coverage([entry('a', '2020-01', 'present'), entry('b', '2021-05-02', '2021-05-01')], year2021, 0)
    expect(found.coveredDays).toBe(365)
    expect(found.backwards).toEqual(['b'])
  })

  test('a window in days is the window in dates, whatever the day', () => {
    fc.assert(
      fc.property(fc.integer({ min: 0, max: 30_000 }), fc.integer({ min: 1, max: 12 }), (offset, years) => {
        const upTo = Temporal.PlainDate.from('1970-01-01').add({ days: offset })
        const { from, through } = yearsUpTo(upTo, years)
        expect(daysUpTo(upTo, years)).toEqual({ from: dayNumber(from), through: dayNumber(through) })
      }),
    )
    const leap = Temporal.PlainDate.from('2024-02-29')
    expect(daysUpTo(leap, 1).from).toBe(dayNumber(yearsUpTo(leap, 1).from))
  })

  test('the window of a 29 February begins on 1 March', () => {
    expect(String(yearsUpTo(day('2024-02-29'), 5).from)).toBe('2019-03-01')
    expect(String(yearsUpTo(day('2026-11-24'), 5).from)).toBe('2021-11-25')
  })

  const dates = fc.integer({ min: 0, max: 900 }).map((offset) => day('2020-06-01').add({ days: offset }))
  const partials = fc.tuple(dates, fc.constantFrom(4, 7, 10)).map(([date, length]) => date.toString().slice(0, length))
  const histories = fc
    .array(fc.tuple(partials, partials), { maxLength: 6 })
    .map((pairs) => pairs.map(([a, b], index) => (a < b ? entry(String(index), a, b) : entry(String(index), b, a))))
  const days = (stretches: { days: number }[]) => stretches.reduce((sum, { days }) => sum + days, 0)

  test('every day of the window is covered, possibly missing or certainly missing', () => {
    fc.assert(
      fc.property(histories, (entries) => {
        const found = coverage(entries, year2021, 0)
        expect(found.coveredDays + days(found.certainGaps) + days(found.possibleGaps)).toBe(365)
      }),
    )
  })

  test('another entry never makes a certain gap larger', () => {
    fc.assert(
      fc.property(histories, partials, (entries, from) => {
        const more = [...entries, entry('more', from, 'present')]
        expect(days(coverage(more, year2021, 0).certainGaps)).toBeLessThanOrEqual(
          days(coverage(entries, year2021, 0).certainGaps),
        )
      }),
    )
  })
})

test('overlapping experience is counted once and cut at the day asked for', () => {
  const jobs = [
    { ...entry('a', '2020-01-01', '2021-12-31'), tags: ['electrical'] },
    { ...entry('b', '2021-01-01', '2022-12-31'), tags: ['electrical'] },
    { ...entry('c', '2023-01-01', 'present'), tags: ['kitchen'] },
  ]
  const months = (tags: string[], asOf: string) => monthsOfExperience(jobs, tags, day(asOf)).least
  expect(months(['electrical'], '2026-01-01')).toBe(36)
  expect(months(['electrical'], '2021-06-29')).toBe(17)
  expect(months(['electrical'], '2021-06-30')).toBe(18)
  expect(months([], '2024-01-01')).toBe(48)
})

describe('experience in calendar months', () => {
  const job = (from: string, to: string) => ({ ...entry(`${from} ${to}`, from, to), tags: ['rack'] })
  const monthsOf = (...jobs: ReturnType<typeof job>[]) => monthsOfExperience(jobs, [], day('2026-11-24'))

  test('whole years are whole years, whatever day they begin on', () => {
    expect(monthsOf(job('2021-01-01', '2023-12-31')).least).toBe(36)
    fc.assert(
      fc.property(fc.integer({ min: 0, max: 5000 }), fc.integer({ min: 1, max: 8 }), (offset, years) => {
        const from = day('2003-01-01').add({ days: offset })
        const through = from.add({ years }).subtract({ days: 1 })
        // From 29 February a common year later is 28 February: the day after its last is not the same day again.
        fc.pre(!(from.month === 2 && from.day === 29))
        const jobs = [job(from.toString(), through.toString())]
        expect(monthsOfExperience(jobs, [], day('2026-11-24'))).toEqual({
          least: 12 * years,
          most: 12 * years,
          inexact: [],
        })
        const short = [job(from.toString(), through.subtract({ days: 1 }).toString())]
        expect(monthsOfExperience(short, [], day('2026-11-24')).most).toBe(12 * years - 1)
      }),
    )
  })

  test('adjoining jobs count as one stretch, and days left over from several make a month of thirty', () => {
    expect(monthsOf(job('2021-01-01', '2021-06-15'), job('2021-06-16', '2021-12-31')).least).toBe(12)
    expect(monthsOf(job('2021-01-01', '2021-01-20'), job('2022-01-01', '2022-01-09')).least).toBe(0)
    expect(monthsOf(job('2021-01-01', '2021-01-20'), job('2022-01-01', '2022-01-10')).least).toBe(1)
  })

  test('months and years give a range, and say whose days would narrow it', () => {
    expect(monthsOf(job('2021-01', '2023-12'))).toEqual({ least: 34, most: 36, inexact: ['2021-01 2023-12'] })
    expect(monthsOf(job('2021', '2023'))).toEqual({ least: 12, most: 36, inexact: ['2021 2023'] })
    expect(monthsOf(job('2021-03-05', '2021-03-31'), job('2021-04', '2021-06-30')).inexact).toEqual([
      '2021-04 2021-06-30',
    ])
  })

  test('a day never lies outside the range, whichever days were meant', () => {
    const months = fc.integer({ min: 0, max: 60 })
    fc.assert(
      fc.property(
        months,
        months,
        fc.integer({ min: 1, max: 28 }),
        fc.integer({ min: 1, max: 28 }),
        (a, b, one, other) => {
          const first = day('2020-01-01').add({ months: Math.min(a, b) })
          const last = day('2020-01-01').add({ months: Math.max(a, b) })
          fc.pre(a !== b || one <= other)
          const vague = monthsOf(job(first.toString().slice(0, 7), last.toString().slice(0, 7)))
          const exact = monthsOf(job(first.with({ day: one }).toString(), last.with({ day: other }).toString())).least
          expect(exact).toBeGreaterThanOrEqual(vague.least)
          expect(exact).toBeLessThanOrEqual(vague.most)
        },
      ),
    )
  })
})

test('an entry surely covers the day on which it exactly begins or ends', () => {
  const covered = (from: string, to: string) => coverage([entry('a', from, to)], year2021, 0).coveredDays
  expect(covered('2021-03-05', '2021-03')).toBe(1)
  expect(covered('2021-03', '2021-03-05')).toBe(1)
  expect(covered('2021-03', '2021-03')).toBe(0)
  expect(covered('2021-03-05', '2021-03-05')).toBe(1)
  expect(covered('2021-03-05', '2021-02')).toBe(0)
})
