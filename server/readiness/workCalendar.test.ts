import { Temporal } from 'temporal-polyfill'
import { addWorkingDays } from '#core/calendar/workingDays'
import { sharedCalendar, workCalendar } from './workCalendar'

const deps = { clock: { now: () => new Date(), today: () => Temporal.PlainDate.from('2026-12-22') } }
const after = (country: string, days: number, region?: string, from = '2026-12-22') =>
  addWorkingDays(Temporal.PlainDate.from(from), days, workCalendar(deps, country, region)).toString()

test('no answer is due on Christmas, nor on New Year', () => {
  expect(after('AT', 3)).toBe('2026-12-28')
  // 25 and 26 December, which is a Saturday, and 1 January, a Friday.
  expect(after('AT', 7)).toBe('2027-01-04')
})

test('each country has its own holidays, and a region more than its country', () => {
  const tillTheSixth = (country: string, region?: string) => after(country, 1, region, '2027-01-05')
  expect(tillTheSixth('AT')).toBe('2027-01-07')
  expect(tillTheSixth('FR')).toBe('2027-01-06')
  expect(tillTheSixth('DE')).toBe('2027-01-06')
  expect(tillTheSixth('DE', 'BY')).toBe('2027-01-07')
})

test('where the weekend is another one, Friday or Sunday is worked or not', () => {
  // Thursday 31 December: Israel rests on Friday and Saturday, and works on Sunday.
  expect(after('IL', 1, undefined, '2026-12-31')).toBe('2027-01-03')
})

test('a country nobody knows has weekends and no holidays', () => expect(after('XX', 3)).toBe('2026-12-25'))

describe('the days that somebody elsewhere and we both work', () => {
  const organisation = { country: 'AT', region: '', closedDays: [{ day: '2027-01-08', name: 'Move' }] }
  const answerBy = (from: string, days: number, closures: { from: string; to: string }[], region = '') =>
    addWorkingDays(
      Temporal.PlainDate.from(from),
      days,
      sharedCalendar({ ...deps, organisation } as never, { country: 'DE', region, closures }),
    ).toString()

  test('are none of their closures, which count to their last day', () => {
    expect(answerBy('2027-02-01', 3, [])).toBe('2027-02-04')
    expect(answerBy('2027-02-01', 3, [{ from: '2027-02-02', to: '2027-02-05' }])).toBe('2027-02-10')
    expect(answerBy('2027-02-01', 1, [{ from: '2027-02-02', to: '2027-02-02' }])).toBe('2027-02-03')
  })

  test('are those of the year, the closures and the house that are asked about, however often they were asked before', () => {
    const own = { ...organisation }
    const at = (day: string, of: typeof own, closures: { from: string; to: string }[] = []) => {
      const clock = { now: () => new Date(), today: () => Temporal.PlainDate.from(day) }
      return sharedCalendar({ clock, organisation: of } as never, { country: 'DE', region: '', closures })
    }
    const first = at('2026-12-22', own)
    expect(at('2026-12-30', own)).toBe(first)
    // Another year, a closure, or a house that was described anew has a calendar of its own.
    expect(at('2028-01-02', own)).not.toBe(first)
    const closed = at('2026-12-22', own, [{ from: '2027-03-01', to: '2027-03-02' }])
    expect([closed.holidays.has('2027-03-02'), first.holidays.has('2027-03-02')]).toEqual([true, false])
    const anew = at('2026-12-22', { ...own, closedDays: [{ day: '03-01', name: 'Founding day' }] } as typeof own)
    expect([anew.holidays.has('2027-03-01'), at('2026-12-22', own).holidays.has('2027-03-01')]).toEqual([true, false])
  })

  test('are none of our holidays, nor of those of their region', () => {
    // Epiphany is ours; on the eighth we are closed ourselves.
    expect(answerBy('2027-01-05', 2, [])).toBe('2027-01-11')
    const french = { ...organisation, country: 'FR', closedDays: [] }
    const withRegion = (region: string) =>
      addWorkingDays(
        Temporal.PlainDate.from('2027-01-05'),
        1,
        sharedCalendar({ ...deps, organisation: french } as never, { country: 'DE', region, closures: [] }),
      ).toString()
    expect([withRegion(''), withRegion('BY')]).toEqual(['2027-01-06', '2027-01-07'])
  })

  test('a closure of years closes for one at most', () => {
    expect(answerBy('2027-02-01', 1, [{ from: '2027-02-02', to: '2199-01-01' }])).toBe('2028-02-03')
  })
})
