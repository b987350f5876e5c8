import { v7 as uuid } from 'uuid'
import { isActive } from '#core/hiring/stages'
import { writeReference } from '#core/references/reference'
import { recordEvent } from '../platform/audit/record'
import { changed } from '../platform/changes'
import { changeWhere, compareAndSet } from '../platform/database/compareAndSet'
import { inTransaction } from '../platform/database/connection'
import { nextNumber } from '../platform/database/counter'
import type { Account, Actor, Deps } from '../platform/deps'
import { notFound } from '../platform/errors/problems'
import { type RegisterEntry, RegisterSilent } from '../platform/outside/registerShapes'
import { candidateWithMail } from '../records/accounts/candidate'
import { sentApplication } from '../records/applications/find'
import { labelValue } from '../records/claims/label'
import { Claim } from '../records/claims/model'
import { confirmedNow } from '../records/enquiries/confirmed'
import { claimById } from '../records/enquiries/load'
import { Enquiry } from '../records/enquiries/model'
import { withStanding } from '../records/enquiries/standing'
import { claimedStatement } from '../records/enquiries/statement'
import { keepStep } from '../records/enquiries/steps'
import { Source } from '../records/sources/model'
import { advance } from './advance'
import { mayNotAsk } from './mayAsk'
import { problems } from './problems'
import { raiseEnquiry } from './raise'

/**
 * Looks a licence or certificate up in its issuer's register. What it says is kept as a reply, to be compared and decided on. A
 * register that does not answer is asked again by itself; where somebody waits for another answer already, nothing else begins.
 */
export async function askRegister(deps: Deps, actor: Account, claimId: string, applicationId: string) {
  const claim = await claimById(claimId)
  const application = await sentApplication(applicationId)
  if (application.candidateId !== claim.candidateId) throw notFound()
  if (!isActive(application)) throw problems.ended()
  const refused = await mayNotAsk(claim.details, application)
  if (refused.length > 0) throw problems.cannotAsk(refused)
  const source = claim.sourceId ? await Source.findByPk(claim.sourceId) : null
  if (!source?.register || !claim.number) throw problems.noRegister()
  // The register is asked before the transaction begins: nobody waits in the database for somebody outside.
  const entry = await lookUp(deps, source.register, claim.number)
  if (!entry) {
    const live = await Enquiry.count({ where: { activeKey: claimId } })
    if (live === 0)
      await inTransaction(deps.sequelize, () =>
        raiseEnquiry(deps, actor, claimId, applicationId, { channel: 'register' }),
      )
    return { found: null }
  }
  await inTransaction(deps.sequelize, () => keepEntry(deps, actor, { claimId, applicationId, source, entry }))
  return { found: entry.found }
}

/** What a register says of a number; nothing where it does not answer now. */
export async function lookUp(deps: Deps, register: string, number: string): Promise<RegisterEntry | undefined> {
  try {
    return await deps.registers.lookUp(register, number)
  } catch (error) {
    if (error instanceof RegisterSilent) return undefined
    throw error
  }
}

/**
 * The job that asks a register for an enquiry that waits for it; it is tried again until it answers, or has not for so long that
 * another way is taken.
 *
 * @throws Error where the register does not answer now
 */
export async function lookUpFor(deps: Deps, { enquiryId }: { enquiryId: string }) {
  const enquiry = await Enquiry.findByPk(enquiryId)
  if (enquiry?.state !== 'open' || enquiry.channel !== 'register') return
  const claim = await Claim.findByPk(enquiry.claimId)
  const source = await Source.findByPk(enquiry.sourceId)
  const entry =
    source?.register && claim?.number ? await deps.registers.lookUp(source.register, claim.number) : undefined
  if (!entry || !source) return inTransaction(deps.sequelize, () => moveOn(deps, enquiry))
  await inTransaction(deps.sequelize, () => answerByRegister(deps, enquiry, source, entry))
}

/** A register that has not answered however often it was asked. */
export const giveUpLookUp = async (deps: Deps, { enquiryId }: { enquiryId: string }, error: string) => {
  const enquiry = await Enquiry.findByPk(enquiryId)
  if (enquiry?.state !== 'open' || enquiry.channel !== 'register') return
  await inTransaction(deps.sequelize, async () => {
    await keepStep(enquiry, { step: 'no answer', at: deps.clock.now(), by: '', details: { note: error.slice(0, 200) } })
    await moveOn(deps, enquiry)
  })
}

/** Asks by another way, and has the file summed up anew. */
export async function moveOn(deps: Deps, { id, applicationId, claimId }: Enquiry) {
  await advance(deps, [id], { moveOn: true })
  const { candidateId } = await Claim.findByPk(claimId, { rejectOnEmpty: true })
  await changed(deps, { code: 'enquiry-escalated', actor: { kind: 'system' }, applicationId, candidateId })
}

async function answerByRegister(deps: Deps, enquiry: Enquiry, source: Source, entry: RegisterEntry) {
  const first = await changeWhere(
    enquiry,
    { state: 'open', channel: 'register' },
    { ...saidBy(deps, entry), ...withStanding(enquiry, { state: 'answered' as const }), version: enquiry.version + 1 },
  )
  if (!first) return
  await keepStep(enquiry, { step: 'answered', at: deps.clock.now(), by: source.name })
  await tellAsked(deps, { kind: 'system' }, enquiry, source, entry)
}

const saidBy = (deps: Deps, entry: RegisterEntry) => ({
  answeredAt: deps.clock.now(),
  statement: entry.found ? entry.fields : null,
  standing: (entry.found && entry.standing) || null,
  respondent: 'Register',
})

type Looked = { claimId: string; applicationId: string; source: Source; entry: RegisterEntry }

/** Keeps what a register said as an answer; gives it. */
export async function keepEntry(deps: Deps, actor: Actor, { claimId, applicationId, source, entry }: Looked) {
  const claim = await claimById(claimId)
  const person = await candidateWithMail(claim.candidateId)
  const now = deps.clock.now()
  const id = uuid()
  const enquiry = await Enquiry.create({
    ...{ id, batchId: id, claimId, credentialVersion: claim.credentialVersion, applicationId },
    ...{ sourceId: source.id, country: source.country, round: 1, channel: 'register', state: 'answered', turn: 'desk' },
    reference: writeReference('EQ', await nextNumber(deps, 'enquiries')),
    claimed: claimedStatement(claim.details, person),
    askedAt: now,
    askedBy: actor.kind === 'account' ? actor.name : '',
    answerBy: deps.clock.today().toString(),
    expiresAt: now,
    ...saidBy(deps, entry),
  })
  await keepStep(enquiry, { step: 'asked', at: now, by: enquiry.askedBy })
  await keepStep(enquiry, { step: 'answered', at: now, by: source.name })
  const stale = (await confirmedNow(deps, claim))?.stale
  if (claim.rung === 'claimed' || claim.rung === 'evidenced' || stale)
    await compareAndSet(claim, claim.version, { rung: 'asked' })
  await tellAsked(deps, actor, enquiry, source, entry)
  return enquiry
}

async function tellAsked(deps: Deps, actor: Actor, enquiry: Enquiry, source: Source, entry: RegisterEntry) {
  const claim = await claimById(enquiry.claimId)
  await recordEvent(deps, actor, {
    code: 'register-asked',
    words: entry.found ? 'register-asked.found' : 'register-asked.noEntry',
    values: { claim: labelValue(claim.details), source: source.name },
    about: source.name,
    candidateId: claim.candidateId,
    applicationId: enquiry.applicationId,
    claimId: claim.id,
  })
}
