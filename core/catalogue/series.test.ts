import fc from 'fast-check'
import { bySeries, seriesState, tooSoon } from './series'

const yearly = { steps: 2, gapDays: 28, repeatMonths: 12 }

// Counted on a calendar by hand.
test.each([
  [[], { given: 0, of: 2, complete: false }, 'unknown'],
  [['2026-02-02'], { given: 1, of: 2, complete: false, next: '2026-03-02' }, '2026-03-02'],
  [['2026-02-02', '2026-03-02'], { given: 2, of: 2, complete: true, next: '2027-03-02' }, '2027-03-02'],
  [['2026-02-02', '2026-03-02', '2027-02-20'], { given: 2, of: 2, complete: true, next: '2028-02-20' }, '2028-02-20'],
  [['2024-01-31', '2024-02-29'], { given: 2, of: 2, complete: true, next: '2025-02-28' }, '2025-02-28'],
])('given on %j', (days, state, through) => {
  expect(seriesState(yearly, days)).toEqual(state)
  expect(bySeries(yearly, days)).toEqual({ issued: days[0] ?? '', through })
})

test('what is not repeated does not expire once it is complete', () => {
  expect(bySeries({ steps: 1, gapDays: 1 }, ['2026-02-02']).through).toBe('does not expire')
})

test('too soon is what comes before its gap; a repeat only has to be another day', () => {
  expect(tooSoon(yearly, ['2026-02-02', '2026-03-01'])).toEqual([1])
  expect(tooSoon(yearly, ['2026-02-02', '2026-03-02', '2026-03-10'])).toEqual([])
  expect(tooSoon(yearly, ['2026-02-02', '2026-02-02'])).toEqual([1])
})

test('a step more never makes the next one due earlier', () => {
  const day = fc.integer({ min: 0, max: 3000 }).map((at) => new Date(at * 86_400_000).toISOString().slice(0, 10))
  fc.assert(
    fc.property(fc.uniqueArray(day, { minLength: 2, maxLength: 6 }), (given) => {
      const days = [...given].sort()
      const due = days.map((_, nth) => seriesState(yearly, days.slice(0, nth + 1)).next!)
      expect([...due].sort()).toEqual(due)
    }),
  )
})
