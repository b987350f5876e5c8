import { QueryTypes } from 'sequelize'
import { heardSources } from '#core/hiring/heard'
import { activeStages } from '#core/hiring/stages'
import { flagKinds } from '#core/redFlags/redFlag'
import { say } from '#core/words/say'
import type { Deps } from '../platform/deps'
import { figure } from './figure'
import { given, type Period } from './filter'

const read = <Row extends object>({ sequelize }: Deps, sql: string, period: Period, more: object = {}) =>
  sequelize.query<Row>(sql, { replacements: { ...given(period), ...more }, type: QueryTypes.SELECT })

/** What made somebody look twice, and what came of it. */
export async function redFlags(deps: Deps, period: Period) {
  type Row = { kind: (typeof flagKinds)[number]; open: number; upheld: number; dismissed: number }
  const rows = await read<Row>(
    deps,
    `SELECT f.kind, SUM(f.state = 'open') AS open, SUM(f.state = 'upheld') AS upheld, SUM(f.state = 'dismissed') AS dismissed
     FROM red_flags f
     WHERE f.raisedAt >= :since AND f.raisedAt < :until
       ${period.vacancyId ? 'AND EXISTS (SELECT 1 FROM applications a WHERE a.candidateId = f.candidateId AND a.vacancyId = :vacancyId)' : ''}
     GROUP BY f.kind`,
    period,
  )
  const found = new Map(rows.map((row) => [row.kind, row]))
  return [
    figure(
      'flags',
      { flag: 'text', openFlags: 'count', upheld: 'count', dismissed: 'count' },
      flagKinds.flatMap((kind) => {
        const row = found.get(kind)
        const { open = 0, upheld = 0, dismissed = 0 } = row ?? {}
        const counts = { openFlags: Number(open), upheld: Number(upheld), dismissed: Number(dismissed) }
        return row ? [{ flag: say(`flags.kind.${kind}`), ...counts }] : []
      }),
      { kind: 'stacked', series: ['openFlags', 'upheld', 'dismissed'] },
    ),
  ]
}

/** Where those who sent heard of us, and how far they came. */
export async function origins(deps: Deps, period: Period) {
  type Row = { source: (typeof heardSources)[number] | null } & Record<'sent' | 'shortlist' | 'offer' | 'start', number>
  const passed = (gate: string) =>
    `SUM(EXISTS (SELECT 1 FROM gate_passages g WHERE g.applicationId = a.id AND g.gate = '${gate}'))`
  const rows = await read<Row>(
    deps,
    `SELECT h.source, COUNT(*) AS sent, ${passed('shortlist')} AS shortlist, ${passed('offer')} AS offer, ${passed('start')} AS start
     FROM applications a JOIN vacancies v ON v.id = a.vacancyId
     LEFT JOIN heard_of_us h ON h.candidateId = a.candidateId AND h.asked = COALESCE(v.groupId, v.id)
     WHERE a.sentAt >= :since AND a.sentAt < :until ${period.inVacancy('a.vacancyId')}
     GROUP BY h.source`,
    period,
  )
  return [
    figure(
      'origins',
      { origin: 'text', sent: 'count', shortlist: 'count', offer: 'count', start: 'count' },
      [...heardSources, null].flatMap((source) => {
        const row = rows.find((one) => (one.source ?? null) === source)
        if (!row) return []
        const origin = source === null ? say('statistics.notSaid') : say(`role.heard.${source}`)
        const { sent, shortlist, offer, start } = row
        return [
          { origin, sent: Number(sent), shortlist: Number(shortlist), offer: Number(offer), start: Number(start) },
        ]
      }),
      { kind: 'bars', series: ['sent', 'shortlist', 'offer', 'start'] },
    ),
  ]
}

/** Whose files are open, whose were closed in the period, and who has decided how many claims. */
export async function team(deps: Deps, period: Period) {
  type Row = { name: string; open: number; closed: number; decided: number }
  const rows = await read<Row>(
    deps,
    `SELECT name, SUM(open) AS open, SUM(closed) AS closed, SUM(decided) AS decided FROM (
       SELECT p.name, a.stage IN (:active) AS open, a.endedAt >= :since AND a.endedAt < :until AS closed, 0 AS decided
       FROM file_owners o JOIN accounts p ON p.id = o.accountId JOIN applications a ON a.id = o.applicationId
       WHERE TRUE ${period.inVacancy('a.vacancyId')}
       UNION ALL
       SELECT f.decidedBy, 0, 0, 1 FROM findings f JOIN enquiries e ON e.id = f.enquiryId
         JOIN applications a ON a.id = e.applicationId
       WHERE f.decidedAt >= :since AND f.decidedAt < :until AND f.basis IS NULL ${period.inVacancy('a.vacancyId')}) t
     GROUP BY name HAVING SUM(open) + SUM(closed) + SUM(decided) > 0 ORDER BY name`,
    period,
    { active: activeStages },
  )
  const [unowned] = await read<{ open: number | bigint }>(
    deps,
    `SELECT COUNT(*) AS open FROM applications a LEFT JOIN file_owners o ON o.applicationId = a.id
     WHERE o.applicationId IS NULL AND a.stage IN (:active) ${period.inVacancy('a.vacancyId')}`,
    period,
    { active: activeStages },
  )
  const nobody = Number(unowned?.open ?? 0)
  return [
    figure(
      'team',
      { colleague: 'text', open: 'count', closed: 'count', decided: 'count' },
      [
        ...rows.map(({ name, open, closed, decided }) => ({
          ...{ colleague: name, open: Number(open), closed: Number(closed), decided: Number(decided) },
        })),
        ...(nobody > 0 ? [{ colleague: say('statistics.nobodys'), open: nobody, closed: 0, decided: 0 }] : []),
      ],
      { kind: 'bars', series: ['open', 'closed', 'decided'] },
    ),
  ]
}
