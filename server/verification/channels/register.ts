import { v7 as uuid } from 'uuid'
import { isActive } from '#core/hiring/stages'
import { recordEvent } from '../../platform/audit/record'
import { compareAndSet } from '../../platform/database/compareAndSet'
import { inTransaction } from '../../platform/database/connection'
import type { Account, Actor, Deps } from '../../platform/deps'
import { notFound } from '../../platform/errors/problems'
import { type RegisterEntry, RegisterSilent } from '../../platform/outside/registers'
import { candidateWithMail } from '../../records/accounts/candidate'
import { sentApplication } from '../../records/applications/find'
import { labelValue } from '../../records/claims/label'
import { confirmedNow } from '../../records/enquiries/confirmed'
import { claimById } from '../../records/enquiries/load'
import { Enquiry } from '../../records/enquiries/model'
import { claimedStatement } from '../../records/enquiries/statement'
import { Source } from '../../records/sources/model'
import { mayNotAsk } from '../mayAsk'
import { problems } from '../problems'

/** Looks a licence or certificate up in its issuer's register. What it says is kept as a reply, to be compared and decided on. */
export async function askRegister(deps: Deps, actor: Account, claimId: string, applicationId: string) {
  const claim = await claimById(claimId)
  const application = await sentApplication(applicationId)
  if (application.candidateId !== claim.candidateId) throw notFound()
  if (!isActive(application)) throw problems.ended()
  const refused = mayNotAsk(claim.details, application)
  if (refused.length > 0) throw problems.cannotAsk(refused)
  const source = claim.sourceId ? await Source.findByPk(claim.sourceId) : null
  if (!source?.register || !claim.number) throw problems.noRegister()
  // The register is asked before the transaction begins: nobody waits in the database for somebody outside.
  const entry = await ask(deps, source.register, claim.number)
  await inTransaction(deps.sequelize, async () => {
    await keepEntry(deps, actor, { claimId, applicationId, source, entry })
  })
  return { found: entry.found }
}

export async function ask(deps: Deps, register: string, number: string): Promise<RegisterEntry> {
  try {
    return await deps.registers.lookUp(register, number)
  } catch (error) {
    if (error instanceof RegisterSilent) throw problems.registerSilent()
    throw error
  }
}

type Looked = { claimId: string; applicationId: string; source: Source; entry: RegisterEntry }

/** Keeps what a register said as an answer; gives it. */
export async function keepEntry(deps: Deps, actor: Actor, { claimId, applicationId, source, entry }: Looked) {
  const claim = await claimById(claimId)
  const person = await candidateWithMail(claim.candidateId)
  const now = deps.clock.now()
  const enquiry = await Enquiry.create({
    id: uuid(),
    claimId,
    credentialVersion: claim.credentialVersion,
    applicationId,
    sourceId: source.id,
    round: 1,
    channel: 'register',
    state: 'answered',
    claimed: claimedStatement(claim.details, person),
    askedAt: now,
    askedBy: actor.kind === 'account' ? actor.name : '',
    answerBy: deps.clock.today().toString(),
    expiresAt: now,
    answeredAt: now,
    statement: entry.found ? entry.fields : null,
    standing: (entry.found && entry.standing) || null,
    respondent: 'Register',
  })
  const stale = (await confirmedNow(deps, claim))?.stale
  if (claim.rung === 'claimed' || claim.rung === 'evidenced' || stale)
    await compareAndSet(claim, claim.version, { rung: 'asked' })
  await recordEvent(deps, actor, {
    code: 'register-asked',
    words: entry.found ? 'register-asked.found' : 'register-asked.noEntry',
    values: { claim: labelValue(claim.details), source: source.name },
    about: source.name,
    candidateId: claim.candidateId,
    applicationId,
    claimId,
  })
  return enquiry
}
