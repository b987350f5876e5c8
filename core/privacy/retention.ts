import { Temporal } from 'temporal-polyfill'
import type { KeepingPeriods } from '../organisation/organisation'

/** What retention knows of an application: its stage as one of three, and the days that count. */
export type KeptApplication = {
  title: string
  state: 'not sent' | 'under way' | 'ended' | 'cleared'
  /** The last change of what is not sent, the end of what has ended, the first day of who was cleared. */
  day: string
}

export type Keeping = {
  code: 'not-sent' | 'under-way' | 'ended' | 'cleared' | 'trail'
  title: string
  /** The last day it is kept; `null` while nobody can say. */
  until: string | null
}

/**
 * What is kept of a file, by which rule and until when.
 *
 * @param applications those of the person, in any order
 * @param today for the skeleton of the audit trail, which stays without its words
 * @param periods how long the organisation keeps what
 */
export function keepingsOf(
  applications: readonly KeptApplication[],
  today: Temporal.PlainDate,
  periods: KeepingPeriods,
): Keeping[] {
  const kept = applications.map(({ title, state, day }): Keeping => {
    const from = Temporal.PlainDate.from(day)
    if (state === 'not sent')
      return { code: 'not-sent', title, until: from.add({ days: periods.notSentDays }).toString() }
    if (state === 'under way') return { code: 'under-way', title, until: null }
    if (state === 'ended') return { code: 'ended', title, until: from.add({ days: periods.endedDays }).toString() }
    return { code: 'cleared', title, until: from.add({ years: periods.clearedYears }).toString() }
  })
  return [...kept, { code: 'trail', title: '', until: today.add({ years: periods.trailYears }).toString() }]
}

/**
 * What has to stay although the person wants to be erased: what has ended within its term. What was never sent goes at
 * once; what is under way is withdrawn, and ends today.
 */
export const boundBy = (
  applications: readonly KeptApplication[],
  today: Temporal.PlainDate,
  periods: KeepingPeriods,
): Keeping[] =>
  keepingsOf(
    applications.flatMap((application) =>
      application.state === 'not sent'
        ? []
        : [
            application.state === 'under way'
              ? { ...application, state: 'ended' as const, day: today.toString() }
              : application,
          ],
    ),
    today,
    periods,
  ).filter(({ code, until }) => code === 'trail' || (until !== null && until >= today.toString()))

/** The first day on which nothing of a file has to be kept any more; `null` while something is under way. */
export function erasableOn(applications: readonly KeptApplication[], periods: KeepingPeriods): string | null {
  const epoch = Temporal.PlainDate.from('1970-01-01')
  const ends = keepingsOf(applications, epoch, periods).flatMap(({ code, until }) => (code === 'trail' ? [] : [until]))
  if (ends.some((until) => until === null)) return null
  const last = (ends as string[]).sort().at(-1)
  return last ? Temporal.PlainDate.from(last).add({ days: 1 }).toString() : null
}
