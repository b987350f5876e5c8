import fc from 'fast-check'
import { Temporal } from 'temporal-polyfill'
import { mondayToFriday } from '../calendar/workingDays'
import { workingDayTable } from '../calendar/workingDayTable'
import { partialDate } from '../dates/partialDate'
import { chainsOf } from '../forecast/chains'
import { forecast } from '../forecast/forecast'
import { evaluate, openAt, upToGate } from './evaluate'
import { type Ask, type ClaimFacts, type FileFacts, gates, type Requirement, rungs } from './requirement'

/** What holds of every file and every set of rules, whatever they are. */

const credentials = ['rope-access', 'first-aid', 'medical'] as const
const ask: fc.Arbitrary<Ask> = fc.oneof(
  fc.record({ kind: fc.constant('study' as const), levelAtLeast: fc.integer({ min: 5, max: 8 }) }),
  fc.record({ kind: fc.constant('credential' as const), credential: fc.constantFrom(...credentials) }),
  fc.record({ kind: fc.constant('reference' as const), count: fc.integer({ min: 1, max: 3 }) }),
  fc.record({ kind: fc.constant('answer' as const), question: fc.constantFrom('winter', 'permit') }),
  fc.constant<Ask>({ kind: 'declaration', question: 'permit', mustBe: 'yes' }),
  fc.constant<Ask>({ kind: 'every work entry' }),
  fc.constant<Ask>({ kind: 'history', years: 3, toleratedGapDays: 30 }),
  fc.constant<Ask>({ kind: 'skills check', check: 'isolation' }),
  fc.constant<Ask>({ kind: 'permission' }),
  fc.constant<Ask>({ kind: 'offer accepted' }),
)
const rule: fc.Arbitrary<Requirement> = fc.record({
  key: fc.uuid(),
  title: fc.constant('T'),
  why: fc.constant(''),
  gate: fc.constantFrom(...gates),
  asks: ask,
  alternatives: fc.oneof(fc.constant(undefined), fc.array(ask, { minLength: 1, maxLength: 2 })),
  rung: fc.constantFrom('claimed' as const, 'evidenced' as const, 'confirmed' as const),
  paper: fc.boolean(),
  validStartPlusDays: fc.constantFrom(undefined, 0, 30),
  waivableBy: fc.constant([]),
})
const rules = fc.uniqueArray(rule, { selector: ({ key }) => key, maxLength: 6 })

const year = fc.integer({ min: 2015, max: 2026 }).map(String)
const claim: fc.Arbitrary<ClaimFacts> = fc
  .record({
    id: fc.uuid(),
    kind: fc.constantFrom('study' as const, 'licence' as const, 'work' as const),
    rung: fc.constantFrom(...rungs),
    paper: fc.constantFrom('none' as const, 'to look at' as const, 'seen' as const, 'sent back' as const),
    enquiry: fc.constantFrom('none' as const, 'open' as const, 'answered' as const),
    level: fc.integer({ min: 3, max: 8 }),
    credential: fc.constantFrom(...credentials),
    through: fc.constantFrom('2026-12', '2027-03-01', '2030'),
    from: year,
  })
  .map(({ kind, level, credential, through, from, ...claimed }) => ({
    ...claimed,
    kind,
    label: claimed.id.slice(0, 4),
    ...(kind === 'study' ? { level, field: '0713' } : {}),
    ...(kind === 'licence' ? { credential, term: { through: partialDate(through) } } : {}),
    ...(kind === 'work'
      ? { entry: { id: claimed.id, from: partialDate(from), to: 'present' as const, tags: ['employment'] } }
      : {}),
  }))
const file: fc.Arbitrary<FileFacts> = fc.record({
  today: fc.constant(Temporal.PlainDate.from('2026-11-24')),
  targetStart: fc.constant(Temporal.PlainDate.from('2027-01-11')),
  claims: fc.uniqueArray(claim, { selector: ({ id }) => id, maxLength: 5 }),
  answers: fc.record({ permit: fc.constantFrom('yes', 'no') }, { requiredKeys: [] }),
  skills: fc.constantFrom([], [{ check: 'isolation', state: 'marked' as const, percent: 80, passed: true }]),
  permissionSigned: fc.boolean(),
  offer: fc.constantFrom('none' as const, 'open' as const, 'accepted' as const, 'declined' as const),
  onboarding: fc.constant([]),
  waivers: fc.constant([]),
})

