import { vallorneCatalogue } from '../../scenario/catalogue'
import { anEmptyFile, aRequirement } from '../../test/requirements'
import { goByCatalogue } from '../catalogue/catalogue'
import { partialDate } from '../dates/partialDate'
import { fileOfMadeUp } from '../rules/madeUp'
import { outcomeWords } from '../words/outcomes'
import { requirementSentence } from '../words/requirements'
import { evaluate } from './evaluate'
import type { Ask, ClaimFacts, Requirement } from './requirement'

beforeAll(() => goByCatalogue(vallorneCatalogue))

const claim = (over: Partial<ClaimFacts>): ClaimFacts => ({
  ...{ id: 'c', kind: 'certificate', label: 'It', rung: 'confirmed', paper: 'seen', enquiry: 'none' },
  ...over,
})
const judged = (asks: Ask, claims: ClaimFacts[], over: Partial<Requirement> = {}) =>
  evaluate([aRequirement(asks, over)], anEmptyFile({ claims }))[0]!

describe('cover for an amount', () => {
  const asks = {
    kind: 'credential',
    credential: 'guide-insurance',
    atLeast: { field: 'sum-insured', amount: 200_000_000 },
  } as const
  const cover = (amount: number, over: Partial<ClaimFacts> = {}) =>
    claim({ credential: 'guide-insurance', amounts: { 'sum-insured': amount }, ...over })

  test('enough is enough, to the cent', () => {
    expect(judged(asks, [cover(200_000_000)]).state).toBe('met')
    expect(judged(asks, [cover(199_999_999)])).toMatchObject({
      state: 'unmet',
      claims: ['c'],
      reason: { code: 'too-low' },
    })
    expect(judged(asks, [cover(1), cover(300_000_000, { id: 'd' })]).state).toBe('met')
    expect(judged(asks, [claim({ credential: 'guide-insurance' })]).reason.code).toBe('too-low')
  })

  test('it has to last as well, and what was waived is waived', () => {
    const term = { through: partialDate('2027-01-10') }
    expect(judged(asks, [cover(300_000_000, { term })], { validStartPlusDays: 0 }).reason.code).toBe('lapses-early')
    expect(judged(asks, [cover(1, { rung: 'waived' })]).state).toBe('met')
  })

  test('in words', () => {
    expect(requirementSentence(aRequirement(asks))).toMatch(
      /^Liability insurance for guiding for at least 2,000,000.00 EUR \(Sum insured\)/,
    )
    expect(outcomeWords(judged(asks, [cover(50_000_000)]))).toBe(
      'It is for 500,000.00 EUR (Sum insured); at least 2,000,000.00 EUR (Sum insured) is needed.',
    )
  })
})

test('a series that is not complete is not there yet, and says when the next step is due', () => {
  const asks = { kind: 'credential', credential: 'medical' } as const
  const open = { given: 1, of: 2, next: '2026-12-20' }
  const outcome = judged(asks, [claim({ credential: 'medical', seriesOpen: open })])
  expect(outcome).toMatchObject({ state: 'unmet', reason: { code: 'series-open' }, steps: [{ what: 'renew' }] })
  expect(outcomeWords(outcome)).toBe('It: 1 of 2 steps given. The next is due from 20 Dec 2026.')
  expect(judged(asks, [claim({ credential: 'medical' })]).state).toBe('met')
})

test('a language counts at its level or above', () => {
  const asks = { kind: 'language', language: 'de', level: 'B2' } as const
  const spoken = (level: 'B1' | 'B2' | 'C1', key = 'de') => claim({ kind: 'language', language: { key, level } })
  expect(judged(asks, [spoken('B2')]).state).toBe('met')
  expect(judged(asks, [spoken('C1')]).state).toBe('met')
  expect(judged(asks, [spoken('B1')]).reason.code).toBe('nothing-claimed')
  expect(judged(asks, [spoken('C1', 'fr')]).reason.code).toBe('nothing-claimed')
  expect(requirementSentence(aRequirement(asks))).toMatch(/^German at the level B2 or above/)
})

