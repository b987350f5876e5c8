import { Temporal } from 'temporal-polyfill'
import type { WorkCalendar } from '#core/calendar/workingDays'
import { dayAt } from '#core/dates/zoned'
import { type NextAct, nextAct, type Schedule } from '#core/enquiries/schedule'
import type { Deps } from '../platform/deps'
import type { Enquiry } from '../records/enquiries/model'
import type { Source } from '../records/sources/model'
import { calendarOf } from './plan'

type Asked = Pick<Enquiry, 'channel' | 'answerBy'> & Partial<Pick<Enquiry, 'speed' | 'reminders' | 'remindedAt'>>

/** What holds for a way; what is handled faster has a schedule of its own whatever the way. */
export function scheduleOf({ organisation }: Pick<Deps, 'organisation'>, { channel, speed }: Asked): Schedule {
  const { schedules } = organisation.enquiries
  if (speed === 'faster') return schedules.faster
  return schedules[channel === 'credential' ? 'link' : channel]
}

/** What was worked out by a calendar: of a night's questions most were due on the same few days. */
const worked = new WeakMap<WorkCalendar, Map<string, NextAct>>()

/** What happens next by itself with a question that stays unanswered. */
export function nextActOf(deps: Deps, source: Source, asked: Asked): NextAct {
  const { answerBy, reminders = 0, remindedAt } = asked
  const schedule = scheduleOf(deps, asked)
  const calendar = calendarOf(deps, source)
  const remindedOn = remindedAt ? dayAt(remindedAt, deps.organisation.timeZone) : undefined
  const known = worked.get(calendar) ?? new Map<string, NextAct>()
  worked.set(calendar, known)
  const key = [answerBy, reminders, remindedOn ?? '', schedule.reminders, schedule.everyWorkingDays].join(' ')
  const next =
    known.get(key) ??
    nextAct(
      { answerBy: Temporal.PlainDate.from(answerBy), reminders, ...(remindedOn ? { remindedOn } : {}) },
      schedule,
      calendar,
    )
  known.set(key, next)
  return next
}

export const dueOnOf = (deps: Deps, source: Source, asked: Asked): string =>
  nextActOf(deps, source, asked).on.toString()
