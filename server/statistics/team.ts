import { QueryTypes } from 'sequelize'
import { activeStages } from '#core/hiring/stages'
import { say } from '#core/words/say'
import type { Deps } from '../platform/deps'
import { figure } from './figure'
import { given, type Period } from './filter'

/** Whose files are open, whose were closed in the period, and who has decided how many claims. */
export async function team(deps: Deps, period: Period) {
  type Row = { name: string; open: number; closed: number; decided: number }
  const rows = await deps.sequelize.query<Row>(
    `SELECT name, SUM(open) AS open, SUM(closed) AS closed, SUM(decided) AS decided FROM (
       SELECT p.name, a.stage IN (:active) AS open, a.endedAt >= :since AND a.endedAt < :until AS closed, 0 AS decided
       FROM file_owners o JOIN accounts p ON p.id = o.accountId JOIN applications a ON a.id = o.applicationId
       WHERE TRUE ${period.inVacancy('a.vacancyId')}
       UNION ALL
       SELECT f.decidedBy, 0, 0, 1 FROM findings f JOIN enquiries e ON e.id = f.enquiryId
         JOIN applications a ON a.id = e.applicationId
       WHERE f.decidedAt >= :since AND f.decidedAt < :until AND f.basis IS NULL ${period.inVacancy('a.vacancyId')}) t
     GROUP BY name HAVING SUM(open) + SUM(closed) + SUM(decided) > 0 ORDER BY name`,
    { replacements: { ...given(period), active: activeStages }, type: QueryTypes.SELECT },
  )
  const [unowned] = await deps.sequelize.query<{ open: number | bigint }>(
    `SELECT COUNT(*) AS open FROM applications a LEFT JOIN file_owners o ON o.applicationId = a.id
     WHERE o.applicationId IS NULL AND a.stage IN (:active) ${period.inVacancy('a.vacancyId')}`,
    { replacements: { ...given(period), active: activeStages }, type: QueryTypes.SELECT },
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
