import fc from 'fast-check'
import { Temporal } from 'temporal-polyfill'
import { partialDate } from '../dates/partialDate'
import type { ClaimOfFlags, FlagFacts, Making, PaperOfFlags, SourceOfFlags } from './facts'
import { findFlags } from './findFlags'
import { bitsApart, mostBitsApart } from './papers'
import { type FlagKind, flagKinds, isMostlyWrong } from './redFlag'

const day = (text: string) => partialDate(text)

const source = (over: Partial<SourceOfFlags> = {}): SourceOfFlags => ({
  ...{ id: 's', name: 'Karwen Polytechnic', existedFrom: 1996, existedTo: null, numberFormats: [] },
  contacts: [
    {
      mail: 'records@karwen.example',
      phone: '+48 71 000 11',
      checked: { how: 'own website', by: 'A', at: '2026-01-01' },
    },
  ],
  ...over,
})
const study = (over: Partial<ClaimOfFlags> = {}): ClaimOfFlags => ({
  ...{ id: 'a', kind: 'study', label: 'MSc', number: 'KP-2016-0042', sourceName: 'Karwen Polytechnic', level: 7 },
  ...{ from: day('2010-10'), to: day('2016-07-04'), given: day('2016-07-04'), source: source() },
  ...over,
})
const job = (id: string, from: string, to: string, share = 100): ClaimOfFlags => ({
  ...{ id, kind: 'work', label: `Job ${id}`, number: '', sourceName: 'Works', share },
  ...{ from: day(from), ...(to === 'present' ? { isPresent: true } : { to: day(to) }) },
})
const untouched: Making = { signed: 'not', software: ['A scanner'], overPicture: [], mixedFonts: [] }
const picture = '0123456789abcdef'.repeat(4)
/** The same picture with so many of its bits turned. */
const turned = (bits: number) =>
  Array.from(picture, (digit, at) => (Number.parseInt(digit, 16) ^ (at < bits ? 1 : 0)).toString(16)).join('')
const paper = (over: Partial<PaperOfFlags> = {}): PaperOfFlags => ({
  ...{ documentId: 'd', claimId: 'a', sha256: 'aa', label: 'MSc', making: untouched, pictures: [picture] },
  name: { value: 'Marta Kowalczyk' },
  ...over,
})
const file = (over: Partial<FlagFacts> = {}): FlagFacts => ({
  today: Temporal.PlainDate.from('2026-11-24'),
  person: {
    names: ['Marta Kowalczyk'],
    born: '1991-05-02',
    mails: ['marta@mail.example'],
    phones: ['+48 600 100 200'],
  },
  ...{ claims: [study()], papers: [paper()], answers: [], vouchings: [] },
  ...{ papersElsewhere: [], numbersElsewhere: [], peopleElsewhere: [] },
  freeMail: new Set(['mail.example']),
  ...over,
})
const kinds = (over: Partial<FlagFacts>) => findFlags(file(over)).map(({ kind }) => kind)

const elsewhere = { documentId: 'o', claimId: 'c', candidateId: 'other', sha256: 'bb', pictures: [picture] }
const theirs = { claimId: 'c', candidateId: 'other', number: 'KP 2016 0042', kind: 'study' as const, sourceId: 's' }
const jan = { candidateId: 'other', names: ['Jan Nowak'], born: '1990-01-01' }
const answer = {
  ...{ enquiryId: 'e', claimId: 'a', from: 'records@karwen.example', answeredBefore: false },
  ...{ askedAt: '2026-11-20T09:00:00Z', answeredAt: '2026-11-20T09:30:00Z', contactSince: '2026-11-18T09:00:00Z' },
}
const spot = { page: 1, x: 0.4, y: 0.5, width: 0.1, height: 0.02 }
const made = (over: Partial<Making>) => ({ papers: [paper({ making: { ...untouched, ...over } })] })
const format = { claim: 'study' as const, pattern: 'KP-####-####', example: 'KP-2016-0042' }
const seller = { id: 'x', by: 'name' as const, value: 'Karven Politechnic' }

