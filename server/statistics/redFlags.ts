import { QueryTypes } from 'sequelize'
import { flagKinds } from '#core/redFlags/redFlag'
import { say } from '#core/words/say'
import type { Deps } from '../platform/deps'
import { figure } from './figure'
import { given, type Period } from './filter'

/** What made somebody look twice, and what came of it. */
export async function redFlags(deps: Deps, period: Period) {
  type Row = { kind: (typeof flagKinds)[number]; open: number; upheld: number; dismissed: number }
  const rows = await deps.sequelize.query<Row>(
    `SELECT f.kind, SUM(f.state = 'open') AS open, SUM(f.state = 'upheld') AS upheld, SUM(f.state = 'dismissed') AS dismissed
     FROM red_flags f
     WHERE f.raisedAt >= :since AND f.raisedAt < :until
       ${period.vacancyId ? 'AND EXISTS (SELECT 1 FROM applications a WHERE a.candidateId = f.candidateId AND a.vacancyId = :vacancyId)' : ''}
     GROUP BY f.kind`,
    { replacements: given(period), type: QueryTypes.SELECT },
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
