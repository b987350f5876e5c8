import type { File } from '#contract/desk'
import type { Outcome, Requirement } from '#core/requirements/requirement'
import { type Listed, rowsOf } from './rows'

type FileClaim = File['claims'][number]
type Details = FileClaim['details']

const source = { sourceId: 's', sourceName: 'Höhenwerk Training' }
const licence = (over: object = {}): Details => ({
  kind: 'certificate',
  ...source,
  credential: 'work-at-height',
  number: 'N1',
  issued: '2024-01-02',
  through: '2028-05-08',
  ...over,
})
const job = (over: object = {}): Details => ({
  kind: 'work',
  ...source,
  activity: 'employment',
  position: 'Technician',
  from: '2021-08-01',
  to: '2023-02-02',
  fullTimeShare: 100,
  tags: [],
  confirmBy: '',
  mayAsk: 'now',
  ...over,
})
const claim = (id: string, details: Details, over: Partial<FileClaim> = {}): FileClaim => ({
  id,
  version: 0,
  credentialVersion: 1,
  confirmed: null,
  details,
  label: id,
  rung: 'claimed',
  saidAt: '2026-11-01T09:00:00.000Z',
  documents: [],
  earlier: [],
  asked: null,
  restricted: null,
  flags: 0,
  wants: 'You: look at document',
  by: 'offer',
  ...over,
})
const asked = (key: string, asks: Requirement['asks'], over: Partial<Requirement> = {}): Requirement => ({
  key,
  title: key,
  why: '',
  gate: 'offer',
  asks,
  rung: 'confirmed',
  waivableBy: [],
  ...over,
})
const outcome = (requirement: string, over: Partial<Outcome> = {}): Outcome => ({
  requirement,
  title: requirement,
  gate: 'offer',
  state: 'unmet',
  reason: { code: 'nothing-claimed' } as Outcome['reason'],
  steps: [],
  claims: [],
  ...over,
})
const listed = (over: Partial<Listed> = {}): Listed => ({
  claims: [],
  requirements: [],
  outcomes: [],
  words: {},
  checks: [],
  scoring: null,
  historyYears: 5,
  today: '2026-11-24',
  ...over,
})
const onlyRow = (over: Partial<Listed>) => rowsOf(listed(over))[0]!.rows[0]!

test('an empty file has no groups, and others stand in the order of a life', () => {
  expect(rowsOf(listed())).toEqual([])
  const groups = rowsOf(
    listed({
      claims: [claim('job', job()), claim('height', licence()), claim('flat', residence())],
      scoring: { handedIn: 1, of: 2, percent: null },
    }),
  )
  expect(groups.map(({ title }) => title)).toEqual(['Scores', 'Licences and certificates', 'Work', 'Home'])
})

const residence = (): Details => ({
  kind: 'residence',
  ...source,
  address: 'Dorfstrasse 4',
  country: 'AT',
  from: '2020-03',
  to: 'present',
})

describe('a licence or certificate', () => {
  test.each([
    ['2028-05-08', 'claimed', 'plain', 'to 8 May 2028'],
    ['2026-12-05', 'expiring', 'care', 'to 5 Dec 2026'],
    ['2026-11-23', 'lapsed', 'grave', 'to 23 Nov 2026'],
    ['does not expire', 'claimed', 'plain', 'does not expire'],
    ['unknown', 'claimed', 'plain', ''],
  ])('through %s is %s and %s', (through, mark, tone, when) => {
    expect(onlyRow({ claims: [claim('height', licence({ through }))] })).toMatchObject({ mark, tone, when })
  })

  test('that lapses too early for what is asked takes care, though it is valid today', () => {
    const early = outcome('height', { reason: { code: 'lapses-early' } as Outcome['reason'], claims: ['height'] })
    const row = onlyRow({ claims: [claim('height', licence(), { rung: 'confirmed' })], outcomes: [early] })
    expect(row).toMatchObject({ mark: 'expiring', tone: 'care' })
  })

  test('that was contradicted is grave, whatever its days', () => {
    const row = onlyRow({ claims: [claim('height', licence({ through: '2026-12-05' }), { rung: 'contradicted' })] })
    expect(row).toMatchObject({ mark: 'contradicted', tone: 'grave' })
  })
})

describe('a claim whose source was asked', () => {
  const waiting = (answerBy: string) =>
    onlyRow({ claims: [claim('job', job(), { asked: { askedAt: '2026-11-12T08:00:00.000Z', answerBy } })] })

  test('says until when', () => expect(waiting('2026-12-04')).toMatchObject({ when: 'by 4 Dec', tone: 'plain' }))

  test('says since when its source is silent, once that is over', () =>
    expect(waiting('2026-11-20')).toMatchObject({ wants: 'Source silent since 12 Nov', tone: 'grave' }))
})

test('a job says what it was and how long, and what was not employment says that', () => {
  expect(onlyRow({ claims: [claim('job', job())] }).detail).toBe('Technician, 1 Aug 2021 to 2 Feb 2023')
  expect(onlyRow({ claims: [claim('care', job({ activity: 'care', to: 'present' }))] }).detail).toBe(
    'care, 1 Aug 2021 to now',
  )
})

