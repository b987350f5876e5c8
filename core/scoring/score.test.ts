import { isComplete, percentOf, summarise, visibleTo } from './score'

const criteria = [
  { key: 'craft', title: 'Craft', lookFor: '', most: 5, weight: 2 },
  { key: 'calm', title: 'Calm under pressure', lookFor: '', most: 10, weight: 1 },
]

test('criteria count by their weight, whatever points they have', () => {
  expect(percentOf(criteria, { craft: 5, calm: 10 })).toBe(100)
  expect(percentOf(criteria, { craft: 5, calm: 0 })).toBeCloseTo(66.667, 2)
  expect(percentOf(criteria, { craft: 0, calm: 10 })).toBeCloseTo(33.333, 2)
})

test('points outside of what there are, halves, and missing ones are not complete', () => {
  expect(isComplete(criteria, { craft: 5, calm: 10 })).toBe(true)
  for (const points of [{ craft: 5 }, { craft: 6, calm: 1 }, { craft: 2.5, calm: 1 }, { craft: -1, calm: 1 }])
    expect(isComplete(criteria, points as never)).toBe(false)
  expect(() => percentOf(criteria, { craft: 1 })).toThrow(RangeError)
  expect(() => percentOf([], {})).toThrow(RangeError)
})

test('the mean of those handed in counts, and where they are far apart is said', () => {
  const summary = summarise(criteria, [
    { reviewer: 'A', handedIn: true, points: { craft: 5, calm: 8 } },
    { reviewer: 'B', handedIn: true, points: { craft: 2, calm: 7 } },
    { reviewer: 'C', handedIn: false, points: { craft: 0, calm: 0 } },
  ])
  expect(summary).toEqual({
    percent: 72,
    criteria: [
      { key: 'craft', mean: 3.5, least: 2, most: 5, apart: true },
      { key: 'calm', mean: 7.5, least: 7, most: 8, apart: false },
    ],
  })
  expect(summarise(criteria, [])).toBeUndefined()
})

describe('who sees whose score', () => {
  const score = (reviewerId: string, handedIn: boolean) => ({ reviewerId, handedIn })
  const seen = (who: string, ...scores: ReturnType<typeof score>[]) =>
    visibleTo(who, scores, 2).map(({ reviewerId }) => reviewerId)

  test('nobody sees another’s while theirs is not handed in', () => {
    expect(seen('a', score('a', false), score('b', true))).toEqual(['a'])
    expect(seen('a', score('a', false), score('b', true), score('c', true))).toEqual(['a'])
  })
  test('nor while not enough are in', () => {
    expect(seen('a', score('a', true), score('b', false))).toEqual(['a'])
    expect(seen('z', score('a', true))).toEqual([])
  })
  test('then everybody sees those that are in', () => {
    expect(seen('a', score('a', true), score('b', true), score('c', false))).toEqual(['a', 'b'])
    expect(seen('z', score('a', true), score('b', true))).toEqual(['a', 'b'])
  })
})
