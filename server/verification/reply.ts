import type { EnquiryReply } from '#contract/verification'
import { fieldsOf } from '#core/comparison/fields'
import { writeReference } from '#core/references/reference'
import { candidateWithMail } from '../accounts/candidate'
import { recordEvent } from '../audit/record'
import { labelOf } from '../claims/label'
import { nextNumber } from '../database/counter'
import type { Deps } from '../deps'
import { refreshStandingsOf } from '../hiring/standing'
import { invalid, notFound, Problem } from '../http/problems'
import { hashOf } from '../http/tokens'
import { sourceById } from '../sources/sources'
import { claimById } from './load'
import { Enquiry, EnquiryLink } from './model'
import { repliedStatement } from './statement'

/** The question behind a link. Says what was claimed and nothing else of the file; once it is used up, not even that. */
export async function readEnquiry(deps: Deps, token: string) {
  const enquiry = await enquiryBehind(token)
  const claim = await claimById(enquiry.claimId)
  const person = await candidateWithMail(claim.candidateId)
  const source = await sourceById(enquiry.sourceId)
  const state = stateOf(deps, enquiry)
  return {
    state,
    operator: deps.config.operator,
    source: source.name,
    candidate: state === 'open' ? person.name : '',
    kind: claim.kind,
    answerBy: enquiry.answerBy,
    claimed: state === 'open' ? enquiry.claimed : {},
    fields: state === 'open' ? fieldsOf(claim.kind).filter(({ key }) => enquiry.claimed[key] !== undefined) : [],
    answeredAt: enquiry.answeredAt?.toISOString() ?? null,
    contact: deps.config.contact,
  }
}

/** Takes the source's answer. The link and every other link to the same question are used up. */
export async function replyToEnquiry(deps: Deps, token: string, reply: EnquiryReply) {
  const enquiry = await enquiryBehind(token, { lock: true })
  const state = stateOf(deps, enquiry)
  if (state === 'answered')
    throw new Problem(410, 'answered', 'This question has been answered already. Thank you; nothing more is needed.')
  if (state !== 'open')
    throw new Problem(410, 'expired', 'This link has expired. Write to us and we will send a new one.')
  insistOnEveryField(enquiry, reply)
  const claim = await claimById(enquiry.claimId)
  const source = await sourceById(enquiry.sourceId)
  const respondent = [reply.respondent.trim(), reply.capacity.trim()].filter(Boolean).join(', ')
  const now = deps.clock.now()
  await enquiry.update({
    state: 'answered',
    answeredAt: now,
    reply,
    statement: reply.known ? repliedStatement(enquiry.claimed, reply.fields) : null,
    respondent,
    note: reply.note.trim() || null,
  })
  await recordEvent(
    deps,
    { kind: 'bearer', name: `${respondent}, ${source.name}` },
    {
      code: 'enquiry-answered',
      what: `Answered about ${labelOf(claim.details)}`,
      forCandidate: `${source.name} answered about ${labelOf(claim.details)}.`,
      about: source.name,
      candidateId: claim.candidateId,
      applicationId: enquiry.applicationId,
      claimId: claim.id,
    },
  )
  await refreshStandingsOf(deps, claim.candidateId)
  return { receivedAt: now.toISOString(), receipt: writeReference('RC', await nextNumber(deps, 'receipts')) }
}

function insistOnEveryField({ claimed }: Enquiry, reply: EnquiryReply) {
  if (!reply.known) return
  const unanswered = Object.keys(claimed).filter((key) => reply.fields[key] === undefined)
  if (unanswered.length > 0)
    throw invalid(
      unanswered.map((key) => ({
        pointer: `/body/fields/${key}`,
        message: 'Say whether this is right, or that you cannot say.',
      })),
    )
}

async function enquiryBehind(token: string, options: { lock?: boolean } = {}): Promise<Enquiry> {
  const link = await EnquiryLink.findByPk(hashOf(token))
  const enquiry = link && (await Enquiry.findByPk(link.enquiryId, options.lock ? { lock: true } : {}))
  if (!enquiry) throw notFound()
  return enquiry
}

function stateOf(deps: Deps, { state, expiresAt }: Enquiry) {
  return state === 'open' && expiresAt < deps.clock.now() ? 'expired' : state
}