describe('what no claim carries', () => {
  const history = asked('history', { kind: 'history', years: 5, toleratedGapDays: 30 })
  const permission = asked('permission', { kind: 'permission' })

  test('of a history stands with the jobs, grave where there are gaps; the rest stands by itself', () => {
    const groups = rowsOf(
      listed({
        claims: [claim('job', job())],
        requirements: [history, permission],
        outcomes: [outcome('history', { reason: { code: 'gaps' } as Outcome['reason'] }), outcome('permission')],
        words: { history: { why: '118 days to account for', ball: 'Candidate: explain' } },
      }),
    )
    const [work, also] = groups
    expect(work!.rows.map(({ key }) => key)).toEqual(['job', 'asked-history'])
    expect(work!.rows[1]).toMatchObject({
      detail: '118 days to account for',
      wants: 'Candidate: explain',
      tone: 'grave',
    })
    expect(also).toMatchObject({ title: 'Also asked', rows: [{ key: 'asked-permission', mark: 'claimed' }] })
  })

  test('a credential nobody has given stands there too; one that was given is its claim', () => {
    const height = asked('height', { kind: 'credential', credential: 'work-at-height' })
    const rows = (claims: string[]) =>
      rowsOf(
        listed({
          claims: claims.map((id) => claim(id, licence())),
          requirements: [height],
          outcomes: [outcome('height', { claims })],
        }),
      ).flatMap((group) => group.rows.map(({ of }) => of))
    expect(rows([])).toEqual(['requirement'])
    expect(rows(['c1'])).toEqual(['claim'])
  })

  test('what was waived says so, and what is met needs no reason', () => {
    const words = { permission: { why: 'because', ball: '' } }
    const row = (over: Partial<Outcome>) =>
      onlyRow({ requirements: [permission], outcomes: [outcome('permission', over)], words })
    expect(row({ state: 'met', reason: { code: 'waived' } as Outcome['reason'] })).toMatchObject({
      mark: 'waived',
      detail: 'because',
    })
    expect(row({ state: 'met', reason: { code: 'met' } as Outcome['reason'] })).toMatchObject({
      mark: 'confirmed',
      detail: '',
      when: 'met',
    })
  })

  test('the gate of a group is the one it is needed by; what is not needed names none', () => {
    const study = asked('degree', { kind: 'study', levelAtLeast: 6 }, { gate: 'offer' })
    const details: Details = {
      kind: 'study',
      ...source,
      award: 'MSc',
      subject: 'Engineering',
      level: 7,
      field: '0713',
      number: '1',
      from: '2012',
      to: '2017-07',
    }
    const note = (state: Outcome['state']) =>
      rowsOf(
        listed({
          claims: [claim('msc', details)],
          requirements: [study],
          outcomes: [outcome('degree', { state, claims: ['msc'] })],
        }),
      )[0]!.note
    expect(note('unmet')).toBe('needed by offer')
    expect(note('not needed')).toBe('')
  })
})

describe('a skills check', () => {
  const check = (over: Partial<File['checks'][number]>): File['checks'][number] => ({
    check: 'isolation',
    title: 'Isolation and lock-off',
    state: 'not begun',
    percent: null,
    passed: null,
    passPercent: 80,
    finishedAt: null,
    attempt: 1,
    attempts: 3,
    waitDays: 7,
    earlier: [],
    resit: null,
    wrong: [],
    ...over,
  })
  const requirements = [asked('check', { kind: 'skills check', check: 'isolation' })]
  const outcomes = [outcome('check')]
  const words = { check: { why: '', ball: 'Candidate: sit check' } }

  test.each([
    [{}, 'claimed', 'plain', 'not begun', 'Candidate: sit check'],
    [{ state: 'under way' }, 'asked', 'plain', 'under way', 'Candidate: sit check'],
    [
      { state: 'marked', percent: 84, passed: true, finishedAt: '2026-11-20T10:00:00.000Z' },
      'confirmed',
      'plain',
      '84 %, pass 80 %',
      'marked by system',
    ],
    [
      { state: 'marked', percent: 60, passed: false, finishedAt: '2026-11-20T10:00:00.000Z' },
      'contradicted',
      'grave',
      '60 %, pass 80 %',
      'Candidate: sit check',
    ],
  ] as [Partial<File['checks'][number]>, string, string, string, string][])(
    '%j is %s and %s',
    (over, mark, tone, detail, wants) => {
      const row = onlyRow({ checks: [check(over)], requirements, outcomes, words })
      expect(row).toMatchObject({ mark, tone, detail, wants })
    },
  )
})

test('the score sheet shows its per cent only once all are in', () => {
  expect(onlyRow({ scoring: { handedIn: 1, of: 2, percent: null } })).toMatchObject({
    wants: '1 of 2 in',
    detail: 'nobody sees another’s until all are in',
  })
  expect(onlyRow({ scoring: { handedIn: 2, of: 2, percent: 71 } })).toMatchObject({
    wants: 'all are in',
    detail: '71 % of the points',
    mark: 'confirmed',
  })
})

test('a restriction stands with its claim whole, and with the requirement it is met by', () => {
  const restricted = { state: 'restricted' as const, terms: ['supervised' as const], termsSaid: 'lift 4 only' }
  expect(onlyRow({ claims: [claim('card', licence(), { restricted })] }).note).toBe(
    'restricted: only under supervision, lift 4 only',
  )
  const plain = onlyRow({ claims: [claim('card', licence(), { restricted: { state: 'restricted' } })] })
  expect([plain.note, onlyRow({ claims: [claim('card', licence())] }).note]).toEqual(['restricted', ''])
  const reason = { code: 'restricted', claim: 'Card' } as Outcome['reason']
  const row = onlyRow({
    requirements: [asked('fee', { kind: 'permission' } as never)],
    outcomes: [outcome('fee', { state: 'met', reason })],
    words: { fee: { why: 'Card holds, restricted.', ball: '' } },
  })
  expect(row.detail).toBe('Card holds, restricted.')
})
