import { Op, QueryTypes } from 'sequelize'
import { rowsOf } from '../../platform/database/rows'
import { ofClaims } from '../claims/subquery'
import { Enquiry } from './model'

/** The enquiries about claims, oldest first. */
export const enquiriesOf = async (claimIds: readonly string[]): Promise<Enquiry[]> =>
  claimIds.length === 0 ? [] : Enquiry.findAll({ where: { claimId: [...claimIds] }, order: ['askedAt', 'id'] })

/** Those about any claim of candidates, also about claims taken back since. */
export const enquiriesOfCandidates = (candidateIds: readonly string[]): Promise<Enquiry[]> =>
  rowsOf(Enquiry, { claimId: { [Op.in]: ofClaims('id', candidateIds) } }, ['askedAt', 'id'])

/** Calls off the open questions about a claim. */
export const callOffEnquiriesAbout = async (claimId: string) =>
  void (await Enquiry.update({ state: 'withdrawn' }, { where: { claimId, state: 'open' } }))

type Counts = { asked: number; open: number; medianDays: number | null }

/** How many enquiries each of these sources got, how many are open, and the median of days to answer. */
export async function enquiryCounts(sourceIds: readonly string[]): Promise<Map<string, Counts>> {
  if (sourceIds.length === 0) return new Map()
  const rows = await Enquiry.sequelize!.query<{
    sourceId: string
    asked: number | bigint
    open: number | string
    medianDays: string | number | null
  }>(
    `SELECT DISTINCT e.sourceId, c.asked, c.open, m.medianDays FROM enquiries e
     JOIN (SELECT sourceId, COUNT(*) AS asked, SUM(state = 'open') AS open FROM enquiries WHERE channel = 'link' AND sourceId IN (:sourceIds) GROUP BY sourceId) c ON c.sourceId = e.sourceId
     LEFT JOIN (SELECT DISTINCT sourceId, MEDIAN(TIMESTAMPDIFF(HOUR, askedAt, answeredAt) / 24) OVER (PARTITION BY sourceId) AS medianDays
                FROM enquiries WHERE answeredAt IS NOT NULL AND channel = 'link' AND sourceId IN (:sourceIds)) m ON m.sourceId = e.sourceId
     WHERE e.sourceId IN (:sourceIds)`,
    { replacements: { sourceIds: [...sourceIds] }, type: QueryTypes.SELECT },
  )
  return new Map(
    rows.map(({ sourceId, asked, open, medianDays }) => [
      sourceId,
      {
        asked: Number(asked),
        open: Number(open),
        medianDays: medianDays === null ? null : Math.round(Number(medianDays) * 10) / 10,
      },
    ]),
  )
}
