import fc from 'fast-check'
import { anEmptyFile, aRequirement } from '../../test/requirements'
import { evaluate } from './evaluate'
import { decisionOn, type MatterFact, type MatterOutcome, matterOutcomes, tallyOf, type Vote } from './matter'

const matter = (over: Partial<MatterFact> = {}): MatterFact => ({
  ...{ question: 'dismissed', answer: 'yes', explanation: 'In 2019, for lateness.', outcome: 'no bearing' },
  ...{ decidedOn: '2026-03-03', own: true },
  ...over,
})
const rule = aRequirement({ kind: 'declaration', question: 'dismissed', mustBe: 'no' })
const judged = (matters: MatterFact[], explanation = 'In 2019, for lateness.') => {
  const answers = { dismissed: 'yes', 'dismissed.because': explanation }
  return evaluate([rule], anEmptyFile({ answers, matters }))[0]!
}
const code = (matters: MatterFact[], explanation?: string) => judged(matters, explanation).reason.code

test('what was declared waits for a person until it is decided, and then goes by what was decided', () => {
  expect(code([])).toBe('answer-other')
  expect(judged([matter()])).toMatchObject({ state: 'met', reason: { code: 'matter-settled', on: '2026-03-03' } })
  expect(judged([matter({ outcome: 'conditions' })])).toMatchObject({
    state: 'met',
    reason: { code: 'matter-conditions' },
  })
  expect(judged([matter({ outcome: 'refused' })])).toMatchObject({ state: 'unmet', reason: { code: 'matter-refused' } })
})

test('an earlier decision is remembered where nothing new is declared, and only one that it made no difference', () => {
  expect(code([matter({ own: false })])).toBe('matter-settled')
  expect(code([matter({ own: false })], 'In 2019, and again in 2025.')).toBe('answer-other')
  expect(code([matter({ own: false, outcome: 'conditions' })])).toBe('answer-other')
  expect(code([matter({ own: false, outcome: 'refused' })])).toBe('answer-other')
  expect(code([matter({ own: false }), matter({ outcome: 'refused' })])).toBe('matter-refused')
})

test('what is declared otherwise after the decision is another matter', () => {
  expect(code([matter()], 'Something else.')).toBe('answer-other')
  expect(decisionOn([matter({ question: 'withdrawn' })], matter())).toBeUndefined()
})

test('nothing is decided by whoever is no decider, and together only where all say the same', () => {
  const vote = fc.record({
    by: fc.constantFrom('a', 'b', 'c', 'stranger'),
    outcome: fc.constantFrom(...matterOutcomes),
  })
  fc.assert(
    fc.property(fc.array(vote, { maxLength: 8 }), (cast) => {
      const votes = [...new Map(cast.map((one: Vote) => [one.by, one])).values()]
      const said = new Set(votes.filter(({ by }) => by !== 'stranger').map(({ outcome }) => outcome))
      const present = ['a', 'b', 'c'].filter((one) => votes.some(({ by }) => by === one)).length
      const { state } = tallyOf(votes, ['a', 'b', 'c'], true)
      expect(state === 'decided').toBe(said.size === 1 && present === 3)
      expect(state === 'split').toBe(said.size > 1)
    }),
  )
})

test.each<[string, [string, MatterOutcome][], boolean, string]>([
  [
    'one of several is enough, and the newest word counts',
    [
      ['a', 'no bearing'],
      ['b', 'refused'],
    ],
    false,
    'refused',
  ],
  ['the first of two waits for the second', [['a', 'no bearing']], true, 'waiting'],
  [
    'two who differ have to agree',
    [
      ['a', 'no bearing'],
      ['b', 'refused'],
    ],
    true,
    'split',
  ],
  [
    'two who agree have decided',
    [
      ['a', 'conditions'],
      ['b', 'conditions'],
    ],
    true,
    'conditions',
  ],
])('%s', (_, cast, together, expected) => {
  const tally = tallyOf(
    cast.map(([by, outcome]) => ({ by, outcome })),
    ['a', 'b'],
    together,
  )
  expect(tally.state === 'decided' ? tally.outcome : tally.state).toBe(expected)
})
