import fc from 'fast-check'
import { Temporal } from 'temporal-polyfill'
import { paperOf } from '../../test/papers'
import { fieldsOf } from '../comparison/fields'
import { writeZone } from '../identity/machineZone'
import type { ClaimKind } from '../requirements/claimKind'
import { datesInText } from './datesInText'
import { linesOf, withLines } from './paperText'
import { readFields } from './readFields'

const today = Temporal.PlainDate.from('2026-11-24')

function read(kind: ClaimKind, claimed: Record<string, string>, lines: readonly string[], more = {}) {
  const values = readFields(paperOf(lines, more), fieldsOf(kind, claimed), claimed, today)
  return Object.fromEntries(Object.entries(values).map(([key, { value }]) => [key, value]))
}

const degree = {
  name: 'Maëlle Dréau',
  born: '1997-02-03',
  award: 'MSc',
  subject: 'Railway Engineering',
  number: 'AR-2021-08417',
  awarded: '2021-07-09',
}

describe('a degree', () => {
  test('in English: the name is the one that is printed, the award in its long form', () => {
    expect(
      read('study', degree, [
        'ARVELLE POLYTECHNIC',
        'This is to certify that',
        'the award named below has been conferred on',
        'Maëlle Dréau-Okafor',
        'born 3 Feb 1997',
        'Master of Science',
        'Railway Engineering',
        'N° AR-2021-06417',
        'Arvelle, 9 Jul 2021',
        'The registrar',
      ]),
    ).toEqual({
      name: 'Maëlle Dréau-Okafor',
      born: '1997-02-03',
      award: 'Master of Science',
      subject: 'Railway Engineering',
      number: 'AR-2021-06417',
      awarded: '2021-07-09',
    })
  })

  test('in German, as a running text', () => {
    expect(
      read('study', { ...degree, name: 'Jonas Brüderlin', award: 'Master of Science', subject: 'Bahntechnik' }, [
        'Technische Hochschule Arlac',
        'Urkunde Nr. AR-2021-08417',
        'Herrn Jonas Brüderlin,',
        'geboren am 3. Februar 1997 in Zürich,',
        'wird der akademische Grad Master of Science im Fach Bahntechnik',
        'verliehen am 9. Juli 2021.',
      ]),
    ).toEqual({
      name: 'Jonas Brüderlin',
      born: '1997-02-03',
      award: 'Master of Science',
      subject: 'Bahntechnik',
      number: 'AR-2021-08417',
      awarded: '2021-07-09',
    })
  })

  test('in French and in Italian', () => {
    expect(
      read('study', { ...degree, subject: 'Génie ferroviaire' }, [
        'Université de Valmure',
        'Diplôme n° AR-2021-08417',
        'décerné à Maëlle Dréau',
        'née le 3 février 1997',
        'MSc, Génie ferroviaire',
        'délivré le 9 juillet 2021',
      ]),
    ).toMatchObject({ name: 'Maëlle Dréau', born: '1997-02-03', number: 'AR-2021-08417', awarded: '2021-07-09' })
    expect(
      read('study', { ...degree, name: 'Chiara Benvenuti' }, [
        'Si certifica che',
        'Chiara Benvenuti',
        'nata il 03/02/1997',
        'ha conseguito il titolo, numero AR-2021-08417',
        'conferito il 9 luglio 2021',
      ]),
    ).toMatchObject({ name: 'Chiara Benvenuti', born: '1997-02-03', number: 'AR-2021-08417', awarded: '2021-07-09' })
  })

  test('of another person is read as what it is', () => {
    const lines = ['This is to certify that', 'Petra Vandermeer', 'No. AR-2021-08417']
    expect(read('study', degree, lines)).toEqual({ name: 'Petra Vandermeer', number: 'AR-2021-08417' })
  })

  test('nothing is copied: from a paper that says nothing, nothing is read', () => {
    expect(read('study', degree, ['Lunch menu', 'Soup of the day'])).toEqual({})
  })
})

const licence = {
  name: 'Noor Adeyemi',
  born: '1990-05-01',
  title: 'First aid at work',
  number: 'FH-93111',
  issued: '2026-11-19',
  through: '2028-11-18',
}

