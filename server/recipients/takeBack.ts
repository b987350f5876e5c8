import { canBeTakenBack } from '#core/recipients/delivery'
import type { StoredText } from '#core/words/stored'
import { recordEvent } from '../platform/audit/record'
import { changeWhere } from '../platform/database/compareAndSet'
import type { Account, Deps } from '../platform/deps'
import { candidateOf } from '../records/accounts/candidate'
import { sentApplication } from '../records/applications/find'
import { deliveriesBy, deliveryFor, permissionFor } from '../records/recipients/find'
import type { RecipientPermission } from '../records/recipients/model'
import { Report, type ReportDelivery } from '../records/reports/model'
import { revoke } from '../reports/revoke'
import { leaveOut } from './choose'
import { stateOf } from './deliveryLine'
import { problems } from './problems'

const byPerson: StoredText = { code: 'report.revoked.takenBack' }
const forReason = (reason: string): StoredText => ({ code: 'report.revoked.byHand', values: { reason: reason.trim() } })

/** Takes back what one has had sent. */
export async function takeBackOwnRecord(deps: Deps, actor: Account, id: string) {
  const { delivery, report } = await deliveryFor((await candidateOf(deps, actor)).id, id)
  if (!(await takeBack(deps, actor, { delivery, report, because: byPerson }))) throw problems.takenBack()
  return { done: true as const }
}

/** Takes back at the desk what was sent. */
export async function takeBackRecord(
  deps: Deps,
  actor: Account,
  { id, delivery: deliveryId }: { id: string; delivery: string },
  { reason }: { reason: string },
) {
  const { candidateId } = await sentApplication(id)
  const { delivery, report } = await deliveryFor(candidateId, deliveryId)
  if (!(await takeBack(deps, actor, { delivery, report, because: forReason(reason) }))) throw problems.takenBack()
  return { done: true as const }
}

/** Withdraws one’s permission for a recipient. */
export async function withdrawRecipient(deps: Deps, actor: Account, id: string) {
  const candidate = await candidateOf(deps, actor)
  await withdraw(deps, actor, await permissionFor(candidate.id, id), byPerson)
  return { done: true as const }
}

/** The same for somebody who has rung or written. */
export async function endPermission(
  deps: Deps,
  actor: Account,
  { id, permission }: { id: string; permission: string },
  { reason }: { reason: string },
) {
  const { candidateId } = await sentApplication(id)
  await withdraw(deps, actor, await permissionFor(candidateId, permission), forReason(reason))
  return { done: true as const }
}

/** Nothing more is sent by it, and what was sent is taken back. */
async function withdraw(deps: Deps, actor: Account, permission: RecipientPermission, because: StoredText) {
  const now = deps.clock.now()
  const withdrawn = await changeWhere(permission, { withdrawnAt: null }, { withdrawnAt: now, holdsFor: null })
  if (!withdrawn) throw problems.takenBack()
  await recordEvent(deps, actor, {
    code: 'recipient-permission-withdrawn',
    values: { recipient: permission.name },
    candidateId: permission.candidateId,
    ...(permission.applicationId ? { applicationId: permission.applicationId } : {}),
  })
  await leaveOut(deps, actor, permission)
  for (const delivery of await deliveriesBy([permission.id])) {
    const report = await Report.findByPk(delivery.reportId, { rejectOnEmpty: true })
    await takeBack(deps, actor, { delivery, report, because })
  }
}

type Sent = { delivery: ReportDelivery; report: Report; because: StoredText }

/**
 * Closes a link, and revokes what came by it, since somebody may have kept it.
 *
 * @returns whether it was still to be taken back: of two at the same moment one does
 */
async function takeBack(deps: Deps, actor: Account, { delivery, report, because }: Sent): Promise<boolean> {
  if (!canBeTakenBack(stateOf(deps, delivery, report))) return false
  const now = deps.clock.now()
  if (!(await changeWhere(delivery, { takenBackAt: null }, { takenBackAt: now, takenBackBy: actor.name }))) return false
  await revoke(deps, actor, report, because)
  return true
}
