import type { DraftReply, EnquiryReply } from '#contract/reply'
import { askedFields } from '#core/enquiries/asks'
import type { DeclineReason } from '#core/enquiries/enquiry'
import { writeReference } from '#core/references/reference'
import { recordEvent } from '../platform/audit/record'
import { changeWhere } from '../platform/database/compareAndSet'
import { nextNumber } from '../platform/database/counter'
import type { Actor, Deps } from '../platform/deps'
import { changedMeanwhile } from '../platform/errors/problems'
import { candidateNames, candidateWithMail } from '../records/accounts/candidate'
import { labelValue } from '../records/claims/label'
import { Claim } from '../records/claims/model'
import { takeFile } from '../records/documents/inspect'
import { claimById } from '../records/enquiries/load'
import type { Enquiry } from '../records/enquiries/model'
import { withStanding } from '../records/enquiries/standing'
import { keepStep } from '../records/enquiries/steps'
import { sourceById } from '../records/sources/sources'
import { beyondOf, requireAnswers, takeAnswer } from './answer'
import { openBehind, questionBehind, stateFor } from './behindLink'
import { problems } from './problems'

/** The question behind a link. Says what was claimed and nothing else of the file; once it is used up, not even that. */
export async function readEnquiry(deps: Deps, token: string, part?: string) {
  const { questions, question } = await questionBehind(deps, token, part)
  const { name: operator, contact } = deps.organisation
  const state = question ? stateFor(deps, question) : ('withdrawn' as const)
  const settled = {
    id: question?.id ?? '00000000-0000-0000-0000-000000000000',
    ...{ state, operator, contact, source: '', candidate: '', kind: '', claimed: {}, fields: [] },
    answerBy: question?.answerBy ?? deps.clock.today().toString(),
    asks: { standing: false, hours: false, again: false },
    ...{ draft: null, draftVersion: 0, paper: null, parts: [] },
    answeredAt: question?.answeredAt?.toISOString() ?? null,
  }
  if (!question) return settled
  const parts = questions.length > 1 ? await partsOf(deps, questions) : []
  if (state === 'withdrawn') return { ...settled, parts }
  const source = await sourceById(question.sourceId)
  if (state !== 'open') return { ...settled, source: source.name, parts }
  const claim = await claimById(question.claimId)
  const person = await candidateWithMail(claim.candidateId)
  await markOpened(deps, question)
  const fields = askedFields(claim.kind, question.claimed)
  return {
    ...{ ...settled, parts, source: source.name, candidate: person.name, kind: claim.kind },
    claimed: Object.fromEntries(fields.map(({ key }) => [key, question.claimed[key] ?? ''])),
    fields: [...fields],
    asks: beyondOf(deps, claim, source.country),
    draft: withoutName(question.draft),
    draftVersion: question.draftVersion ?? 0,
    paper: question.paper?.fileName ?? null,
  }
}

/** What somebody has heard on the telephone meanwhile is the desk's, and no draft of whoever opens the link. */
const withoutName = (draft: Enquiry['draft']): DraftReply | null => (draft && !draft.heardBy ? draft : null)

async function partsOf(deps: Deps, questions: readonly Enquiry[]) {
  const claims = await Claim.findAll({ where: { id: questions.map(({ claimId }) => claimId) } })
  const names = await candidateNames(claims.map(({ candidateId }) => candidateId))
  return questions.map((one) => {
    const state = stateFor(deps, one)
    const candidateId = claims.find(({ id }) => id === one.claimId)?.candidateId
    // Whom one was about that is over is nobody's business any more.
    return { id: one.id, state, candidate: state === 'open' && candidateId ? (names.get(candidateId) ?? '') : '' }
  })
}

async function markOpened(deps: Deps, question: Enquiry) {
  const now = deps.clock.now()
  if (question.openedAt || !(await changeWhere(question, { state: 'open', openedAt: null }, { openedAt: now }))) return
  await keepStep(question, { step: 'opened', at: now, by: '' })
}

/**
 * Keeps what has been filled in. Of two pages of the same link whoever is later finds what the other has kept.
 *
 * @throws Problem `changed-meanwhile` where another page has kept something since
 */
