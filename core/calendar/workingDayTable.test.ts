import fc from 'fast-check'
import { Temporal } from 'temporal-polyfill'
import { addWorkingDays, mondayToFriday } from './workingDays'
import { workingDayAfter, workingDaysAfter, workingDaysBetween, workingDayTable } from './workingDayTable'

// A Friday.
const first = Temporal.PlainDate.from('2026-12-18')
const calendar = { ...mondayToFriday, holidays: new Set(['2026-12-25', '2026-12-26', '2027-01-01']) }
const table = workingDayTable(first, calendar)

test('it adds working days as counting them one by one does', () =>
  fc.assert(
    fc.property(fc.nat(400), fc.nat(120), (day, count) => {
      const counted = addWorkingDays(first.add({ days: day }), count, calendar)
      expect(workingDayAfter(table, day, count)).toBe(first.until(counted, { largestUnit: 'day' }).days)
    }),
  ))

test('many at once are as one by one, by days and by working days, also beyond three years', () =>
  fc.assert(
    fc.property(fc.array(fc.tuple(fc.nat(1500), fc.nat(300)), { minLength: 1, maxLength: 30 }), (pairs) => {
      const [days, counts] = [0, 1].map((place) => Int16Array.from(pairs, (pair) => pair[place]!))
      expect([...workingDaysAfter(table, days!, counts!, 'working days')]).toEqual(
        pairs.map(([day, count]) => workingDayAfter(table, day, count)),
      )
      expect([...workingDaysAfter(table, days!, counts!, 'days')]).toEqual(
        pairs.map(([day, count]) => workingDayAfter(table, day + count, 0)),
      )
    }),
  ))

test('beyond three years it goes on at the same pace, and never back', () => {
  const days = [1090, 1099, 1100, 1101, 2000].map((day) => workingDayAfter(table, day, 0))
  expect(days).toEqual([...days].sort((a, b) => a - b))
  expect(workingDayAfter(table, 1000, 500) - 1000).toBeGreaterThan(690)
  expect(workingDayAfter(table, 1000, 500) - 1000).toBeLessThan(712)
})

test('between two days count those that are worked, without the first and with the last', () => {
  const at = (day: string) => first.until(Temporal.PlainDate.from(day), { largestUnit: 'day' }).days
  const between = (from: string, to: string) => workingDaysBetween(table, at(from), at(to))
  expect(between('2026-12-18', '2026-12-18')).toBe(0)
  expect(between('2026-12-18', '2026-12-21')).toBe(1)
  expect(between('2026-12-21', '2027-01-04')).toBe(8)
  expect(between('2026-12-21', '2026-12-18')).toBe(0)
})

test('a calendar that never works is none', () =>
  expect(() => workingDayTable(first, { weekend: [1, 2, 3, 4, 5, 6, 7], holidays: new Set() })).toThrow(RangeError))
