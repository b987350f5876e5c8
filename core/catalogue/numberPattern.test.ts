import { numberIs, numberRule } from './numberPattern'

test.each([
  ['HV-[1-4]-#####', 'HV-2-57733', true],
  ['HV-[1-4]-#####', ' hv-4-00000 ', true],
  ['HV-[1-4]-#####', 'HV-5-57733', false],
  ['HV-[1-4]-#####', 'HV-2-577330', false],
  ['##.##', '12.34', true],
  ['##.##', '12x34', false],
  ['A+#(b)', 'A+7(b)', true],
  ['A+#(b)', 'AA7b', false],
  ['@@-##', 'ÄB-12', true],
  ['@@-##', '1B-12', false],
  ['**', 'a1', true],
  ['**', 'a-', false],
  ['[A-CX]#', 'X1', true],
  ['[A-CX]#', 'D1', false],
  ['##, ###', '123', true],
  ['##, ###', '1234', false],
])('of the pattern %s, %s: %s', (pattern, number, fits) => expect(numberIs(pattern, number)).toBe(fits))

test.each(['', ' ', '##,', '[', '[]', 'A]', '[[1]]', '[9-1]', '[a-]', '[^a]'])('%j is no pattern', (pattern) => {
  expect(numberRule(pattern)).toBeUndefined()
  expect(numberIs(pattern, 'anything')).toBe(true)
})

test('no pattern takes longer than a number is long', () => {
  const timeOf = (length: number) => {
    const started = performance.now()
    expect(numberIs(`${'*'.repeat(60)}, ${'[a-z]'.repeat(60)}`, `${'a'.repeat(length)}!`)).toBe(false)
    return performance.now() - started
  }
  const least = (length: number) => Math.min(...Array.from({ length: 5 }, () => timeOf(length)))
  expect(least(64_000)).toBeLessThan(100 * Math.max(least(1_000), 1))
})
