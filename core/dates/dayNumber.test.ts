import fc from 'fast-check'
import { Temporal } from 'temporal-polyfill'
import { dayNumber, dayOf, isoOfDay, spanInDays } from './dayNumber'
import { type PartialDate, spanOf } from './partialDate'

const epoch = Temporal.PlainDate.from('1970-01-01')

test.each([
  ['1970-01-01', 0],
  ['1969-12-31', -1],
  ['2000-02-29', 11_016],
  ['2000-03-01', 11_017],
  ['1900-03-01', -25_508],
  ['2026-11-24', 20_781],
])('%s is day %i', (text, number) => {
  expect(dayNumber(Temporal.PlainDate.from(text))).toBe(number)
  expect(String(dayOf(number))).toBe(text)
  expect(isoOfDay(number)).toBe(text)
})

test('every day has its own text and comes back from it', () => {
  fc.assert(
    fc.property(fc.integer({ min: -200_000, max: 200_000 }), (number) => {
      expect(dayNumber(Temporal.PlainDate.from(isoOfDay(number)))).toBe(number)
    }),
  )
})

const partial: fc.Arbitrary<PartialDate> = fc
  .record({
    year: fc.integer({ min: 1800, max: 2200 }),
    month: fc.option(fc.integer({ min: 1, max: 12 }), { nil: undefined }),
    day: fc.option(fc.integer({ min: 1, max: 28 }), { nil: undefined }),
    about: fc.boolean(),
  })
  .map(({ month, day, ...rest }) => ({ ...rest, month, day: month === undefined ? undefined : day }))

test('a span in days is the span in dates, for every partial date', () => {
  fc.assert(
    fc.property(partial, (date) => {
      const { earliest, latest } = spanOf(date)
      const days = (day: Temporal.PlainDate) => epoch.until(day, { largestUnit: 'day' }).days
      expect(spanInDays(date)).toEqual({ earliest: days(earliest), latest: days(latest) })
    }),
    { numRuns: 400 },
  )
})
