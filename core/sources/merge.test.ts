import fc from 'fast-check'
import { faultsOfSource } from './faultsOfSource'
import { lostInMerge, mergeSources, unmergeSource } from './merge'
import { accreditationIn, accreditedAs, programmeOf } from './programmes'
import { factsOfRow, rowOfFacts } from './rows'
import { type ContactGiven, contactFor, type SourceFacts } from './source'

const contact = (over: Partial<ContactGiven> = {}): ContactGiven => ({
  ...{ id: over.mail ?? 'c', purposes: [], name: '', mail: '', phone: '', address: '' },
  ...over,
})
const source = (over: Partial<SourceFacts> = {}): SourceFacts => ({
  ...{ name: 'Fjellvik tekniske fagskole', names: [], kind: 'school', town: 'Fjellvik', region: '', country: 'NO' },
  ...{ existedFrom: null, existedTo: null, successors: [], contacts: [], channels: ['link'], register: null },
  ...{ closures: [], conditions: [], cost: null, answerWorkingDays: 10, numberFormats: [], programmes: [], notes: '' },
  ...over,
})

describe('merging', () => {
  const kept = source({
    names: [{ name: 'FTF', use: 'short' }],
    register: 'ftf',
    contacts: [contact({ mail: 'a@f.example' })],
  })
  const gone = source({
    name: 'Fjellvik Technical College',
    names: [{ name: 'FTF', use: 'short' }],
    answerWorkingDays: 5,
    existedFrom: 1950,
    contacts: [contact({ mail: 'b@f.example' })],
    notes: 'Rings back.',
  })

  test('keeps every name once, joins lists, and fills what only one of them knows', () => {
    expect(mergeSources(kept, gone)).toMatchObject({
      name: kept.name,
      names: [
        { name: 'FTF', use: 'short' },
        { name: 'Fjellvik Technical College', use: 'other' },
      ],
      contacts: [{ mail: 'a@f.example' }, { mail: 'b@f.example' }],
      ...{ register: 'ftf', existedFrom: 1950, answerWorkingDays: 10, notes: 'Rings back.' },
    })
  })

  test('says what would be lost, and takes it over where that is wanted', () => {
    expect(lostInMerge(kept, gone)).toEqual(['answerWorkingDays'])
    expect(mergeSources(kept, gone, ['answerWorkingDays']).answerWorkingDays).toBe(5)
    expect(lostInMerge(kept, kept)).toEqual([])
  })

  test('taken apart, it is what it was; what was changed since stays changed', () => {
    const merged = mergeSources(kept, gone, ['answerWorkingDays'])
    expect(unmergeSource(kept, merged, merged)).toEqual(kept)
    const now = { ...merged, town: 'Moved', names: [...merged.names, { name: 'Later', use: 'other' as const }] }
    expect(unmergeSource(kept, merged, now)).toEqual({
      ...kept,
      town: 'Moved',
      names: [...kept.names, { name: 'Later', use: 'other' }],
    })
  })

  test('whatever two sources know, taking them apart at once gives back the first', () => {
    const text = fc.constantFrom('', 'A', 'B', 'C')
    const anySource = fc
      .record({ town: text, notes: text, register: fc.option(text), names: fc.uniqueArray(text, { maxLength: 3 }) })
      .map(({ names, ...facts }) => source({ ...facts, names: names.map((name) => ({ name, use: 'other' as const })) }))
    fc.assert(
      fc.property(anySource, anySource, fc.boolean(), (one, other, take) => {
        const merged = mergeSources(one, other, take ? ['town', 'register'] : [])
        expect(unmergeSource(one, merged, merged)).toEqual(one)
        const known = [merged.name, ...merged.names.map(({ name }) => name)]
        for (const { name } of [...one.names, ...other.names]) expect(known).toContain(name)
      }),
    )
  })
})

describe('programmes', () => {
  const electrical = {
    ...{ title: 'Electrical Engineering', award: 'MSc', level: 7, field: '0713', language: 'de' },
    accreditations: [{ by: 'Council', basis: 'accredited' as const, from: 2012, to: 2019 }],
  }
  const study = (over: object = {}) => ({
    ...{ subject: 'Electrical Engineering', level: 7, field: '0713', to: '2018-03' },
    ...over,
  })

  test.each([
    ['the same subject', {}, true],
    ['the programme it was chosen as', { subject: 'Power grids', programme: 'Electrical engineering' }, true],
    ['the programme with its award', { subject: 'Power grids', programme: 'MSc, Electrical Engineering' }, true],
    ['another subject', { subject: 'Power grids' }, false],
    ['another level', { level: 6 }, false],
    ['another field', { field: '0714' }, false],
  ])('a study of %s is of it: %j %s', (_what, over, is) => {
    expect(programmeOf(study(over), [electrical]) === electrical).toBe(is)
  })

  test.each([
    ['2012', true],
    ['2019-12-31', true],
    ['2018-03', true],
    ['2011-12', false],
    ['2020', false],
    ['2019~', false],
    ['2015~', true],
    ['present', false],
  ])('an award of %s lies in 2012 to 2019: %s', (to, inside) => {
    expect(Boolean(accreditationIn(electrical, to))).toBe(inside)
    expect(Boolean(accreditedAs(study({ to }), [electrical]))).toBe(inside)
  })

  test('an accreditation without an end goes on', () => {
    const open = { ...electrical, accreditations: [{ ...electrical.accreditations[0]!, to: null }] }
    expect(accreditationIn(open, '2080')).toBeDefined()
    expect(accreditationIn({ ...electrical, accreditations: undefined }, '2015')).toBeUndefined()
  })
})

