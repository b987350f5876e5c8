import fc from 'fast-check'
import { Temporal } from 'temporal-polyfill'
import { lastDayBy } from './lastDay'

const months = (count: number, toEndOfMonth = false) => ({ kind: 'months', months: count, toEndOfMonth }) as const

// Counted on a calendar by hand.
test.each([
  [months(24), '2024-03-01', '2026-02-28'],
  [months(12), '2026-07-15', '2027-07-14'],
  [months(6), '2025-08-31', '2026-02-28'],
  [months(12), '2024-02-29', '2025-02-28'],
  [months(12), '2026-01-01', '2026-12-31'],
  [months(12, true), '2026-07-15', '2027-07-31'],
  [months(1, true), '2028-01-30', '2028-02-29'],
  [months(24), '2024-03', '2026-03-30'],
  [months(24, true), '2024', '2026-12-31'],
  [{ kind: 'printed' } as const, '2024-03-01', undefined],
  [{ kind: 'no end' } as const, '2024-03-01', undefined],
  [months(24), '', undefined],
  [months(24), '2024-02-30', undefined],
])('by %j what was issued %s lasts through %s', (rule, issued, last) =>
  expect(lastDayBy(rule, issued)?.toString()).toBe(last),
)

test('a longer rule never ends earlier, and the end of the month never before the day itself', () => {
  const day = fc
    .date({ min: new Date('1950-01-01'), max: new Date('2080-01-01'), noInvalidDate: true })
    .map((date) => date.toISOString().slice(0, 10))
  fc.assert(
    fc.property(day, fc.integer({ min: 1, max: 240 }), (issued, count) => {
      const [last, longer, month] = [months(count), months(count + 1), months(count, true)].map(
        (rule) => lastDayBy(rule, issued)!,
      )
      expect(Temporal.PlainDate.compare(longer!, last!)).toBe(1)
      expect(Temporal.PlainDate.compare(month!, last!)).toBeGreaterThanOrEqual(0)
      expect(month!.day).toBe(month!.daysInMonth)
    }),
  )
})