export async function saveReplyDraft(
  deps: Deps,
  token: string,
  { part, version, draft }: { part?: string; version: number; draft: DraftReply },
) {
  const { question } = await openBehind(deps, token, part)
  const first = !question.draft
  const next = version + 1
  const kept = await changeWhere(question, { state: 'open', draftVersion: version }, { draft, draftVersion: next })
  if (!kept) throw changedMeanwhile({ draft: withoutName(question.draft), version: question.draftVersion })
  if (first) await keepStep(question, { step: 'partly answered', at: deps.clock.now(), by: '' })
  return { version: next }
}

/** Takes the source's answer. The link and every other link to the same question are used up. */
export async function replyToEnquiry(deps: Deps, token: string, reply: EnquiryReply, part?: string) {
  const { question, link } = await openBehind(deps, token, part)
  await requireAnswers(question, reply)
  const first = await takeAnswer(deps, await bearerOf(question, reply), question, reply, { from: link.toMail })
  if (!first) throw problems.answered()
  return receiptFor(deps, question)
}

/** A receipt has a number of its own, which opens it for a day. */
async function receiptFor(deps: Deps, question: Enquiry) {
  const receipt = writeReference('RC', await nextNumber(deps, 'receipts'))
  await question.update({ receipt })
  return { receivedAt: (question.answeredAt ?? deps.clock.now()).toISOString(), receipt }
}

async function bearerOf(
  { sourceId }: Enquiry,
  { respondent, capacity }: { respondent: string; capacity: string },
): Promise<Actor> {
  const source = await sourceById(sourceId)
  const who = [respondent.trim(), capacity.trim()].filter(Boolean).join(', ')
  return { kind: 'bearer', name: `${who}, ${source.name}` }
}

type Declined = { part?: string; reason: DeclineReason; note: string; respondent: string; capacity: string }

/** The source says that it will not answer: what follows from that is decided at the desk. */
export async function declineEnquiry(deps: Deps, token: string, { part, reason, note, ...who }: Declined) {
  const { question } = await openBehind(deps, token, part)
  const actor = await bearerOf(question, who)
  const now = deps.clock.now()
  const changes = {
    ...withStanding(question, { state: 'declined' as const }),
    ...{ declined: { reason, note: note.trim() }, answeredAt: now, draft: null, version: question.version + 1 },
    respondent: [who.respondent.trim(), who.capacity.trim()].filter(Boolean).join(', '),
    note: note.trim() || null,
  }
  if (!(await changeWhere(question, { state: 'open' }, changes))) throw problems.answered()
  const claim = await claimById(question.claimId)
  const source = await sourceById(question.sourceId)
  await keepStep(question, {
    step: 'declined',
    at: now,
    by: actor.kind === 'bearer' ? actor.name : '',
    details: { note: note.trim() },
  })
  await recordEvent(deps, actor, {
    code: 'enquiry-declined',
    values: { source: source.name, claim: labelValue(claim.details), reason: { code: `reply.declined.${reason}` } },
    about: source.name,
    candidateId: claim.candidateId,
    applicationId: question.applicationId,
    claimId: claim.id,
  })
  return receiptFor(deps, question)
}

/** A confirmation on paper beside the answer, or instead of it: somebody at the desk reads it. One takes the place of the other. */
export async function uploadReplyPaper(
  deps: Deps,
  token: string,
  { part, fileName }: { part?: string; fileName: string },
  bytes: Buffer,
) {
  const { question } = await openBehind(deps, token, part)
  const file = await takeFile(deps, bytes)
  const paper = { sha256: file.sha256, fileName: fileName.slice(0, 200), cameAt: deps.clock.now().toISOString() }
  const changes = { ...withStanding(question, { paper, dueOn: null }), version: question.version + 1 }
  if (!(await changeWhere(question, { state: 'open' }, changes))) throw problems.answered()
  await keepStep(question, { step: 'paper came', at: deps.clock.now(), by: '' })
  return { fileName: paper.fileName }
}
