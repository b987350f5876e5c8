import { anEmptyFile, aRequirement } from '../../test/requirements'
import { partialDate } from '../dates/partialDate'
import type { Term } from '../validity/validity'
import { evaluate } from './evaluate'
import type { Ask, ClaimFacts, FileFacts, Requirement, Step } from './requirement'

/** What each kind of ask makes of each state a file can be in: the state, why, and who has to do what, in order. */
const job = (over: Partial<ClaimFacts> = {}): ClaimFacts => ({
  id: 'job',
  kind: 'work',
  label: 'Seilwerk',
  rung: 'claimed',
  paper: 'none',
  enquiry: 'none',
  entry: { id: 'job', from: partialDate('2020'), to: 'present', tags: ['employment', 'rack'] },
  ...over,
})
const card = (over: Partial<ClaimFacts> = {}): ClaimFacts => ({
  id: 'card',
  kind: 'licence',
  label: 'Rope access card',
  rung: 'confirmed',
  paper: 'seen',
  enquiry: 'none',
  credential: 'rope-access',
  ...over,
})
const acts = (steps: readonly Step[]) => steps.map(({ who, what }) => `${who} ${what}`).join(', ')
const judged = (rule: Requirement, over: Partial<FileFacts>) => {
  const { state, reason, steps } = evaluate([rule], anEmptyFile(over))[0]!
  return `${state}: ${reason.code}${steps.length > 0 ? `: ${acts(steps)}` : ''}`
}

type Case = [string, Partial<FileFacts>, string]

describe.each<[Ask, Case[]]>([
  [
    { kind: 'answer', question: 'winter' },
    [
      ['nothing', {}, 'unmet: answer-missing: candidate answer'],
      ['an empty answer', { answers: { winter: '' } }, 'unmet: answer-missing: candidate answer'],
      ['an answer', { answers: { winter: 'no' } }, 'met: met'],
      ['an honest blank', { blankAnswers: new Set(['winter']) }, 'met: met'],
    ],
  ],
  [
    { kind: 'declaration', question: 'permit', mustBe: 'yes' },
    [
      ['nothing', {}, 'unmet: answer-missing: candidate answer'],
      ['what is needed', { answers: { permit: 'yes' } }, 'met: met'],
      ['the other', { answers: { permit: 'no' } }, 'unmet: answer-other: desk decide'],
      ['an honest blank', { blankAnswers: new Set(['permit']) }, 'unmet: answer-other: desk decide'],
    ],
  ],
  [
    { kind: 'document', question: 'dog' },
    [
      ['nothing', {}, 'unmet: nothing-claimed: candidate answer'],
      [
        'the document for another question',
        { claims: [job({ kind: 'paper', question: 'cat' })] },
        'unmet: nothing-claimed: candidate answer',
      ],
      ['it, by name', { claims: [job({ kind: 'paper', question: 'dog' })] }, 'met: met'],
    ],
  ],
  [
    { kind: 'fee', schedule: 'exam' },
    [
      ['nothing', {}, 'unmet: fee-open: candidate pay'],
      ['another fee', { fees: { other: 'settled' } }, 'unmet: fee-open: candidate pay'],
      ['charged and not paid', { fees: { exam: 'open' } }, 'unmet: fee-open: candidate pay'],
      ['asked of an employer', { fees: { exam: 'asked' } }, 'unmet: fee-asked: employer pay'],
      ['the fee', { fees: { exam: 'settled' } }, 'met: met'],
    ],
  ],
  [
    { kind: 'reference', count: 2 },
    [
      ['no job', {}, 'unmet: too-few-references: candidate explain, desk ask, source reply, desk compare'],
      [
        'two jobs, nobody asked',
        { claims: [job(), job({ id: 'b' })] },
        'unmet: too-few-references: desk ask, source reply, desk compare',
      ],
      [
        'one confirmed, one asked',
        { claims: [job({ rung: 'confirmed' }), job({ id: 'b', enquiry: 'open' })] },
        'unmet: too-few-references: source reply, desk compare',
      ],
      [
        'one confirmed, one waived',
        { claims: [job({ rung: 'confirmed' }), job({ id: 'b', rung: 'waived' })] },
        'met: met',
      ],
      [
        'two years of travel',
        { claims: [job({ entry: { id: 't', from: partialDate('2020'), to: 'present', tags: ['travel'] } })] },
        'unmet: too-few-references: candidate explain, desk ask, source reply, desk compare',
      ],
    ],
  ],
  [
    { kind: 'vouching', count: 2 },
    [
      ['nobody named', {}, 'unmet: too-few-vouch: candidate name someone, source reply'],
      ['one named', { vouching: { asked: 1, done: 0 } }, 'unmet: too-few-vouch: candidate name someone, source reply'],
      ['two named', { vouching: { asked: 2, done: 1 } }, 'unmet: too-few-vouch: source reply'],
      ['two have vouched', { vouching: { asked: 3, done: 2 } }, 'met: met'],
    ],
  ],
  [
    { kind: 'skills check', check: 'isolation' },
    [
      ['not sat', {}, 'unmet: check-not-sat: candidate sit check'],
      [
        'another check',
        { skills: [{ check: 'first', state: 'marked', passed: true }] },
        'unmet: check-not-sat: candidate sit check',
      ],
      [
        'begun',
        { skills: [{ check: 'isolation', state: 'under way' }] },
        'unmet: check-under-way: candidate sit check',
      ],
      [
        'not passed',
        { skills: [{ check: 'isolation', state: 'marked', percent: 40, passed: false }] },
        'unmet: check-failed: desk decide',
      ],
      [
        'passed, and then not',
        {
          skills: [
            { check: 'isolation', state: 'marked', percent: 90, passed: true },
            { check: 'isolation', state: 'marked', percent: 10, passed: false },
          ],
        },
        'met: check-passed',
      ],
    ],
  ],
  [
    { kind: 'permission' },
    [
      ['not signed', {}, 'unmet: not-signed: candidate sign'],
      ['signed', { permissionSigned: true }, 'met: met'],
    ],
  ],
  [
    { kind: 'offer accepted' },
    [
      ['none', {}, 'unmet: no-offer: hiring manager make offer, candidate sign'],
      ['open', { offer: 'open' }, 'unmet: offer-open: candidate sign'],
      ['declined', { offer: 'declined' }, 'unmet: offer-declined: hiring manager decide'],
      ['accepted', { offer: 'accepted' }, 'met: met'],
    ],
  ],
  [
    { kind: 'onboarding task', task: 'handbook' },
    [
      ['not given', {}, 'unmet: task-open: candidate do task'],
      ['given', { onboarding: [{ task: 'handbook', done: false }] }, 'unmet: task-open: candidate do task'],
      ['done', { onboarding: [{ task: 'handbook', done: true }] }, 'met: met'],
    ],
  ],
  [
    { kind: 'experience', months: 36, tags: ['rack'] },
    [
      ['none', {}, 'unmet: too-little-experience: candidate explain'],
      ['nearly seven years', { claims: [job()] }, 'met: met'],
      [
        'years of something else',
        {
          claims: [
            job({ entry: { id: 'j', from: partialDate('2000'), to: 'present', tags: ['employment', 'office'] } }),
          ],
        },
        'unmet: too-little-experience: candidate explain',
      ],
    ],
  ],
  [
    { kind: 'history', years: 5, toleratedGapDays: 30, of: 'home' },
    [
      ['only jobs', { claims: [job()] }, 'unmet: gaps: candidate explain'],
      ['a home', { claims: [job({ kind: 'residence' })] }, 'met: met'],
    ],
  ],
])('%j', (asks, cases) => {
  test.each(cases)('of %s', (_, over, expected) => expect(judged(aRequirement(asks), over)).toBe(expected))
})

