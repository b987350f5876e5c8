import fc from 'fast-check'
import { Temporal } from 'temporal-polyfill'
import { addWorkingDays, bothWork, isWorkingDay, mondayToFriday } from './workingDays'

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
  expect(String(addWorkingDays(day('2026-12-24'), 1, { ...mondayToFriday, holidays: new Set(['2026-12-25']) }))).toBe(
    '2026-12-28',
  )
  expect(() => addWorkingDays(day('2026-12-24'), 1, { weekend: [1, 2, 3, 4, 5, 6, 7], holidays: new Set() })).toThrow(
    RangeError,
  )
})

test('so many days of work lie between, and the last is one of them, whatever the week looks like', () =>
  fc.assert(
    fc.property(
      fc.integer({ min: 0, max: 800 }),
      fc.integer({ min: 0, max: 60 }),
      fc.uniqueArray(fc.integer({ min: 1, max: 7 }), { maxLength: 6 }),
      (offset, count, weekend) => {
        const calendar = { weekend, holidays: new Set<string>() }
        const from = day('2026-01-01').add({ days: offset })
        const reached = addWorkingDays(from, count, calendar)
        expect(isWorkingDay(reached, calendar)).toBe(true)
        let first = from
        while (!isWorkingDay(first, calendar)) first = first.add({ days: 1 })
        let worked = 0
        for (let at = first; Temporal.PlainDate.compare(at, reached) < 0; at = at.add({ days: 1 }))
          if (isWorkingDay(at.add({ days: 1 }), calendar)) worked += 1
        expect(worked).toBe(count)
      },
    ),
  ))

test('where both have to work, the days off of either are passed over', () => {
  const fridays = { weekend: [5, 6], holidays: new Set(['2026-11-25']) }
  expect(String(addWorkingDays(day('2026-11-24'), 1, bothWork(mondayToFriday, fridays)))).toBe('2026-11-26')
  expect(String(addWorkingDays(day('2026-11-26'), 1, bothWork(mondayToFriday, fridays)))).toBe('2026-11-30')
})
