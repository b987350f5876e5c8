import fc from 'fast-check'
import { lookalikePeople, samePeople } from '../../test/lookalikePeople'
import { compareNames } from './names'

const pairs = lookalikePeople()

test('no two people who could be taken for each other come out the same', () => {
  expect(pairs.length).toBeGreaterThanOrEqual(500)
  const taken = pairs.filter(({ one, other }) => ['same', 'equivalent'].includes(compareNames(one, other).verdict))
  expect(taken).toEqual([])
})

test('what is different says why, and where', () => {
  const silent = pairs
    .map(({ one, other }) => ({ one, other, ...compareNames(one, other) }))
    .filter(({ verdict, reasons }) => verdict === 'different' && reasons.length === 0)
  expect(silent).toEqual([])
})

test.each(samePeople)('%s is %s', (one, other) => {
  expect(compareNames(one, other).verdict).toBe('equivalent')
})

test('it does not matter who is compared with whom', () => {
  for (const [one, other] of [...samePeople, ...pairs.map((pair) => [pair.one, pair.other] as const)])
    expect([one, other, compareNames(other, one).verdict]).toEqual([one, other, compareNames(one, other).verdict])
  const part = fc.constantFrom(
    ...pairs.slice(0, 120).flatMap(({ one, other }) => [...one.split(' '), ...other.split(' ')]),
  )
  const name = fc.array(part, { minLength: 1, maxLength: 4 }).map((parts) => parts.join(' '))
  fc.assert(
    fc.property(name, name, (a, b) => {
      expect(compareNames(b, a).verdict).toBe(compareNames(a, b).verdict)
    }),
    { numRuns: 500 },
  )
})
