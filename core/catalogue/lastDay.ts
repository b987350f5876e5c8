import type { Temporal } from 'temporal-polyfill'
import { partialDate, readPartialDate, spanOf } from '../dates/partialDate'
import type { ValidityRule } from './catalogue'

/**
 * The last day of something issued on a day, by the rule of its kind. So many months after the issue it has lasted, the day of
 * the issue included: issued on 1 March for 24 months it ends on 28 February, not on 1 March; a month without that day ends
 * with its own last. `toEndOfMonth` carries on to the last day of the month it would end in.
 *
 * @param issued a day, a month or a year (EDTF); of a month or year the latest day counts, in favour of who holds it
 * @returns nothing where the rule gives no day, or it is not known when it was issued
 */
export function lastDayBy(rule: ValidityRule, issued: string): Temporal.PlainDate | undefined {
  if (rule.kind !== 'months' || !readPartialDate(issued).ok) return undefined
  const begins = spanOf(partialDate(issued)).latest
  const over = begins.add({ months: rule.months })
  const last = over.day === begins.day ? over.subtract({ days: 1 }) : over
  return rule.toEndOfMonth ? last.with({ day: last.daysInMonth }) : last
}