test('a second field does like the first, a minor only where the rule says so', () => {
  const asks = { kind: 'study', levelAtLeast: 6, fields: ['0713'] } as const
  const study = (as?: 'second field' | 'minor') =>
    claim({ kind: 'study', level: 7, field: '0715', ...(as ? { second: { field: '0713', as } } : {}) })
  expect(judged(asks, [study()]).state).toBe('unmet')
  expect(judged(asks, [study('second field')]).state).toBe('met')
  expect(judged(asks, [study('minor')]).state).toBe('unmet')
  expect(judged({ ...asks, minor: true }, [study('minor')]).state).toBe('met')
  expect(requirementSentence(aRequirement({ ...asks, minor: true }))).toContain(', also as a minor')
})

describe('a paper that somebody vouches for', () => {
  const asks = { kind: 'study', levelAtLeast: 6 } as const
  const rule = { rung: 'evidenced', certified: { forms: ['certified copy', 'notarised'], by: 'a notary' } } as const
  const study = claim({ kind: 'study', level: 7, rung: 'evidenced' })
  const vouched = (over: Partial<ClaimFacts> = {}) =>
    claim({
      id: 'a',
      kind: 'attestation',
      attests: { of: 'c', form: 'notarised' },
      label: 'Notarised',
      rung: 'evidenced',
      ...over,
    })

  test('is met by one in a form that is taken, once it was looked at', () => {
    expect(judged(asks, [study], rule)).toMatchObject({ reason: { code: 'not-certified' }, claims: ['c'] })
    expect(judged(asks, [study], rule).steps.map(({ what }) => what)).toEqual(['certify', 'look'])
    expect(judged(asks, [study, vouched()], rule).state).toBe('met')
    expect(judged(asks, [study, vouched({ paper: 'to look at', rung: 'claimed' })], rule)).toMatchObject({
      reason: { code: 'paper-to-look-at' },
      claims: ['a'],
    })
    const sworn = vouched({ attests: { of: 'c', form: 'sworn translation' } })
    expect(judged(asks, [study, sworn], rule).reason.code).toBe('not-certified')
    expect(judged(asks, [study, vouched({ attests: { of: 'other', form: 'notarised' } })], rule).reason.code).toBe(
      'not-certified',
    )
  })

  test('has whoever certified it asked where it has to be confirmed', () => {
    const confirmed = { ...rule, rung: 'confirmed' } as const
    const known = claim({ ...study, rung: 'confirmed' })
    expect(judged(asks, [known, vouched({ source: 'Notary Lind' })], confirmed).reason).toMatchObject({
      code: 'to-ask',
      source: 'Notary Lind',
    })
    expect(judged(asks, [known, vouched({ rung: 'confirmed' })], confirmed).state).toBe('met')
    expect(judged(asks, [known, vouched({ rung: 'contradicted' })], confirmed).reason.code).toBe('contradicted')
  })

  test('in words', () => {
    expect(requirementSentence(aRequirement(asks, rule))).toContain(
      ', as a certified copy or notarised paper by a notary',
    )
    expect(outcomeWords(judged(asks, [study], rule))).toMatch(
      /^It: it has to come as a certified copy or notarised paper/,
    )
  })
})

test('somebody made up holds enough, speaks what was ticked, and has their papers vouched for', () => {
  const day = anEmptyFile()
  const file = fileOfMadeUp(
    {
      ...{ answers: {}, checksPassed: [], permissionSigned: false, languages: [{ language: 'de', level: 'C1' }] },
      study: { level: 7, field: '0713', accredited: false, rung: 'confirmed' },
      credentials: [{ credential: 'guide-insurance', rung: 'confirmed', through: '' }],
    },
    [],
    day.today,
    day.targetStart,
  )
  const rules = [
    aRequirement({ kind: 'credential', credential: 'guide-insurance', atLeast: { field: 'sum-insured', amount: 9e9 } }),
    aRequirement({ kind: 'language', language: 'de', level: 'B2' }),
    aRequirement({ kind: 'study', levelAtLeast: 6 }, { rung: 'evidenced', certified: { forms: ['notarised'] } }),
  ]
  expect(evaluate(rules, file).map(({ state }) => state)).toEqual(['met', 'met', 'met'])
})
