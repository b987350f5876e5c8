import { QueryTypes } from 'sequelize'
import { erasableOn } from '#core/privacy/retention'
import { inTransaction } from '../platform/database/connection'
import type { Deps } from '../platform/deps'
import { describeError } from '../platform/errors/describeError'
import { eraseFile } from './erase'
import { keptApplications } from './keeping'

const page = 500

/**
 * Erases by itself what need not be kept any more: sealed files on their day, and those whose terms have all ended. Gives
 * how many could not be erased; those are logged and passed over.
 */
export async function retain(deps: Deps): Promise<number> {
  const today = deps.clock.today()
  let failed = 0
  for (let after = ''; ; ) {
    const due = await mayBeDue(deps, after)
    for (const { id } of due)
      await inTransaction(deps.sequelize, async () => {
        const kept = await keptApplications(deps, id)
        const on = erasableOn(kept, deps.organisation.keeping)
        if (!kept.some(({ state }) => state === 'under way') && (on === null || on <= today.toString()))
          await eraseFile(deps, { kind: 'system' }, id, 'terms')
      }).catch((error: unknown) => {
        failed += 1
        deps.log.error({ candidate: id, error: describeError(error) }, 'a file could not be erased')
      })
    after = due.at(-1)?.id ?? ''
    if (due.length < page) return failed
  }
}

/**
 * Files nothing is under way in and nobody has touched for as long as the shortest term; the rules then say for certain. Who
 * was only imported, and never signed in nor applied, goes after that term too.
 */
function mayBeDue(deps: Deps, after: string) {
  const { keeping } = deps.organisation
  const today = deps.clock.today()
  return deps.sequelize.query<{ id: string }>(
    `SELECT c.id FROM candidates c JOIN accounts o ON o.id = c.accountId LEFT JOIN applications a ON a.candidateId = c.id
     WHERE c.id > :after AND c.erasedAt IS NULL AND c.mergedInto IS NULL AND c.createdAt < :quiet
     GROUP BY c.id, c.eraseOn
     HAVING c.eraseOn < :today OR (COUNT(a.id) = 0 AND MAX(o.confirmedAt) IS NULL) OR (COUNT(a.id) > 0
       AND SUM(a.stage IN ('sent', 'shortlisted', 'offered') OR (a.stage = 'cleared' AND a.targetStart >= :cleared)) = 0
       AND MAX(COALESCE(a.endedAt, a.savedAt)) < :quiet)
     ORDER BY c.id LIMIT ${page}`,
    {
      replacements: {
        after,
        today: today.toString(),
        cleared: today.subtract({ years: keeping.clearedYears }).toString(),
        quiet: `${today.subtract({ days: Math.min(keeping.notSentDays, keeping.endedDays) }).toString()} 00:00:00`,
      },
      type: QueryTypes.SELECT,
    },
  )
}
