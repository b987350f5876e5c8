import { Op } from 'sequelize'
import { isFinal } from '#core/documents/papers'
import { recordEvent } from '../platform/audit/record'
import { forEachRow } from '../platform/database/forEachRow'
import type { Deps } from '../platform/deps'
import { labelValue } from '../records/claims/label'
import { Claim } from '../records/claims/model'
import { Document } from '../records/documents/model'

/** What is said by itself of a final paper that is still to come: a week before it is owed, and once it was missed. */

const daysBefore = 7
const counting = { state: ['to look at', 'seen'] as ('to look at' | 'seen')[] }

export function remindOfFinals(deps: Deps): Promise<number> {
  const today = deps.clock.today()
  const soon = today.add({ days: daysBefore }).toString()
  const due = {
    ...counting,
    finalRemindedAt: null,
    finalBy: { [Op.between]: [today.toString(), soon] as [string, string] },
  }
  return forEachRow(deps, Document, due, async (document) => {
    await document.update({ finalRemindedAt: deps.clock.now() })
    await tell(deps, document, 'final-paper-due')
  })
}

export function tellOfMissedFinals(deps: Deps): Promise<number> {
  const past = { ...counting, finalMissedAt: null, finalBy: { [Op.lt]: deps.clock.today().toString() } }
  return forEachRow(deps, Document, past, async (document) => {
    await document.update({ finalMissedAt: deps.clock.now() })
    await tell(deps, document, 'final-paper-missed')
  })
}

async function tell(deps: Deps, interim: Document, code: 'final-paper-due' | 'final-paper-missed') {
  const claim = await Claim.findByPk(interim.claimId)
  if (!claim || claim.removedAt || claim.rung === 'confirmed' || claim.rung === 'waived') return
  if (interim.credentialVersion !== claim.credentialVersion || (await hasFollowed(interim))) return
  await recordEvent(
    deps,
    { kind: 'system' },
    {
      code,
      values: { claim: labelValue(claim.details), day: { day: interim.finalBy! } },
      candidateId: claim.candidateId,
      claimId: claim.id,
    },
  )
}

/** The final paper has come, or another interim one with a later day. */
async function hasFollowed({ claimId, uploadedAt, id }: Document): Promise<boolean> {
  const later = await Document.findAll({ where: { ...counting, claimId, uploadedAt: { [Op.gte]: uploadedAt } } })
  return later.some((other) => other.id !== id && (isFinal(other.part) || other.finalBy !== null))
}
