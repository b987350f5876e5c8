import fc from 'fast-check'
import { shareInterval } from './shareInterval'

test.each([
  // Newcombe, "Two-sided confidence intervals for the single proportion" (1998), table I, method 3.
  [81, 263, 0.2553, 0.3662],
  [15, 148, 0.0624, 0.1605],
  [0, 20, 0, 0.1611],
  [1, 29, 0.0061, 0.1718],
])('%i of %i: %f to %f', (count, of, low, high) => {
  const found = shareInterval(count, of)
  expect([Number(found.low.toFixed(4)), Number(found.high.toFixed(4))]).toEqual([low, high])
})

test('it holds the share, within 0 and 1, and grows narrower with more of the same', () =>
  fc.assert(
    fc.property(fc.integer({ min: 1, max: 500 }), fc.double({ min: 0, max: 1, noNaN: true }), (of, part) => {
      const count = Math.round(part * of)
      const [few, many] = [shareInterval(count, of), shareInterval(count * 10, of * 10)]
      expect([0 <= few.low, few.low <= few.share + 1e-12, few.share <= few.high + 1e-12, few.high <= 1]).toEqual(
        Array(4).fill(true),
      )
      expect(many.high - many.low).toBeLessThan(few.high - few.low)
    }),
  ))
