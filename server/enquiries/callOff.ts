import { Op } from 'sequelize'
import { isLive } from '#core/enquiries/enquiry'
import { isActive, isBeforeOffer } from '#core/hiring/stages'
import { recordEvent } from '../platform/audit/record'
import type { Change } from '../platform/changes'
import { changeWhere, compareAndSet } from '../platform/database/compareAndSet'
import { type Actor, type Deps, nameOfActor } from '../platform/deps'
import { readinessOfAll } from '../readiness/readiness'
import { applicationsOf } from '../records/applications/find'
import { Application } from '../records/applications/model'
import { labelValue } from '../records/claims/label'
import { Claim } from '../records/claims/model'
import { ofClaims } from '../records/claims/subquery'
import { documentsOf } from '../records/documents/documents'
import { enquiriesOf, live } from '../records/enquiries/enquiries'
import { Enquiry } from '../records/enquiries/model'
import { withStanding } from '../records/enquiries/standing'
import { keepStep } from '../records/enquiries/steps'
import { Source } from '../records/sources/model'

/**
 * Calls off the live questions about a person that no application of theirs needs any more; their links then tell nothing.
 * A question that another application under way waits for goes on, as that one's. Called when an application ends.
 *
 * @returns how many were called off
 */
async function callOffUnneeded(deps: Deps, actor: Actor, candidateId: string): Promise<number> {
  const open = await Enquiry.findAll({ where: { claimId: { [Op.in]: ofClaims('id', [candidateId]) }, ...live } })
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
    else if (await withdraw(deps, actor, enquiry)) calledOff += 1
  }
  return calledOff
}

/** What is asked for an application that has ended is asked no more. */
export async function endEnquiries(deps: Deps, changes: readonly Change[]) {
  for (const { actor, candidateId } of changes) await callOffUnneeded(deps, actor, candidateId!)
}

/** Calls off every live question of an application, whoever else might need it. Gives how many there were. */
export async function callOffEnquiries(deps: Deps, actor: Actor, applicationId: string): Promise<number> {
  let calledOff = 0
  for (const enquiry of await Enquiry.findAll({ where: { applicationId, ...live } }))
    if (await withdraw(deps, actor, enquiry)) calledOff += 1
  return calledOff
}

/** Calls off what is asked about one claim and may not be asked any more; an application that has its offer goes on with it. */
export async function callOffAbout(deps: Deps, actor: Actor, { id: claimId }: Claim, may: 'after an offer' | 'never') {
  for (const enquiry of await Enquiry.findAll({ where: { claimId, ...live } })) {
    const application = await Application.findByPk(enquiry.applicationId)
    if (may === 'never' || !application || isBeforeOffer(application)) await withdraw(deps, actor, enquiry)
  }
}

/** The claim is not what it was when it was asked about: what still goes on ends, and whoever changes the claim says the rest. */
export async function endAbout(deps: Deps, actor: Actor, claimId: string) {
  for (const enquiry of await Enquiry.findAll({ where: { claimId, ...live } })) await end(deps, actor, enquiry)
}

async function end(deps: Deps, actor: Actor, enquiry: Enquiry): Promise<boolean> {
  const changes = { ...withStanding(enquiry, { state: 'withdrawn' as const }), version: enquiry.version + 1 }
  if (!(await changeWhere(enquiry, live, changes))) return false
  const by = actor.kind === 'system' ? '' : nameOfActor(actor)
  await keepStep(enquiry, { step: 'withdrawn', at: deps.clock.now(), by })
  return true
}

/** Calls a question off. Gives whether it was still live: what has ended stays as it ended. */
export async function withdraw(deps: Deps, actor: Actor, enquiry: Enquiry): Promise<boolean> {
  if (!(await end(deps, actor, enquiry))) return false
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
  const still = own(await enquiriesOf([claim.id])).some((enquiry) => isLive(enquiry) || enquiry.state === 'answered')
  if (still) return
  const seen = own(await documentsOf([claim.id])).some(({ state }) => state === 'seen')
  await compareAndSet(claim, claim.version, { rung: seen ? 'evidenced' : 'claimed' })
}
