import fc from 'fast-check'
import { comparisonSentence } from '../words/comparison'
import { compareClaim, type Field } from './compareClaim'
import { compareDates } from './dates'
import { editDistance, jaroWinkler } from './measures'
import { compareNames, isOwnName } from './names'
import { compareNumbers } from './numbers'
import { compareWords } from './words'

describe('published string measures', () => {
  // Winkler 1994, "Advanced Methods for Record Linkage", table 1 (Jaro–Winkler column).
  test.each([
    ['SHACKLEFORD', 'SHACKELFORD', 0.982],
    ['DUNNINGHAM', 'CUNNIGHAM', 0.896],
    ['NICHLESON', 'NICHULSON', 0.956],
    ['JONES', 'JOHNSON', 0.832],
    ['MASSEY', 'MASSIE', 0.933],
    ['ABROMS', 'ABRAMS', 0.922],
    ['JERALDINE', 'GERALDINE', 0.926],
    ['MARHTA', 'MARTHA', 0.961],
    ['MICHELLE', 'MICHAEL', 0.921],
    ['JULIES', 'JULIUS', 0.933],
    ['TANYA', 'TONYA', 0.88],
    ['DWAYNE', 'DUANE', 0.84],
    ['SEAN', 'SUSAN', 0.805],
    ['JON', 'JOHN', 0.933],
    ['JON', 'JAN', 0.8],
  ])('%s and %s are %d alike', (a, b, expected) => expect(jaroWinkler(a, b)).toBeCloseTo(expected, 3))

  test.each([
    ['kitten', 'sitting', 3],
    ['ca', 'ac', 1],
    ['ca', 'abc', 3],
    ['', 'abc', 3],
  ])('%s is edited into %s in %d steps', (a, b, steps) => expect(editDistance(a, b)).toBe(steps))

  test('both are symmetric, and a text is itself', () => {
    fc.assert(
      fc.property(fc.string({ maxLength: 12 }), fc.string({ maxLength: 12 }), (a, b) => {
        expect(editDistance(a, b)).toBe(editDistance(b, a))
        expect(editDistance(a, a)).toBe(0)
        expect(jaroWinkler(a, a)).toBe(1)
      }),
    )
  })
})

