import { type Asked, backtest } from './backtest'

const asked = (at: number, took: number | null, more: Partial<Asked> = {}): Asked => ({
  ...{
    source: 'a',
    kind: 'university',
    country: 'AT',
    at,
    endedAt: took === null ? null : at + took,
    answered: took !== null,
  },
  ...more,
})
const often = (count: number, took: number, more: Partial<Asked> = {}) =>
  Array.from({ length: count }, (_, nth) => asked(nth, took, more))

test('the first question of all is asked with nothing known', () =>
  expect(backtest([asked(0, 5)])).toMatchObject([{ half: null, eighty: null }]))

test('only what was answered by then is known: the same past says later what it does not say at once', () => {
  const before = often(14, 10)
  // On day 14 four have come back, ten still wait; on day 40 all have.
  const [early, late] = [14, 40].map((at) => backtest([...before, asked(at, 1)]).at(-1)!)
  expect(late).toMatchObject({ half: 10, eighty: 10 })
  expect(early!.half).toBe(10)
  expect(
    backtest([...before, asked(9, 1)].sort((a, b) => a.at - b.at)).find(({ asked: one }) => one.endedAt === 10)!.half,
  ).toBeNull()
})

test('what ended without an answer was open until then', () => {
  const past = [...often(12, 10), asked(12, 3, { answered: false }), asked(60, 1)]
  expect(backtest(past).at(-1)).toMatchObject({ half: 10 })
})

test('a source without a past goes by its like, those in its country before others', () => {
  const like = [...often(10, 5, { source: 'b' }), ...often(10, 20, { source: 'c', country: 'CH' })].sort(
    (a, b) => a.at - b.at,
  )
  expect(backtest([...like, asked(100, 4)]).at(-1)!.half).toBe(5)
})

test('said of many that take what the past took, half and four of five of the days hold', () => {
  const past = Array.from({ length: 600 }, (_, nth) => asked(nth / 2, ((nth * 37) % 40) + 1))
  const tried = backtest(past).slice(100)
  const held = (key: 'half' | 'eighty') =>
    tried.filter((one) => one.asked.endedAt! - one.asked.at <= one[key]!).length / tried.length
  expect(held('half')).toBeGreaterThan(0.46)
  expect(held('half')).toBeLessThan(0.6)
  expect(held('eighty')).toBeGreaterThan(0.76)
  expect(held('eighty')).toBeLessThan(0.88)
})
