import { QueryTypes } from 'sequelize'
import { type HeardSource, heardSources } from '#core/hiring/heard'
import { HeardOfUs } from './model'

export type HeardCounts = Record<'sent' | 'shortlist' | 'offer' | 'start', number>
export type HeardRow = { source: HeardSource | null; counts: HeardCounts }

type Row = { source: HeardSource | null } & Record<keyof HeardCounts, number | bigint | string>

/** How many of those who sent heard of us where, and how many of them passed each gate; who has not said comes last. */
export async function countHeardOf(of: { vacancyId?: string; since?: Date; until?: Date }): Promise<HeardRow[]> {
  const passed = (gate: string) =>
    `SUM(EXISTS (SELECT 1 FROM gate_passages g WHERE g.applicationId = a.id AND g.gate = '${gate}'))`
  const found = await HeardOfUs.sequelize!.query<Row>(
    `SELECT h.source, COUNT(*) AS sent, ${passed('shortlist')} AS shortlist, ${passed('offer')} AS offer, ${passed('start')} AS start
     FROM applications a JOIN vacancies v ON v.id = a.vacancyId
     LEFT JOIN heard_of_us h ON h.candidateId = a.candidateId AND h.asked = COALESCE(v.groupId, v.id)
     WHERE a.stage <> 'being written' ${of.vacancyId ? 'AND a.vacancyId = :vacancyId' : ''}
       ${of.since ? 'AND a.sentAt >= :since' : ''} ${of.until ? 'AND a.sentAt < :until' : ''}
     GROUP BY h.source`,
    { replacements: of, type: QueryTypes.SELECT },
  )
  return [...heardSources, null].flatMap((source) => {
    const row = found.find((one) => (one.source ?? null) === source)
    if (!row) return []
    const { sent, shortlist, offer, start } = row
    return [
      {
        source,
        counts: { sent: Number(sent), shortlist: Number(shortlist), offer: Number(offer), start: Number(start) },
      },
    ]
  })
}
