import { seededRandom, shuffled } from './random'

const drawn = (seed: string, count = 5) => {
  const random = seededRandom(seed)
  return Array.from({ length: count }, random)
}

test('the same seed gives the same numbers, whenever it is asked', () => {
  // Known from when the first papers were drawn: a paper has to come out again for whoever looks at it in two years.
  expect(drawn('paper 1', 3).map((number) => number.toFixed(9))).toEqual(['0.148368593', '0.366097374', '0.680659117'])
  expect(drawn('paper 1')).toEqual(drawn('paper 1'))
})

test('seeds that differ little give numbers that differ much', () => {
  const [first] = drawn('paper 1', 1)
  for (const seed of ['paper 2', 'paper 1 ', 'Paper 1', '1 paper', '']) expect(drawn(seed, 1)[0]).not.toBe(first)
})

test('numbers are spread evenly over nought to one', () => {
  const numbers = drawn('spread', 20_000)
  expect(Math.min(...numbers)).toBeGreaterThanOrEqual(0)
  expect(Math.max(...numbers)).toBeLessThan(1)
  for (let tenth = 0; tenth < 10; tenth += 1) {
    const here = numbers.filter((number) => Math.floor(number * 10) === tenth).length
    expect([tenth, Math.abs(here - 2000) < 200]).toEqual([tenth, true])
  }
  const following = numbers.slice(1).reduce((sum, number, at) => sum + (number - 0.5) * (numbers[at]! - 0.5), 0)
  expect(Math.abs(following / numbers.length)).toBeLessThan(0.005)
})

test('a shuffle keeps everything, changes nothing it was given, and takes each order about as often', () => {
  const items = ['a', 'b', 'c'] as const
  const random = seededRandom('orders')
  const orders = new Map<string, number>()
  for (let nth = 0; nth < 6000; nth += 1) {
    const order = shuffled(items, random).join('')
    orders.set(order, (orders.get(order) ?? 0) + 1)
  }
  expect([...orders.keys()].sort()).toEqual(['abc', 'acb', 'bac', 'bca', 'cab', 'cba'])
  for (const [order, count] of orders) expect([order, Math.abs(count - 1000) < 130]).toEqual([order, true])
  expect(items).toEqual(['a', 'b', 'c'])
})

test('a shuffle takes the last place first, by Durstenfeld', () => {
  const given = [0.99, 0, 0.5]
  expect(shuffled(['a', 'b', 'c', 'd'], () => given.shift()!)).toEqual(['c', 'b', 'a', 'd'])
  expect(shuffled([], () => 0)).toEqual([])
  expect(shuffled(['only'], () => 0)).toEqual(['only'])
})
