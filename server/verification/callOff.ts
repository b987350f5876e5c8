import { Op } from 'sequelize'
import { isActive, isBeforeOffer } from '#core/hiring/stages'
import { recordEvent } from '../platform/audit/record'
import type { Change } from '../platform/changes'
import { changeWhere, compareAndSet } from '../platform/database/compareAndSet'
import type { Actor, Deps } from '../platform/deps'
import { readinessOfAll } from '../readiness/readiness'
import { applicationsOf } from '../records/applications/find'
import { Application } from '../records/applications/model'
import { labelValue } from '../records/claims/label'
import { Claim } from '../records/claims/model'
import { ofClaims } from '../records/claims/subquery'
import { documentsOf } from '../records/documents/documents'
import { enquiriesOf } from '../records/enquiries/enquiries'
import { Enquiry } from '../records/enquiries/model'
import { Source } from '../records/sources/model'

/**
 * Calls off the open questions about a person that no application of theirs needs any more; their links then tell nothing.
 * A question that another application under way waits for goes on, as that one's. Called when an application ends.
 *
 * @returns how many were called off
 */
async function callOffUnneeded(deps: Deps, actor: Actor, candidateId: string): Promise<number> {
  const open = await Enquiry.findAll({ where: { claimId: { [Op.in]: ofClaims('id', [candidateId]) }, state: 'open' } })
  if (open.length === 0) return 0
  const active = (await applicationsOf(candidateId)).filter(isActive)
  const judged = await readinessOfAll(deps, active)
  const needs = (applicationId: string, claimId: string) =>
    judged
      .get(applicationId)!
      .outcomes.some(({ claims, steps }) => claims.includes(claimId) && steps.some(({ what }) => what === 'reply'))
  let calledOff = 0
  for (const enquiry of open) {
    if (active.some(({ id }) => id === enquiry.applicationId)) continue
    const heir = active.find(({ id }) => needs(id, enquiry.claimId))
    if (heir) await enquiry.update({ applicationId: heir.id })
    else if (await callOff(deps, actor, enquiry)) calledOff += 1
  }
  return calledOff
}

/** What is asked for an application that has ended is asked no more. */
export async function endEnquiries(deps: Deps, changes: readonly Change[]) {
  for (const { actor, candidateId } of changes) await callOffUnneeded(deps, actor, candidateId!)
}

/** Calls off every open question of an application, whoever else might need it. Gives how many there were. */
export async function callOffEnquiries(deps: Deps, actor: Actor, applicationId: string): Promise<number> {
  let calledOff = 0
  for (const enquiry of await Enquiry.findAll({ where: { applicationId, state: 'open' } }))
    if (await callOff(deps, actor, enquiry)) calledOff += 1
  return calledOff
}

/** Calls off what is asked about one claim and may not be asked any more; an application that has its offer goes on with it. */
export async function callOffAbout(deps: Deps, actor: Actor, { id: claimId }: Claim, may: 'after an offer' | 'never') {
  for (const enquiry of await Enquiry.findAll({ where: { claimId, state: 'open' } })) {
    const application = await Application.findByPk(enquiry.applicationId)
    if (may === 'never' || !application || isBeforeOffer(application)) await callOff(deps, actor, enquiry)
  }
}

async function callOff(deps: Deps, actor: Actor, enquiry: Enquiry): Promise<boolean> {
  if (!(await changeWhere(enquiry, { state: 'open' }, { state: 'withdrawn' }))) return false
  const claim = await Claim.findByPk(enquiry.claimId, { rejectOnEmpty: true })
  await backFromAsked(claim)
  const source = await Source.findByPk(enquiry.sourceId, { rejectOnEmpty: true })
  await recordEvent(deps, actor, {
    code: 'enquiry-called-off',
    values: { source: source.name, claim: labelValue(claim.details) },
    about: source.name,
    candidateId: claim.candidateId,
    applicationId: enquiry.applicationId,
    claimId: claim.id,
  })
  return true
}

/** Nobody is asked any more: the claim stands where its papers put it. */
async function backFromAsked(claim: Claim) {
  if (claim.rung !== 'asked') return
  const own = <T extends { credentialVersion: number }>(rows: readonly T[]) =>
    rows.filter(({ credentialVersion }) => credentialVersion === claim.credentialVersion)
  const still = own(await enquiriesOf([claim.id])).some(({ state }) => state === 'open' || state === 'answered')
  if (still) return
  const seen = own(await documentsOf([claim.id])).some(({ state }) => state === 'seen')
  await compareAndSet(claim, claim.version, { rung: seen ? 'evidenced' : 'claimed' })
}
