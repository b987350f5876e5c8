import fc from 'fast-check'
import { aSchedule } from '../../test/fees'
import { aRequirement } from '../../test/requirements'
import { faultsOfRules } from '../rules/faults'
import { type Rules, schedulesIn } from '../rules/rules'
import { rulesFaultWords } from '../words/rules'
import { gatesFor, reachOf, rungsFor, withinReach } from './reach'
import { type Ask, gates, type Requirement } from './requirement'

const asks: Record<Ask['kind'], Ask> = {
  answer: { kind: 'answer', question: 'winter' },
  declaration: { kind: 'declaration', question: 'winter', mustBe: 'yes' },
  study: { kind: 'study', levelAtLeast: 6 },
  credential: { kind: 'credential', credential: 'medical' },
  language: { kind: 'language', language: 'de', level: 'B1' },
  age: { kind: 'age', question: 'born', least: 18 },
  history: { kind: 'history', years: 3, toleratedGapDays: 30 },
  experience: { kind: 'experience', months: 12, tags: [] },
  'every work entry': { kind: 'every work entry' },
  'skills check': { kind: 'skills check', check: 'isolation' },
  permission: { kind: 'permission' },
  identity: { kind: 'identity' },
  vouching: { kind: 'vouching', count: 1 },
  document: { kind: 'document', question: 'winter' },
  reference: { kind: 'reference', count: 1 },
  fee: { kind: 'fee', schedule: 'fees' },
  'offer accepted': { kind: 'offer accepted' },
  'onboarding task': { kind: 'onboarding task', task: 'handbook' },
  recipients: { kind: 'recipients', question: 'recipients', required: true, recipients: [] },
  'source condition': { kind: 'source condition', claim: 'degree', of: 'study', condition: 'form' },
}
const rulesWith = (requirement: Requirement): Rules => ({
  form: (['study', 'work', 'credentials', 'identity', 'vouching', 'permission', 'questions', 'send'] as const).map(
    (holds) => ({
      key: holds,
      title: holds,
      heading: '',
      intro: '',
      holds,
      questions:
        holds === 'questions'
          ? [
              { key: 'winter', label: 'Winter?', kind: 'yes or no' as const, required: true },
              { key: 'born', label: 'Born', kind: 'date' as const, required: true },
            ]
          : [],
    }),
  ),
  requirements: [requirement],
  onboarding: [{ key: 'handbook', title: 'Handbook', text: 'Read it.' }],
  ...(schedulesIn(requirement).length > 0 ? { fees: [aSchedule()] } : {}),
})
const faultsOf = (requirement: Requirement) =>
  faultsOfRules(rulesWith(requirement), { isolation: 'Isolation' }).map(({ code }) => code)
const rule = (kind: Ask['kind'], over: Partial<Requirement>) => aRequirement(asks[kind], { rung: 'claimed', ...over })

