import { QueryTypes } from 'sequelize'
import { erasableOn, retention } from '#core/privacy/retention'
import { inTransaction } from '../database/connection'
import type { Deps } from '../deps'
import { eraseFile } from './erase'
import { keptApplications } from './keeping'

const most = 500

/** Erases by itself what need not be kept any more: sealed files on their day, and those whose terms have all ended. */
export async function retain(deps: Deps): Promise<number> {
  const today = deps.clock.today()
  const due = await deps.sequelize.query<{ id: string }>(
    `SELECT c.id FROM candidates c LEFT JOIN applications a ON a.candidateId = c.id
     WHERE c.erasedAt IS NULL AND c.mergedInto IS NULL AND c.createdAt < :quiet
     GROUP BY c.id, c.eraseOn
     HAVING c.eraseOn < :today OR (COUNT(a.id) > 0 AND SUM(a.stage IN ('sent', 'shortlisted', 'offered', 'cleared')) = 0
       AND MAX(COALESCE(a.endedAt, a.savedAt)) < :quiet)
     LIMIT ${most}`,
    {
      replacements: {
        today: today.toString(),
        quiet: `${today.subtract({ days: retention.notSentDays }).toString()} 00:00:00`,
      },
      type: QueryTypes.SELECT,
    },
  )
  let erased = 0
  for (const { id } of due) {
    const on = erasableOn(await keptApplications(id))
    if (on !== null && on > today.toString()) continue
    await inTransaction(deps.sequelize, () => eraseFile(deps, { kind: 'system' }, id, 'because its terms have ended'))
    erased += 1
  }
  return erased
}
