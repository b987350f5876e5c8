import { QueryTypes } from 'sequelize'
import { dayAt } from '#core/dates/zoned'
import type { Asked } from '#core/turnaround/backtest'
import type { Deps } from '../platform/deps'
import { questions } from '../records/enquiries/waits'
import type { Period } from './filter'

/** A question to people at a source as statistics look at it, also one about a file that is erased. */
export type PastQuestion = Asked & { sourceName: string; vacancyId: string; askedAt: Date; answerBy: string }

/** More than so many are not gone through: the newest count. */
const most = 20_000
const msOfDay = 86_400_000

type Row = Omit<PastQuestion, 'at' | 'endedAt' | 'answered' | 'askedAt'> & {
  askedAt: Date | string
  endedAt: Date | string | null
  answered: number | bigint
}

/** Every question put by a moment, in the order in which they were; moments are in days since 1970. */
export async function questionsUntil({ sequelize }: Pick<Deps, 'sequelize'>, until: Date): Promise<PastQuestion[]> {
  const rows = await sequelize.query<Row>(
    `SELECT sourceId AS source, name AS sourceName, kind, country, vacancyId, since AS askedAt, answerBy, answered, endedAt
     FROM (${questions('e.askedAt < :until')}) e ORDER BY since DESC, id LIMIT ${most}`,
    { replacements: { until }, type: QueryTypes.SELECT },
  )
  return rows
    .map(({ askedAt, endedAt, answered, ...row }) => ({
      ...row,
      askedAt: new Date(askedAt),
      at: new Date(askedAt).getTime() / msOfDay,
      endedAt: endedAt === null ? null : new Date(endedAt).getTime() / msOfDay,
      answered: Number(answered) === 1,
    }))
    .reverse()
}

/** How long each has been waited for by a moment, as curves count it. */
export const waitBy =
  (now: number) =>
  ({ at, endedAt, answered }: Asked) => ({
    days: Math.max(1, Math.ceil((endedAt ?? now) - at)),
    ended: answered,
  })

/** The questions that were put within a period, for its vacancy where it is of one. */
export const isIn =
  ({ since, vacancyId }: Pick<Period, 'since' | 'vacancyId'>) =>
  (question: PastQuestion): boolean =>
    question.askedAt >= since && (!vacancyId || question.vacancyId === vacancyId)

/** A moment, in days since 1970. */
export const daysOf = (moment: Date): number => moment.getTime() / msOfDay

/** The ISO day that is of such a moment where we are. */
export const isoDayOf = (days: number, { organisation }: Pick<Deps, 'organisation'>): string =>
  dayAt(new Date(days * msOfDay), organisation.timeZone).toString()
