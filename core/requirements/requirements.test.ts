import fc from 'fast-check'
import { anEmptyFile } from '../../test/requirements'
import { partialDate } from '../dates/partialDate'
import { outcomeWords } from '../words/outcomes'
import { paperWords, requirementSentence } from '../words/requirements'
import { evaluate, openAt } from './evaluate'
import type { ClaimFacts, FileFacts, Requirement } from './requirement'

const file = anEmptyFile
const requirement = (over: Partial<Requirement> = {}): Requirement => ({
  key: 'degree',
  title: 'Degree',
  why: '',
  gate: 'offer',
  asks: { kind: 'study', levelAtLeast: 6, fields: ['0713'] },
  rung: 'confirmed',
  waivableBy: [],
  ...over,
})
const degree = (over: Partial<ClaimFacts> = {}): ClaimFacts => ({
  id: 'c1',
  kind: 'study',
  label: 'MSc',
  rung: 'claimed',
  paper: 'none',
  enquiry: 'none',
  level: 7,
  field: '0713',
  source: 'Institut',
  ...over,
})
const one = (rule: Requirement, facts: FileFacts) => evaluate([rule], facts)[0]!
const stepsOf = (over: Partial<ClaimFacts>) => {
  const outcome = one(requirement(), file({ claims: [degree(over)] }))
  return [outcome.state, outcome.reason.code, outcome.steps.map(({ what }) => what).join(' ')]
}

describe('a claim on its way up the ladder', () => {
  test.each([
    [{}, ['unmet', 'paper-missing', 'upload look ask reply compare']],
    [{ paper: 'to look at' }, ['unmet', 'paper-to-look-at', 'look ask reply compare']],
    [{ paper: 'sent back' }, ['unmet', 'paper-sent-back', 'upload look ask reply compare']],
    [{ paper: 'seen', rung: 'evidenced' }, ['unmet', 'to-ask', 'ask reply compare']],
    [{ paper: 'seen', rung: 'asked', enquiry: 'open' }, ['unmet', 'asked', 'reply compare']],
    [{ paper: 'seen', rung: 'asked', enquiry: 'answered' }, ['unmet', 'reply-in', 'compare']],
    [{ paper: 'seen', rung: 'confirmed' }, ['met', 'met', '']],
    [{ paper: 'seen', rung: 'contradicted' }, ['unmet', 'contradicted', 'decide']],
    [{ paper: 'seen', rung: 'unconfirmable' }, ['unmet', 'unconfirmable', 'decide']],
    [{ rung: 'waived' }, ['met', 'met', '']],
  ] as [Partial<ClaimFacts>, string[]][])('%j is %j', (over, expected) => expect(stepsOf(over)).toEqual(expected))

  test('a degree of another field or too low a level does not count', () => {
    for (const over of [{ field: '1041' }, { level: 5 }]) {
      expect(one(requirement(), file({ claims: [degree({ rung: 'confirmed', ...over })] })).reason.code).toBe(
        'nothing-claimed',
      )
    }
  })

  test('of several claims the furthest counts', () => {
    const claims = [degree(), degree({ id: 'c2', rung: 'confirmed', label: 'BSc' })]
    expect(one(requirement(), file({ claims }))).toMatchObject({ state: 'met', reason: { claim: 'BSc' } })
  })
})

describe('validity', () => {
  const height = requirement({
    key: 'height',
    asks: { kind: 'credential', credential: 'work-at-height' },
    gate: 'start',
    validStartPlusDays: 30,
  })
  const certificate = degree({
    kind: 'certificate',
    credential: 'work-at-height',
    rung: 'confirmed',
    label: 'Work at height',
  })

  test('a certificate that lapses four days after the start is confirmed, and still unmet', () => {
    const outcome = one(height, file({ claims: [{ ...certificate, term: { through: partialDate('2027-01-15') } }] }))
    expect(outcome).toMatchObject({ state: 'unmet', reason: { code: 'lapses-early', shortBy: 26 }, claims: ['c1'] })
    expect(outcome.steps[0]).toEqual({ who: 'candidate', what: 'renew' })
    expect(outcomeWords(outcome)).toBe('Work at height lapses 15 Jan 2027, 26 days short of 10 Feb 2027.')
  })

  test('does not expire holds; nobody having said is undecided', () => {
    expect(one(height, file({ claims: [{ ...certificate, term: { through: 'does not expire' } }] })).state).toBe('met')
    expect(one(height, file({ claims: [certificate] })).state).toBe('undecided')
  })
})