/** For every kind what it fires on, and what comes near and it does not. */
const cases: Record<FlagKind, { fires: Partial<FlagFacts>[]; not: Partial<FlagFacts>[] }> = {
  'same file': {
    fires: [{ papersElsewhere: [{ ...elsewhere, sha256: 'aa', pictures: [] }] }],
    not: [{ papersElsewhere: [{ ...elsewhere, pictures: [] }] }],
  },
  'same picture': {
    fires: [
      { papersElsewhere: [elsewhere] },
      { papersElsewhere: [{ ...elsewhere, pictures: [null, turned(mostBitsApart)] }] },
    ],
    not: [
      { papersElsewhere: [{ ...elsewhere, pictures: [turned(mostBitsApart + 1)] }] },
      // A page with next to nothing on it looks like any other.
      { papers: [paper({ pictures: [null] })], papersElsewhere: [{ ...elsewhere, pictures: [null] }] },
    ],
  },
  'number of another': {
    fires: [{ numbersElsewhere: [theirs] }, { numbersElsewhere: [{ ...theirs, sourceId: null }] }],
    not: [
      { numbersElsewhere: [{ ...theirs, sourceId: 'another' }] },
      { numbersElsewhere: [{ ...theirs, kind: 'licence' }] },
      { claims: [study({ number: '12' })], numbersElsewhere: [{ ...theirs, number: '12' }] },
    ],
  },
  'name of another': {
    fires: [{ papers: [paper({ name: { value: 'Nowak Jan' }, born: '1990-01-01' })], peopleElsewhere: [jan] }],
    not: [
      // An initial may be the candidate's own.
      { papers: [paper({ name: { value: 'M. Kowalczyk' } })], peopleElsewhere: [{ ...jan, names: ['M. Kowalczyk'] }] },
      { papers: [paper({ name: { value: 'Jan Nowak' }, born: '1975-03-03' })], peopleElsewhere: [jan] },
      { papers: [paper({ name: { value: 'Jana Nowaková' } })], peopleElsewhere: [jan] },
    ],
  },
  'changed after signing': { fires: [made({ signed: 'changed' })], not: [made({ signed: 'whole' })] },
  'image editor': {
    fires: [made({ software: ['Scan', 'GIMP 2.10'] }), made({ software: ['paint.net 5.0'] })],
    not: [made({ software: ['LibreOffice 7.4', 'Painting Office of Karwen'] })],
  },
  'text over picture': { fires: [made({ overPicture: [{ text: '2016', place: spot }] })], not: [made({})] },
  'mixed fonts': { fires: [made({ mixedFonts: [{ text: 'KP-2016', place: spot }] })], not: [made({})] },
  'before its source': {
    fires: [{ claims: [study({ from: day('1995'), to: day('1999'), given: day('1999') })] }],
    not: [
      { claims: [study({ from: day('1996'), source: source({ existedFrom: 1996 }) })] },
      { claims: [study({ from: day('1995~'), to: day('2016'), source: source() })] },
      { claims: [study({ from: day('1980'), source: source({ existedFrom: null }) })] },
    ],
  },
  'after its source': {
    fires: [{ claims: [study({ source: source({ existedTo: 2014 }) })] }],
    not: [
      // What was begun before it ended is given out for a year.
      { claims: [study({ source: source({ existedTo: 2015 }) })] },
      // Until when it holds is not when it was given.
      { claims: [study({ kind: 'licence', given: undefined, source: source({ existedTo: 2014 }) })] },
      { claims: [study()] },
    ],
  },
  'end before start': {
    fires: [{ claims: [study({ from: day('2016-08'), to: day('2016-07-04') })] }],
    not: [{ claims: [study({ from: day('2016'), to: day('2016-07-04') })] }],
  },
  'too young': {
    fires: [{ claims: [study({ from: day('2004'), to: day('2009'), given: day('2009-06') })] }],
    not: [
      { claims: [study({ from: day('2008'), to: day('2013'), given: day('2013') })] },
      { person: { ...file().person, born: null }, claims: [study({ to: day('2001'), given: day('2001') })] },
    ],
  },
  'two full-time jobs': {
    fires: [{ claims: [job('a', '2018-01-01', '2020-01-01'), job('b', '2019-01-01', 'present')] }],
    not: [
      { claims: [job('a', '2018-01-01', '2020-01-01'), job('b', '2019-01-01', 'present', 50)] },
      { claims: [job('a', '2018-01-01', '2019-02-15'), job('b', '2019-01-01', 'present')] },
      // Months and years that only may overlap.
      { claims: [job('a', '2018', '2019'), job('b', '2019', '2020')] },
    ],
  },
  'number pattern': {
    fires: [{ claims: [study({ number: 'KP-16-42', source: source({ numberFormats: [format] }) })] }],
    not: [
      { claims: [study({ number: 'kp-2016- 0042 ', source: source({ numberFormats: [format] }) })] },
      { claims: [study({ number: 'KP-16-42' })] },
      { claims: [study({ number: '16', source: source({ numberFormats: [{ ...format, claim: 'licence' }] }) })] },
    ],
  },
  'answer from elsewhere': {
    fires: [{ answers: [{ ...answer, from: 'records@karwen-polytechnic.example' }] }],
    not: [{ answers: [{ ...answer, from: 'dean@karwen.example' }] }, { answers: [{ ...answer, from: undefined }] }],
  },
  'answer at once': {
    fires: [{ answers: [{ ...answer, answeredAt: '2026-11-20T09:09:00Z' }] }],
    not: [
      { answers: [{ ...answer, answeredAt: '2026-11-20T09:10:00Z' }] },
      { answers: [{ ...answer, answeredAt: '2026-11-20T09:01:00Z', answeredBefore: true }] },
      { answers: [{ ...answer, answeredAt: '2026-11-20T09:01:00Z', contactSince: '2026-10-21T09:00:00Z' }] },
      { answers: [{ ...answer, answeredAt: '2026-11-20T09:01:00Z', contactSince: undefined }] },
    ],
  },
  seller: { fires: [{ claims: [study({ seller })] }], not: [{ claims: [study()] }] },
  'own contact': {
    fires: [
      { vouchings: [{ id: 'v', name: 'Referee', mail: 'MARTA@mail.example' }] },
      { claims: [study({ said: { mail: '', phone: '0048 600 100 200' } })] },
    ],
    not: [
      { vouchings: [{ id: 'v', name: 'Referee', mail: 'boss@mail.example' }] },
      { claims: [study({ said: { mail: '', phone: '12' } })] },
    ],
  },
}

