import { Temporal } from 'temporal-polyfill'
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

/** What happens next by itself with a question that stays unanswered. */
export const nextActOf = (deps: Deps, source: Source, asked: Asked): NextAct =>
  nextAct(
    {
      answerBy: Temporal.PlainDate.from(asked.answerBy),
      reminders: asked.reminders ?? 0,
      ...(asked.remindedAt
        ? { remindedOn: Temporal.PlainDate.from(dayAt(asked.remindedAt, deps.organisation.timeZone)) }
        : {}),
    },
    scheduleOf(deps, asked),
    calendarOf(deps, source),
  )

export const dueOnOf = (deps: Deps, source: Source, asked: Asked): string =>
  nextActOf(deps, source, asked).on.toString()