describe('every job', () => {
  const rule = aRequirement({ kind: 'every work entry' }, { rung: 'confirmed' })
  test('nobody who had none has one to confirm', () => expect(judged(rule, {})).toBe('met: no-work-entries'))
  test('one that is open says what is open', () =>
    expect(
      judged(rule, { claims: [job({ rung: 'confirmed' }), job({ id: 'b', paper: 'seen', enquiry: 'open' })] }),
    ).toBe('unmet: asked: source reply, desk compare'))
  test('of several the one with most to do comes first', () => {
    const claims = [job({ paper: 'seen', enquiry: 'open' }), job({ id: 'b', label: 'Karwen Linie' })]
    expect(judged(rule, { claims })).toBe(
      'unmet: work-open: candidate upload, desk look, desk ask, source reply, desk compare',
    )
    expect(evaluate([rule], anEmptyFile({ claims }))[0]!.reason).toMatchObject({
      open: 2,
      of: 2,
      claim: 'Karwen Linie',
    })
  })
  test('all confirmed rests on all of them', () => {
    const claims = [job({ rung: 'confirmed' }), job({ id: 'b', rung: 'waived' })]
    expect(evaluate([rule], anEmptyFile({ claims }))[0]).toMatchObject({ state: 'met', claims: ['job', 'b'] })
  })
})

