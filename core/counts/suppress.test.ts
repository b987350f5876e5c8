import { suppressSmall } from './suppress'

describe('counts with small groups left out', () => {
  test('large groups are shown as they are, and nobody as none', () => {
    expect(suppressSmall({ a: 12, b: 7, c: 0 })).toEqual({ counts: { a: 12, b: 7, c: 0 }, total: 19 })
  })
  test('a small group takes the next smallest with it, since the total would give it away', () => {
    expect(suppressSmall({ a: 12, b: 7, c: 2 })).toEqual({ counts: { a: 12, b: null, c: null }, total: 21 })
  })
  test('two small groups that add up to few take a third', () => {
    expect(suppressSmall({ a: 30, b: 10, c: 1, d: 2 })).toEqual({
      counts: { a: 30, b: null, c: null, d: null },
      total: 43,
    })
    expect(suppressSmall({ a: 30, b: 9, c: 4, d: 3 })).toEqual({ counts: { a: 30, b: 9, c: null, d: null }, total: 46 })
  })
  test('small groups that can only be as large as small ones get take another with them, or hide the total', () => {
    expect(suppressSmall({ a: 5, b: 4, c: 4 })).toEqual({ counts: { a: null, b: null, c: null }, total: 13 })
    expect(suppressSmall({ a: 30, b: 9, c: 4, d: 4 })).toEqual({
      counts: { a: 30, b: null, c: null, d: null },
      total: 47,
    })
    expect(suppressSmall({ a: 4, b: 4 })).toEqual({ counts: { a: null, b: null }, total: null })
  })
  test('few in all show nothing, not even how many', () => {
    expect(suppressSmall({ a: 3, b: 1 })).toEqual({ counts: { a: null, b: null }, total: null })
  })
  test('where everybody gave one answer it stands, and one small group alone hides the total', () => {
    expect(suppressSmall({ a: 8, b: 0 })).toEqual({ counts: { a: 8, b: 0 }, total: 8 })
  })
  test('no shown figures ever give a hidden one away', () => {
    for (let seed = 0; seed < 400; seed += 1) {
      const counts = Object.fromEntries(['a', 'b', 'c', 'd'].map((key, at) => [key, (seed * 7 + at * at * 13) % 11]))
      const shown = suppressSmall(counts)
      const hidden = Object.keys(counts).filter((key) => shown.counts[key] === null)
      const sum = hidden.reduce((all, key) => all + counts[key]!, 0)
      for (const [key, count] of Object.entries(counts))
        if (count > 0 && count < 5) expect([key, shown.counts[key]]).toEqual([key, null])
      if (shown.total === null || hidden.length === 0) continue
      // Every way the hidden ones could be small: each of them has to be able to be more than one number, if any way fits.
      const ways = hidden.reduce<number[][]>(
        (all) => all.flatMap((way) => [1, 2, 3, 4].map((count) => [...way, count])),
        [[]],
      )
      const fitting = ways.filter((way) => way.reduce((all, count) => all + count, 0) === sum)
      hidden.forEach((key, at) => {
        const could = new Set(fitting.map((way) => way[at]))
        expect([seed, key, could.size === 0 || could.size >= 2]).toEqual([seed, key, true])
      })
    }
  })
})