describe('a card', () => {
  test('as a form with labels in front', () => {
    expect(
      read('certificate', licence, [
        'First aid at work',
        'Name:            Noor Adeyemi',
        'Date of birth:   01.05.1990',
        'Certificate number: FH-93111',
        'Date of issue:   19.11.2026',
        'Valid until:     18.11.2028',
      ]),
    ).toEqual({ ...licence })
  })

  test('as a form with labels above', () => {
    expect(
      read('certificate', licence, [
        'Gültig bis',
        '18.11.2028',
        'Ausstellungsdatum',
        '19.11.2026',
        'Inhaber',
        'Noor Adeyemi',
      ]),
    ).toEqual({ name: 'Noor Adeyemi', issued: '2026-11-19', through: '2028-11-18' })
  })

  test('a code on it says its number, and the letters do not have to', () => {
    const place = { page: 1, x: 0.8, y: 0.8, width: 0.1, height: 0.1 }
    const codes = [{ text: 'https://cards.example/check?no=FH-93111', place }]
    const values = readFields(paperOf(['Noor Adeyemi'], { codes }), fieldsOf('certificate', licence), licence, today)
    expect(values.number).toEqual({ value: 'FH-93111', how: 'code', place })
  })

  test('of two dates with one label neither is read; a doubtful word is none', () => {
    expect(read('certificate', licence, ['valid until 18.11.2028', 'valid until 18.11.2029'])).toEqual({})
    const paper = paperOf(['No. FH-93111'])
    const doubtful = { ...paper, words: paper.words.map((word) => ({ ...word, doubtful: true as const })) }
    expect(readFields(doubtful, fieldsOf('certificate', licence), licence, today)).toEqual({})
  })

  test('where only marks on letters differ a person has to look, if it was recognised', () => {
    const claimed = { ...licence, name: 'Pavel Novotný' }
    const paper = paperOf(['issued to', 'Pavel Novotny'])
    const fields = fieldsOf('certificate', claimed)
    expect(readFields(paper, fields, claimed, today).name?.value).toBe('Pavel Novotny')
    expect(readFields({ ...paper, how: 'recognised' }, fields, claimed, today).name).toBeUndefined()
  })
})

test('a letter of work: position, days, and who it is about', () => {
  const job = { name: 'Dario Benvenuti', position: 'Train driver', from: '2019-01-01', to: '2021-06-30' }
  expect(
    read('work', job, [
      'Karwen Linie',
      'We confirm that Dario Benvenuti',
      'has worked for us as Senior train driver,',
      'from 1 January 2019 to 30 June 2021.',
    ]),
  ).toEqual({ name: 'Dario Benvenuti', position: 'train driver', from: '2019-01-01', to: '2021-06-30' })
  expect(
    read('work', job, [
      'Arbeitszeugnis',
      'Frau Dario Benvenuti war vom 01.01.2019 bis 30.06.2021',
      'als Lokführerin bei uns tätig.',
    ]),
  ).toMatchObject({ name: 'Dario Benvenuti', from: '2019-01-01', to: '2021-06-30' })
})

test('a machine-readable zone is believed where every check digit agrees', () => {
  const zone = writeZone('TD3', {
    ...{ code: 'P', issuer: 'UTO', nationality: 'UTO', familyName: 'ERIKSSON', givenNames: 'ANNA MARIA' },
    ...{ number: 'L898902C3', born: '1974-08-12', sex: 'female', through: '2032-04-15' },
  } as never)
  const claimed = { name: 'Anna Maria Eriksson', number: 'L898902C3', born: '1974-08-12', through: '2032-04-15' }
  const lines = ['UTOPIA PASSPORT', ...zone.split('\n')]
  expect(read('identity', claimed, lines)).toMatchObject({
    number: 'L898902C3',
    born: '1974-08-12',
    through: '2032-04-15',
  })
  const misread = lines.map((line) => line.replace('L898902C3', 'L898902C8'))
  expect(read('identity', claimed, misread).born).toBeUndefined()
})

describe('dates in texts', () => {
  test.each([
    ['9 Jul 2021', '2021-07-09'],
    ['on July 9, 2021 at', '2021-07-09'],
    ['am 9. Juli 2021', '2021-07-09'],
    ['le 1er août 2021', '2021-08-01'],
    ['il 9 luglio 2021', '2021-07-09'],
    ['2021-07-09', '2021-07-09'],
    ['09.07.2021', '2021-07-09'],
    ['9/7/2021', '2021-07-09'],
    ['Juli 2021', '2021-07'],
    ['07/2021', '2021-07'],
  ])('%s is %s', (text, value) => expect(datesInText(text).map((date) => date.value)).toEqual([value]))

  test.each(['31 Feb 2021', '2021', 'AR-2021-08417', '45.13.2021', 'room 12 in 2021'])('%s is none', (text) =>
    expect(datesInText(text)).toEqual([]),
  )

  test('every day that is written out is found where it stands', () => {
    const days = fc.integer({ min: 0, max: 30_000 }).map((days) => Temporal.PlainDate.from('1950-01-01').add({ days }))
    fc.assert(
      fc.property(days, fc.constantFrom('en-GB', 'de-CH', 'fr-CH', 'it-CH'), (day, locale) => {
        const written = day.toLocaleString(locale, { dateStyle: 'long' })
        const [found] = datesInText(`x ${written} y`)
        expect(found).toEqual({ value: day.toString(), from: 2, to: 2 + written.length })
      }),
      { numRuns: 200 },
    )
  })
})

test('words of one height stand in one line, and keep it where the page is turned', () => {
  const paper = paperOf(['one two', 'three'])
  expect(linesOf([...paper.words].reverse()).map(({ text }) => text)).toEqual(['one two', 'three'])
  const turned = withLines(paper.words).map((word) => ({
    ...word,
    place: { ...word.place, x: word.place.y, y: 1 - word.place.x },
  }))
  expect(linesOf(turned).map(({ text }) => text)).toEqual(['one two', 'three'])
})