describe('a credential', () => {
  const rule = (over: Partial<Requirement>) =>
    aRequirement({ kind: 'credential', credential: 'rope-access' }, { rung: 'confirmed', ...over })

  const withStanding = (standing: Partial<NonNullable<ClaimFacts['standing']>>) =>
    judged(rule({}), { claims: [card({ standing: { state: 'good', decided: false, ...standing } })] })

  test.each(['suspended', 'revoked', 'restricted'] as const)(
    'that is %s does not count, however well it is proven',
    (state) => expect(withStanding({ state })).toBe('unmet: standing: desk decide'),
  )

  test('that is restricted counts once somebody has decided knowing it; no decision makes a suspended one count', () => {
    expect(withStanding({ state: 'restricted', decided: true })).toBe('met: restricted')
    expect(withStanding({ state: 'restricted', decided: true, through: '2026-11-23' })).toBe('met: met')
    expect(withStanding({ state: 'suspended', decided: true })).toBe('unmet: standing: desk decide')
  })

  test('counts again the day after its suspension ends, and not on any day before the start on which it is suspended', () => {
    const suspended = (from?: string, through?: string) => withStanding({ state: 'suspended', from, through })
    expect(suspended(undefined, '2026-11-23')).toBe('met: met')
    expect(suspended(undefined, '2026-11-24')).toContain('unmet')
    expect(suspended('2027-01-11')).toContain('unmet')
    expect(suspended('2027-01-12')).toBe('met: met')
  })

  test('that was contradicted counts only once it is confirmed, whatever number its renewal bears', () => {
    const renewed = (over: Partial<ClaimFacts>) =>
      judged(rule({ rung: 'evidenced' }), { claims: [card({ contradictedBefore: true, ...over })] })
    expect(renewed({ rung: 'evidenced', paper: 'seen' })).toBe('unmet: contradicted: desk decide')
    expect(renewed({ rung: 'confirmed' })).toBe('met: met')
  })

  test.each<[Partial<ClaimFacts>, Partial<Requirement>, string]>([
    [{ rung: 'claimed', paper: 'none' }, { rung: 'claimed' }, 'met: met'],
    [{ rung: 'claimed', paper: 'none' }, { rung: 'claimed', paper: true }, 'unmet: paper-missing: candidate upload'],
    [
      { rung: 'claimed', paper: 'sent back' },
      { rung: 'claimed', paper: true },
      'unmet: paper-sent-back: candidate upload',
    ],
    [{ rung: 'claimed', paper: 'to look at' }, { rung: 'claimed', paper: true }, 'met: met'],
    [{ rung: 'evidenced', paper: 'seen' }, { rung: 'evidenced' }, 'met: met'],
    [{ rung: 'claimed', paper: 'to look at' }, { rung: 'evidenced' }, 'unmet: paper-to-look-at: desk look'],
  ])('%j by %j is %s', (claim, over, expected) => expect(judged(rule(over), { claims: [card(claim)] })).toBe(expected))

  test('given by its month lasts to the end of it; where nobody knows how long, somebody is asked', () => {
    const lasting = (through: Term['through']) =>
      judged(rule({ validStartPlusDays: 30 }), { claims: [card({ term: { through } })] })
    expect(lasting(partialDate('2027-02'))).toBe('met: met')
    expect(lasting(partialDate('2027-01'))).toContain('unmet: lapses-early: candidate renew')
    expect(lasting('does not expire')).toBe('met: met')
    expect(lasting('unknown')).toBe(
      'undecided: validity-unknown: candidate renew, desk look, desk ask, source reply, desk compare',
    )
  })

  test('of an identity is any paper that shows who somebody is', () => {
    const identity = aRequirement({ kind: 'identity' }, { rung: 'evidenced' })
    expect(judged(identity, { claims: [card({ kind: 'identity', rung: 'evidenced' })] })).toBe('met: met')
    expect(judged(identity, { claims: [card()] })).toBe(
      'unmet: nothing-claimed: candidate answer, candidate upload, desk look',
    )
  })
})

test('nobody works on what has to be paid first: whoever pays has the ball, and what they do besides stays theirs', () => {
  const asked = [
    aRequirement({ kind: 'offer accepted' }, { key: 'offer' }),
    aRequirement({ kind: 'permission' }, { key: 'permission' }),
  ]
  const steps = (awaitsPayment?: 'candidate' | 'employer') =>
    evaluate(asked, anEmptyFile(awaitsPayment ? { awaitsPayment } : {})).map((outcome) =>
      outcome.steps.map(({ who, what }) => `${who} ${what}`),
    )
  expect(steps('candidate')).toEqual([
    ['candidate pay', 'hiring manager make offer', 'candidate sign'],
    ['candidate sign'],
  ])
  expect(steps('employer')[0]).toEqual(['employer pay', 'hiring manager make offer', 'candidate sign'])
  expect(steps()).toEqual([['hiring manager make offer', 'candidate sign'], ['candidate sign']])
})
