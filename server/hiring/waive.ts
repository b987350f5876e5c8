import { v7 as uuid } from 'uuid'
import { rolesWords } from '#core/words/roles'
import { coded } from '#core/words/say'
import { recordEvent } from '../platform/audit/record'
import type { Account, Deps } from '../platform/deps'
import { notAllowed, notFound } from '../platform/errors/problems'
import { readinessOf } from '../readiness/readiness'
import { sentApplication } from '../records/applications/find'
import { Waiver } from '../records/hiring/model'
import { problems } from './problems'

/** Waives a requirement for one application, by somebody the requirement names, with a reason that stays on record. */
export async function waive(
  deps: Deps,
  actor: Account,
  id: string,
  { requirement: key, reason }: { requirement: string; reason: string },
) {
  const application = await sentApplication(id, { lock: true })
  const { requirements, outcomes } = await readinessOf(deps, application)
  const requirement = requirements.find((candidate) => candidate.key === key)
  if (!requirement) throw notFound()
  if (!requirement.waivableBy.some((role) => actor.roles.some((own) => own === role))) {
    const roles = rolesWords(requirement.waivableBy)
    throw notAllowed(roles ? coded('problem.onlyWaivedBy', { roles }) : coded('problem.nobodyMayWaive'))
  }
  const outcome = outcomes.find((candidate) => candidate.requirement === key)!
  if (outcome.state === 'met' || outcome.state === 'not needed') throw problems.notOpen()
  await Waiver.create({
    id: uuid(),
    applicationId: id,
    requirement: key,
    reason: reason.trim(),
    givenBy: actor.name,
    givenAt: deps.clock.now(),
  })
  await recordEvent(deps, actor, {
    code: 'waived',
    values: { requirement: requirement.title, reason: reason.trim() },
    about: requirement.title,
    candidateId: application.candidateId,
    applicationId: id,
    details: { requirement: key },
  })
  return { done: true as const }
}