describe('names', () => {
  test.each([
    ['Maëlle Dréau-Okafor', 'Maëlle Dréau-Okafor', 'same', []],
    ['Maëlle Dréau', 'DREAU Maelle', 'equivalent', ['case', 'accents', 'word-order']],
    ['Jonas Brüderlin', 'Jonas Bruederlin', 'equivalent', ['accents', 'transliteration']],
    ['Hanne Sørlie', 'Hanne Sorlie', 'equivalent', []],
    ['Ludwig van der Aalst', 'Ludwig Aalst', 'equivalent', ['particles']],
    ["Siobhan O'Daly", 'Siobhan ODaly', 'equivalent', []],
    ['Tomasz Wierzborski', 'Томаш Вежбицки', 'different', ['reads-as']],
    ['Ivan Petrov', 'Иван Петров', 'equivalent', ['romanised']],
    ['Maëlle Dréau', 'M. Dréau', 'close', ['initials']],
    ['Maëlle Anna Dréau', 'Maëlle Dréau', 'close', ['part-missing']],
    ['Maëlle Dréau-Okafor', 'Maëlle Dréau', 'close', ['part-missing']],
    ['Adaeze Nwosu', 'Adaese Nwosu', 'close', ['variant']],
    ['Adaeze Nwosu', 'Adaete Nwosu', 'close', ['spelling']],
    ['Adaeze Nwosu', 'Kofi Brenninkmeyer', 'different', ['nothing-alike']],
    ['Maria', 'Maria Grau', 'different', ['too-little']],
    ['Petra Grau', 'Peter Grau', 'different', ['other-name']],
    ['Jan Grau', 'Ian Grau', 'different', ['other-name']],
    ['Robert Grau', 'Bob Grau', 'close', ['nickname']],
    ['Sarah Grau', 'Sara Grau', 'close', ['variant']],
    ['Dr. Ada Grau', 'Ada Grau, M.Sc.', 'equivalent', ['titles']],
    ['Thomas Martin', 'Martin Thomas', 'close', ['order-unsure']],
    ['Walter Grau', 'Walter Grau jun.', 'close', ['part-missing']],
    ['王小明', '王晓明', 'close', ['same-sound']],
    ['Willem van der Berg', 'Vanderberg Willem', 'equivalent', ['run-together', 'word-order']],
    ['Maria Grau', '', 'not stated', []],
  ])('%s against %s is %s', (ours, theirs, verdict, codes) => {
    const found = compareNames(ours, theirs)
    expect(found.verdict).toBe(verdict)
    expect(found.reasons.map(({ code }) => code)).toEqual(expect.arrayContaining(codes))
  })

  test('a maiden name evidenced by another paper explains a difference', () => {
    const known = [{ name: 'Maëlle Dréau', evidencedBy: 'marriage certificate' }]
    expect(compareNames('Maëlle Okafor', 'DREAU Maelle').verdict).toBe('different')
    const explained = compareNames('Maëlle Okafor', 'DREAU Maelle', known)
    expect(explained.verdict).toBe('equivalent')
    expect(explained.reasons[0]).toEqual({
      code: 'known-name',
      name: 'Maëlle Dréau',
      evidencedBy: 'marriage certificate',
    })
  })

  test('an initial with an evidenced married name could be the same person', () => {
    const known = [{ name: 'Maria Keller', evidencedBy: 'marriage certificate' }]
    expect(compareNames('Maria Grau', 'M. Keller', known)).toMatchObject({
      verdict: 'close',
      reasons: [{ code: 'known-name' }, { code: 'initials' }],
    })
    expect(compareNames('Maria Grau', 'Petra Keller', known).verdict).toBe('different')
  })

  test('what is read from another script names its standard', () => {
    expect(compareNames('Юлия Щербакова', 'Iuliia Shcherbakova').reasons[0]).toEqual({
      code: 'romanised',
      standard: 'ICAO 9303',
      reading: 'Iuliia Shcherbakova',
    })
    expect(compareNames('Iuliia Shcherbakova', 'Ûliâ Ŝerbakova').verdict).toBe('equivalent')
  })

  test('the letters that differ are pointed at in their spelling', () => {
    expect(compareNames('Adaeze Nwosu', 'Adaese Nwosu').places).toEqual([4])
  })
})

describe('numbers of papers', () => {
  test.each([
    ['AR-2021-08417', 'AR-2021-08417', 'same'],
    ['AR-2021-08417', 'ar 2021 08417', 'equivalent'],
    ['AR-2021-08417', 'AR-2021-06417', 'close'],
    ['AR-2021-08417', 'AR-2021-O8417', 'close'],
    ['K5B1', 'KSBI', 'close'],
    ['AR-2021-08417', 'AR-2021-08471', 'close'],
    ['AR-2021-08417', 'AR-2021-09417', 'different'],
    ['AR-2021-08417', 'AR-2021-08', 'different'],
    ['AR-2021-08417', '', 'not stated'],
  ])('%s against %s is %s', (ours, theirs, verdict) => expect(compareNumbers(ours, theirs).verdict).toBe(verdict))

  test('a misread character is reported with its place', () => {
    expect(compareNumbers('AR-2021-08417', 'AR-2021-06417')).toEqual({
      verdict: 'close',
      reasons: [{ code: 'misread', pairs: [{ ours: '8', theirs: '6' }] }],
      places: [9],
    })
  })

  test('separators never make a difference', () => {
    fc.assert(
      fc.property(fc.stringMatching(/^[A-Z0-9]{4,12}$/), fc.nat(), (number, place) => {
        const at = 1 + (place % (number.length - 1))
        expect(compareNumbers(number, `${number.slice(0, at)}-${number.slice(at)}`).verdict).toBe('equivalent')
      }),
    )
  })
})

