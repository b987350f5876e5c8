import { Op } from 'sequelize'
import { recordEvent } from '../platform/audit/record'
import type { Account as Actor, Deps } from '../platform/deps'
import { labelValue } from '../records/claims/label'
import { Claim } from '../records/claims/model'
import type { Source } from '../records/sources/model'

/** The claims that proposed a source name it from now on; each file says so. */
export async function adoptProposed(deps: Deps, actor: Actor, { id: sourceId, name }: Source) {
  const claims = await Claim.findAll({
    where: { proposedSourceId: sourceId, sourceId: { [Op.is]: null }, removedAt: { [Op.is]: null } },
  })
  for (const claim of claims) {
    // Without a new version, and of its details nothing else: a form that is open at the candidate's loses nothing.
    await Claim.sequelize!.query(
      `UPDATE claims SET sourceId = :sourceId, details = JSON_SET(details, '$.sourceId', :sourceId), proposedSourceId = NULL
       WHERE id = :id AND proposedSourceId = :sourceId`,
      { replacements: { id: claim.id, sourceId } },
    )
    await recordEvent(deps, actor, {
      code: 'claim-source-known',
      values: { source: name, claim: labelValue(claim.details) },
      candidateId: claim.candidateId,
      claimId: claim.id,
      about: name,
    })
  }
}
