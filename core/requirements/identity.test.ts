import { anEmptyFile, aRequirement } from '../../test/requirements'
import { outcomeWords } from '../words/outcomes'
import { requirementSentence } from '../words/requirements'
import { evaluate } from './evaluate'
import type { ClaimFacts, PortraitFact, Requirement } from './requirement'

const passport = (portrait: PortraitFact | undefined, over: Partial<ClaimFacts> = {}): ClaimFacts => ({
  ...{ id: 'p', kind: 'identity', label: 'Passport', rung: 'evidenced', paper: 'seen', enquiry: 'none', portrait },
  ...over,
})
const rule = (over: Partial<Requirement> = {}) =>
  aRequirement({ kind: 'identity', portrait: true }, { rung: 'evidenced', paper: true, ...over })
const judged = (claims: ClaimFacts[], asked = rule()) => evaluate([asked], anEmptyFile({ claims }))[0]!
const stepsOf = (outcome: ReturnType<typeof judged>) => outcome.steps.map(({ who, what }) => `${who}: ${what}`)

test.each<[PortraitFact, string, string[]]>([
  ['none', 'portrait-none', ['candidate: take portrait', 'desk: look']],
  ['sent back', 'portrait-sent back', ['candidate: take portrait', 'desk: look']],
  ['to look at', 'portrait-to look at', ['desk: look']],
  ['other', 'portrait-other', ['desk: decide']],
])('a portrait that is %s leaves it unmet', (portrait, code, steps) => {
  const outcome = judged([passport(portrait)])
  expect(outcome).toMatchObject({ state: 'unmet', reason: { code }, claims: ['p'] })
  expect(stepsOf(outcome)).toEqual(steps)
  expect(outcomeWords(outcome)).toMatch(/^Passport: .*portrait/)
})

test('the same person meets it; without the rule no portrait is looked for', () => {
  expect(judged([passport('same')]).state).toBe('met')
  expect(judged([passport('none')], aRequirement({ kind: 'identity' }, { rung: 'evidenced' })).state).toBe('met')
})

test('whoever has shown two other papers needs none, and one identity of several does', () => {
  expect(judged([passport(undefined)]).state).toBe('met')
  expect(judged([passport('other'), passport('same', { id: 'q' })])).toMatchObject({ state: 'met', claims: ['q'] })
})

test('the portrait comes after the paper, in the steps too', () => {
  const outcome = judged([passport('none', { paper: 'none', rung: 'claimed' })])
  expect(outcome.reason.code).toBe('paper-missing')
  expect(stepsOf(outcome)).toEqual(['candidate: upload', 'desk: look', 'candidate: take portrait', 'desk: look'])
  expect(judged([]).reason.code).toBe('nothing-claimed')
})

test('where nobody has to look, having taken it is enough', () => {
  const claimed = rule({ rung: 'claimed' })
  expect(judged([passport('to look at')], claimed).state).toBe('met')
  expect(stepsOf(judged([passport('none')], claimed))).toEqual(['candidate: take portrait'])
})

test('the rule reads as a sentence', () => {
  expect(requirementSentence(rule())).toMatch(/^A paper of identity and a live portrait beside it/)
})
