import { Temporal } from 'temporal-polyfill'
import { addWorkingDays, type WorkCalendar } from '../calendar/workingDays'

/** The ways that wait for somebody; a register answers at once, and a credential is brought by its candidate. */
export const scheduledChannels = ['link', 'letter', 'telephone', 'direct issue', 'register'] as const

/** How long is waited beyond the day an answer was due. */
export type Schedule = {
  /** How many reminders are sent before another way is taken; by telephone, how many calls. */
  reminders: number
  /** Working days of the source between one and the next, and after the last. */
  everyWorkingDays: number
}

/** What is handled faster waits less; it has a schedule of its own whatever the way. */
export const scheduleKinds = [...scheduledChannels, 'faster'] as const
export type ScheduleKind = (typeof scheduleKinds)[number]
export type Schedules = Record<ScheduleKind, Schedule>

export const usualSchedules: Schedules = {
  link: { reminders: 2, everyWorkingDays: 5 },
  letter: { reminders: 1, everyWorkingDays: 10 },
  telephone: { reminders: 3, everyWorkingDays: 1 },
  'direct issue': { reminders: 1, everyWorkingDays: 10 },
  register: { reminders: 0, everyWorkingDays: 1 },
  faster: { reminders: 3, everyWorkingDays: 2 },
}

export const scheduleLimits = { reminders: { least: 0, most: 10 }, everyWorkingDays: { least: 1, most: 60 } }

/** A letter is on its way longer than a mail, there and back: working days added to what a source usually takes. */
const inThePost = 6

/** The day by which a source answers, asked on a day. */
export const dueDay = (
  asked: Temporal.PlainDate,
  { channel, answerWorkingDays }: { channel: string; answerWorkingDays: number },
  calendar: WorkCalendar,
): Temporal.PlainDate => addWorkingDays(asked, answerWorkingDays + (channel === 'letter' ? inThePost : 0), calendar)

export type Waiting = {
  answerBy: Temporal.PlainDate
  /** Sent since it was last asked by a new way, and when the last of them was. */
  reminders: number
  remindedOn?: Temporal.PlainDate
}

export type NextAct = { on: Temporal.PlainDate; act: 'remind' | 'move on' }

/**
 * What happens next with a question that nobody has answered, and when: the first reminder on the working day after the answer was
 * due, each further one some working days later, and as long after the last another way, or the end. Days are working days of the
 * source and of the house.
 *
 * @throws RangeError for a schedule that waits no day
 */
export function nextAct(
  { answerBy, reminders, remindedOn }: Waiting,
  schedule: Schedule,
  calendar: WorkCalendar,
): NextAct {
  if (schedule.everyWorkingDays < 1) throw new RangeError('a schedule waits for a day at least')
  const sent = Math.min(reminders, schedule.reminders)
  const planned = addWorkingDays(answerBy, 1 + sent * schedule.everyWorkingDays, calendar)
  // Whoever was reminded late, or by hand, has as long before the next as anybody else.
  const after = remindedOn && addWorkingDays(remindedOn, schedule.everyWorkingDays, calendar)
  const on = after && Temporal.PlainDate.compare(after, planned) > 0 ? after : planned
  return { on, act: sent < schedule.reminders ? 'remind' : 'move on' }
}

/** All that is ahead of a question that stays unanswered, for whoever plans with it: by its present way only. */
export function actsAhead(waiting: Waiting, schedule: Schedule, calendar: WorkCalendar): NextAct[] {
  const next = nextAct(waiting, schedule, calendar)
  if (next.act === 'move on') return [next]
  return [next, ...actsAhead({ ...waiting, reminders: waiting.reminders + 1 }, schedule, calendar)]
}

/** Whether what is due on a day is due by now. */
export const isDue = (on: Temporal.PlainDate, today: Temporal.PlainDate) => Temporal.PlainDate.compare(on, today) <= 0
