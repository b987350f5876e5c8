import fc from 'fast-check'
import { rankSources } from './rank'
import type { SourceName } from './source'
import { initialsOf, nameKey, slipsOf, spellingKey, wordsOf } from './spelling'

const named = (name: string, names: SourceName[] = [], town = '') => ({ name, names, town })
const tannberg = named(
  'Technische Hochschule Tannberg',
  [
    { name: 'TH Tannberg', use: 'short' },
    { name: 'Tannberg University of Technology', use: 'other' },
    { name: 'Höhere Technische Lehranstalt Tannberg', use: 'earlier', until: 1974 },
  ],
  'Tannberg',
)
const arvelle = named('Institut polytechnique d’Arvelle', [{ name: 'Arvelle Polytechnic', use: 'other' }], 'Arvelle')
const karstiv = named('Карстівський університет залізничного транспорту', [
  { name: 'Karstiv University of Railway Transport', use: 'other' },
])
const thalassa = named('Πολυτεχνική Σχολή Θαλάσσης', [{ name: 'Thalassa School of Engineering', use: 'other' }])
const zarowa = named('Zespół Szkół Technicznych Zarowa', [{ name: 'ZST Zarowa', use: 'short' }], 'Zarowa')
const heights = named('Höhenwerk Training', [], 'Steinach')
const steinach = named('Berufsschule Steinach', [], 'Steinach')
const all = [tannberg, arvelle, karstiv, thalassa, zarowa, heights, steinach]

test.each([
  ['technische hochschule tannberg', tannberg, 'name', 'same'],
  ['TECHNISCHE HOCHSCHULE', tannberg, 'name', 'same'],
  ['tannb', tannberg, 'short', 'beginning'],
  ['TH Tannberg', tannberg, 'short', 'same'],
  ['Tannberg University of Technolgy', tannberg, 'other', 'slip'],
  ['Hoehere Technische Lehranstalt', tannberg, 'earlier', 'spelling'],
  ['T.H.T.', tannberg, 'initials', 'same'],
  ['institut polytechnique darvelle', arvelle, 'name', 'slip'],
  ["institut polytechnique d'arvelle", arvelle, 'name', 'same'],
  ['IPA', arvelle, 'initials', 'same'],
  ['Arvele Polytechnik', arvelle, 'other', 'spelling'],
  ['Arvlele Polytechnic', arvelle, 'other', 'slip'],
  ['Karstivskyi universytet', karstiv, 'name', 'slip'],
  ['Politechniki Schili Thalassis', thalassa, 'name', 'slip'],
  ['Polytechniki Scholi Thalassis', thalassa, 'name', 'same'],
  ['Zespol Szkol Technicznych', zarowa, 'name', 'same'],
  ['zst zarova', zarowa, 'short', 'spelling'],
  ['Hoehenwerk', heights, 'name', 'spelling'],
  ['Hohenwerk', heights, 'name', 'same'],
  ['Höhenwreck', heights, 'name', 'slip'],
])('%s is found first by its %s, and it is said how', (typed, source, by, how) => {
  const [hit] = rankSources(typed, all)
  expect(hit?.source.name).toBe(source.name)
  expect([hit?.why.by, hit?.why.how]).toEqual([by, how])
})

test('a town alone is no name, and helps one', () => {
  expect(rankSources('Steinach', [heights])).toEqual([])
  const [hit] = rankSources('Höhenwerk Steinach', all)
  expect([hit?.source.name, hit?.why.town]).toEqual(['Höhenwerk Training', true])
})

test('the whole name comes before one that only has its words, and the present before the former', () => {
  const longer = named('Berufsschule Steinach für Gastgewerbe')
  expect(rankSources('Berufsschule Steinach', [longer, steinach]).map(({ source }) => source.name)).toEqual([
    steinach.name,
    longer.name,
  ])
  const was = named('Elsewhere', [{ name: 'Berufsschule Steinach', use: 'earlier' }])
  expect(rankSources('Berufsschule Steinach', [was, steinach])[0]!.source).toBe(steinach)
})

test('what fits less than nearly half is not there, and nothing answers nothing', () => {
  expect(rankSources('Completely different words', all)).toEqual([])
  for (const nothing of ['', '  ', '—', '’']) expect(rankSources(nothing, all)).toEqual([])
})

test.each([
  ['Université d’Arlac', ['universite', 'arlac']],
  ['I. P. A.', ['ipa']],
  ['Politecnico & Figli', ['politecnico', 'and', 'figli']],
  ['Москва', ['moskva']],
])('the words of %s', (name, words) => {
  expect(wordsOf(name)).toEqual(words)
})

test.each([
  ['Hoehenwerk', 'Höhenwerk'],
  ['Zarowa', 'Zarova'],
  ['Charkow', 'Charkov'],
  ['Khabarovsk', 'Habarovsk'],
  ['Thalassa', 'Talasa'],
])('%s and %s are written alike', (one, other) => {
  const key = (name: string) => wordsOf(name).map(spellingKey).join(' ')
  expect(key(one)).toBe(key(other))
})

test('initials are of all words, and of those that tell', () => {
  expect(initialsOf('Université d’Arlac')).toEqual(['ua'])
  expect(initialsOf('University of Arlac')).toEqual(['uoa', 'ua'])
  expect(initialsOf('Brattlia')).toEqual([])
})

const word = fc.string({ unit: fc.constantFrom(...'abcdefghiklmnoprstuv'), minLength: 4, maxLength: 14 })

test('whatever is one letter away shares a slip with the word it was meant for', () => {
  fc.assert(
    fc.property(word, fc.nat(), fc.constantFrom(...'abcxyz'), (key, at, letter) => {
      const place = at % key.length
      const kinds = [
        key.slice(0, place) + key.slice(place + 1),
        key.slice(0, place) + letter + key.slice(place),
        key.slice(0, place) + letter + key.slice(place + 1),
        key.slice(0, place) + key.slice(place).split('').slice(0, 2).reverse().join('') + key.slice(place + 2),
      ].filter(({ length }) => length >= 4)
      const slips = new Set(slipsOf(key))
      for (const slipped of kinds) expect(slipsOf(slipped).some((slip) => slips.has(slip))).toBe(true)
    }),
  )
})

test('a name is found by itself, in any order of its words, with the same key', () => {
  fc.assert(
    fc.property(fc.uniqueArray(word, { minLength: 1, maxLength: 4 }), (words) => {
      const source = named(words.join(' '))
      const [hit] = rankSources([...words].reverse().join(' '), [source])
      expect(hit!.score).toBeGreaterThan(0.9)
      expect(rankSources(source.name, [source])[0]!.score).toBe(1)
      expect(nameKey(source.name.toUpperCase())).toBe(nameKey(source.name))
    }),
  )
})
