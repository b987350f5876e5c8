import { Op, type WhereOptions } from 'sequelize'
import type { AskedBy } from '#core/enquiries/ways'
import { say } from '#core/words/say'
import { recordEvent } from '../platform/audit/record'
import { changed } from '../platform/changes'
import { compareAndSet } from '../platform/database/compareAndSet'
import type { Account, Deps } from '../platform/deps'
import { invalidField, notFound, requireVersion } from '../platform/errors/problems'
import { othersBeside } from '../records/accounts/policies'
import { labelValue } from '../records/claims/label'
import { claimById } from '../records/enquiries/load'
import { Enquiry } from '../records/enquiries/model'
import { withStanding } from '../records/enquiries/standing'
import { keepStep } from '../records/enquiries/steps'
import { sourceById } from '../records/sources/sources'
import { advance } from './advance'
import { openEnquiry } from './answer'
import { withdraw } from './callOff'
import { scheduleOf } from './due'
import { enquiriesInSight } from './inSight'
import { waysOf } from './plan'
import { problems } from './problems'
import { moveOn } from './register'
import { releasePrepared } from './release'

/** Reminds those who were asked, now and not by the schedule. What waits for us, or for nobody, is passed over. */
export async function remindEnquiries(deps: Deps, actor: Account, ids: readonly string[]) {
  const where = { [Op.and]: [{ id: [...ids] }, await enquiriesInSight(deps, actor)] } as WhereOptions
  const seen = await Enquiry.findAll({ where, attributes: ['id'], raw: true })
  const done = await advance(
    deps,
    seen.map(({ id }) => id),
    { remindNow: true, by: actor.name },
  )
  const reminded = [...done.values()].filter((act) => act === 'remind').length
  return { reminded, not: ids.length - reminded }
}

/** Asks the same by another way; what was sent before still works. */
export async function escalateEnquiry(
  deps: Deps,
  actor: Account,
  id: string,
  { version, channel, contactId }: { version: number; channel: AskedBy; contactId?: string },
) {
  const enquiry = await openEnquiry(id, version)
  const [claim, source] = [await claimById(enquiry.claimId), await sourceById(enquiry.sourceId)]
  const way = waysOf(source, claim).find(
    (one) => one.channel === channel && (!contactId || one.contactId === contactId),
  )
  if (!way) throw invalidField('/body/channel', say('problem.thereIsNoSuchWay'))
  if (way.channel === enquiry.channel && way.contactId === enquiry.contactId) throw problems.sameWay()
  await advance(deps, [id], { moveOn: true, to: way, by: actor.name })
  await changed(deps, {
    code: 'enquiry-escalated',
    actor,
    applicationId: enquiry.applicationId,
    candidateId: claim.candidateId,
  })
  return { done: true as const }
}

/** Calls a question off by hand. */
export async function withdrawEnquiry(deps: Deps, actor: Account, id: string, version: number) {
  const enquiry = await Enquiry.findByPk(id)
  if (!enquiry) throw notFound()
  requireVersion(version, enquiry.version)
  if (!(await withdraw(deps, actor, enquiry))) throw problems.over()
  return { done: true as const }
}

/**
 * Approves what an enquiry costs. Where the house wants two persons for it, not whoever asked, unless nobody else could.
 */
export async function approveCost(deps: Deps, actor: Account, id: string, version: number) {
  const enquiry = await Enquiry.findByPk(id)
  if (!enquiry) throw notFound()
  requireVersion(version, enquiry.version)
  if (enquiry.state !== 'prepared' || !enquiry.cost) throw problems.over()
  const { two, others } = await othersBeside(actor, 'enquiry-cost', 'proof.settle')
  if (two && others && enquiry.askedBy === actor.name) throw problems.ownCost()
  const costApproved = { by: actor.name, at: deps.clock.now().toISOString() }
  await compareAndSet(enquiry, version, { costApproved })
  const [claim, source] = [await claimById(enquiry.claimId), await sourceById(enquiry.sourceId)]
  await recordEvent(deps, actor, {
    code: 'enquiry-cost-approved',
    values: { source: source.name, claim: labelValue(claim.details), cost: moneyWords(enquiry.cost) },
    about: source.name,
    candidateId: claim.candidateId,
    applicationId: enquiry.applicationId,
    claimId: claim.id,
  })
  await releasePrepared(deps, id)
  return { done: true as const }
}

const moneyWords = ({ amount, currency }: { amount: number; currency: string }) =>
  `${(amount / 100).toFixed(2)} ${currency}`

/** Notes a call in which nobody could answer. After as many as the schedule has, another way is taken, or none is left. */
export async function logCall(
  deps: Deps,
  actor: Account,
  id: string,
  { version, note }: { version: number; note: string },
) {
  const enquiry = await openEnquiry(id, version)
  if (enquiry.channel !== 'telephone') throw problems.notByTelephone()
  const reminders = (enquiry.reminders ?? 0) + 1
  await compareAndSet(enquiry, version, withStanding(enquiry, { reminders, remindedAt: deps.clock.now() }))
  const details = note.trim() ? { note: note.trim() } : {}
  await keepStep(enquiry, { step: 'no answer', at: deps.clock.now(), by: actor.name, details })
  if (reminders >= Math.max(1, scheduleOf(deps, enquiry).reminders)) await moveOn(deps, enquiry)
  return { done: true as const }
}
