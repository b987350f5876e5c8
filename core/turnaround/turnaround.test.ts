import fc from 'fast-check'
import { dayOfShare, kaplanMeier, rangeOfShare, type Wait, waitingAfter } from './kaplanMeier'
import { enoughOfItsOwn, pooled } from './pooled'

const ended = (...days: number[]): Wait[] => days.map((day) => ({ days: day, ended: true }))
const open = (...days: number[]): Wait[] => days.map((day) => ({ days: day, ended: false }))

// Weeks of remission of leukaemia with 6-mercaptopurine and with placebo (Freireich et al. 1963; Gehan 1965; Cox 1972).
const mercaptopurine = [...ended(6, 6, 6, 7, 10, 13, 16, 22, 23), ...open(6, 9, 10, 11, 17, 19, 20, 25, 32, 32, 34, 35)]
const placebo = ended(1, 1, 2, 2, 3, 4, 4, 5, 5, 8, 8, 8, 8, 11, 11, 12, 12, 15, 17, 22, 23)

describe('against the published tables of remission', () => {
  test('6-MP: at risk, share, and the interval on the log-log scale', () => {
    const steps = kaplanMeier(mercaptopurine).steps.map(({ day, atRisk, waits, low, high }) => [
      ...[day, atRisk],
      ...[waits, low, high].map((value) => Number(value.toFixed(3))),
    ])
    expect(steps).toEqual([
      [6, 21, 0.857, 0.62, 0.952],
      [7, 17, 0.807, 0.563, 0.923],
      [10, 15, 0.753, 0.503, 0.889],
      [13, 12, 0.69, 0.432, 0.849],
      [16, 11, 0.627, 0.368, 0.805],
      [22, 7, 0.538, 0.268, 0.747],
      [23, 6, 0.448, 0.188, 0.68],
    ])
  })

  test('placebo: the share at each week, and nobody at the end', () => {
    const steps = kaplanMeier(placebo).steps.map(({ day, waits }) => [day, Number(waits.toFixed(4))])
    expect(steps).toEqual([
      ...[
        [1, 0.9048],
        [2, 0.8095],
        [3, 0.7619],
        [4, 0.6667],
        [5, 0.5714],
        [8, 0.381],
        [11, 0.2857],
      ],
      ...[
        [12, 0.1905],
        [15, 0.1429],
        [17, 0.0952],
        [22, 0.0476],
        [23, 0],
      ],
    ])
  })

  test('medians 23 and 8, and what is not known is not made up', () => {
    expect([mercaptopurine, placebo].map((waits) => dayOfShare(kaplanMeier(waits), 0.5))).toEqual([23, 8])
    expect(dayOfShare(kaplanMeier(mercaptopurine), 0.8)).toBeUndefined()
    expect(rangeOfShare(kaplanMeier(mercaptopurine), 0.5)).toEqual({ from: 13, to: undefined })
    expect(rangeOfShare(kaplanMeier(placebo), 0.5)).toEqual({ from: 4, to: 11 })
  })
})

test('without anything open it is the share that is left', () => {
  const curve = kaplanMeier(ended(1, 2, 3, 4))
  expect([0, 1, 2.5, 4, 9].map((day) => waitingAfter(curve, day))).toEqual([1, 0.75, 0.5, 0, 0])
  expect([curve.ended, curve.open, curve.rate]).toEqual([4, 0, 0.4])
})

test('nothing, and nothing that has ended, say nothing', () => {
  for (const waits of [[], open(3, 5)]) {
    const curve = kaplanMeier(waits)
    expect([curve.steps, dayOfShare(curve, 0.5), waitingAfter(curve, 10)]).toEqual([[], undefined, 1])
  }
})

const someWaits = fc.array(fc.record({ days: fc.integer({ min: 0, max: 60 }), ended: fc.boolean() }), {
  minLength: 1,
  maxLength: 40,
})

test('the share only falls, lies within its interval, and does not depend on the order', () =>
  fc.assert(
    fc.property(someWaits, (waits) => {
      const { steps } = kaplanMeier(waits)
      const shares = [1, ...steps.map((step) => step.waits)]
      expect(shares).toEqual([...shares].sort((a, b) => b - a))
      for (const { waits: still, low, high } of steps) {
        expect(low).toBeLessThanOrEqual(still + 1e-9)
        expect(high).toBeGreaterThanOrEqual(still - 1e-9)
      }
      expect(kaplanMeier(waits.toReversed()).steps).toEqual(steps)
    }),
  ))

test('one more that still waits never makes the median earlier', () =>
  fc.assert(
    fc.property(someWaits, fc.integer({ min: 0, max: 60 }), (waits, days) => {
      const median = (some: readonly Wait[]) => dayOfShare(kaplanMeier(some), 0.5) ?? 999
      expect(median([...waits, ...open(days)])).toBeGreaterThanOrEqual(median(waits))
    }),
  ))

test('two halves of a wait count as one', () => {
  const halves = placebo.flatMap((wait) => [
    { ...wait, weight: 0.5 },
    { ...wait, weight: 0.5 },
  ])
  expect(kaplanMeier(halves).steps.map(({ waits }) => waits)).toEqual(
    kaplanMeier(placebo).steps.map(({ waits }) => waits),
  )
})

describe('a source that has answered little', () => {
  const like = { 'kind and country': ended(...Array(10).fill(20)), kind: ended(...Array(30).fill(40)), all: [] }

  test('is drawn towards those of its kind in its country, and says so', () => {
    const { curve, own, beside } = pooled({ source: ended(5, 6), ...like })
    expect([own, beside]).toEqual([
      { ended: 2, open: 0 },
      { scope: 'kind and country', waits: 10, countsAs: 6 },
    ])
    // Two of its own beside six that count: a quarter has ended after six days, all after twenty.
    expect([waitingAfter(curve, 6), dayOfShare(curve, 0.5)]).toEqual([0.75, 20])
  })

  test('with nobody there of its kind, towards its kind, and then towards all', () => {
    const kind = pooled({ source: [], ...like, 'kind and country': ended(20) })
    expect(kind.beside).toMatchObject({ scope: 'kind', waits: 31 })
    const all = pooled({ source: open(3), 'kind and country': [], kind: [], all: ended(...Array(9).fill(9)) })
    expect([all.beside?.scope, dayOfShare(all.curve, 0.5)]).toEqual(['all', 9])
    expect(pooled({ source: ended(4), 'kind and country': [], kind: [], all: ended(9) }).beside).toBeNull()
  })

  test('with enough of its own it is judged by them alone', () => {
    const own = ended(...Array(enoughOfItsOwn).fill(3))
    expect(pooled({ source: own, ...like })).toMatchObject({ beside: null, own: { ended: enoughOfItsOwn } })
  })
})
