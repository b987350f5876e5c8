import fc from 'fast-check'
import type { Decision } from '../comparison/proposeDecision'
import { standingOf, takesSecond, type View } from './secondPerson'

const decision = fc.constantFrom<Decision>('confirmed', 'confirmed with a note', 'contradicted', 'unconfirmable')
const views = fc
  .tuple(decision, decision, decision)
  .map((said) => said.map((one, nth): View => ({ by: `p${nth}`, decision: one })))

test('one view waits for a second, two that differ for a third', () => {
  expect(standingOf([])).toEqual({ state: 'second' })
  expect(standingOf([{ by: 'a', decision: 'contradicted' }])).toEqual({ state: 'second' })
  expect(
    standingOf([
      { by: 'a', decision: 'contradicted' },
      { by: 'b', decision: 'confirmed' },
    ]),
  ).toEqual({ state: 'third' })
})

test('it does not matter which of two people was first', () => {
  fc.assert(
    fc.property(views, ([one, other, third]) => {
      expect(standingOf([one!, other!])).toEqual(standingOf([other!, one!]))
      expect(standingOf([one!, other!, third!])).toEqual(standingOf([other!, one!, third!]))
    }),
  )
})

test('what is agreed was said by somebody, and three always come to something', () => {
  fc.assert(
    fc.property(views, (all) => {
      const standing = standingOf(all)
      expect(standing.state).toBe('agreed')
      if (standing.state === 'agreed') expect(all.map((view) => view.decision)).toContain(standing.decision)
    }),
  )
})

test.each<[Decision, boolean, boolean]>([
  ['contradicted', false, true],
  ['confirmed', true, true],
  ['confirmed with a note', true, true],
  ['confirmed', false, false],
  ['unconfirmable', true, false],
])('%s, flagged %s: takes a second person %s', (said, flagged, takes) => expect(takesSecond(said, flagged)).toBe(takes))
