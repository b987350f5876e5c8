import fc from 'fast-check'
import { kaplanMeier } from '../turnaround/kaplanMeier'
import { drawsOf, runs } from './draws'
import { type Duration, daysUntil } from './duration'

const assumed: Duration = { kind: 'assumed', early: 3, likely: 8, late: 20, waited: 0 }
const measured = (waited: number): Duration => ({
  ...{ kind: 'measured', in: 'days', waited },
  curve: kaplanMeier([2, 5, 9, 30].map((days) => ({ days, ended: true }))),
})
const sorted = (days: Int16Array) => [...days].sort((a, b) => a - b)

test.each([
  ['assumed', assumed],
  ['measured', measured(0)],
  ['measured, six days on', measured(6)],
])('each slice of a duration that is %s is drawn once, in some order', (_, took) => {
  const days = daysUntil(took)
  const slices = Array.from({ length: runs }, (_, nth) => days((nth + 0.5) / runs))
  const drawn = drawsOf('a file')('a claim', took)
  expect(sorted(drawn)).toEqual(slices)
  expect([...drawn]).not.toEqual(slices)
})

test('the same work is drawn at the same places, from whatever it is drawn', () => {
  const draws = drawsOf('a file')
  const [one, other] = [draws('a claim', assumed), draws('a claim', measured(0))]
  const byOther = [...other].map((_, run) => run).sort((a, b) => other[a]! - other[b]!)
  const again = byOther.map((run) => one[run]!)
  // Where the one is longer, the other is not shorter.
  const places = [0, 1, 2, 3].map((quarter) => again.slice(quarter * 100, quarter * 100 + 100))
  for (const [nth, place] of places.slice(1).entries())
    expect(Math.min(...place)).toBeGreaterThanOrEqual(Math.max(...places[nth]!))
})

test('a seed is repeatable, and neither another file nor another work has to do with it', () => {
  const drawn = (seed: string, work: string) => drawsOf(seed)(work, assumed)
  expect(drawn('a', 'x')).toEqual(drawn('a', 'x'))
  const covariance = (one: Int16Array, other: Int16Array) => {
    const mean = (days: Int16Array) => days.reduce((sum, day) => sum + day, 0) / runs
    const [a, b] = [mean(one), mean(other)]
    const spread = (days: Int16Array, about: number) =>
      Math.sqrt(days.reduce((sum, day) => sum + (day - about) ** 2, 0) / runs)
    return (
      one.reduce((sum, day, run) => sum + (day - a) * (other[run]! - b), 0) / runs / spread(one, a) / spread(other, b)
    )
  }
  const some = Array.from({ length: 60 }, (_, nth) => Math.abs(covariance(drawn('a', 'x'), drawn('a', `work ${nth}`))))
  // Of 400 independent draws the correlation is within 0.2 in all but one case of ten thousand.
  expect(Math.max(...some)).toBeLessThan(0.2)
  expect(Math.abs(covariance(drawn('a', 'x'), drawn('b', 'x')))).toBeLessThan(0.2)
})

test('however long something has lasted, what is drawn is whole days, none of them in the past', () =>
  fc.assert(
    fc.property(fc.nat(200), fc.boolean(), (waited, measures) => {
      const drawn = drawsOf('a file')('a claim', measures ? measured(waited) : { ...assumed, waited })
      expect(Math.min(...drawn)).toBeGreaterThanOrEqual(measures ? 1 : 0)
      expect(Math.max(...drawn)).toBeLessThanOrEqual(730)
    }),
  ))