test('a file in order has no red flag', () => {
  expect(kinds({})).toEqual([])
})

describe.each(flagKinds.map((kind) => [kind, cases[kind]] as const))('%s', (kind, { fires, not }) => {
  test.each(fires.map((facts, nth) => [nth + 1, facts] as const))('fires (%i)', (_, facts) => {
    expect(kinds(facts)).toContain(kind)
  })
  test.each(not.map((facts, nth) => [nth + 1, facts] as const))('does not (%i)', (_, facts) => {
    expect(kinds(facts)).not.toContain(kind)
  })
})

test('a flag says where to look, and which other file it joins', () => {
  const [flag] = findFlags(file({ papersElsewhere: [{ ...elsewhere, pictures: [null, picture] }] }))
  expect(flag).toMatchObject({
    at: { claimId: 'a', documentId: 'd', place: { page: 1 } },
    other: { candidateId: 'other', claimId: 'c', documentId: 'o' },
  })
})

test('two jobs are one flag however the file lists them', () => {
  const [one, other] = [job('a', '2018-01-01', '2020-01-01'), job('b', '2019-01-01', 'present')]
  const about = (claims: ClaimOfFlags[]) => findFlags(file({ claims })).map((flag) => flag.about)
  expect(about([one, other])).toEqual(about([other, one]))
})

const bits = fc
  .array(fc.constantFrom(...'0123456789abcdef'), { minLength: 64, maxLength: 64 })
  .map((digits) => digits.join(''))

test('bits apart are a distance', () => {
  fc.assert(
    fc.property(bits, bits, bits, (a, b, c) => {
      expect(bitsApart(a, a)).toBe(0)
      expect(bitsApart(a, b)).toBe(bitsApart(b, a))
      expect(bitsApart(a, c)).toBeLessThanOrEqual(bitsApart(a, b) + bitsApart(b, c))
    }),
  )
})

test('a kind is mostly wrong from five that were settled, with more than three of four dismissed', () => {
  expect(isMostlyWrong({ upheld: 0, dismissed: 4 })).toBe(false)
  expect(isMostlyWrong({ upheld: 0, dismissed: 5 })).toBe(true)
  expect(isMostlyWrong({ upheld: 2, dismissed: 6 })).toBe(false)
  expect(isMostlyWrong({ upheld: 1, dismissed: 6 })).toBe(true)
})

/** Everything that fires, in one file. */
const everything = (): FlagFacts => {
  const all = flagKinds.map((kind) => cases[kind].fires[0]!)
  const listed = <Key extends 'answers' | 'vouchings' | 'papersElsewhere' | 'numbersElsewhere' | 'peopleElsewhere'>(
    key: Key,
  ) => all.flatMap((facts) => (facts[key] ?? []) as FlagFacts[Key][number][])
  return file({
    claims: all.flatMap(({ claims = [] }, nth) => claims.map((claim) => ({ ...claim, id: `${nth}-${claim.id}` }))),
    papers: all.flatMap(({ papers = [] }, nth) =>
      papers.map((one) => ({ ...one, documentId: `d${nth}`, sha256: `a${nth}` })),
    ),
    ...{ answers: [], vouchings: listed('vouchings'), papersElsewhere: listed('papersElsewhere') },
    ...{ numbersElsewhere: listed('numbersElsewhere'), peopleElsewhere: listed('peopleElsewhere') },
  })
}

test('what is found does not depend on the order in which a file lists its things', () => {
  const facts = everything()
  const keys = (of: FlagFacts) =>
    findFlags(of)
      .map(({ kind, about }) => `${kind} ${about}`)
      .sort()
  const whole = keys(facts)
  expect(whole.length).toBeGreaterThan(10)
  fc.assert(
    fc.property(
      fc.shuffledSubarray([...facts.claims], { minLength: facts.claims.length }),
      fc.shuffledSubarray([...facts.papers], { minLength: facts.papers.length }),
      (claims, papers) => expect(keys({ ...facts, claims, papers })).toEqual(whole),
    ),
  )
})

test('flags come in the order of their kinds, each once', () => {
  const found = findFlags(everything())
  const places = found.map(({ kind }) => flagKinds.indexOf(kind))
  expect(places).toEqual([...places].sort((a, b) => a - b))
  expect(new Set(found.map(({ kind, about }) => `${kind} ${about}`)).size).toBe(found.length)
})

test('nothing in a flag names the other person: whose it is, is said when it is read', () => {
  const values = JSON.stringify(findFlags(everything()).map(({ values: said }) => said))
  expect(values).not.toMatch(/Nowak/)
})
