import { isActive, isSent } from '#core/hiring/stages'
import { say } from '#core/words/say'
import { recordEvent } from '../platform/audit/record'
import { compareAndSet } from '../platform/database/compareAndSet'
import type { Account, Deps } from '../platform/deps'
import { invalidField, requireVersion } from '../platform/errors/problems'
import { countAttempt } from '../platform/http/limits'
import { applicationsOf } from '../records/applications/find'
import { labelValue } from '../records/claims/label'
import { claimView } from '../records/claims/view'
import { confirmByOwnRecords } from '../verification/confirmKnown'
import { ownClaim } from './change'

/** Whoever tries numbers to learn whose they are is held up. */
const limit = { most: 20, seconds: 3600 }

/**
 * The candidate says that the paper of an award says the same as they wrote, and that they finished. Where its institution has
 * told us of the award, and its programme is accredited in that year, it is confirmed at once; else it is looked up once
 * something has been sent, or its source is asked.
 *
 * @returns the claim as it is now; of a record that says something else nothing is told
 */
export async function stateAward(deps: Deps, actor: Account, id: string, { version }: { version: number }) {
  const claim = await ownClaim(deps, actor, id)
  requireVersion(version, claim.version, { details: claim.details })
  const { details } = claim
  if (details.kind !== 'study' || details.to === 'present' || (details.outcome ?? 'finished') !== 'finished')
    throw invalidField('/body/finished', say('problem.onlyOfWhatIsFinished'))
  await countAttempt(deps, `award stated ${actor.id}`, limit)
  await compareAndSet(claim, version, { awardStatedAt: deps.clock.now() })
  const sent = (await applicationsOf(claim.candidateId)).find((one) => isSent(one) && isActive(one))
  await recordEvent(deps, actor, {
    code: 'award-stated',
    values: { claim: labelValue(details) },
    candidateId: claim.candidateId,
    ...(sent ? { applicationId: sent.id } : {}),
    claimId: id,
  })
  await confirmByOwnRecords(deps, actor, claim)
  return claimView(await claim.reload())
}
