import fc from 'fast-check'
import { seededRandom } from '../random'
import { heldBy, levelsFrom, type Outlook, verdictOn } from './calibration'
import { keptShares, usualLevels } from './forecast'

/** A forecast that says: every twentieth is ready one day later. */
const days = keptShares.map((_, nth) => nth + 1)
const outlook = (madeOn: number, took: number | null): Outlook => ({
  ...{ madeOn, days, readyOn: took === null ? null : madeOn + took },
})
const today = 1000

test('a day held if it was ready by then, and did not if it was later or is not yet', () => {
  // The 50 % day is the tenth, the 80 % day the sixteenth.
  const outlooks = [outlook(0, 10), outlook(0, 11), outlook(0, 3), outlook(0, null)]
  expect(heldBy(outlooks, 50, today)).toMatchObject({ due: 4, held: 2, interval: { share: 0.5 } })
  expect(heldBy(outlooks, 80, today)).toMatchObject({ due: 4, held: 3 })
})

test('what is not due yet does not count, though it was ready early', () => {
  const outlooks = [outlook(today - 10, 2), outlook(today - 9, 2), outlook(today - 9, null)]
  expect(heldBy(outlooks, 50, today)).toMatchObject({ due: 1, held: 1 })
  expect(heldBy([], 50, today)).toEqual({ due: 0, held: 0, interval: null })
})

/** Ready after so many days as a future drawn evenly says, times a factor. */
const drawn = (count: number, factor: number, seed = 'past') => {
  const random = seededRandom(seed)
  return Array.from({ length: count }, () => outlook(0, Math.max(1, Math.ceil(random() * 20 * factor))))
}

describe('whether days hold', () => {
  test('they do where they are drawn from what was forecast, and nothing is widened', () => {
    const outlooks = drawn(400, 1)
    expect([50, 80].map((share) => verdictOn(heldBy(outlooks, share, today), share))).toEqual(['holds', 'holds'])
    expect(levelsFrom(outlooks, today)).toEqual(usualLevels)
  })

  test('where everything takes a quarter longer they come too early, and stand for more of the futures', () => {
    const outlooks = drawn(400, 1.25)
    expect(verdictOn(heldBy(outlooks, 80, today), 80)).toBe('too early')
    const { likely, late } = levelsFrom(outlooks, today)
    expect(likely).toBeGreaterThan(0.55)
    expect(late).toBe(0.95)
    expect(heldBy(outlooks, Math.round(likely * 100), today).interval!.share).toBeGreaterThanOrEqual(0.5)
  })

  test('where everything is quicker only the early day moves, and few say nothing', () => {
    const { early, likely, late } = levelsFrom(drawn(400, 0.5), today)
    expect(early).toBeLessThan(0.2)
    expect([likely, late]).toEqual([0.5, 0.8])
    expect(levelsFrom(drawn(15, 3), today)).toEqual(usualLevels)
  })
})

test('the range is only ever widened, whatever came', () =>
  fc.assert(
    fc.property(fc.array(fc.option(fc.integer({ min: 0, max: 60 })), { maxLength: 80 }), (took) => {
      const { early, likely, late } = levelsFrom(
        took.map((one) => outlook(0, one)),
        today,
      )
      expect([early <= 0.2, likely >= 0.5, late >= 0.8, early < likely, likely <= 0.95, late <= 0.95]).toEqual(
        Array(6).fill(true),
      )
    }),
  ))
