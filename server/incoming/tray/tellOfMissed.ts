import { Op } from 'sequelize'
import { daysInThePost } from '#core/sources/conditions'
import { recordEvent } from '../../platform/audit/record'
import { forEachRow } from '../../platform/database/forEachRow'
import type { Deps } from '../../platform/deps'
import { Claim } from '../../records/claims/model'
import { CoverSheet } from '../../records/tray/model'

/** Whoever said that a paper was in the post, and it has not come, is told once: it can be sent again, or as a photo. */
export function tellOfMissed(deps: Deps): Promise<number> {
  const before = new Date(deps.clock.now().getTime() - (daysInThePost + 1) * 86_400_000)
  const missed = { postedAt: { [Op.lt]: before }, missedAt: null, usedAt: null, cameAt: null }
  return forEachRow(deps, CoverSheet, missed, async (sheet) => {
    await sheet.update({ missedAt: deps.clock.now() })
    const claim = await Claim.findByPk(sheet.claimId)
    if (!claim || claim.removedAt || claim.rung === 'confirmed') return
    await recordEvent(
      deps,
      { kind: 'system' },
      {
        code: 'posted-paper-missed',
        values: { paper: sheet.title, sheet: sheet.reference },
        candidateId: claim.candidateId,
        applicationId: sheet.applicationId,
        claimId: claim.id,
      },
    )
  })
}
