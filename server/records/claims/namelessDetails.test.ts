import type { ClaimDetails } from '#contract/claims'
import { labelOf, labelValue } from './label'
import { namelessDetails } from './namelessDetails'

const secret = 'Quixwater'
const own = { sourceId: null, sourceName: `${secret} Elektro` }
const known = { sourceId: '0190a3f0-0000-7000-8000-000000000001', sourceName: 'Bergbahnen Vallorne' }
const number = `${secret}-4711`

/** Everything of every kind, with the name wherever somebody who is not asked for it could have typed it. */
const whole: ClaimDetails[] = [
  {
    ...{ kind: 'study', ...own, award: 'BSc', subject: 'Electrical engineering', level: 6, field: '0713', number },
    ...{ from: '2012-10', to: '2015-06', programme: `The ${secret} programme`, country: 'AT', language: 'de' },
    ...{ outcome: 'finished', expected: '', link: `https://example.org/${secret}` },
    marks: { scale: 'AT', terms: [{ name: `Term of ${secret}`, courses: [] }] },
  },
  {
    ...{ kind: 'work', ...own, activity: 'employment', position: 'Supervisor', from: '2015-07', to: 'present' },
    ...{ fullTimeShare: 100, tags: ['high voltage'], confirmBy: `anna@${secret}.example`, mayAsk: 'now' },
  },
  { kind: 'residence', ...own, address: `${secret} lane 1`, country: 'AT', from: '2010-01', to: 'present' },
  {
    ...{ kind: 'licence', ...own, credential: 'isolation', number, region: `Near ${secret}` },
    ...{ issued: '2022-01-01', through: '2027-01-01' },
  },
  {
    ...{ kind: 'certificate', ...own, credential: 'first-aid', number, region: secret },
    ...{ issued: '2022-01-01', through: 'does not expire' },
  },
  {
    ...{ kind: 'identity', ...own, paper: 'passport', number, issuer: 'AUT', familyName: secret, givenNames: 'Z' },
    ...{ born: '1971-03-09', through: '2031-01-01', zone: `P<AUT${secret}<<` },
  },
  { kind: 'paper', ...own, question: 'more.letter', title: 'A letter' },
]

test.each(whole.map((details) => [details.kind, details] as const))(
  'a %s is read without anything by which somebody could be known',
  (_, details) => {
    const seen = namelessDetails(details)
    expect(JSON.stringify([seen, labelOf(seen), labelValue(seen)])).not.toMatch(/Quixwater|1971|AUT/i)
    expect(seen.kind).toBe(details.kind)
  },
)

test('what was learnt, done and held is read, and with whom where the house knows them', () => {
  expect(namelessDetails({ ...whole[0]!, ...known })).toMatchObject({ award: 'BSc', level: 6, to: '2015-06', ...known })
  expect(labelOf(namelessDetails({ ...whole[1]!, ...known }))).toBe('Bergbahnen Vallorne')
  // Of an employer whom the candidate typed, the position stands instead.
  expect(labelOf(namelessDetails(whole[1]!))).toBe('Supervisor')
  expect(namelessDetails(whole[3]!)).toMatchObject({ credential: 'isolation', through: '2027-01-01' })
})
