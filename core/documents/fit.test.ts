import { fitPages, type Shrink, shrinks } from './fit'

/** A page whose size goes with its pixels and quality, as that of a photograph does. */
const photo = (weight: number) => (shrink: Shrink) => Math.round(weight * (shrink.side / 2200) ** 2 * shrink.quality)

async function fitted(weights: readonly number[], limit: number) {
  const tried: string[] = []
  const pages = await fitPages(weights.length, limit, async (page, shrink) => {
    tried.push(`${page}:${shrink.side}`)
    return { size: photo(weights[page]!)(shrink), side: shrink.side }
  })
  return { pages, tried, total: pages.reduce((sum, { size }) => sum + size, 0) }
}

test('pages that fit are hardly touched', async () => {
  const { pages } = await fitted([100, 100, 100], 1000)
  expect(pages.map(({ side }) => side)).toEqual([2200, 2200, 2200])
})

test('ten photographs stay below the limit together', async () => {
  const { total, pages } = await fitted(Array(10).fill(900_000), 5_000_000)
  expect(total).toBeLessThanOrEqual(5_000_000)
  expect(Math.min(...pages.map(({ side }) => side))).toBeGreaterThanOrEqual(1600)
})

test('what light pages leave goes to the heavy ones after them', async () => {
  const light = await fitted([10, 10, 900], 900)
  expect(light.pages[2]!.side).toBe(2200)
  const heavyFirst = await fitted([900, 900, 900], 900)
  expect(heavyFirst.pages[0]!.side).toBeLessThan(2200)
})

test('too much for any step is made as small as it gets', async () => {
  const { pages } = await fitted([9000, 9000], 100)
  expect(pages.map(({ side }) => side)).toEqual([shrinks.at(-1)!.side, shrinks.at(-1)!.side])
})

test('pages alike are not tried from the beginning each time', async () => {
  const { tried } = await fitted(Array(6).fill(4000), 6 * 1300)
  expect(tried.length).toBeLessThan(6 * 3)
})
