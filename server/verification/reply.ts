import type { EnquiryReply } from '#contract/verification'
import { fieldsOf } from '#core/comparison/fields'
import { writeReference } from '#core/references/reference'
import { say } from '#core/words/say'
import { recordEvent } from '../platform/audit/record'
import { changeWhere } from '../platform/database/compareAndSet'
import { nextNumber } from '../platform/database/counter'
import type { Deps } from '../platform/deps'
import { invalid, notFound } from '../platform/errors/problems'
import { hashOf } from '../platform/http/tokens'
import { candidateWithMail } from '../records/accounts/candidate'
import { labelValue } from '../records/claims/label'
import { claimById } from '../records/enquiries/load'
import { Enquiry, EnquiryLink } from '../records/enquiries/model'
import { repliedStatement } from '../records/enquiries/statement'
import { sourceById } from '../records/sources/sources'
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
  if (state === 'answered') throw problems.answered()
  if (state !== 'open') throw problems.expired()
  requireEveryField(enquiry, reply)
  const claim = await claimById(enquiry.claimId)
  const source = await sourceById(enquiry.sourceId)
  const respondent = [reply.respondent.trim(), reply.capacity.trim()].filter(Boolean).join(', ')
  const now = deps.clock.now()
  const first = await changeWhere(
    enquiry,
    { state: 'open' },
    {
      state: 'answered',
      answeredAt: now,
      reply,
      statement: reply.known ? repliedStatement(enquiry.claimed, reply.fields) : null,
      standing: (reply.known && asksStanding(claim.kind) && reply.standing) || null,
      respondent,
      note: reply.note.trim() || null,
    },
  )
  if (!first) throw problems.answered()
  await recordEvent(
    deps,
    { kind: 'bearer', name: `${respondent}, ${source.name}` },
    {
      code: 'enquiry-answered',
      values: { source: source.name, claim: labelValue(claim.details) },
      about: source.name,
      candidateId: claim.candidateId,
      applicationId: enquiry.applicationId,
      claimId: claim.id,
    },
  )
  return { receivedAt: now.toISOString(), receipt: writeReference('RC', await nextNumber(deps, 'receipts')) }
}

/** Only what is licensed can be restricted, suspended or revoked. */
const asksStanding = (kind: string) => kind === 'licence' || kind === 'certificate'

function requireEveryField({ claimed }: Enquiry, reply: EnquiryReply) {
  if (!reply.known) return
  const unanswered = Object.keys(claimed).filter((key) => reply.fields[key] === undefined)
  if (unanswered.length > 0)
    throw invalid(
      unanswered.map((key) => ({
        pointer: `/body/fields/${key}`,
        message: say('problem.sayWhetherThisIsRight'),
      })),
    )
}

/** The question of a link; none where it was erased with the file of its person. Throws not-found for a link of nobody's. */
async function enquiryBehind(token: string): Promise<Enquiry | null> {
  const link = await EnquiryLink.findByPk(hashOf(token))
  if (!link) throw notFound()
  return Enquiry.findByPk(link.enquiryId)
}

function stateOf(deps: Deps, { state, expiresAt }: Enquiry) {
  return state === 'open' && expiresAt < deps.clock.now() ? 'expired' : state
}
