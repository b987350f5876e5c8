import fc from 'fast-check'
import { Temporal } from 'temporal-polyfill'
import { issuedClaims } from '../sources/source'
import { freshThrough, isFresh, usualFreshness } from './freshness'

const day = (text: string) => Temporal.PlainDate.from(text)
const through = (kind: (typeof issuedClaims)[number], on: string, goingOn = true) =>
  freshThrough(kind, day(on), goingOn, usualFreshness)?.toString() ?? null

test.each<[(typeof issuedClaims)[number], string, boolean, string | null]>([
  ['study', '2020-02-29', true, null],
  ['attestation', '2020-02-29', true, null],
  ['licence', '2025-11-29', true, '2026-11-29'],
  // The last day of a month has no match in each.
  ['licence', '2024-02-29', true, '2025-02-28'],
  ['certificate', '2024-08-31', true, '2026-08-31'],
  ['work', '2024-11-29', true, '2026-11-29'],
  // What was over when it was confirmed has stayed as it was.
  ['work', '2024-11-29', false, null],
])('%s confirmed on %s, going on %s, serves through %s', (kind, on, goingOn, last) =>
  expect(through(kind, on, goingOn)).toBe(last),
)

test('the last day counts, the next does not', () => {
  expect(isFresh({ until: '2026-11-29' }, day('2026-11-29'))).toBe(true)
  expect(isFresh({ until: '2026-11-29' }, day('2026-11-30'))).toBe(false)
  expect(isFresh({ until: null }, day('2099-01-01'))).toBe(true)
})

const days = fc.integer({ min: 0, max: 20_000 }).map((count) => day('2000-01-01').add({ days: count }))
test('what was confirmed later never serves less long, and nothing is stale on the day it was confirmed', () => {
  fc.assert(
    fc.property(
      fc.constantFrom(...issuedClaims),
      fc.integer({ min: 1, max: 120 }),
      days,
      days,
      (kind, months, a, b) => {
        const policy = { ...usualFreshness, [kind]: months }
        const [earlier, later] = [a, b].sort(Temporal.PlainDate.compare) as [typeof a, typeof a]
        const [first, second] = [earlier, later].map((on) => freshThrough(kind, on, true, policy)!)
        expect(Temporal.PlainDate.compare(first!, second!)).toBeLessThanOrEqual(0)
        expect(isFresh({ until: first!.toString() }, earlier)).toBe(true)
      },
    ),
  )
})