describe('conditions, exemptions, waivers and alternatives', () => {
  const ropes = requirement({ when: { fact: 'ropes', is: 'yes' } })

  test('an unanswered condition is undecided and says what would decide it', () => {
    expect(one(ropes, file())).toMatchObject({ state: 'undecided', reason: { deciding: ['ropes'] } })
    expect(one(ropes, file({ answers: { ropes: 'no' } })).state).toBe('not needed')
    expect(one(ropes, file({ answers: { ropes: 'yes' } })).state).toBe('unmet')
  })

  test('an exemption is a rule, a waiver a person; both are said', () => {
    const exempt = requirement({
      exempt: { when: { fact: 'returning', is: 'yes' }, because: 'you left less than a year ago' },
    })
    expect(one(exempt, file({ answers: { returning: 'yes' } })).reason.code).toBe('exempt')
    const waived = one(
      requirement(),
      file({ waivers: [{ requirement: 'degree', by: 'Ada', reason: 'Taught the subject' }] }),
    )
    expect([waived.state, outcomeWords(waived)]).toEqual(['not needed', 'Waived by Ada: Taught the subject'])
  })

  const rules = [
    requirement(),
    requirement({
      key: 'aid',
      asks: { kind: 'credential', credential: 'first-aid' },
      alternatives: [{ kind: 'credential', credential: 'medical' }],
      rung: 'evidenced',
      gate: 'start',
    }),
    requirement({
      key: 'history',
      asks: { kind: 'history', years: 5, toleratedGapDays: 30 },
      rung: 'claimed',
      gate: 'send',
    }),
    requirement({ key: 'sign', asks: { kind: 'permission' }, rung: 'claimed', gate: 'send' }),
  ]

  test('a waiver changes no other requirement', () => {
    fc.assert(
      fc.property(
        fc.subarray(rules.map(({ key }) => key)),
        fc.constantFrom(...rules.map(({ key }) => key)),
        (given, more) => {
          const waived = (keys: string[]) =>
            file({ waivers: keys.map((key) => ({ requirement: key, by: 'x', reason: 'y' })) })
          const before = evaluate(rules, waived(given)).filter((outcome) => outcome.requirement !== more)
          expect(evaluate(rules, waived([...given, more])).filter((outcome) => outcome.requirement !== more)).toEqual(
            before,
          )
        },
      ),
    )
  })

  test('alternatives do in either order', () => {
    const claims = [degree({ kind: 'certificate', credential: 'medical', paper: 'seen', rung: 'evidenced' })]
    const swapped = { ...rules[1]!, asks: rules[1]!.alternatives![0]!, alternatives: [rules[1]!.asks] }
    expect(one(rules[1]!, file({ claims })).state).toBe('met')
    expect(one(swapped, file({ claims })).state).toBe('met')
  })
})

test('a gate is shut by its own and every earlier open requirement', () => {
  const rules = [requirement(), requirement({ key: 'sign', gate: 'send', asks: { kind: 'permission' } })]
  const open = (gate: 'send' | 'offer') => openAt(evaluate(rules, file()), gate).map((outcome) => outcome.requirement)
  expect(open('send')).toEqual(['sign'])
  expect(open('offer')).toEqual(['degree', 'sign'])
})

test('a gap in the history is unmet with its days', () => {
  const rule = requirement({ asks: { kind: 'history', years: 5, toleratedGapDays: 30 } })
  const job = (from: string, to: string) =>
    degree({
      kind: 'work',
      entry: { id: from, from: partialDate(from), to: to === 'present' ? to : partialDate(to), tags: [] },
    })
  const outcome = one(rule, file({ claims: [job('2019-01-01', '2023-01-31'), job('2023-05-30', 'present')] }))
  expect(outcome.reason).toEqual({
    code: 'gaps',
    days: 118,
    count: 1,
    first: { from: '2023-02-01', through: '2023-05-29' },
  })
})

test('a requirement reads as a sentence, and names its paper', () => {
  expect(requirementSentence(requirement())).toBe(
    'A degree or diploma at the level of bachelor or above in electricity and energy, confirmed by whoever issued it, before an offer.',
  )
  expect(paperWords(requirement())).toMatch(/^The degree certificate: PDF/)
  expect(paperWords(requirement({ asks: { kind: 'permission' }, rung: 'claimed' }))).toBeUndefined()
})