test.each<[Ask['kind'], Partial<Requirement>, string[]]>([
  ['offer accepted', { gate: 'offer' }, ['gate-too-early']],
  ['offer accepted', { gate: 'start' }, []],
  ['onboarding task', { gate: 'shortlist' }, ['gate-too-early']],
  ['skills check', { gate: 'send' }, ['gate-too-early']],
  ['skills check', { gate: 'shortlist' }, []],
  ['fee', { gate: 'send' }, ['gate-too-early']],
  ['reference', { gate: 'send' }, ['gate-too-early']],
  ['study', { gate: 'send', rung: 'confirmed' }, ['rung-out-of-reach']],
  ['study', { gate: 'send', rung: 'evidenced' }, ['rung-out-of-reach']],
  ['study', { gate: 'send', paper: true }, []],
  ['study', { gate: 'shortlist', rung: 'confirmed' }, []],
  ['identity', { gate: 'start', rung: 'confirmed' }, ['rung-out-of-reach']],
  ['identity', { gate: 'start', rung: 'evidenced' }, []],
  ['document', { gate: 'offer', rung: 'confirmed' }, ['rung-out-of-reach']],
  ['permission', { gate: 'send', rung: 'confirmed' }, ['rung-out-of-reach']],
  ['study', { gate: 'offer', validStartPlusDays: 30 }, ['does-not-last']],
  ['credential', { gate: 'offer', validStartPlusDays: 30 }, []],
  ['vouching', { gate: 'send' }, []],
  ['language', { gate: 'start', rung: 'confirmed', certified: { forms: ['notarised'] } }, []],
  ['age', { gate: 'send', certified: { forms: ['certified copy'] } }, ['no-certified']],
  ['age', { asks: { kind: 'age', question: 'born' } }, ['no-age']],
  ['age', { asks: { kind: 'age', question: 'born', least: 30, most: 20 } }, ['no-age']],
  ['age', { asks: { kind: 'age', question: 'winter', least: 18 } }, ['unknown-question']],
  ['language', { asks: { kind: 'language', language: 'xx', level: 'B1' } }, ['unknown-language']],
  [
    'credential',
    { asks: { kind: 'credential', credential: 'medical', atLeast: { field: 'cover', amount: 1 } } },
    ['unknown-amount'],
  ],
])('%s %j: %j', (kind, over, codes) => expect(faultsOf(rule(kind, over))).toEqual(codes))

test('another way that nobody can go is a fault as well, and one without proof does beside one with', () => {
  const alternatives = (...kinds: Ask['kind'][]) => kinds.map((kind) => asks[kind])
  expect(faultsOf(rule('study', { gate: 'send', alternatives: alternatives('skills check') }))).toEqual([
    'gate-too-early',
  ])
  expect(
    faultsOf(rule('study', { gate: 'offer', rung: 'confirmed', alternatives: alternatives('skills check') })),
  ).toEqual([])
})

test('an answer that a question does not have can never be given', () => {
  const asked = aRequirement({ kind: 'declaration', question: 'winter', mustBe: 'perhaps' }, { rung: 'claimed' })
  expect(faultsOf(asked)).toEqual(['never-answered-so'])
})

const requirements = fc
  .record({
    asks: fc.constantFrom(...Object.values(asks)),
    alternatives: fc.oneof(fc.constant(undefined), fc.array(fc.constantFrom(...Object.values(asks)), { maxLength: 2 })),
    gate: fc.constantFrom(...gates),
    rung: fc.constantFrom('claimed' as const, 'evidenced' as const, 'confirmed' as const),
    paper: fc.boolean(),
    validStartPlusDays: fc.constantFrom(undefined, 30),
  })
  .map(({ asks: ask, ...over }) => aRequirement(ask, over))

test('what is brought within reach has no fault of reach, and stays as it is from then on', () => {
  fc.assert(
    fc.property(requirements, (requirement) => {
      const reached = withinReach(requirement)
      // Asks that share no rung, such as a study and a paper of identity both confirmed, are told, not mended.
      fc.pre(rungsFor([reached.asks, ...(reached.alternatives ?? [])], reached.gate).includes(reached.rung))
      expect(faultsOf(reached).filter((code) => code !== 'does-not-last')).toEqual([])
      expect(withinReach(reached)).toEqual(reached)
    }),
  )
})

test('every kind has a gate and a rung, and every fault says how to put it right', () => {
  for (const [kind, ask] of Object.entries(asks) as [Ask['kind'], Ask][]) {
    expect(gatesFor([ask]).at(-1)).toBe('start')
    expect(rungsFor([ask], 'start')).toEqual(reachOf[kind].rungs)
    for (const fault of faultsOfRules(rulesWith(rule(kind, { gate: 'send', rung: 'confirmed' })), {}))
      expect(rulesFaultWords(fault, rulesWith(rule(kind, {})))).toMatch(/^[A-Z].*\.$/)
  }
})
