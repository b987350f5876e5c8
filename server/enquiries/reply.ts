import type { EnquiryReply } from '#contract/reply'
import { fieldsOf } from '#core/comparison/fields'
import { writeReference } from '#core/references/reference'
import { nextNumber } from '../platform/database/counter'
import type { Deps } from '../platform/deps'
import { notFound } from '../platform/errors/problems'
import { hashOf } from '../platform/http/tokens'
import { candidateWithMail } from '../records/accounts/candidate'
import { claimById } from '../records/enquiries/load'
import { Enquiry, EnquiryLink } from '../records/enquiries/model'
import { sourceById } from '../records/sources/sources'
import { requireAnswers, takeAnswer } from './answer'
import { problems } from './problems'

/** The question behind a link. Says what was claimed and nothing else of the file; once it is used up, not even that. */
export async function readEnquiry(deps: Deps, token: string) {
  const enquiry = await enquiryBehind(token)
  const { name: operator, contact } = deps.organisation
  const state = enquiry ? stateOf(deps, enquiry) : 'withdrawn'
  const settled = {
    state,
    operator,
    contact,
    source: '',
    candidate: '',
    kind: '',
    answerBy: enquiry?.answerBy ?? deps.clock.today().toString(),
    claimed: {},
    fields: [],
    answeredAt: enquiry?.answeredAt?.toISOString() ?? null,
  }
  if (!enquiry || state === 'withdrawn') return settled
  const source = await sourceById(enquiry.sourceId)
  if (state !== 'open') return { ...settled, source: source.name }
  const claim = await claimById(enquiry.claimId)
  const person = await candidateWithMail(claim.candidateId)
  return {
    ...settled,
    source: source.name,
    candidate: person.name,
    kind: claim.kind,
    claimed: enquiry.claimed,
    fields: fieldsOf(claim.kind, enquiry.claimed).filter(({ key }) => enquiry.claimed[key] !== undefined),
  }
}

/** Takes the source's answer. The link and every other link to the same question are used up. */
export async function replyToEnquiry(deps: Deps, token: string, reply: EnquiryReply) {
  const enquiry = await enquiryBehind(token)
  const state = enquiry ? stateOf(deps, enquiry) : 'withdrawn'
  if (!enquiry || state === 'withdrawn') throw problems.calledOff()
  if (state === 'answered' || state === 'declined') throw problems.answered()
  if (state !== 'open') throw problems.expired()
  requireAnswers(enquiry, reply)
  const source = await sourceById(enquiry.sourceId)
  const respondent = [reply.respondent.trim(), reply.capacity.trim()].filter(Boolean).join(', ')
  const bearer = { kind: 'bearer' as const, name: `${respondent}, ${source.name}` }
  if (!(await takeAnswer(deps, bearer, enquiry, reply))) throw problems.answered()
  return {
    receivedAt: enquiry.answeredAt!.toISOString(),
    receipt: writeReference('RC', await nextNumber(deps, 'receipts')),
  }
}

/** The question of a link; none where it was erased with the file of its person. Throws not-found for a link of nobody's. */
async function enquiryBehind(token: string): Promise<Enquiry | null> {
  const link = await EnquiryLink.findByPk(hashOf(token))
  if (!link) throw notFound()
  return link.onlyEnquiryId
    ? Enquiry.findByPk(link.onlyEnquiryId)
    : Enquiry.findOne({ where: { batchId: link.batchId }, order: ['id'] })
}

function stateOf(deps: Deps, { state, expiresAt }: Enquiry) {
  if (state === 'prepared') return 'withdrawn' as const
  if (state === 'silent') return 'expired' as const
  return state === 'open' && expiresAt < deps.clock.now() ? ('expired' as const) : state
}
