import { speakBy } from '#core/words/say'
import { writeMoment, writeMoney, writeShortDay, writeSize, writeSlack } from './write'

afterEach(() => speakBy(() => 'en'))

test('money is written in whole euros, as the language does', () => {
  expect(writeMoney(5_800_000, 'EUR')).toBe('€58,000')
  speakBy(() => 'de')
  expect(writeMoney(5_800_000, 'EUR').replace(/\s/g, ' ')).toBe('€ 58.000')
})

test('a moment is written in the time zone it is meant in', () => {
  expect(writeMoment('2026-12-04T16:00:00Z', 'Europe/Vienna')).toBe('Fri, 4 Dec 2026, 17:00')
  expect(writeMoment('2026-12-04T23:30:00Z', 'Europe/Vienna')).toBe('Sat, 5 Dec 2026, 00:30')
  speakBy(() => 'de')
  expect(writeMoment('2026-12-04T16:00:00Z', 'Europe/Vienna')).toBe('Fr., 4. Dez. 2026, 17:00')
})

test('a day in a list has no year', () => expect(writeShortDay('2026-11-24T08:00:00Z')).toBe('24 Nov'))

test.each([
  [0, '1 kB'],
  [999, '1 kB'],
  [11_400, '11 kB'],
  [999_400, '999 kB'],
  [1_000_000, '1.0 MB'],
  [10_480_000, '10.5 MB'],
])('%d bytes are %s', (bytes, words) => expect(writeSize(bytes)).toBe(words))

test.each([
  [9, '+9 d'],
  [0, '+0 d'],
  [-6, '−6 d'],
])('%d days of slack are %s', (days, words) => expect(writeSlack(days)).toBe(words))
