import { Op } from 'sequelize'
import type { StoredText } from '#core/words/stored'
import type { Change } from '../platform/changes'
import { changeWhere } from '../platform/database/compareAndSet'
import { inTransaction, lockOf } from '../platform/database/connection'
import type { Deps } from '../platform/deps'
import { queueJob } from '../platform/jobs/queue'
import { ofClaims } from '../records/claims/subquery'
import { Enquiry } from '../records/enquiries/model'
import { withStanding } from '../records/enquiries/standing'
import { withdraw } from './callOff'
import { planFor } from './plan'
import { sendOut } from './raise'

/** With what changes in a file, what was prepared about it may go out. */
export async function releaseLater(_deps: Deps, changes: readonly Change[]) {
  for (const candidateId of new Set(changes.flatMap((change) => change.candidateId ?? [])))
    if ((await preparedOf(candidateId)).length > 0) await queueJob('prepared enquiries', { candidateId })
}

const preparedOf = (candidateId: string) =>
  Enquiry.findAll({
    where: { claimId: { [Op.in]: ofClaims('id', [candidateId]) }, state: 'prepared' },
    attributes: ['id'],
    order: ['id'],
    raw: true,
  })

/** The job: each by itself, so that one that cannot go keeps no other waiting. */
export async function releaseOf(deps: Deps, { candidateId }: { candidateId: string }) {
  for (const { id } of await preparedOf(candidateId))
    await inTransaction(deps.sequelize, () => releasePrepared(deps, id))
}

/** Sends a prepared question where nothing is missing any more, or keeps what still is. */
export async function releasePrepared(deps: Deps, id: string) {
  const enquiry = await Enquiry.findByPk(id, lockOf())
  if (enquiry?.state !== 'prepared') return
  const wanted = {
    channel: enquiry.channel === 'credential' ? undefined : enquiry.channel,
    contactId: enquiry.contactId ?? undefined,
  }
  const faster = enquiry.speed === 'faster'
  // Where the way it was prepared for is none any more, the best there is now is taken.
  const planned = await planFor(deps, enquiry.claimId, enquiry.applicationId, { ...wanted, faster }, enquiry)
  const plan = planned.way ? planned : await planFor(deps, enquiry.claimId, enquiry.applicationId, { faster }, enquiry)
  if (plan.obstacles.length > 0) return void (await withdraw(deps, { kind: 'system' }, enquiry))
  if (plan.lacks.length === 0) return sendOut(deps, { kind: 'system' }, [{ enquiry, plan }])
  if (sameLacks(plan.lacks, enquiry.lacks ?? [])) return
  await changeWhere(enquiry, { state: 'prepared' }, withStanding(enquiry, { lacks: plan.lacks }))
}

const sameLacks = (one: readonly StoredText[], other: readonly StoredText[]) =>
  JSON.stringify(one) === JSON.stringify(other)