const holds = (property: (rules: Requirement[], file: FileFacts) => void) =>
  fc.assert(fc.property(rules, file, property), { numRuns: 300 })

test('every requirement has one outcome, in its order, and a step left exactly where something is open', () =>
  holds((asked, facts) => {
    const outcomes = evaluate(asked, facts)
    expect(outcomes.map(({ requirement }) => requirement)).toEqual(asked.map(({ key }) => key))
    for (const { state, steps } of outcomes)
      expect([state, steps.length > 0]).toEqual([state, state === 'unmet' || state === 'undecided'])
  }))

test('nothing changes by being judged twice, and the file stays as it was', () =>
  holds((asked, facts) => {
    const before = JSON.stringify(facts)
    expect(evaluate(asked, facts)).toEqual(evaluate(asked, facts))
    expect(JSON.stringify(facts)).toBe(before)
  }))

test('the order of claims decides nothing that is asked', () =>
  holds((asked, facts) => {
    const said = (outcomes: ReturnType<typeof evaluate>) => outcomes.map(({ state, steps }) => [state, steps.length])
    expect(said(evaluate(asked, { ...facts, claims: [...facts.claims].reverse() }))).toEqual(
      said(evaluate(asked, facts)),
    )
  }))

test('a way more never makes anything harder', () =>
  holds((asked, facts) => {
    const without = evaluate(
      asked.map((one) => ({ ...one, alternatives: undefined })),
      facts,
    )
    for (const [nth, outcome] of evaluate(asked, facts).entries()) {
      if (without[nth]!.state === 'met') expect(outcome.state).toBe('met')
      expect(outcome.steps.length).toBeLessThanOrEqual(without[nth]!.steps.length)
    }
  }))

test('asking for less proof never makes anything harder', () =>
  holds((asked, facts) => {
    const softer = evaluate(
      asked.map((one) => ({ ...one, rung: 'claimed', paper: false })),
      facts,
    )
    for (const [nth, { state, steps }] of evaluate(asked, facts).entries()) {
      if (state === 'met') expect(softer[nth]!.state).toBe('met')
      expect(softer[nth]!.steps.length).toBeLessThanOrEqual(steps.length)
    }
  }))

test('a later gate is never more open than an earlier one', () =>
  holds((asked, facts) => {
    const outcomes = evaluate(asked, facts)
    const shut = gates.map((gate) => openAt(outcomes, gate).length)
    expect([...shut].sort((a, b) => a - b)).toEqual(shut)
    expect(upToGate(outcomes, 'start')).toHaveLength(outcomes.length)
  }))

test('whoever has nothing open is ready today, and nobody is ready before', () =>
  holds((asked, facts) => {
    const outcomes = evaluate(asked, facts)
    const judged = { outcomes, requirements: asked, claims: facts.claims }
    const chains = chainsOf(judged, { calendar: 'ours', ours: {}, claims: new Map() })
    const calendars = new Map([['ours', workingDayTable(facts.today, mondayToFriday)]])
    const { early, likely, late, heldUpBy } = forecast({ chains, calendars }, { start: 0, seed: 'a file' })
    expect([0, early, likely, late]).toEqual([0, early, likely, late].sort((a, b) => a - b))
    if (openAt(outcomes, 'start').length === 0) expect([late, heldUpBy]).toEqual([0, null])
    else {
      // Of several jobs that one requirement asks of, each has steps of its own.
      const own = chains.filter(({ requirement }) => requirement === heldUpBy?.requirement)
      expect(own.flatMap(({ tasks }) => tasks.map(({ step }) => step))).toContainEqual(heldUpBy?.step)
      expect(openAt(outcomes, 'start').map(({ requirement }) => requirement)).toContain(heldUpBy?.requirement)
    }
  }))
