import { Temporal } from 'temporal-polyfill'
import { partialDate } from '../dates/partialDate'
import { readTyped, writeDay, writeDays, writeLength, writeWhen } from '../dates/write'
import type { AnswerFault, AnswerValue } from '../form/answer'
import type { Question } from '../form/form'
import { readZone, writeZone } from '../identity/machineZone'
import { answerFaultWords, answerWords } from './form'
import { requirementSentence } from './requirements'
import { say, speakBy, spokenLocale } from './say'
import { zoneFaultWords } from './zone'

const day = (iso: string) => Temporal.PlainDate.from(iso)
const inGerman = <T>(run: () => T): T => {
  speakBy(() => 'de')
  try {
    return run()
  } finally {
    speakBy(() => 'en')
  }
}

describe('days', () => {
  test.each([
    ['2021-07-09', '9 Jul 2021', '9. Juli 2021'],
    ['2021-03', 'Mar 2021', 'März 2021'],
    ['2021', '2021', '2021'],
    ['2021-01~', 'about Jan 2021', 'etwa Jän. 2021'],
    ['no day', 'no day', 'no day'],
  ])('%s', (iso, english, german) => {
    expect(writeWhen(iso)).toBe(english)
    expect(inGerman(() => writeWhen(iso))).toBe(german)
  })
  test('are read back as they were written, in either language', () => {
    for (const iso of [
      '2021-01',
      '2020-02-29',
      '2021-03',
      '2024-05-01',
      '2023-06',
      '2023-07-31',
      '2022-10',
      '2022-12-24~',
    ]) {
      expect(readTyped(writeWhen(iso))).toBe(iso)
      expect(readTyped(inGerman(() => writeWhen(iso)))).toBe(iso)
    }
  })
  test.each([
    ['3. Mai 2020', '2020-05-03'],
    ['Jänner 2021', '2021-01'],
    ['etwa Dezember 2019', '2019-12~'],
    ['31. Feb 2020', undefined],
    ['Nirgendwann 2020', undefined],
  ])('%s is read as %s', (typed, iso) => expect(readTyped(typed)).toBe(iso))
  test('lengths and counts', () => {
    expect([writeDays(1), writeDays(0), writeDays(118)]).toEqual(['1 day', '0 days', '118 days'])
    expect(inGerman(() => [writeDays(1), writeDays(2)])).toEqual(['1 Tag', '2 Tage'])
    expect(writeLength(day('2020-01-01'), day('2023-05-31'))).toBe('3 y 5 m')
    expect(inGerman(() => writeLength(day('2020-01-01'), day('2023-05-31')))).toBe('3 J. 5 Mon.')
    expect(writeDay(day('2026-11-24'))).toBe('24 Nov 2026')
    expect(partialDate('2021-03')).toEqual({ year: 2021, month: 3, day: undefined, about: false })
  })
  test('the locale goes with the language', () => {
    expect([spokenLocale(), inGerman(spokenLocale)]).toEqual(['en-GB', 'de-AT'])
  })
})

describe('answers', () => {
  const question = (kind: Question['kind'], over: Partial<Question> = {}): Question => ({
    key: 'q',
    label: 'Q',
    kind,
    required: true,
    ...over,
  })
  test.each<[string, Question, AnswerValue, string]>([
    ['a day', question('date'), '2020-02-29', '29 Feb 2020'],
    ['money', question('money', { unit: 'EUR' }), '123450', '1,234.50 EUR'],
    ['a number', question('number', { unit: 'dogs' }), '4', '4 dogs'],
    ['an identity number', question('identity number'), 'AT123456', '•••••456'],
    ['yes', question('yes or no'), 'yes', 'Yes'],
    ['a declaration', question('declaration'), 'agreed', 'Agreed'],
    ['several', question('several of'), ['Ice', 'Snow'], 'Ice, Snow'],
    ['ranked', question('ranked choice'), ['Night', 'Day'], '1. Night 2. Day'],
    ['an honest blank', question('number'), { blank: 'unknown', because: 'puppies' }, 'Not known: puppies'],
    ['another blank', question('date'), { blank: 'does not apply' }, 'Does not apply'],
    [
      'records',
      question('records', { parts: [question('text', { key: 'name' }), question('date', { key: 'born' })] }),
      [{ name: 'Barry', born: '2020-05-01' }, { name: 'Bella' }],
      'Barry, 1 May 2020; Bella',
    ],
  ])('%s', (_name, asked, value, words) => expect(answerWords(asked, value)).toBe(words))

  test.each<[AnswerFault, RegExp]>([
    [{ code: 'too-long', limit: 20 }, /At most 20 characters/],
    [{ code: 'too-small', least: 1 }, /at least 1/],
    [{ code: 'too-large', most: 9 }, /at most 9/],
    [{ code: 'too-many', most: 2 }, /At most 2 fit/],
    [{ code: 'part-missing', part: 'Town' }, /Still missing: Town/],
    [{ code: 'not-a-mail-address' }, /not a mail address/],
    [{ code: 'blank-not-allowed' }, /needs an answer/],
  ])('what is wrong: %j', (fault, words) => expect(answerFaultWords(fault)).toMatch(words))

  test('are said in German too', () => {
    expect(inGerman(() => answerWords(question('yes or no'), 'no'))).toBe('Nein')
    expect(inGerman(() => answerFaultWords({ code: 'not-a-number' }))).toBe('Das ist keine Zahl.')
    expect(inGerman(() => answerWords(question('money', { unit: 'EUR' }), '123450'))).toMatch(
      /^1[.\s\u00a0\u202f]234,50 EUR$/,
    )
  })
})

test('values in a text are put in as they are, whatever stands in them', () => {
  expect(say('apply.nextTitle', { title: '{{count}} $t(Next) <b>' })).toBe('Next: {{count}} $t(Next) <b>')
})

test('a requirement is one sentence in German', () => {
  const sentence = inGerman(() =>
    requirementSentence({
      key: 'd',
      title: '',
      why: '',
      gate: 'offer',
      asks: { kind: 'study', levelAtLeast: 6, fields: ['0713'] },
      rung: 'confirmed',
      waivableBy: [],
    }),
  )
  expect(sentence).toBe(
    'Ein Studium oder Abschluss auf der Stufe Bachelor oder darüber in Elektrizität und Energie, von der ausstellenden Stelle bestätigt, vor einem Angebot.',
  )
})

describe('a zone that cannot be trusted', () => {
  const zone = writeZone('TD3', {
    familyName: 'HALDE',
    givenNames: 'RUNA',
    number: 'P4410927',
    issuer: 'AUT',
    nationality: 'AUT',
    born: '1991-02-03',
    through: '2031-02-11',
  })
  const wordsOf = (text: string) => zoneFaultWords(readZone(text, day('2026-11-25')))
  test('is said to be so, with what to do', () => {
    expect(wordsOf(zone)).toBeUndefined()
    expect(wordsOf('')).toMatch(/No machine-readable lines/)
    expect(wordsOf(zone.slice(0, 60))).toMatch(/were not whole/)
    expect(wordsOf(zone.replace('910203', '940203'))).toMatch(/the date of birth, the whole do not agree/)
    expect(wordsOf(zone.replace('310211', '340211'))).toMatch(/the last day/)
  })
})
