import { vallorneCatalogue } from '#scenario/catalogue'
import { type Catalogue, type CredentialKind, catalogueParts, credentialKind, offered, studyLevel } from './catalogue'
import { catalogueChanges } from './differences'
import { faultsOfCatalogue } from './faultsOfCatalogue'
import { faultsOfCredential, type GivenCredential } from './faultsOfCredential'
import { startingCatalogue } from './starting'

const first = vallorneCatalogue.credentials[0]!
const withKinds = (...credentials: CredentialKind[]): Catalogue => ({ ...vallorneCatalogue, credentials })
const insured = credentialKind('guide-insurance')!

test.each([
  ['an empty house begins with', startingCatalogue],
  ['the demo has', vallorneCatalogue],
])('the catalogue %s is without fault, in both languages', (_, catalogue) => {
  expect(faultsOfCatalogue(catalogue, catalogue)).toEqual([])
  for (const part of catalogueParts)
    for (const { key, name, translations } of catalogue[part])
      expect([part, key, Boolean(name && translations?.de?.name)]).toEqual([part, key, true])
})

test('what is retired stays known, and is offered only where it was chosen', () => {
  const things = [{ key: 'a' }, { key: 'b', retired: true }]
  expect(offered(things).map(({ key }) => key)).toEqual(['a'])
  expect(offered(things, 'b').map(({ key }) => key)).toEqual(['a', 'b'])
  expect([studyLevel(6)?.name, credentialKind('nothing')]).toEqual(['bachelor', undefined])
})

describe('a catalogue does not take the place of another where', () => {
  const faults = (catalogue: Catalogue) =>
    faultsOfCatalogue(catalogue, vallorneCatalogue).map(({ pointer, code }) => [pointer, code])
  const rest = vallorneCatalogue.credentials.slice(1)
  const field = { key: 'a', label: 'A', kind: 'text', required: true } as const
  const firstWith = (over: Partial<CredentialKind>) => withKinds({ ...first, ...over }, ...rest)

  test.each<[string, Catalogue, [string, string][]]>([
    ['something is left out', withKinds(...rest), [['/credentials', 'left-out']]],
    [
      'two have one key',
      withKinds(first, ...rest, { ...first, name: 'Other' }),
      [['/credentials/12/key', 'key-twice']],
    ],
    [
      'two have one name',
      firstWith({ name: ` ${rest[0]!.name.toUpperCase()}` }),
      [['/credentials/1/name', 'name-twice']],
    ],
    ['one has no name', firstWith({ name: ' ' }), [['/credentials/0/name', 'name-missing']]],
    [
      'a licence becomes a certificate',
      firstWith({ claim: 'certificate' }),
      [['/credentials/0/claim', 'claim-changed']],
    ],
    [
      'a pattern cannot be read',
      firstWith({ number: { pattern: '[', example: '1' } }),
      [['/credentials/0/number/pattern', 'pattern-unreadable']],
    ],
    [
      'its example is no example',
      firstWith({ number: { pattern: '##', example: '1' } }),
      [['/credentials/0/number/example', 'example-does-not-fit']],
    ],
    [
      'there is nothing to choose from',
      firstWith({ fields: [{ ...field, kind: 'one of', options: ['only'] }] }),
      [['/credentials/0/fields/0/options', 'options-missing']],
    ],
    [
      'two fields have one name',
      firstWith({ fields: [field, { ...field, key: 'b' }] }),
      [['/credentials/0/fields/1/label', 'name-twice']],
    ],
    [
      'a field becomes another, or goes',
      withKinds(...vallorneCatalogue.credentials.slice(0, -1), {
        ...insured,
        fields: [{ ...insured.fields[0]!, kind: 'text' }],
      }),
      [
        ['/credentials/11/fields/0/kind', 'kind-changed'],
        ['/credentials/11/fields', 'left-out'],
      ],
    ],
  ])('%s', (_, catalogue, expected) => expect(faults(catalogue)).toEqual(expected))

  const scaleFaults = (over: object) => {
    const [one, ...others] = vallorneCatalogue.scales
    const scale = { ...one!.scale, ...over } as (typeof one & {})['scale']
    return faults({ ...vallorneCatalogue, scales: [{ ...one!, scale }, ...others] })
  }
  test.each([
    [{ best: 0 }, 'best', 'worst-is-best'],
    [{ pass: 101 }, 'pass', 'pass-outside-scale'],
    [{ kind: 'letters', letters: [] }, 'letters', 'no-letters'],
    [
      {
        kind: 'letters',
        letters: ['A', 'a'].map((letter) => ({ letter, percent: 1, passes: true })),
      },
      'letters/1/letter',
      'letter-twice',
    ],
    [
      {
        classes: [
          { from: 50, name: 'x' },
          { from: 60, name: 'y' },
        ],
      },
      'classes/1/from',
      'classes-out-of-order',
    ],
  ])('of a scale %j', (over, at, code) => expect(scaleFaults(over)).toEqual([[`/scales/0/scale/${at}`, code]]))
})

