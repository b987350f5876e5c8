import { contactFlags, domainKeys } from './lookalikes'
import { sellerOf } from './sellers'
import { twinOf } from './twins'

const known = [
  { domain: 'arvelle.example', source: 'Arvelle' },
  { domain: 'gridboard.example', source: 'Grid' },
  { domain: 'uni-lumira.example', source: 'Lumira' },
]
const nobody = { mails: [], phones: [] }
const free = new Set(['bergpost.example'])
const flags = (mail: string, over: { phone?: string; kind?: 'university' | 'referee'; own?: typeof nobody } = {}) =>
  contactFlags({ mail, phone: over.phone ?? '' }, over.kind ?? 'university', known, over.own ?? nobody, free)

test.each([
  ['registrar@arvelle.example', []],
  ['registrar@arvele.example', ['near-domain']],
  ['registrar@arvellle.example', ['near-domain']],
  ['registrar@arvlele.example', ['near-domain']],
  ['registrar@arveile.example', ['near-domain']],
  ['registrar@arve11e.example', ['near-domain']],
  ['desk@gridb0ard.example', ['near-domain']],
  ['desk@uni-lurnira.example', ['near-domain']],
  ['registrar@arvelle.test', ['other-ending']],
  ['registrar@another.example', []],
  ['arvelle@bergpost.example', ['free-mail']],
  ['', []],
])('%s has the flags %j', (mail, codes) => {
  expect(flags(mail).map(({ code }) => code)).toEqual(codes)
})

test('a flag says which domain it looks like, and whose that is', () => {
  expect(flags('x@arvele.example')).toEqual([
    { code: 'near-domain', domain: 'arvele.example', known: 'arvelle.example', source: 'Arvelle' },
  ])
})

test('a referee may well have a free address', () => {
  expect(flags('leopold@bergpost.example', { kind: 'referee' })).toEqual([])
})

test('what stands in the candidate’s own file is a flag, however it is written', () => {
  const own = { mails: ['Jo@mail.example', 'jo@firm.example'], phones: ['0512 / 555 01 00'] } as never
  expect(flags('jo@mail.example', { own }).map(({ code }) => code)).toEqual(['own-mail'])
  expect(flags('hr@firm.example', { own })).toEqual([{ code: 'own-domain', domain: 'firm.example' }])
  expect(flags('', { phone: '+43 512 5550100', own })).toEqual([{ code: 'own-phone', phone: '+43 512 5550100' }])
  expect(flags('', { phone: '+43 512 5550101', own })).toEqual([])
})

test('whatever would be flagged is found by one of its keys', () => {
  for (const mail of ['arvele', 'arvellle', 'arvlele', 'arveile', 'arve11e']) {
    const keys = domainKeys(`${mail}.example`)
    expect(domainKeys('arvelle.example').some((key) => keys.includes(key))).toBe(true)
  }
  expect(domainKeys('nodot')).toEqual([])
})

describe('sellers of degrees', () => {
  const sellers = [{ id: 'a', names: ['Saint Everard University'], domains: ['everard-degrees.example'] }]
  const source = (name: string, mail = '') => sellerOf({ names: [name], mails: [mail] }, sellers)

  test('are known by a name in any spelling, by a domain and what is below it, and by a name one letter away', () => {
    expect(source('University of Saint-Everard')).toBeUndefined()
    expect(source('Saint Everard  University')).toMatchObject({ by: 'name' })
    expect(source('Saint Everhard University')).toMatchObject({ by: 'near name', value: 'Saint Everard University' })
    expect(source('Another', 'office@everard-degrees.example')).toMatchObject({ by: 'domain' })
    expect(source('Another', 'office@mail.everard-degrees.example')).toMatchObject({ by: 'domain' })
    expect(source('Another', 'office@noteverard-degrees.example')).toBeUndefined()
    expect(source('Université d’Arlac', 'x@arlac.example')).toBeUndefined()
  })
})

describe('two entries of one source', () => {
  const entry = (id: string, name: string, over: object = {}) => ({
    ...{ id, name, names: [], town: '', kind: 'school' as const, country: 'PL', contacts: [] },
    ...over,
  })
  const contact = (mail: string, phone = '') => ({
    ...{ id: mail, purposes: [], name: '', mail, phone, address: '' },
  })

  test('have names that answer each other, in one country and of one kind', () => {
    const one = entry('1', 'Zespół Szkół Technicznych Zarowa')
    expect(twinOf(one, entry('2', 'Zespol Szkol Technicznych w Zarova'), free)?.reasons[0]).toMatchObject({
      code: 'name',
    })
    expect(twinOf(one, entry('2', 'Zespol Szkol Technicznych Zarova', { kind: 'university' }), free)).toBeDefined()
    expect(twinOf(one, entry('2', 'Zespol Szkol Technicznych Zarova', { kind: 'employer' }), free)).toBeUndefined()
    expect(twinOf(one, entry('2', 'Gymnasium Karwen'), free)).toBeUndefined()
  })

  test('a common word and a town do not make them one', () => {
    const one = entry('1', 'Berufsschule Steinach')
    expect(twinOf(one, entry('2', 'Berufsschule Tannberg'), free)).toBeUndefined()
    expect(twinOf(one, entry('2', 'Handelsakademie Steinach'), free)).toBeUndefined()
  })

  test('share a domain or a telephone; a free domain says nothing', () => {
    const one = entry('1', 'One', { contacts: [contact('a@zst.example', '+48 55 555 61 00')] })
    expect(twinOf(one, entry('2', 'Other', { contacts: [contact('b@zst.example')] }), free)?.reasons).toEqual([
      { code: 'domain', value: 'zst.example' },
    ])
    expect(
      twinOf(one, entry('2', 'Other', { contacts: [contact('b@x.example', '(55) 555-6100')] }), free)?.reasons[0],
    ).toMatchObject({ code: 'phone' })
    const two = entry('3', 'Third', { contacts: [contact('a@bergpost.example')] })
    expect(twinOf(two, entry('4', 'Fourth', { contacts: [contact('b@bergpost.example')] }), free)).toBeUndefined()
  })
})
