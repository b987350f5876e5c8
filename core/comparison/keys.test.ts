import { type KnownPerson, keysOfPerson, namePartsOf, phoneKey, plainNumber, soundsOf } from './keys'

const nobody: KnownPerson = { names: [], born: null, phone: null, mails: [], identityNumbers: [], otherNumbers: [] }
const keys = (over: Partial<KnownPerson>) =>
  keysOfPerson({ ...nobody, ...over }).map(({ kind, value }) => `${kind} ${value}`)

test.each([
  ['Maëlle Dréau-Okafor', ['maelle', 'dreau', 'okafor']],
  ["O'Neill d’Arc", ['oneill', 'darc']],
  ['J. R. Tolk', ['tolk']],
  ['  Ng  Ho ', ['ng', 'ho']],
  ['Müller', ['muller']],
  ['e\u0301mile', ['emile']],
  ['', []],
])('the parts of “%s”', (name, parts) => expect(namePartsOf(name)).toEqual(parts))

test('a name with an umlaut is found in both spellings', () => {
  expect(keys({ names: ['Jörg Weiß'] }).filter((key) => key.startsWith('n '))).toEqual(['n jorg', 'n weiss', 'n joerg'])
})

test('a name is found by its sounds, each once, and one without any sound by its letters alone', () => {
  expect(soundsOf('meyer')).toEqual(soundsOf('maier'))
  expect(soundsOf('schmidt').length).toBe(2)
  expect(soundsOf('h')).toEqual([])
  const sounds = keys({ names: ['Meyer', 'Maier'] }).filter((key) => key.startsWith('s '))
  expect(new Set(sounds).size).toBe(sounds.length)
})

test.each([
  ['AT-12 34/b', 'AT1234B'],
  ['  rg·3·21560 ', 'RG321560'],
  ['№ 7', 'NO7'],
])('the number %s', (text, plain) => expect(plainNumber(text)).toBe(plain))

test('a phone is its last nine digits, however it is written', () => {
  expect(phoneKey('+43 (0)512 555-0100')).toBe('125550100')
  expect(phoneKey('0512 5550100')).toBe('125550100')
  expect(phoneKey('12345')).toBe('12345')
})

test('what is too short to tell anybody apart is no key', () => {
  expect(keys({ phone: '12345' })).toEqual([])
  expect(keys({ phone: '123456' })).toEqual(['p 123456'])
  expect(keys({ otherNumbers: ['123', '12-3', '1234'] })).toEqual(['c 1234'])
  expect(keys({ identityNumbers: ['P12'] })).toEqual([])
  expect(keys({ mails: ['', '  '] })).toEqual([])
})

test('each key stands once and is of its own kind', () => {
  expect(
    keys({
      born: '1990-04-11',
      mails: [' Ada@Mail.test', 'ada@mail.test'],
      identityNumbers: ['P 765 4321'],
      otherNumbers: ['P7654321', 'p-765-4321'],
    }),
  ).toEqual(['b 1990-04-11', 'm ada@mail.test', 'i P7654321', 'c P7654321'])
})

test('a value is as long as the database keeps it', () => {
  expect(keys({ otherNumbers: ['7'.repeat(80)] })).toEqual([`c ${'7'.repeat(60)}`])
  expect(keys({ mails: [`${'a'.repeat(70)}@x.test`] })[0]).toHaveLength(62)
})
