import { Temporal } from 'temporal-polyfill'
import { partialDate } from '../dates/partialDate'
import { type Term, validityOn, validThrough } from './validity'

const day = (text: string) => Temporal.PlainDate.from(text)
const until = (text: string): Term => ({ through: partialDate(text) })

test.each([
  ['2026-11-24', '2026-11-24', 'expiring', 0],
  ['2026-11-25', '2026-11-24', 'lapsed', -1],
  ['2026-10-25', '2026-11-24', 'expiring', 30],
  ['2026-10-24', '2026-11-24', 'valid', 31],
  ['2026-10-24', '2026-11', 'valid', 37],
  ['2026-10-31', '2026-11', 'expiring', 30],
])('on %s a paper through %s is %s with %i days left', (asOf, through, state, daysLeft) => {
  expect(validityOn(day(asOf), until(through), 30)).toMatchObject({ state, daysLeft })
})

test('what does not expire has no last day, and what nobody said is unknown', () => {
  expect(validityOn(day('2026-11-24'), { through: 'does not expire' }, 30)).toEqual({ state: 'does not expire' })
  expect(validityOn(day('2026-11-24'), { through: 'unknown' }, 30).state).toBe('unknown')
  expect(validityOn(day('2026-11-24'), { from: partialDate('2026-12'), through: partialDate('2028') }, 30).state).toBe(
    'not yet valid',
  )
  expect(validityOn(day('2026-11-24'), until('2028'), 30, 'revoked').state).toBe('revoked')
})

test('"about" counts only through the earliest day it can mean', () => {
  expect(validityOn(day('2026-11-24'), until('2027-03~'), 30).lastDay?.toString()).toBe('2027-02-01')
})

test('the day that is needed is included in valid through start plus days', () => {
  expect(validThrough(until('2027-02-10'), day('2027-01-11'), 30)).toEqual({ holds: true })
  expect(validThrough(until('2027-01-15'), day('2027-01-11'), 30)).toMatchObject({ holds: false, shortBy: 26 })
  expect(validThrough(until('2027-01-11'), day('2027-01-11'), 0)).toEqual({ holds: true })
  expect(validThrough({ through: 'unknown' }, day('2027-01-11'), 30)).toEqual({ holds: 'undecided' })
})

describe('against a start that lies in the past', () => {
  const today = day('2026-11-24')
  const through = (term: Term, plusDays = 0) => validThrough(term, day('2026-10-01'), plusDays, today)
  test('today counts: what lapsed yesterday holds no more, though it held on the start', () => {
    expect(through(until('2026-11-24'))).toEqual({ holds: true })
    expect(through(until('2026-11-23'))).toMatchObject({ holds: false, why: 'ends early', needed: '2026-11-24' })
    expect(through(until('2026-12-20'), 30)).toMatchObject({ holds: false, shortBy: 4 })
  })
})

test('what begins after the start does not hold; what may is undecided; what begins on it does', () => {
  const from = (text: string) =>
    validThrough({ from: partialDate(text), through: partialDate('2030') }, day('2027-01-11'), 30)
  expect(from('2027-01-11')).toEqual({ holds: true })
  expect(from('2027-01-12')).toEqual({
    holds: false,
    why: 'begins late',
    firstDay: '2027-01-12',
    needed: '2027-01-11',
    lateBy: 1,
  })
  expect(from('2027-01')).toEqual({ holds: 'undecided' })
  expect(from('2026')).toEqual({ holds: true })
})
