import fc from 'fast-check'
import type { QuotedLine } from './quote'
import { partOfLines, partsByLine } from './split'

const line = (key: string, amount: number): QuotedLine => {
  const range = { least: amount, most: amount }
  return { key, state: 'charged', ...range, full: range, because: { code: 'fixed' }, deciding: [] }
}
const quoted = fc
  .array(fc.integer({ min: 0, max: 1_000_000 }), { minLength: 1, maxLength: 6 })
  .map((amounts) => ({ lines: amounts.map((amount, nth) => line(`l${nth}`, amount)) }))
const sumOf = (parts: Record<string, number>) => Object.values(parts).reduce((all, part) => all + part, 0)

test('the parts of the lines add up to the total, whatever taxes or a maximum have made of it', () => {
  fc.assert(
    fc.property(quoted, fc.integer({ min: 0, max: 5_000_000 }), (quote, total) => {
      const parts = partsByLine(quote, total)
      const charged = quote.lines.some(({ least }) => least > 0)
      expect(sumOf(parts)).toBe(charged ? total : 0)
      expect(Object.values(parts).every((part) => part >= 0)).toBe(true)
    }),
  )
})

test('some of the lines come to their parts, named twice too; all of them to the total', () => {
  fc.assert(
    fc.property(quoted, fc.integer({ min: 1, max: 5_000_000 }), fc.nat(), (quote, total, nth) => {
      const keys = quote.lines.map(({ key }) => key)
      const one = keys[nth % keys.length]!
      const others = keys.filter((key) => key !== one)
      const part = partOfLines(quote, total, [one, one])
      expect(part).toBe(partsByLine(quote, total)[one])
      const charged = quote.lines.some(({ least }) => least > 0)
      expect(part + partOfLines(quote, total, others)).toBe(charged ? total : 0)
      expect(partOfLines(quote, total, null)).toBe(total)
    }),
  )
})

test('a line without an amount has no part, and what is no line adds nothing', () => {
  const quote = { lines: [line('exam', 4500), line('gift', 0)] }
  expect(partsByLine(quote, 5400)).toEqual({ exam: 5400, gift: 0 })
  expect(partOfLines(quote, 5400, ['gift', 'nobody'])).toBe(0)
})
