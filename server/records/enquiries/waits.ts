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
 * What was asked of people at sources: how many days it took or, by a moment, has taken. What ended without an answer was open until
 * then; registers and what candidates bring answer by themselves and do not count. What was asked about a file that is erased does.
 */
async function waits(
  { sequelize }: Pick<Deps, 'sequelize'>,
  where: string,
  values: Record<string, unknown>,
  { until, by }: Given,
  each: string,
): Promise<Asked[]> {
  type Row = { sourceId: string; hours: number | string; ended: number | bigint; askedAt: Date | string }
  const asked = `${where} AND e.channel IN ('link', 'letter', 'telephone') AND e.askedAt < :until`
  const rows = await sequelize.query<Row>(
    `SELECT sourceId, since AS askedAt, answered AS ended,
            TIMESTAMPDIFF(HOUR, since, IF(answered, endedAt, LEAST(:until, COALESCE(endedAt,
              (SELECT MAX(t.at) FROM enquiry_steps t
               WHERE t.enquiryId = asked.id AND t.step IN ('declined', 'silent', 'withdrawn')), :until)))) AS hours
     FROM (SELECT e.id, e.sourceId, e.endedAt, e.since, e.answered AND e.endedAt <= :until AS answered,
                  ROW_NUMBER() OVER (PARTITION BY ${each} ORDER BY e.since DESC, e.id) AS nth
           FROM (SELECT e.id, e.sourceId, ${since[by].live} AS since, e.answeredAt AS endedAt, e.state = 'answered' AS answered
                 FROM enquiries e JOIN sources s ON s.id = e.sourceId WHERE ${asked} AND e.state <> 'prepared'
                 UNION ALL
                 SELECT e.id, e.sourceId, ${since[by].kept}, e.endedAt, e.answered
                 FROM enquiry_waits e JOIN sources s ON s.id = e.sourceId WHERE ${asked}) e
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
