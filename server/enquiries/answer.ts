import type { EnquiryReply } from '#contract/reply'
import { askedFields, type Beyond, beyondFields } from '#core/enquiries/asks'
import type { CallCheck } from '#core/enquiries/enquiry'
import type { ClaimKind } from '#core/requirements/claimKind'
import { say } from '#core/words/say'
import { recordEvent } from '../platform/audit/record'
import { changeWhere, compareAndSet } from '../platform/database/compareAndSet'
import type { Account, Actor, Deps } from '../platform/deps'
import { invalid, invalidField, notFound, requireVersion } from '../platform/errors/problems'
import { othersBeside } from '../records/accounts/policies'
import { labelValue } from '../records/claims/label'
import type { Claim } from '../records/claims/model'
import { claimById } from '../records/enquiries/load'
import { Enquiry } from '../records/enquiries/model'
import { withStanding } from '../records/enquiries/standing'
import { repliedStatement } from '../records/enquiries/statement'
import { keepStep } from '../records/enquiries/steps'
import { sourceById } from '../records/sources/sources'
import { problems } from './problems'

/** What a source is asked beyond the fields that are compared. */
export const beyondOf = (
  { organisation }: Pick<Deps, 'organisation'>,
  { kind }: Pick<Claim, 'kind'>,
  country: string,
): Beyond => beyondFields(kind, country, organisation.enquiries.againIn)

/** Every field is answered, and nothing is answered that was not asked. */
export async function requireAnswers({ claimId, claimed }: Enquiry, reply: EnquiryReply) {
  if (!reply.known) return
  const { kind } = await claimById(claimId)
  const faults = askedFields(kind, claimed)
    .filter(({ key }) => reply.fields[key] === undefined)
    .map(({ key }) => ({ pointer: `/body/fields/${key}`, message: say('problem.sayWhetherThisIsRight') }))
  if (faults.length > 0) throw invalid(faults)
}

/** An answer as it is kept; what was not asked is left out. */
export function answerColumns(enquiry: Enquiry, kind: ClaimKind, reply: EnquiryReply, beyond: Beyond) {
  const { standing, hours, again, ...rest } = reply
  const asked = new Set<string>(askedFields(kind, enquiry.claimed).map(({ key }) => key))
  const fields = Object.fromEntries(Object.entries(rest.fields).filter(([key]) => asked.has(key)))
  const kept: EnquiryReply = {
    ...{ ...rest, fields: reply.known ? fields : {} },
    ...(reply.known && beyond.standing && standing ? { standing } : {}),
    ...(reply.known && beyond.hours && hours ? { hours } : {}),
    ...(reply.known && beyond.again && again ? { again } : {}),
  }
  return {
    reply: kept,
    statement: reply.known ? repliedStatement(enquiry.claimed, fields) : null,
    standing: kept.standing ?? null,
    respondent: [reply.respondent.trim(), reply.capacity.trim()].filter(Boolean).join(', '),
    note: reply.note.trim() || null,
  }
}

/**
 * Takes an answer. Of several who answer at the same moment the first does.
 *
 * @param how.seen the version it rests on, where a person has looked at it
 * @param how.from the address whose link it came by
 * @returns whether this was the first
 */
export async function takeAnswer(
  deps: Deps,
  actor: Actor,
  enquiry: Enquiry,
  reply: EnquiryReply,
  { seen, from }: { seen?: number; from?: string } = {},
): Promise<boolean> {
  const claim = await claimById(enquiry.claimId)
  const source = await sourceById(enquiry.sourceId)
  const columns = answerColumns(enquiry, claim.kind, reply, beyondOf(deps, claim, source.country))
  const now = deps.clock.now()
  const first = await changeWhere(
    enquiry,
    { state: 'open', ...(seen === undefined ? {} : { version: seen }) },
    {
      ...columns,
      ...withStanding(enquiry, { state: 'answered' as const }),
      ...{ draft: null, answeredAt: now, version: enquiry.version + 1 },
    },
  )
  if (!first) return false
  const by = actor.kind === 'bearer' ? actor.name : columns.respondent
  await keepStep(enquiry, { step: 'answered', at: now, by, ...(from ? { details: { from } } : {}) })
  await recordEvent(deps, actor, {
    code: 'enquiry-answered',
    ...(actor.kind === 'bearer' ? {} : { words: 'enquiry-answered.entered' as const }),
    values: { source: source.name, claim: labelValue(claim.details) },
    about: source.name,
    candidateId: claim.candidateId,
    applicationId: enquiry.applicationId,
    claimId: claim.id,
  })
  return true
}

type Entered = { version: number; reply: EnquiryReply; sure?: CallCheck }

/**
 * Types in what a source has answered on paper, or says on the telephone. What is heard waits for a second person where the house
 * wants that; where there is none, it counts at once.
 */
export async function enterReply(deps: Deps, actor: Account, id: string, { version, reply, sure }: Entered) {
  const enquiry = await openEnquiry(id, version)
  const byTelephone = enquiry.channel === 'telephone' && !enquiry.paper
  if (!byTelephone && !enquiry.paper) throw problems.noPaperToRead()
  if (byTelephone && !sure) throw invalidField('/body/sure', say('problem.sayHowYouMadeSure'))
  await requireAnswers(enquiry, reply)
  const { two, others } = await othersBeside(actor, 'telephone-answer', 'proof.settle')
  if (byTelephone) {
    const details = { spoke: [reply.respondent, reply.capacity].filter(Boolean).join(', '), sure: sure! }
    await keepStep(enquiry, { step: 'called', at: deps.clock.now(), by: actor.name, details })
  }
  if (byTelephone && two && others) {
    const draft = { ...reply, heardBy: { id: actor.id, name: actor.name } }
    await compareAndSet(enquiry, version, withStanding(enquiry, { draft }))
    return { state: 'open' as const }
  }
  if (!(await takeAnswer(deps, actor, enquiry, reply, { seen: version }))) throw problems.over()
  return { state: 'answered' as const }
}

/** The second person: what was heard is taken, or put back to be heard again. */
export async function checkReply(
  deps: Deps,
  actor: Account,
  id: string,
  { version, right, note }: { version: number; right: boolean; note: string },
) {
  const enquiry = await openEnquiry(id, version)
  const { heardBy, ...reply } = enquiry.draft ?? {}
  if (!heardBy) throw problems.noSecond()
  if (heardBy.id === actor.id) throw problems.ownCheck()
  if (right) {
    if (!(await takeAnswer(deps, actor, enquiry, reply as EnquiryReply, { seen: version }))) throw problems.over()
    return { done: true as const }
  }
  if (note.trim() === '') throw invalidField('/body/note', say('problem.sayWhatIsNotRight'))
  await compareAndSet(enquiry, version, withStanding(enquiry, { draft: null }))
  const details = { note: note.trim() }
  await keepStep(enquiry, { step: 'no answer', at: deps.clock.now(), by: actor.name, details })
  return { done: true as const }
}

/** An enquiry that is still open, as it was seen. */
export async function openEnquiry(id: string, version: number): Promise<Enquiry> {
  const enquiry = await Enquiry.findByPk(id)
  if (!enquiry) throw notFound()
  requireVersion(version, enquiry.version)
  if (enquiry.state !== 'open') throw problems.over()
  return enquiry
}
