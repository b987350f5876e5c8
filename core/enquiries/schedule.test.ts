import fc from 'fast-check'
import { Temporal } from 'temporal-polyfill'
import { addWorkingDays, isWorkingDay, mondayToFriday } from '../calendar/workingDays'
import { actsAhead, dueDay, isDue, nextAct, type Schedule, usualSchedules } from './schedule'

const day = (text: string) => Temporal.PlainDate.from(text)
const twice: Schedule = { reminders: 2, everyWorkingDays: 5 }

test.each([
  ['nothing was sent', { reminders: 0 }, 'remind 2026-12-07'],
  ['one reminder was sent', { reminders: 1 }, 'remind 2026-12-14'],
  ['both were sent', { reminders: 2 }, 'move on 2026-12-21'],
  ['more were sent than the schedule has now', { reminders: 7 }, 'move on 2026-12-21'],
  ['the first was sent late', { reminders: 1, remindedOn: day('2026-12-11') }, 'remind 2026-12-18'],
  [
    'the first was sent by hand before it was due',
    { reminders: 1, remindedOn: day('2026-12-01') },
    'remind 2026-12-14',
  ],
])('an answer was due on Friday 4 December; %s', (_what, more, expected) => {
  const { act, on } = nextAct({ answerBy: day('2026-12-04'), ...more }, twice, mondayToFriday)
  expect(`${act} ${on}`).toBe(expected)
})

test('a schedule without reminders takes another way on the first working day after', () => {
  const { act, on } = nextAct(
    { answerBy: day('2026-12-04'), reminders: 0 },
    { reminders: 0, everyWorkingDays: 3 },
    mondayToFriday,
  )
  expect(`${act} ${on}`).toBe('move on 2026-12-07')
})

test('the holidays of a source put off what is due there', () => {
  const calendar = { ...mondayToFriday, holidays: new Set(['2026-12-07', '2026-12-08']) }
  expect(nextAct({ answerBy: day('2026-12-04'), reminders: 0 }, twice, calendar).on.toString()).toBe('2026-12-09')
})

test('a letter is on its way there and back, a mail is not', () => {
  const due = (channel: string) =>
    dueDay(day('2026-12-01'), { channel, answerWorkingDays: 5 }, mondayToFriday).toString()
  expect([due('link'), due('letter')]).toEqual(['2026-12-08', '2026-12-16'])
})

test('what is due is due on its day and after it', () => {
  const today = day('2026-12-04')
  expect(['2026-12-03', '2026-12-04', '2026-12-05'].map((on) => isDue(day(on), today))).toEqual([true, true, false])
})

test('a schedule that waits for no day is none', () => {
  expect(() =>
    nextAct({ answerBy: day('2026-12-04'), reminders: 0 }, { reminders: 1, everyWorkingDays: 0 }, mondayToFriday),
  ).toThrow(RangeError)
})

test('however it is set, a silent source is asked less and less, on working days, and it ends', () => {
  const schedule = fc.record({
    reminders: fc.integer({ min: 0, max: 10 }),
    everyWorkingDays: fc.integer({ min: 1, max: 60 }),
  })
  fc.assert(
    fc.property(schedule, fc.integer({ min: 0, max: 400 }), (one, offset) => {
      const answerBy = day('2026-01-01').add({ days: offset })
      const ahead = actsAhead({ answerBy, reminders: 0 }, one, mondayToFriday)
      expect(ahead).toHaveLength(one.reminders + 1)
      expect(ahead.map(({ act }) => act)).toEqual([...Array(one.reminders).fill('remind'), 'move on'])
      for (const [nth, { on }] of ahead.entries()) {
        expect(isWorkingDay(on, mondayToFriday)).toBe(true)
        const before = ahead[nth - 1]
        if (before) expect(on).toEqual(addWorkingDays(before.on, one.everyWorkingDays, mondayToFriday))
        else expect(Temporal.PlainDate.compare(on, answerBy)).toBe(1)
      }
    }),
  )
})

test('what is handled faster is asked after sooner than by mail', () => {
  expect(usualSchedules.faster.everyWorkingDays).toBeLessThan(usualSchedules.link.everyWorkingDays)
})
