import { Temporal } from 'temporal-polyfill'
import type { StatisticsFilter } from '#contract/statistics'
import { beginOf } from '#core/dates/zoned'
import type { Deps } from '../platform/deps'
import { problems } from './problems'

/** The days that are looked at, and the vacancy where it is one. */
export type Period = {
  from: string
  to: string
  /** From the beginning of the first day to the end of the last, which may lie ahead. */
  since: Date
  until: Date
  vacancyId: string | undefined
  /** What a statement asks of the column of a vacancy; nothing where all of them count. */
  inVacancy: (column: string) => string
}

const usualMonths = 18

/** @throws Problem `ends-before-it-begins` */
export function periodOf({ clock, organisation }: Deps, { vacancy, from, to }: StatisticsFilter): Period {
  const last = to ? Temporal.PlainDate.from(to) : clock.today()
  const first = from ? Temporal.PlainDate.from(from) : last.subtract({ months: usualMonths })
  if (Temporal.PlainDate.compare(first, last) > 0) throw problems.endsBeforeItBegins()
  const startOf = (day: Temporal.PlainDate) => beginOf(day, organisation.timeZone)
  return {
    ...{ from: first.toString(), to: last.toString() },
    since: startOf(first),
    until: startOf(last.add({ days: 1 })),
    vacancyId: vacancy,
    inVacancy: (column) => (vacancy ? `AND ${column} = :vacancyId` : ''),
  }
}

/** What a statement is given of a period. */
export const given = ({ from, to, since, until, vacancyId }: Period) => ({ from, to, since, until, vacancyId })
