import { Op } from 'sequelize'
import { isStillAskedAbout } from '#core/sources/asked'
import { recordEvent } from '../platform/audit/record'
import { compareAndSet } from '../platform/database/compareAndSet'
import type { Account, Deps } from '../platform/deps'
import { requireVersion } from '../platform/errors/problems'
import { candidateOf } from '../records/accounts/candidate'
import { labelValue } from '../records/claims/label'
import { Claim } from '../records/claims/model'
import { claimView } from '../records/claims/view'
import { Enquiry } from '../records/enquiries/model'
import { Source } from '../records/sources/model'
import { ownClaim } from './change'
import { problems } from './problems'

/** Where nobody has been asked yet; a question that waits still takes the other speed. */
const notAsked = new Set(['claimed', 'evidenced'])

/** One's own claims whose source also answers faster: what either costs, how long it usually takes, and which was chosen. */
export async function listHandlings(deps: Deps, actor: Account) {
  const { id: candidateId } = await candidateOf(deps, actor)
  const claims = (
    await Claim.findAll({
      where: { candidateId, removedAt: { [Op.is]: null }, sourceId: { [Op.ne]: null } },
      order: ['id'],
    })
  ).filter((claim) => notAsked.has(claim.rung) && isStillAskedAbout(claim))
  const sources = await Source.findAll({ where: { id: claims.map(({ sourceId }) => sourceId!) } })
  return claims.flatMap(({ id, sourceId, wantsFaster }) => {
    const source = sources.find((one) => one.id === sourceId)
    const faster = source && !source.retiredAt && source.known.faster
    if (!faster) return []
    const usual = { answerWorkingDays: source.answerWorkingDays, cost: source.known.cost ?? null }
    return [{ claim: id, usual, faster, chosen: wantsFaster ? ('faster' as const) : ('usual' as const) }]
  })
}

/**
 * Chooses whether one's source is to be asked for its faster handling. A question that is ready and waits goes out at that speed.
 *
 * @throws Problem `already-asked` where the source has been asked, `no-faster` where it knows one speed alone
 */
export async function chooseHandling(
  deps: Deps,
  actor: Account,
  id: string,
  { version, speed }: { version: number; speed: 'usual' | 'faster' },
) {
  const claim = await ownClaim(deps, actor, id)
  requireVersion(version, claim.version, { details: claim.details })
  if (!notAsked.has(claim.rung)) throw problems.alreadyAsked()
  const source = claim.sourceId ? await Source.findByPk(claim.sourceId) : null
  if (!source?.known.faster) throw problems.noFaster()
  await compareAndSet(claim, version, { wantsFaster: speed === 'faster' })
  await Enquiry.update({ speed }, { where: { claimId: id, state: 'prepared' } })
  await recordEvent(deps, actor, {
    code: 'handling-chosen',
    words: `handling-chosen.${speed}`,
    values: { claim: labelValue(claim.details), source: source.name },
    candidateId: claim.candidateId,
    claimId: id,
  })
  return claimView(await claim.reload())
}
