import { Temporal } from 'temporal-polyfill'

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
 * How long what is kept, in days or years. The reasons are the usual ones of the trade: a claim for equal treatment can be
 * brought for half a year after an application has ended; who was let near passengers and ropes must be shown for seven.
 */
export const retention = { notSentDays: 180, endedDays: 183, clearedYears: 7, trailYears: 7 } as const

/**
 * What is kept of a file, by which rule and until when.
 *
 * @param applications those of the person, in any order
 * @param today for the skeleton of the audit trail, which stays without its words
 */
export function keepingsOf(applications: readonly KeptApplication[], today: Temporal.PlainDate): Keeping[] {
  const kept = applications.map(({ title, state, day }): Keeping => {
    const from = Temporal.PlainDate.from(day)
    if (state === 'not sent')
      return { code: 'not-sent', title, until: from.add({ days: retention.notSentDays }).toString() }
    if (state === 'under way') return { code: 'under-way', title, until: null }
    if (state === 'ended') return { code: 'ended', title, until: from.add({ days: retention.endedDays }).toString() }
    return { code: 'cleared', title, until: from.add({ years: retention.clearedYears }).toString() }
  })
  return [...kept, { code: 'trail', title: '', until: today.add({ years: retention.trailYears }).toString() }]
}

/**
 * What has to stay although the person wants to be erased: what has ended within its term. What was never sent goes at
 * once; what is under way is withdrawn, and ends today.
 */
export const boundBy = (applications: readonly KeptApplication[], today: Temporal.PlainDate): Keeping[] =>
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
  ).filter(({ code, until }) => code === 'trail' || (until !== null && until >= today.toString()))

/** The first day on which nothing of a file has to be kept any more; `null` while something is under way. */
export function erasableOn(applications: readonly KeptApplication[]): string | null {
  const epoch = Temporal.PlainDate.from('1970-01-01')
  const ends = keepingsOf(applications, epoch).flatMap(({ code, until }) => (code === 'trail' ? [] : [until]))
  if (ends.some((until) => until === null)) return null
  const last = (ends as string[]).sort().at(-1)
  return last ? Temporal.PlainDate.from(last).add({ days: 1 }).toString() : null
}
