import { Temporal } from 'temporal-polyfill'
import { usualKeeping } from '../organisation/organisation'
import { boundBy, erasableOn, keepingsOf } from './retention'

const today = Temporal.PlainDate.from('2026-11-25')

test('what is under way is kept for as long as that lasts', () => {
  expect(keepingsOf([{ title: 'Mechanic', state: 'under way', day: '2026-11-01' }], today, usualKeeping)[0]).toEqual({
    code: 'under-way',
    title: 'Mechanic',
    until: null,
  })
  expect(erasableOn([{ title: 'Mechanic', state: 'under way', day: '2026-11-01' }], usualKeeping)).toBeNull()
})

test('an application that has ended is kept for half a year, who was cleared for seven years', () => {
  const [ended, cleared] = keepingsOf(
    [
      { title: 'A', state: 'ended', day: '2026-05-26' },
      { title: 'B', state: 'cleared', day: '2020-02-29' },
    ],
    today,
    usualKeeping,
  )
  expect(ended?.until).toBe('2026-11-25')
  expect(cleared?.until).toBe('2027-02-28')
})

test('who wants to be erased keeps only what has to stay, and what is under way ends with the wish', () => {
  expect(
    boundBy(
      [
        { title: 'Draft', state: 'not sent', day: '2026-11-20' },
        { title: 'Old', state: 'ended', day: '2025-01-01' },
        { title: 'Now', state: 'under way', day: '2026-11-20' },
      ],
      today,
      usualKeeping,
    ),
  ).toEqual([
    { code: 'ended', title: 'Now', until: '2027-05-27' },
    { code: 'trail', title: '', until: '2033-11-25' },
  ])
})

test('a file goes the day after the last of its terms', () => {
  expect(
    erasableOn(
      [
        { title: 'Draft', state: 'not sent', day: '2026-01-01' },
        { title: 'Old', state: 'ended', day: '2026-01-01' },
      ],
      usualKeeping,
    ),
  ).toBe('2026-07-04')
  expect(erasableOn([], usualKeeping)).toBeNull()
})
