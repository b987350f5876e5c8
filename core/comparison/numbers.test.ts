import fc from 'fast-check'
import { compareNumbers } from './numbers'

const verdict = (ours: string, theirs: string) => compareNumbers(ours, theirs).verdict
const codes = (ours: string, theirs: string) => compareNumbers(ours, theirs).reasons.map(({ code }) => code)

test.each([
  ['', 'A1', 'not stated'],
  ['A1', '   ', 'not stated'],
  [' A1 ', 'A1', 'same'],
  ['AB-12', 'AB 12', 'equivalent'],
  ['ab12', 'AB12', 'equivalent'],
  ['A12', 'A123', 'different'],
  ['---', '...', 'equivalent'],
])('%j against %j: %s', (ours, theirs, expected) => expect(verdict(ours, theirs)).toBe(expected))

test.each([
  ['AB-12', 'AB12', ['separators']],
  ['ab12', 'AB12', ['case']],
  ['ab-12', 'AB12', ['separators', 'case']],
  ['A-12', 'A/12', ['separators']],
  ['A12', 'A123', ['other-length']],
  ['A1X', 'A1Y', ['other-characters']],
])('%j against %j because of %j', (ours, theirs, expected) => expect(codes(ours, theirs)).toEqual(expected))

const lookAlikes = [
  '0O',
  '0D',
  '0Q',
  'OQ',
  'OD',
  '1I',
  '1L',
  'IL',
  '5S',
  '8B',
  '86',
  '6G',
  '2Z',
  '17',
  '38',
  'UV',
  '27',
  '49',
]

test.each(lookAlikes.flatMap((pair) => [pair, [...pair].reverse().join('')]))('%s is easily misread', (pair) => {
  const [ours, theirs] = [...pair] as [string, string]
  expect(compareNumbers(`X${ours}4`, `X${theirs}4`)).toEqual({
    verdict: 'close',
    reasons: [{ code: 'misread', pairs: [{ ours, theirs }] }],
    places: [1],
  })
})

test.each(['A4', '09', '1S', '5B', 'GO', 'VW'])('%s is not', (pair) => {
  const [ours, theirs] = [...pair] as [string, string]
  expect(compareNumbers(`X${ours}4`, `X${theirs}4`)).toMatchObject({ verdict: 'different', places: [1] })
})

test('three misread characters are close, a fourth is another number', () => {
  expect(verdict('0158', 'OIS8')).toBe('close')
  expect(verdict('01582', 'OISBZ')).toBe('different')
  expect(verdict('01X', 'OIY')).toBe('different')
})

test('places are counted in what the other side wrote, separators and all', () => {
  expect(compareNumbers('AR-2021-08417', 'AR 2021/06417').places).toEqual([9])
  expect(compareNumbers('08417', 'No. 06-417'.replace('No. ', '')).places).toEqual([1])
})

test.each([
  ['AB1243', 'AB1234', 'close', [4, 5]],
  ['21-34', '12 34', 'close', [0, 1]],
  ['A1234', 'A4231', 'different', [1, 4]],
  ['AB12435', 'AB12349', 'different', [4, 5, 6]],
  ['AB1243', 'AB1235', 'different', [4, 5]],
  ['AB1243', 'AB1254', 'different', [4, 5]],
])('%s against %s: %s at %j, as far as neighbours are swapped', (ours, theirs, expected, places) =>
  expect(compareNumbers(ours, theirs)).toMatchObject({ verdict: expected, places }),
)

test('what is swapped is said as either side has it', () =>
  expect(compareNumbers('ab12', 'AB21').reasons).toEqual([{ code: 'swapped', ours: '12', theirs: '21' }]))

const number = fc.stringMatching(/^[A-Z0-9]([A-Z0-9 ./-]{0,10}[A-Z0-9])?$/)

test('whoever is asked first, the verdict is the same', () =>
  fc.assert(fc.property(number, number, (one, other) => verdict(one, other) === verdict(other, one))))

test('separators and case never make another number of it', () =>
  fc.assert(
    fc.property(number, (text) =>
      ['same', 'equivalent'].includes(verdict(text, text.replace(/[ ./-]/g, '').toLowerCase())),
    ),
  ))

test.each<[string, string, string, string, number[]]>([
  ['AR-2021-08417', 'AR-2021-0841', 'close', 'one-less', [11]],
  ['AR-2021-08417', 'AR-2021-084177', 'close', 'one-more', [13]],
  ['AR-2021-08417', 'AR-2021-8417', 'close', 'leading-zeros', [8]],
  ['0004417', '4417', 'close', 'leading-zeros', [0]],
  ['VTA-004417', '004417', 'close', 'prefix-missing', [0]],
  ['004417', 'VTA-004417', 'close', 'prefix-missing', [0, 1, 2]],
  ['K2917', 'K7917', 'close', 'misread', [1]],
  ['K4917', 'K9917', 'close', 'misread', [1]],
  ['AR-2021-08417', 'AR-2021-08', 'different', 'other-length', []],
  ['12', '123', 'different', 'other-length', []],
  ['AR-2021-08417', 'AR-2021-08418', 'different', 'other-characters', [12]],
])('%s against %s is %s, %s', (ours, theirs, expected, code, places) => {
  const found = compareNumbers(ours, theirs)
  expect([found.verdict, found.reasons.map((reason) => reason.code)]).toEqual([expected, [code]])
  if (places.length > 0) expect(found.places).toEqual(places)
})

test('one character more or less is close from four on, and never the same', () =>
  fc.assert(
    fc.property(number, fc.constantFrom('7', 'K'), (text, more) => {
      const long = text.replace(/[^A-Z0-9]/g, '').length >= 4
      return verdict(text, text + more) === (long ? 'close' : 'different')
    }),
  ))
