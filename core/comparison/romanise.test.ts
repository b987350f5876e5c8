import { isGivenName, soundOfSpelling } from './givenNames'
import { differingPlaces } from './measures'
import { takeApart } from './nameParts'
import { mayBeNicknames } from './nicknames'
import { readingsOf, sameInCyrillic } from './romanise'
import { arabicReadings, arabicWords, fitsArabic, sameInArabic } from './romaniseArabic'

const readings = (text: string) => readingsOf(text).map(({ standard, text: read }) => `${standard}: ${read}`)

test.each([
  // ICAO Doc 9303-3, section 6 B; ISO 9:1995, table 1; BGN/PCGN 1947.
  ['Юрий Хрущёв', ['ICAO 9303: Iurii Khrushchev', 'BGN/PCGN: Yuriy Khrushchyov', 'ISO 9: Ûrij Hruŝëv']],
  ['Ельцин', ['ICAO 9303: Eltsin', 'BGN/PCGN: Yeltsin', 'ISO 9: Elcin']],
  ['Сергій Гнатюк', ['ICAO 9303: Serhii Hnatiuk', 'BGN/PCGN: Serhiy Hnatyuk']],
  // ISO 843:1997 and ELOT 743.
  ['Γιώργος Παπαδόπουλος', ['ELOT 743: Giorgos Papadopoulos', 'BGN/PCGN: Yiorgos Papadhopoulos']],
  ['Ευθυμία Μπάρδα', ['ELOT 743: Efthymia Barda', 'ISO 843: Euthymia Mparda']],
  // ISO 7098 and GB/T 28039.
  ['吕小明', ['ISO 7098: Lu Xiaoming', 'ISO 7098: Lyu Xiaoming']],
  ['欧阳娜娜', ['ISO 7098: Ouyang Nana']],
])('%s is read by its standards', (text, expected) => expect(readings(text)).toEqual(expect.arrayContaining(expected)))

test('what has no such standard is not read', () => expect(readingsOf('สมชาย')).toEqual([]))

test.each([
  ['Shcherbakov', 'Ŝerbakov', { ours: 'ICAO 9303', theirs: 'ISO 9' }],
  ['Yuliya', 'Iuliia', { ours: 'BGN/PCGN', theirs: 'ICAO 9303' }],
  ['Jan', 'Ian', undefined],
  ['Keller', 'Kelner', undefined],
])('%s and %s in Cyrillic', (a, b, expected) => expect(sameInCyrillic(a, b)).toEqual(expected))

describe('Arabic', () => {
  test.each([
    ['محمد', 'muhammad', 'known'],
    ['محمد', 'mohamed', 'known'],
    ['محمد', 'mahmud', 'other'],
    ['محمود', 'mahmoud', 'known'],
    ['أحمد', 'hamid', 'other'],
    ['حامد', 'hamid', 'known'],
    ['يوسف', 'yousef', 'known'],
    ['عبدالرحمن', 'abdelrahman', 'known'],
    ['الحسن', 'alhasan', 'known'],
    ['الحسن', 'elhassan', 'known'],
    ['بركات', 'barakat', 'letters'],
    ['بركات', 'burqan', 'other'],
    ['بركات', 'brkat', 'known'],
  ] as const)('%s and %s: %s', (word, latin, fit) => expect(fitsArabic(word, latin)).toBe(fit))

  test('the letters stand as a zone and as ISO 233 have them', () =>
    expect(arabicReadings('محمد').map(({ standard, text }) => `${standard}: ${text}`)).toEqual([
      'BGN/PCGN: muḩammad',
      'ISO 233: mḥmd',
      'ICAO 9303: MXHMD',
    ]))

  test('what belongs together is one word', () => {
    expect(arabicWords('عبد الرحمن خالد')).toEqual(['عبدالرحمن', 'خالد'])
    expect(sameInArabic('mohammed', 'muhamad')).toBe(true)
    expect(sameInArabic('mohammed', 'mahmoud')).toBe(false)
  })
})

test.each([
  ['sarah', 'sara', true],
  ['philipp', 'filip', true],
  ['catharina', 'katarina', true],
  ['petra', 'peter', false],
  ['julia', 'julian', false],
])('%s and %s are one spelling: %s', (a, b, same) => expect(soundOfSpelling(a) === soundOfSpelling(b)).toBe(same))

test('names of their own, and names one person goes by', () => {
  expect(['petra', 'peter', 'jan', 'ian', 'julian'].every(isGivenName)).toBe(true)
  expect(isGivenName('aschenbach')).toBe(false)
  expect([
    mayBeNicknames('bob', 'robert'),
    mayBeNicknames('lena', 'magdalena'),
    mayBeNicknames('bob', 'richard'),
  ]).toEqual([true, true, false])
  expect(mayBeNicknames('bob', 'bob')).toBe(false)
})

test.each([
  ['Prof. Dr. med. Lucien Moreau', ['Lucien', 'Moreau'], ['Prof', 'Dr', 'med'], undefined],
  ['Anna Brunner, MSc', ['Anna', 'Brunner'], ['MSc'], undefined],
  ['Anna Brunner, MA', ['Anna', 'Brunner'], ['MA'], undefined],
  ['Ma Yun', ['Ma', 'Yun'], [], undefined],
  ['Walter Tobler jun.', ['Walter', 'Tobler'], [], 'junior'],
  ['Kim Min Jun', ['Kim', 'Min', 'Jun'], [], undefined],
  ['Dr. Mag.', ['Dr', 'Mag'], [], undefined],
])('%s is taken apart', (text, parts, titles, generation) => {
  const taken = takeApart(text)
  expect([taken.parts.map(({ written }) => written), taken.titles, taken.generation]).toEqual([
    parts,
    titles,
    generation,
  ])
})

test.each([
  ['kitten', 'sitting', [0, 4, 6]],
  ['0841', '08417', [4]],
  ['08417', '0841', [3]],
  ['same', 'same', []],
])('in %s and %s the places that differ are %j', (a, b, places) =>
  expect(differingPlaces([...a], [...b])).toEqual(places),
)
