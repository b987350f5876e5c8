import { QueryTypes } from 'sequelize'
import type { Wait } from '#core/turnaround/kaplanMeier'
import type { Deps } from '../../platform/deps'
import type { Source } from '../sources/model'

/** So many of the newest of each scope: what is older says less of today. */
const most = 2000

/** How long a source was waited for, and since when. */
export type Asked = Wait & { sourceId: string; askedAt: Date }

/** From when is counted: since it was asked, or since it was first called. */
export type By = 'any way' | 'telephone'

const since: Readonly<Record<By, { live: string; kept: string }>> = {
  'any way': { live: 'e.askedAt', kept: 'e.askedAt' },
  telephone: {
    live: `(SELECT MIN(c.at) FROM enquiry_steps c WHERE c.enquiryId = e.id AND c.channel = 'telephone')`,
    kept: 'e.calledAt',
  },
}

/**
 * Every question that was put to people, also about files that are erased: since when it has been waited for, and when that ended, with an
 * answer or without. Registers and what candidates bring answer by themselves and do not count.
 *
 * @param where what is asked of the question `e` and its source `s`
 */
export const questions = (where: string, by: By = 'any way'): string =>
  `SELECT e.id, e.sourceId, s.name, s.kind, s.country, a.vacancyId, ${since[by].live} AS since, e.answerBy,
          e.state = 'answered' AS answered,
          IF(e.state = 'answered', e.answeredAt, (SELECT MAX(t.at) FROM enquiry_steps t
            WHERE t.enquiryId = e.id AND t.step IN ('declined', 'silent', 'withdrawn'))) AS endedAt
   FROM enquiries e JOIN sources s ON s.id = e.sourceId JOIN applications a ON a.id = e.applicationId
   WHERE ${where} AND e.state <> 'prepared' AND e.channel IN ('link', 'letter', 'telephone')
   UNION ALL
   SELECT e.id, e.sourceId, s.name, s.kind, s.country, e.vacancyId, ${since[by].kept}, e.answerBy, e.answered, e.endedAt
   FROM enquiry_waits e JOIN sources s ON s.id = e.sourceId
   WHERE ${where} AND e.channel IN ('link', 'letter', 'telephone')`

/** Which sources are like one, beyond those of a nearer scope. */
export type Like = 'kind and country' | 'kind' | 'all'
const whose: Readonly<Record<Like, string>> = {
  'kind and country': 's.kind = :kind AND s.country = :country',
  kind: 's.kind = :kind AND s.country <> :country',
  all: 's.kind <> :kind',
}

type Given = { until: Date; by: By }

/** The waits of each of some sources, the newest first. */
export const waitsOfSources = (deps: Deps, ids: readonly string[], given: Given): Promise<Asked[]> =>
  ids.length === 0 ? Promise.resolve([]) : waits(deps, 'e.sourceId IN (:ids)', { ids: [...ids] }, given, 'e.sourceId')

/** Those of sources that are like one, its own among the nearest. */
export const waitsOfLike = (
  deps: Deps,
  { kind, country }: Pick<Source, 'kind' | 'country'>,
  like: Like,
  given: Given,
): Promise<Asked[]> => waits(deps, whose[like], { kind, country }, given, '1')

/**
 * How many days each question took or, by a moment, has taken. What ended without an answer was open until then.
 */
async function waits(
  { sequelize }: Pick<Deps, 'sequelize'>,
  where: string,
  values: Record<string, unknown>,
  { until, by }: Given,
  each: string,
): Promise<Asked[]> {
  type Row = { sourceId: string; hours: number | string; ended: number | bigint; askedAt: Date | string }
  const rows = await sequelize.query<Row>(
    `SELECT sourceId, since AS askedAt, answered AND endedAt <= :until AS ended,
            TIMESTAMPDIFF(HOUR, since, LEAST(:until, COALESCE(endedAt, :until))) AS hours
     FROM (SELECT e.*, ROW_NUMBER() OVER (PARTITION BY ${each} ORDER BY e.since DESC, e.id) AS nth
           FROM (${questions(`${where} AND e.askedAt < :until`, by)}) e
           WHERE e.since < :until) asked
     WHERE nth <= :most
     ORDER BY since DESC`,
    { replacements: { ...values, until, most }, type: QueryTypes.SELECT },
  )
  return rows.map(({ sourceId, hours, ended, askedAt }) => ({
    sourceId,
    // What comes back within a day took one.
    ...{ days: Math.max(1, Math.ceil(Number(hours) / 24)), ended: Number(ended) === 1, askedAt: new Date(askedAt) },
  }))
}
