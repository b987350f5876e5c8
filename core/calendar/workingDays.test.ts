import { Temporal } from 'temporal-polyfill'
import { addWorkingDays, mondayToFriday } from './workingDays'

const day = (text: string) => Temporal.PlainDate.from(text)

test.each([
  ['2026-11-24', 0, '2026-11-24'],
  ['2026-11-27', 1, '2026-11-30'],
  ['2026-11-28', 0, '2026-11-30'],
  ['2026-11-28', 1, '2026-12-01'],
  ['2026-11-24', 10, '2026-12-08'],
])('%s plus %i working days is %s', (from, count, expected) => {
  expect(String(addWorkingDays(day(from), count, mondayToFriday))).toBe(expected)
})

test('holidays are passed over, and a calendar without a working day is refused', () => {
  expect(String(addWorkingDays(day('2026-12-24'), 1, { ...mondayToFriday, holidays: ['2026-12-25'] }))).toBe(
    '2026-12-28',
  )
  expect(() => addWorkingDays(day('2026-12-24'), 1, { weekend: [1, 2, 3, 4, 5, 6, 7], holidays: [] })).toThrow(
    RangeError,
  )
})
