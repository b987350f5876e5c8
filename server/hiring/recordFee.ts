import { recordEvent } from '../platform/audit/record'
import type { Account, Deps } from '../platform/deps'
import { notFound } from '../platform/errors/problems'
import { readinessOf } from '../readiness/readiness'
import { sentApplication } from '../records/applications/find'
import { FeeReceived } from '../records/hiring/model'
import { problems } from './problems'

/** Records that a fee which an application owes has been received. */
export async function recordFee(
  deps: Deps,
  actor: Account,
  id: string,
  key: string,
  { receivedOn, note }: { receivedOn: string; note: string },
) {
  const application = await sentApplication(id, { lock: true })
  const { requirements, facts } = await readinessOf(deps, application)
  const requirement = requirements.find((candidate) => candidate.key === key && candidate.asks.kind === 'fee')
  if (!requirement) throw notFound()
  if (facts.feesReceived?.includes(key)) throw problems.alreadyReceived()
  await FeeReceived.create({
    applicationId: id,
    requirement: key,
    receivedOn,
    note: note.trim(),
    recordedBy: actor.name,
    recordedAt: deps.clock.now(),
  })
  await recordEvent(deps, actor, {
    code: 'fee-received',
    values: { fee: requirement.title },
    about: requirement.title,
    candidateId: application.candidateId,
    applicationId: id,
  })
  return { done: true as const }
}