test('what is different is said thing by thing', () => {
  const [one, two, ...rest] = vallorneCatalogue.credentials
  const next = withKinds({ ...one!, leadDays: 61 }, { ...two!, retired: true }, ...rest, {
    ...insured,
    key: 'new',
    name: 'New',
  })
  const told = (before: Catalogue, after: Catalogue) =>
    catalogueChanges(before, after).map(({ key, what }) => [key, what])
  expect(told(vallorneCatalogue, next)).toEqual([
    [one!.key, 'changed'],
    [two!.key, 'retired'],
    ['new', 'added'],
  ])
  expect(told(next, { ...next, credentials: [{ ...next.credentials[1]!, retired: false }] })).toEqual([
    [two!.key, 'offered again'],
  ])
  const reordered = { ...vallorneCatalogue, credentials: vallorneCatalogue.credentials.map((kind) => ({ ...kind })) }
  expect(told(vallorneCatalogue, JSON.parse(JSON.stringify(reordered)) as Catalogue)).toEqual([])
})

describe('a licence or certificate as it is given', () => {
  const given: GivenCredential = {
    ...{ kind: 'certificate', credential: 'guide-insurance', sourceId: 'known', number: '' },
    ...{ issued: '2026-03-10', through: '2027-03-31', fields: { 'sum-insured': '500000000' } },
  }
  const faults = (over: Partial<GivenCredential>) =>
    faultsOfCredential({ ...given, ...over }, '2026-11-29').map(({ at, code }) => `${at} ${code}`)

  test.each<[Partial<GivenCredential>, string[]]>([
    [{}, []],
    [{ through: '2027-02-28' }, []],
    [{ through: '2027-04-01' }, ['through lasts-too-long']],
    [{ through: '2027-04' }, ['through lasts-too-long']],
    [{ through: 'does not expire' }, ['through lasts-too-long']],
    [{ through: 'unknown' }, []],
    [{ issued: '', through: '2031-01-01' }, []],
    [{ credential: 'no such kind' }, ['credential no-such-kind']],
    [{ kind: 'licence' }, ['credential no-such-kind']],
    [{ fields: {} }, ['fields/sum-insured field-missing']],
    [{ fields: { 'sum-insured': 'plenty' } }, ['fields/sum-insured field']],
    [{ fields: { 'sum-insured': '1', shoe: '38' } }, ['fields/shoe field-unknown']],
    [{ fields: { 'sum-insured': '1', abroad: 'perhaps' } }, ['fields/abroad field']],
  ])('%j: %j', (over, expected) => expect(faults(over)).toEqual(expected))

  const other = { issued: '', fields: {} }
  test.each<[Partial<GivenCredential>, string[]]>([
    [{ kind: 'licence', credential: 'hv-switching', number: 'GSB-9-57733' }, ['number number-unusual']],
    [{ kind: 'licence', credential: 'hv-switching', number: 'GSB-9-57733', sourceId: null }, []],
    [{ credential: 'first-aid', number: 'fh-90112 ' }, []],
    [{ kind: 'licence', credential: 'blasting', number: 'whatever' }, ['region region-missing']],
    [{ kind: 'licence', credential: 'blasting', number: 'whatever', region: 'Vallorne' }, []],
  ])('%j: %j', (over, expected) => expect(faults({ ...other, ...over })).toEqual(expected))
})
