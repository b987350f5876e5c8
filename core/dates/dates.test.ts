import fc from 'fast-check'
import { Temporal } from 'temporal-polyfill'
import { comparePartial, liesWithin, partialDate, readPartialDate, spanOf, writePartialDate } from './partialDate'
import { readTyped, writeDay, writeLength, writeWhen } from './write'
import { beginOf, dayAt } from './zoned'

const span = (text: string) => {
  const { earliest, latest } = spanOf(partialDate(text))
  return `${earliest} ${latest}`
}

describe('a partial date', () => {
  test.each([
    ['2021', '2021-01-01 2021-12-31'],
    ['2021-03', '2021-03-01 2021-03-31'],
    ['2024-02', '2024-02-01 2024-02-29'],
    ['2023-02', '2023-02-01 2023-02-28'],
    ['2024-02-29', '2024-02-29 2024-02-29'],
    ['2021-03-09~', '2021-03-06 2021-03-12'],
    ['2021-03~', '2021-02-01 2021-04-30'],
    ['2021~', '2020-01-01 2022-12-31'],
  ])('%s can mean the days %s', (text, days) => expect(span(text)).toBe(days))

  test.each([
    ['', 'empty'],
    ['2021-13', 'no-such-day'],
    ['2023-02-29', 'no-such-day'],
    ['0999', 'no-such-day'],
    ['21-03', 'not-a-date'],
    ['2021-3-9', 'not-a-date'],
  ])('"%s" is refused as %s', (text, code) => expect(readPartialDate(text)).toEqual({ ok: false, code }))

  test('is written as it was read', () => {
    fc.assert(
      fc.property(
        fc.integer({ min: 1000, max: 9999 }),
        fc.integer({ min: 1, max: 12 }),
        fc.integer({ min: 1, max: 28 }),
        fc.integer({ min: 0, max: 2 }),
        fc.boolean(),
        (year, month, day, parts, about) => {
          const text =
            [String(year), String(month).padStart(2, '0'), String(day).padStart(2, '0')].slice(0, parts + 1).join('-') +
            (about ? '~' : '')
          expect(writePartialDate(partialDate(text))).toBe(text)
        },
      ),
    )
  })
})

describe('order of partial dates', () => {
  test.each([
    ['2021', '2022', 'before'],
    ['2021-04', '2021-03-31', 'after'],
    ['2021', '2021-06', 'possible'],
    ['2021-06-01', '2021-06-01', 'same'],
    ['2021-03~', '2021-04', 'possible'],
  ] as const)('%s against %s is %s', (a, b, expected) =>
    expect(comparePartial(partialDate(a), partialDate(b))).toBe(expected),
  )

  test('a day lies within its month and not the other way round', () => {
    expect(liesWithin(partialDate('2021-07-09'), partialDate('2021-07'))).toBe(true)
    expect(liesWithin(partialDate('2021-07'), partialDate('2021-07-09'))).toBe(false)
  })
})

describe('dates as people write them', () => {
  test.each([
    ['9 Jul 2021', '2021-07-09'],
    ['July 2021', '2021-07'],
    ['about 2021', '2021~'],
    ['09.07.2021', '2021-07-09'],
    ['7/2021', '2021-07'],
    ['2021-07', '2021-07'],
    ['31 Feb 2021', undefined],
    ['soon', undefined],
  ])('"%s" is read as %s', (text, expected) => expect(readTyped(text)).toBe(expected))

  test('are written in words', () => {
    expect(writeWhen('2021-07~')).toBe('about Jul 2021')
    expect(writeDay(Temporal.PlainDate.from('2026-11-24'))).toBe('24 Nov 2026')
    expect(writeLength(Temporal.PlainDate.from('2023-06-01'), Temporal.PlainDate.from('2026-10-31'))).toBe('3 y 5 m')
  })
})

test('a day begins and ends by its time zone, also where the clocks are changed', () => {
  const begin = (day: string) => beginOf(Temporal.PlainDate.from(day), 'Europe/Vienna').toISOString()
  expect([begin('2026-11-25'), begin('2026-07-01')]).toEqual(['2026-11-24T23:00:00.000Z', '2026-06-30T22:00:00.000Z'])
  const hours = (day: string, next: string) => (Date.parse(begin(next)) - Date.parse(begin(day))) / 3_600_000
  expect([hours('2026-03-29', '2026-03-30'), hours('2026-10-25', '2026-10-26')]).toEqual([23, 25])
  expect(String(dayAt(new Date('2026-11-25T23:30:00Z'), 'Europe/Vienna'))).toBe('2026-11-26')
})

describe('the day of a moment, which is kept by the minute', () => {
  const byHand = (moment: Date, timeZone: string) =>
    Temporal.Instant.fromEpochMilliseconds(moment.getTime()).toZonedDateTimeISO(timeZone).toPlainDate().toString()
  const zones = ['Europe/Vienna', 'Asia/Kathmandu', 'America/St_Johns', 'Pacific/Apia', 'Africa/Monrovia', 'UTC']

  test.each(zones)('is what the calendar of %s says, around midnight, changed clocks and a day left out', (zone) => {
    const around = ['2026-03-29T01:00:00Z', '2026-10-25T01:00:00Z', '2011-12-30T10:00:00Z', '1972-01-07T00:44:30Z']
    for (const moment of [...around, '2026-12-31T23:00:00Z', '2026-06-30T18:15:00Z'])
      for (let minutes = -1500; minutes <= 1500; minutes += 7) {
        const at = new Date(Date.parse(moment) + minutes * 60_000 + 30_500)
        expect([String(at), dayAt(at, zone).toString()]).toEqual([String(at), byHand(at, zone)])
      }
  })

  test('is the same however often it is asked, and not that of another zone', () => {
    const moment = new Date('2026-11-29T23:59:59.999Z')
    const asked = () => ['Europe/Vienna', 'UTC'].map((zone) => dayAt(moment, zone).toString())
    expect([asked(), asked()]).toEqual([
      ['2026-11-30', '2026-11-29'],
      ['2026-11-30', '2026-11-29'],
    ])
    expect(dayAt(new Date('2026-11-30T00:00:00Z'), 'UTC').toString()).toBe('2026-11-30')
  })
})
