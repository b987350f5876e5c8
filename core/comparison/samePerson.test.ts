import { type KnownPerson, keysOfPerson, soundsOf } from './keys'
import { compareFiles } from './samePerson'

const person = (over: Partial<KnownPerson> = {}): KnownPerson => ({
  names: ['Maëlle Dréau-Okafor'],
  born: '1994-08-21',
  phone: '+33 6 55 50 10 20',
  mails: ['maelle@mail.test'],
  identityNumbers: [],
  otherNumbers: [],
  ...over,
})
const alike = (over: Partial<KnownPerson>, own: Partial<KnownPerson> = {}) =>
  compareFiles(person(own), person({ mails: ['other@mail.test'], ...over }))

test('the same name and birth date under another mail is certain, with the phone all the more', () => {
  const found = alike({ names: ['DREAU OKAFOR Maelle'] })
  expect(found.likelihood).toBe('certain')
  expect(found.agreements.map(({ field, verdict }) => [field, verdict])).toEqual([
    ['name', 'equivalent'],
    ['birth date', 'same'],
    ['phone', 'same'],
  ])
})

test('namesakes with other birth dates and phones are not one person', () => {
  expect(alike({ born: '1971-02-03', phone: '+43 1 555 01 99' }).likelihood).toBe('unlike')
})

test('a birth date with one wrong digit is a slip and leaves it likely', () => {
  const found = alike({ born: '1994-08-27', phone: null })
  expect(found.agreements.find(({ field }) => field === 'birth date')?.verdict).toBe('close')
  expect(found.likelihood).toBe('likely')
})

test('one passport is one person, whatever the name says', () => {
  const found = alike(
    { names: ['Ngozi Adeyemi'], phone: null, identityNumbers: ['P 1234567'] },
    { identityNumbers: ['p1234567'] },
  )
  expect(found.likelihood).toBe('certain')
})

test.each(['Lena Keller', 'Hanna Keller'])(
  'Anna Keller and her twin %s, of one household, are never one person for certain',
  (twin) => {
    const shared = { born: '1998-04-02', phone: '+43 512 555 0100', mails: ['family@mail.test'] }
    const anna = person({ names: ['Anna Keller'], ...shared })
    expect(['possible', 'likely']).toContain(compareFiles(anna, person({ names: [twin], ...shared })).likelihood)
    const passport = { identityNumbers: ['P7766554'] }
    expect(compareFiles({ ...anna, ...passport }, person({ names: [twin], ...shared, ...passport })).likelihood).toBe(
      'certain',
    )
  },
)

test('other numbers and what is not stated say nothing', () => {
  const bare = alike({ born: null, phone: null })
  expect(alike({ born: null, phone: null, otherNumbers: ['TB-1'] }, { otherNumbers: ['TB-9999'] }).weight).toBe(
    bare.weight,
  )
  expect(bare.likelihood).toBe('possible')
})

test('it does not matter who is looked at first', () => {
  const [a, b] = [person({ born: '1994-08-21' }), person({ names: ['Maelle Okafor'], born: '1994-21-08' })]
  expect(compareFiles(a, b).weight).toBe(compareFiles(b, a).weight)
})

test('people are found by parts of names in both spellings, sounds, digits and numbers', () => {
  const keys = keysOfPerson(person({ names: ['Jürg Müller'], otherNumbers: ['TB-2018/9034', 'x'] })).map(
    ({ kind, value }) => `${kind}:${value}`,
  )
  expect(keys).toEqual(
    expect.arrayContaining(['n:muller', 'n:mueller', 'n:jurg', 'b:1994-08-21', 'p:655501020', 'c:TB20189034']),
  )
  expect(keys.filter((key) => key.startsWith('c:'))).toHaveLength(1)
  expect(new Set(keys).size).toBe(keys.length)
})

test('spellings that sound alike share a sound', () => {
  for (const [a, b] of [
    ['stefan', 'stephan'],
    ['katherine', 'catherine'],
    ['meyer', 'maier'],
  ])
    expect(soundsOf(a!).some((sound) => soundsOf(b!).includes(sound))).toBe(true)
})
