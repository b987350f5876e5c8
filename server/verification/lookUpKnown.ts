import { Op } from 'sequelize'
import { isActive, isSent } from '#core/hiring/stages'
import { knownProgramme } from '#core/sources/knownAward'
import { mayNotAsk } from '../enquiries/mayAsk'
import { keepEntry } from '../enquiries/register'
import { recordEvent } from '../platform/audit/record'
import type { Change } from '../platform/changes'
import { inTransaction } from '../platform/database/connection'
import type { Deps } from '../platform/deps'
import { queueJob } from '../platform/jobs/queue'
import { sentApplication } from '../records/applications/find'
import { labelValue } from '../records/claims/label'
import { Claim } from '../records/claims/model'
import { Enquiry } from '../records/enquiries/model'
import { permissionOf } from '../records/permissions/permissions'
import type { Source } from '../records/sources/model'
import { agreementOf, confirmByOwnRecords, confirmByRecord, knownSourceOf } from './confirmKnown'

/** With what has been sent, and what its candidate says of an award since, records of awards are looked at. */
export async function lookUpLater(_deps: Deps, changes: readonly Change[]) {
  for (const { candidateId, applicationId } of changes)
    if (candidateId && applicationId) await queueJob('known awards', { applicationId })
}

const system = { kind: 'system' } as const

/**
 * Confirms the studies of an application that are known already: by what their institutions have told us, or by the register of
 * awards they keep, which is asked only with the permission of whose they are.
 */
export async function lookUpKnown(deps: Deps, { applicationId }: { applicationId: string }) {
  const application = await sentApplication(applicationId).catch(() => undefined)
  if (!application || !isSent(application) || !isActive(application)) return
  const where = { candidateId: application.candidateId, kind: 'study' as const, removedAt: { [Op.is]: null } }
  for (const { id } of await Claim.findAll({ where: { ...where, awardStatedAt: { [Op.ne]: null } }, order: ['id'] })) {
    const known = await inTransaction(deps.sequelize, async () => {
      const claim = await waiting(id)
      return claim === undefined || (await confirmByOwnRecords(deps, system, claim))
    })
    const claim = known ? undefined : await waiting(id)
    if (!claim || !(await permissionOf(applicationId)) || (await mayNotAsk(claim.details, application)).length > 0)
      continue
    const source = await knownSourceOf(claim)
    if (source && (await isWorthLooking(claim, source))) await askRegister(deps, applicationId, claim, source)
  }
}

/** A claim that nobody has decided on. */
async function waiting(id: string): Promise<Claim | undefined> {
  const claim = await Claim.findByPk(id)
  return claim && (claim.rung === 'claimed' || claim.rung === 'evidenced') ? claim : undefined
}

/** A register is asked once, and only where its answer could confirm. */
async function isWorthLooking({ id, details, number, credentialVersion }: Claim, { register, programmes }: Source) {
  if (details.kind !== 'study' || !register || !number) return false
  if (knownProgramme(details, programmes).state !== 'accredited') return false
  return (await Enquiry.count({ where: { claimId: id, credentialVersion, channel: 'register' } })) === 0
}

async function askRegister(deps: Deps, applicationId: string, { id, number, version }: Claim, source: Source) {
  // One that does not answer now is asked again, since the job is.
  const entry = await deps.registers.lookUp(source.register!, number!)
  await inTransaction(deps.sequelize, async () => {
    // What was said of another version of the claim says nothing of this one.
    const claim = await waiting(id)
    if (claim?.version !== version) return
    const said = entry.found ? entry.fields : undefined
    if (!said || !(await agreementOf(claim, source, said))) {
      // It decides nothing: whoever wrote it can still put a slip right, and the desk asks as always.
      const values = { claim: labelValue(claim.details), source: source.name }
      const { candidateId } = claim
      await recordEvent(deps, system, { code: 'award-not-found', values, about: source.name, candidateId, claimId: id })
      return
    }
    const { id: enquiryId } = await keepEntry(deps, system, { claimId: id, applicationId, source, entry })
    await confirmByRecord(deps, system, await claim.reload(), source, { said, enquiryId })
  })
}