test('the contact for a claim is the one for its purpose, else one for everything, never one for disputes first', () => {
  const [degrees, disputes, any] = [
    contact({ mail: 'd@f.example', purposes: ['degree records'] }),
    contact({ mail: 'x@f.example', purposes: ['disputes'] }),
    contact({ mail: 'a@f.example' }),
  ]
  const asked = (contacts: ContactGiven[], claim: 'study' | 'work') => contactFor({ contacts }, claim)?.mail
  expect(asked([disputes, any, degrees], 'study')).toBe('d@f.example')
  expect(asked([disputes, any, degrees], 'work')).toBe('a@f.example')
  expect(asked([disputes, degrees], 'work')).toBe('d@f.example')
  expect(asked([disputes], 'work')).toBeUndefined()
  expect(contactFor({ contacts: [contact({ phone: '1' })] }, 'work')).toBeUndefined()
  expect(contactFor({ contacts: [contact({ phone: '1' })] }, 'work', 'phone')?.phone).toBe('1')
})

test('what cannot hold is said where it stands', () => {
  const codes = (over: Partial<SourceFacts>) => faultsOfSource(source(over)).map(({ pointer, code }) => [pointer, code])
  expect(codes({})).toEqual([])
  expect(codes({ name: ' ' })).toEqual([['/name', 'no-name']])
  expect(codes({ existedFrom: 2000, existedTo: 1999 })).toEqual([['/existedTo', 'years-reversed']])
  expect(codes({ contacts: [contact()] })).toEqual([['/contacts/0/mail', 'unreachable-contact']])
  expect(codes({ closures: [{ from: '2027-02-02', to: '2027-02-01', why: '' }] })).toEqual([
    ['/closures/0/to', 'days-reversed'],
  ])
  const format = (pattern: string, example: string) => ({ claim: 'study' as const, pattern, example })
  expect(codes({ numberFormats: [format('AR-####', 'AR-123'), format('[z', 'z')] })).toEqual([
    ['/numberFormats/0/example', 'example-does-not-fit'],
    ['/numberFormats/1/pattern', 'unreadable-pattern'],
  ])
  const programme = { title: '', award: '', level: 6, field: '0713', language: '', from: 2000, to: 1990 }
  const accreditations = [{ by: '', basis: 'assessed' as const, from: 2001, to: 2000 }]
  expect(codes({ programmes: [{ ...programme, accreditations }] })).toEqual([
    ['/programmes/0/title', 'no-title'],
    ['/programmes/0/to', 'years-reversed'],
    ['/programmes/0/accreditations/0/to', 'years-reversed'],
  ])
})

describe('a row of a table', () => {
  const full = source({
    names: [
      { name: 'FTF', use: 'short' },
      { name: 'Fjellvik Technical College', use: 'other' },
      { name: 'Fjellvik skole', use: 'earlier', until: 1950 },
    ],
    contacts: [
      contact({ purposes: ['disputes'], mail: 'x@f.example' }),
      contact({ mail: 'a@f.example', phone: '+47 1' }),
    ],
    ...{ register: 'ftf', cost: { amount: 1250, currency: 'NOK' }, existedFrom: 1921, notes: 'Two\nlines' },
  })
  const newId = () => 'new'

  test('read back is what was written, over what was known', () => {
    expect(factsOfRow(rowOfFacts(full), full, newId)).toEqual(full)
  })

  test('a column that is not there changes nothing, and a new address is a new contact', () => {
    expect(factsOfRow({ name: 'Renamed' }, full, newId)).toEqual({ ...full, name: 'Renamed' })
    const made = factsOfRow(
      { name: 'X', mail: 'm@x.example', phone: '+47 55', country: 'no', cost: '12,50' },
      source(),
      newId,
    )
    expect(made).toMatchObject({
      ...{ name: 'X', country: 'NO', cost: { amount: 1250, currency: 'EUR' } },
      contacts: [{ id: 'new', mail: 'm@x.example', phone: '+47 55' }],
    })
  })
})
