import fc from 'fast-check'
import { Temporal } from 'temporal-polyfill'
import { addWorkingDays, mondayToFriday } from '../calendar/workingDays'
import type { Outcome, Step } from '../requirements/requirement'
import { likelyReady, slackOf } from './likelyReady'

// A Tuesday.
const today = Temporal.PlainDate.from('2026-11-24')
const steps: Step['what'][] = [
  'answer',
  'explain',
  'upload',
  'renew',
  'look',
  'ask',
  'reply',
  'compare',
  'decide',
  'pay',
]
const outcome = (requirement: string, ...what: Step['what'][]): Outcome => ({
  requirement,
  title: requirement,
  gate: 'offer',
  state: 'unmet',
  reason: { code: 'nothing-claimed' } as Outcome['reason'],
  steps: what.map((step) => ({ who: 'desk', what: step }) as Step),
  claims: [],
})
const forecast = (...outcomes: Outcome[]) => likelyReady(outcomes, today, mondayToFriday)
const days = ({ early, likely, late }: ReturnType<typeof forecast>) => [early, likely, late].map(String)

test('with nothing open it is ready today, and nothing holds it up', () => {
  const ready = forecast(outcome('met'))
  expect(days(ready)).toEqual(['2026-11-24', '2026-11-24', '2026-11-24'])
  expect(ready.heldUpBy).toBeUndefined()
})

test('steps of one requirement come after another: to ask, to be answered, to compare', () => {
  // 3, 10 and 24 working days after a Tuesday.
  expect(days(forecast(outcome('degree', 'ask', 'reply', 'compare')))).toEqual([
    '2026-11-27',
    '2026-12-08',
    '2026-12-28',
  ])
})

test('requirements are worked on side by side: the longest counts and is named', () => {
  const [degree, paper] = [outcome('degree', 'ask', 'reply', 'compare'), outcome('height', 'renew')]
  const both = forecast(degree, paper)
  expect(days(both)).toEqual(['2026-12-01', '2026-12-10', '2027-01-05'])
  expect(both.heldUpBy?.requirement).toBe('height')
})

test('a free day is not worked', () => {
  const holidays = { ...mondayToFriday, holidays: new Set(['2026-11-25']) }
  expect(String(likelyReady([outcome('height', 'look')], today, holidays).likely)).toBe('2026-11-26')
})

test('slack counts calendar days to the start, below nothing where it is missed', () => {
  const ready = forecast(outcome('degree', 'ask', 'reply', 'compare'))
  expect(slackOf(ready, Temporal.PlainDate.from('2026-12-15'))).toBe(7)
  expect(slackOf(ready, Temporal.PlainDate.from('2026-12-08'))).toBe(0)
  expect(slackOf(ready, Temporal.PlainDate.from('2026-12-01'))).toBe(-7)
})

const someSteps = fc.array(fc.constantFrom(...steps), { maxLength: 5 })

test('early is never after likely, nor likely after late, and none is before today', () =>
  fc.assert(
    fc.property(fc.array(someSteps, { maxLength: 6 }), (chains) => {
      const { early, likely, late } = forecast(...chains.map((chain, nth) => outcome(`r${nth}`, ...chain)))
      const order = [today, early, likely, late].map(String)
      expect(order).toEqual([...order].sort())
    }),
  ))

test('one more step or one more requirement never makes it sooner', () =>
  fc.assert(
    fc.property(someSteps, someSteps, fc.constantFrom(...steps), (one, other, more) => {
      const before = forecast(outcome('one', ...one))
      for (const after of [
        forecast(outcome('one', ...one, more)),
        forecast(outcome('one', ...one), outcome('other', ...other)),
      ])
        expect(Temporal.PlainDate.compare(after.likely, before.likely)).toBeGreaterThanOrEqual(0)
    }),
  ))

test('the order of requirements changes no day', () =>
  fc.assert(
    fc.property(fc.array(someSteps, { maxLength: 6 }), (chains) => {
      const outcomes = chains.map((chain, nth) => outcome(`r${nth}`, ...chain))
      expect(days(forecast(...outcomes))).toEqual(days(forecast(...outcomes.toReversed())))
    }),
  ))

test('what is forecast is always a working day, or today', () =>
  fc.assert(
    fc.property(someSteps, (chain) => {
      const { likely } = forecast(outcome('one', ...chain))
      const worked = addWorkingDays(likely, 0, mondayToFriday)
      expect([String(today), String(worked)]).toContain(String(likely))
    }),
  ))
