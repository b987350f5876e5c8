import fc from 'fast-check'
import { Temporal } from 'temporal-polyfill'
import { type Completion, completionEnds, reminderStep, stepsTooEarly } from './completion'

const rule: Completion = { days: 30, remindAt: [7, 1, 3], extraDays: 10 }
const began = Temporal.PlainDate.from('2026-11-10')

test('the last day is counted from the beginning; an extension adds its days once', () => {
  expect(completionEnds(rule, { began, extended: false }).toString()).toBe('2026-12-10')
  expect(completionEnds(rule, { began, extended: true }).toString()).toBe('2026-12-20')
})

test.each([
  [8, null, undefined],
  [7, null, 7],
  [7, 7, undefined],
  [5, null, 7],
  [3, 7, 3],
  [2, 3, undefined],
  [0, null, 1],
  [0, 1, undefined],
])('%s days left, reminded at %s: now at %s', (left, reminded, step) => {
  expect(reminderStep(rule, left, reminded)).toBe(step)
})

test('however the days go by, nobody is reminded of a step twice, nor of an earlier one after a later', () => {
  const steps = fc.uniqueArray(fc.integer({ min: 0, max: 29 }), { maxLength: 5 })
  const looks = fc.array(fc.integer({ min: 0, max: 30 }), { maxLength: 40 })
  fc.assert(
    fc.property(steps, looks, (remindAt, lefts) => {
      const told: number[] = []
      for (const left of [...lefts].sort((a, b) => b - a)) {
        const step = reminderStep({ ...rule, remindAt }, left, told.at(-1) ?? null)
        if (step !== undefined) told.push(step)
      }
      expect(told).toEqual([...new Set(told)].sort((a, b) => b - a))
      if (lefts.includes(0) && remindAt.length > 0) expect(told.at(-1)).toBe(Math.min(...remindAt))
    }),
  )
})

test('a step that would come before anybody has begun is said', () => {
  expect(stepsTooEarly({ ...rule, remindAt: [30, 29, 40] })).toEqual([30, 40])
})
