import { compareDates } from './dates'

const said = (ours: string, theirs: string) => {
  const { verdict, reasons } = compareDates(ours, theirs)
  return [verdict, ...reasons]
}
const apart = (unit: 'day' | 'month' | 'year', count: number) => ['different', { code: 'off-by', unit, count }]
const offBy = (unit: 'day' | 'month' | 'year', count: number) => ['close', { code: 'off-by', unit, count }]

test.each([
  ['2021-07-09', '2021-07-09'],
  ['2021-07', '2021-07'],
  ['2021~', '2021~'],
])('%s is %s', (ours, theirs) => expect(said(ours, theirs)).toEqual(['same']))

test.each([
  ['', '2021'],
  ['2021', ''],
  ['soon', '2021'],
  ['2021-13', '2021'],
])('“%s” against “%s” says nothing', (ours, theirs) => expect(said(ours, theirs)).toEqual(['not stated']))

test.each([
  ['2021-07-09', '2021-07', '2021-07'],
  ['2021-07', '2021-07-09', '2021-07'],
  ['2021', ' 2021-12-31 ', '2021'],
  ['2021-12-31', ' 2021 ', '2021'],
])('%s and %s agree as far as both go', (ours, theirs, less) =>
  expect(said(ours, theirs)).toEqual(['equivalent', { code: 'less-exact', said: less }]),
)

test('about a year takes in the years beside it; two that are only about may be the same', () => {
  expect(said('2021~', '2022')).toEqual(['equivalent', { code: 'less-exact', said: '2021~' }])
  expect(said('2022', '2021~')).toEqual(['equivalent', { code: 'less-exact', said: '2021~' }])
  expect(said('2021~', '2023~')).toEqual(['close', { code: 'less-exact', said: '2021~' }])
  expect(said('2021-03~', '2021-05')).toEqual(apart('month', 2))
})

test('day and month swapped within one year are a slip, also where the days lie far apart', () => {
  expect(said('2021-03-11', '2021-11-03')).toEqual(['close', { code: 'day-and-month-swapped' }])
  expect(said('2021-03-11', '2022-11-03')).toEqual(apart('year', 1))
  // What swapped is the same day is no slip.
  expect(said('2021-03-03', '2021-03-03')).toEqual(['same'])
})

test.each([
  ['2021-07-09', '2021-07-10', offBy('day', 1)],
  ['2021-07-09', '2021-07-12', offBy('day', 3)],
  ['2021-07-12', '2021-07-09', offBy('day', 3)],
  ['2021-06-30', '2021-07-01', offBy('day', 1)],
  ['2020-12-31', '2021-01-02', offBy('day', 2)],
  ['2021-07-09', '2021-07-13', apart('day', 4)],
  ['2021-07', '2021-08', offBy('month', 1)],
  ['2021-12', '2022-01', offBy('month', 1)],
  ['2021-07', '2021-09', apart('month', 2)],
  ['2021', '2022', offBy('year', 1)],
  ['2022', '2021', offBy('year', 1)],
  ['2021', '2023', apart('year', 2)],
])('%s against %s', (ours, theirs, wanted) => expect(said(ours, theirs)).toEqual(wanted))

test('where both are not known as exactly, whole years are counted', () => {
  expect(said('2021', '2022-03')).toEqual(offBy('year', 1))
  expect(said('2021-07', '2022-03-01')).toEqual(offBy('year', 0))
  expect(said('2021', '2023-01-01')).toEqual(apart('year', 2))
})

test('the same day of the year before or after is a slip of the year, two years away it is not', () => {
  expect(said('2021-07-09', '2022-07-09')).toEqual(offBy('year', 1))
  expect(said('2022-07-09', '2021-07-09')).toEqual(offBy('year', 1))
  expect(said('2021-07-09', '2023-07-09')).toEqual(apart('year', 2))
  expect(said('2021-07-09', '2022-08-09')).toEqual(apart('year', 1))
  expect(said('2021-07-09', '2022-07-19')).toEqual(apart('year', 1))
})

test.each([
  ['2021-07-12', '2021-07-17', '2', '7'],
  ['1984-03-21', '1989-03-21', '4', '9'],
])('%s against %s has one digit that is easily misread', (ours, theirs, one, other) =>
  expect(said(ours, theirs)).toEqual(['close', { code: 'misread', pairs: [{ ours: one, theirs: other }] }]),
)
