import fc from 'fast-check'
import { competingEnds, type Stay } from './competingEnds'
import { kaplanMeier } from './kaplanMeier'

const ends = ['moved on', 'lost'] as const
type End = (typeof ends)[number]
const stay = (days: number, end: End | null): Stay<End> => ({ days, end })

test('by hand: four people, one of whom is still there', () => {
  const steps = competingEnds([stay(2, 'moved on'), stay(3, 'lost'), stay(4, null), stay(6, 'moved on')], ends)
  expect(steps).toEqual([
    { day: 2, atRisk: 4, ended: { 'moved on': 0.25, lost: 0 }, stays: 0.75 },
    { day: 3, atRisk: 3, ended: { 'moved on': 0.25, lost: 0.25 }, stays: 0.5 },
    { day: 6, atRisk: 1, ended: { 'moved on': 0.75, lost: 0.25 }, stays: 0 },
  ])
})

test('with nobody still there it is what became of each', () => {
  const last = competingEnds([stay(1, 'moved on'), stay(1, 'lost'), stay(5, 'lost')], ends).at(-1)!
  expect(last.ended['moved on']).toBeCloseTo(1 / 3, 12)
  expect(last.ended.lost).toBeCloseTo(2 / 3, 12)
})

test('shares add up to one, and whoever stays is what Kaplan and Meier say', () =>
  fc.assert(
    fc.property(
      fc.array(fc.record({ days: fc.nat(40), end: fc.constantFrom('moved on' as const, 'lost' as const, null) }), {
        minLength: 1,
        maxLength: 60,
      }),
      (stays) => {
        const steps = competingEnds(stays, ends)
        const { steps: waits } = kaplanMeier(stays.map(({ days, end }) => ({ days, ended: end !== null })))
        expect(steps.map(({ day }) => day)).toEqual(waits.map(({ day }) => day))
        steps.forEach(({ ended, stays: still }, nth) => {
          expect(ended['moved on'] + ended.lost + still).toBeCloseTo(1, 9)
          expect(still).toBeCloseTo(waits[nth]!.waits, 9)
        })
      },
    ),
  ))