describe('dates and words', () => {
  test.each([
    ['2021-07', '2021-07-09', 'equivalent'],
    ['2021-07-09', '2021-07-09', 'same'],
    ['2021-07-09', '2021-09-07', 'close'],
    ['2021-07-09', '2021-07-10', 'close'],
    ['2021-07-09', '2020-07-09', 'close'],
    ['2021-07', '2021-09', 'different'],
    ['2019', '2021-07', 'different'],
    ['2021~', '2020-12', 'equivalent'],
    ['2021', 'summer', 'not stated'],
  ])('%s against %s is %s', (ours, theirs, verdict) => expect(compareDates(ours, theirs).verdict).toBe(verdict))

  test.each([
    ['MSc', 'Master of Science', 'equivalent'],
    ['Electrical Power Systems', 'ELECTRICAL POWER SYSTEMS', 'equivalent'],
    ['MSc Electrical Engineering', 'Master of Science, Electrical Engineering', 'equivalent'],
    ['Electrical Engineering', 'Electrical Power Engineering', 'close'],
    ['Technician', 'Techncian', 'close'],
    ['Shift lead', 'Head of kitchen', 'different'],
  ])('%s against %s is %s', (ours, theirs, verdict) => expect(compareWords(ours, theirs).verdict).toBe(verdict))
})

describe('a whole claim', () => {
  const fields: Field[] = [
    { key: 'name', kind: 'name', matters: true },
    { key: 'award', kind: 'words', matters: true },
    { key: 'number', kind: 'number', matters: true },
    { key: 'awarded', kind: 'date', matters: true },
    { key: 'born', kind: 'date', matters: false },
  ]
  const claimed = {
    name: 'Maëlle Dréau',
    award: 'MSc',
    number: 'AR-2021-08417',
    awarded: '2021-07',
    born: '1997-02-03',
  }

  test('agrees when the source says the same thing in other words', () => {
    const reply = { name: 'DREAU Maelle', award: 'Master of Science', number: 'AR 2021 08417', awarded: '2021-07-09' }
    expect(compareClaim(fields, claimed, claimed, reply).outcome).toBe('agrees')
  })

  test('a misread number wants a look, and the sentence says what it most likely is', () => {
    const found = compareClaim(fields, claimed, claimed, { ...claimed, number: 'AR-2021-06417' })
    expect(found.outcome).toBe('look')
    const sentence = comparisonSentence(found)
    expect(sentence.head).toBe('One field is close, not the same.')
    expect(sentence.detail).toBe('Number: one character, 8 against 6, easily misread in a scan.')
  })

  test('a different award contradicts; a field that does not decide makes somebody look', () => {
    expect(compareClaim(fields, claimed, undefined, { ...claimed, award: 'Certificate of attendance' }).outcome).toBe(
      'contradicts',
    )
    expect(compareClaim(fields, claimed, undefined, { ...claimed, born: '1950-01-01' }).outcome).toBe('look')
  })

  test('a source that cannot say leaves the field unsaid', () => {
    const found = compareClaim(fields, claimed, undefined, { ...claimed, number: { cannotSay: true } })
    expect(found.outcome).toBe('look')
    expect(found.fields.find(({ key }) => key === 'number')).toMatchObject({
      sourceCannotSay: true,
      verdict: 'not stated',
    })
    expect(comparisonSentence(found).head).toBe('The source left one field blank.')
  })
})

test.each([
  ['Kim Min-jun', 'Minjun Kim', true],
  ['Kim Min-jun', 'KIM MINJUN', true],
  ['Jun Min Kim', 'Kim Minjun', true],
  ['Maëlle Dréau-Okafor', 'Okafor Dreau Maelle', true],
  ['Jürgen Weiß', 'Weiss Juergen', true],
  ['Nguyễn Thị Hoa', 'Hoa Nguyen Thi', true],
  ['Ada Grau', 'Ada Blau', false],
  ['Ada Grau', 'Grau', false],
])('%s signs as %s: %s', (own, typed, right) => {
  expect(isOwnName(own, typed)).toBe(right)
})
