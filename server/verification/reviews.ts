import { Op, UniqueConstraintError } from 'sequelize'
import { v7 as uuid } from 'uuid'
import type { ClaimComparison } from '#core/comparison/compareClaim'
import type { Decision } from '#core/comparison/proposeDecision'
import { isOpenReview, standingOf } from '#core/decisions/secondPerson'
import { isReason } from '#core/words/reason'
import { say } from '#core/words/say'
import type { StoredValue } from '#core/words/stored'
import { recordEvent } from '../platform/audit/record'
import { compareAndSet } from '../platform/database/compareAndSet'
import { forEachRow } from '../platform/database/forEachRow'
import type { Account, Actor, Deps } from '../platform/deps'
import { changedMeanwhile, invalidField, notFound, requireVersion } from '../platform/errors/problems'
import { candidateOf } from '../records/accounts/candidate'
import { othersBeside } from '../records/accounts/policies'
import { accountsWithRight } from '../records/accounts/staff'
import { labelValue } from '../records/claims/label'
import { Claim } from '../records/claims/model'
import { ClaimReview, ReviewView } from '../records/decisions/model'
import { reviewById, viewsOf } from '../records/decisions/reviews'
import { Document } from '../records/documents/model'
import { claimById } from '../records/enquiries/load'
import { Enquiry } from '../records/enquiries/model'
import { problems } from './problems'
import type { Weighed } from './proof'
import { recordFinding } from './recordFinding'

/** Who decides has ten seconds to think again; what is on its way takes a moment. */
export const undoMs = 12_000

type Said = { decision: Decision; note: string }

/**
 * Begins a decision that takes a second person, or that the candidate is told of first. The rung stays as it is. Where nobody
 * else could be the second, that is noted, and it goes on at once.
 */
export async function openReview(
  deps: Deps,
  actor: Account,
  claim: Claim,
  version: number,
  weighed: Pick<Weighed, 'comparison' | 'latest'>,
  { decision, note }: Said,
) {
  const { two, others } = await othersBeside(actor, 'claim-decision', 'proof.settle')
  await endStale(deps, claim)
  // Whoever decides at that very moment has seen another version.
  await compareAndSet(claim, version, {})
  const now = deps.clock.now()
  const review = await ClaimReview.create({
    id: uuid(),
    claimId: claim.id,
    credentialVersion: claim.credentialVersion,
    state: 'second',
    activeKey: claim.id,
    enquiryId: weighed.latest?.id ?? null,
    comparison: weighed.comparison,
    alone: two && !others,
    openedAt: now,
    version: 1,
  }).catch((error: unknown) => {
    throw error instanceof UniqueConstraintError ? changedMeanwhile() : error
  })
  await addView(deps, actor, review, { decision, note })
  await told(deps, actor, claim, 'decision-proposed', { decision: { code: `state.decision.${decision}` } })
  if (two && others) return review
  return settle(deps, actor, claim, review, decision)
}

const addView = (deps: Deps, actor: Account, review: ClaimReview, { decision, note }: Said) =>
  ReviewView.create({
    ...{ reviewId: review.id, accountId: actor.id, name: actor.name },
    ...{ decision, note, at: deps.clock.now() },
  }).catch((error: unknown) => {
    throw error instanceof UniqueConstraintError ? problems.saidAlready() : error
  })

type Input = Said & { version: number }

/**
 * What a second or third person says, before they have read what those before them said.
 *
 * @throws Problem `said-already`, `changed-meanwhile` where somebody else was the second at that very moment
 */
export async function giveView(deps: Deps, actor: Account, id: string, { version, decision, note }: Input) {
  const { review, claim } = await openOne(id, version)
  if (review.state !== 'second' && review.state !== 'third') throw problems.reviewOver()
  const before = await viewsOf([id])
  if (before.some(({ accountId }) => accountId === actor.id)) throw problems.saidAlready()
  requireNote(decision, note)
  await compareAndSet(review, version, {})
  await addView(deps, actor, review, { decision, note: note.trim() })
  const standing = standingOf([...before.map(viewed), { by: actor.id, decision }])
  if (standing.state === 'agreed') {
    await settle(deps, actor, claim, review, standing.decision)
    return { state: review.state }
  }
  await compareAndSet(review, review.version, { state: standing.state })
  await told(deps, actor, claim, 'decision-disputed')
  return { state: review.state }
}

const viewed = ({ accountId, decision }: ReviewView) => ({ by: accountId, decision })

/** Takes back what one has just proposed, while nobody else has said anything. */
export async function withdrawReview(deps: Deps, actor: Account, id: string) {
  const review = await reviewById(id)
  const views = await viewsOf([id])
  const late = deps.clock.now().getTime() - review.openedAt.getTime() > undoMs
  if (review.state !== 'second' || views.length !== 1 || views[0]!.accountId !== actor.id || late)
    throw problems.tooLate()
  await compareAndSet(review, review.version, { state: 'withdrawn', activeKey: null, endedAt: deps.clock.now() })
  await told(deps, actor, await claimById(review.claimId), 'decision-undone')
  return { done: true as const }
}

/**
 * Ends a review: after the candidate has answered, or before, in their favour; and where nobody is left who could say something
 * else. Not by whoever proposed it, unless there is nobody else.
 */
export async function concludeReview(deps: Deps, actor: Account, id: string, { version, decision, note }: Input) {
  const { review, claim } = await openOne(id, version)
  const views = await viewsOf([id])
  const alone = await nobodyElse(views)
  const waitsForPeople = review.state === 'second' || review.state === 'third'
  if (waitsForPeople && !alone) throw problems.takesAnother()
  if (views[0]?.accountId === actor.id && !alone && !review.alone && (await takesTwo(actor)))
    throw problems.takesAnother()
  if (review.state === 'hearing' && decision === 'contradicted') throw problems.candidateNotHeard()
  if (!isReason(note)) throw invalidField('/body/note', say('problem.sayWhyForWhoeverReads'))
  if (waitsForPeople) {
    await compareAndSet(review, version, { alone: true })
    if (!views.some(({ accountId }) => accountId === actor.id))
      await addView(deps, actor, review, { decision, note: note.trim() })
    await settle(deps, actor, claim, review, decision)
    return { state: review.state }
  }
  await compareAndSet(review, version, { state: 'concluded', decision, activeKey: null, endedAt: deps.clock.now() })
  await final(deps, actor, claim, review, decision, note.trim(), [...views.map(({ name }) => name), actor.name])
  return { state: review.state }
}

const takesTwo = async (actor: Account) => (await othersBeside(actor, 'claim-decision', 'proof.settle')).two

/** Whether everybody who could say something has. */
async function nobodyElse(views: readonly ReviewView[]): Promise<boolean> {
  const said = new Set(views.map(({ accountId }) => accountId))
  return (await accountsWithRight('proof.settle')).every(({ id }) => said.has(id))
}

/** What was agreed: a contradiction is told to the candidate first, anything else is final. */
async function settle(deps: Deps, actor: Actor, claim: Claim, review: ClaimReview, decision: Decision) {
  const views = await viewsOf([review.id])
  if (decision === 'contradicted') {
    const answerBy = deps.clock.today().add({ days: deps.organisation.hearingDays }).toString()
    const what = toldOf(review.comparison, await Enquiry.findByPk(review.enquiryId ?? ''))
    await compareAndSet(review, review.version, { state: 'hearing', decision, told: what, answerBy })
    await told(deps, actor, claim, 'candidate-heard', { what: { lines: what }, day: { day: answerBy } })
    return review
  }
  await compareAndSet(review, review.version, {
    state: 'concluded',
    decision,
    activeKey: null,
    endedAt: deps.clock.now(),
  })
  const notes = views.filter((view) => view.decision === decision).map(({ note }) => note)
  await final(
    deps,
    actor,
    claim,
    review,
    decision,
    notes.filter(Boolean).join('\n'),
    views.map(({ name }) => name),
  )
  return review
}

const final = (
  deps: Deps,
  actor: Actor,
  claim: Claim,
  review: ClaimReview,
  decision: Decision,
  note: string,
  by: readonly string[],
) =>
  recordFinding(deps, actor, claim, claim.version, {
    ...{ decision, note, reviewId: review.id },
    weighed: {
      comparison: review.comparison,
      latest: review.enquiryId ? ({ id: review.enquiryId } as Enquiry) : undefined,
    },
    by: [...new Set(by)].join(', '),
  })

/** What differs, in words that accuse nobody: what they gave, and what we were told. */
function toldOf({ fields }: ClaimComparison, enquiry: Enquiry | null): StoredValue[] {
  if (enquiry?.state === 'answered' && enquiry.statement === null) return [{ code: 'hearing.notKnown' }]
  const differ = fields.filter(({ verdict }) => verdict === 'different' || verdict === 'close')
  const lines = differ.map(({ key, claimed, source, document, bySource }): StoredValue => {
    const kind = { field: { code: `field.${key}` as const }, claimed: written(key, claimed) }
    // Another name, number or day of birth may be somebody else's, and is not told.
    if (source !== undefined && bySource.verdict === 'different' && ofPersons.has(key))
      return { code: 'hearing.sourceHasOther', values: kind }
    if (source !== undefined) return { code: 'hearing.sourceSays', values: { ...kind, said: written(key, source) } }
    return { code: 'hearing.paperSays', values: { ...kind, said: written(key, document ?? '') } }
  })
  return lines.length > 0 ? lines : [{ code: 'hearing.other' }]
}

const ofPersons = new Set(['name', 'number', 'born'])
const days = new Set(['awarded', 'issued', 'through', 'from', 'to', 'born'])
const written = (key: string, text: string): StoredValue => (days.has(key) && /^\d/.test(text) ? { day: text } : text)

/** What the candidate says of it, with papers they have put behind the claim. Once. */
export async function answerHearing(
  deps: Deps,
  actor: Account,
  id: string,
  { version, text, documents }: { version: number; text: string; documents: string[] },
) {
  const candidate = await candidateOf(deps, actor)
  const review = await reviewById(id)
  const claim = await Claim.findByPk(review.claimId)
  if (claim?.candidateId !== candidate.id) throw notFound()
  requireVersion(version, review.version)
  if (review.state !== 'hearing') throw problems.hearingOver()
  const own = documents.length === 0 ? [] : await Document.findAll({ where: { id: documents, claimId: claim.id } })
  if (own.length !== documents.length) throw notFound()
  await compareAndSet(review, version, {
    state: 'answered',
    answer: text.trim(),
    answeredAt: deps.clock.now(),
    answerDocuments: documents,
  })
  await told(deps, actor, claim, 'hearing-answered')
  return { done: true as const }
}

/** Contradictions whose candidate has said nothing by the day they were given become final. */
export const endHearings = (deps: Deps): Promise<number> =>
  forEachRow(
    deps,
    ClaimReview,
    { state: 'hearing', answerBy: { [Op.lt]: deps.clock.today().toString() } },
    async (review) => {
      const claim = await Claim.findByPk(review.claimId)
      if (!claim || claim.removedAt || claim.credentialVersion !== review.credentialVersion) return endOne(deps, review)
      const views = await viewsOf([review.id])
      await compareAndSet(review, review.version, { state: 'concluded', activeKey: null, endedAt: deps.clock.now() })
      const notes = views.filter(({ decision }) => decision === review.decision).map(({ note }) => note)
      await final(
        deps,
        { kind: 'system' },
        claim,
        review,
        'contradicted',
        notes.join('\n'),
        views.map(({ name }) => name),
      )
    },
  )

/** What goes on about an earlier version of a claim has lost what it is about. */
async function endStale(deps: Deps, { id, credentialVersion }: Claim) {
  const open = await ClaimReview.findOne({ where: { activeKey: id } })
  if (open && open.credentialVersion !== credentialVersion) await endOne(deps, open)
  else if (open) throw problems.underReview()
}

const endOne = async (deps: Deps, review: ClaimReview) =>
  void (await compareAndSet(review, review.version, { state: 'withdrawn', activeKey: null, endedAt: deps.clock.now() }))

async function openOne(id: string, version: number) {
  const review = await reviewById(id)
  requireVersion(version, review.version)
  const claim = await claimById(review.claimId)
  if (!isOpenReview(review.state) || review.credentialVersion !== claim.credentialVersion) throw problems.reviewOver()
  return { review, claim }
}

function requireNote(decision: Decision, note: string) {
  if (decision !== 'confirmed' && !isReason(note))
    throw invalidField('/body/note', say('problem.sayWhyForWhoeverReads'))
}

type ReviewEvent =
  | 'decision-proposed'
  | 'decision-disputed'
  | 'decision-undone'
  | 'candidate-heard'
  | 'hearing-answered'

const told = (deps: Deps, actor: Actor, claim: Claim, code: ReviewEvent, values: Record<string, StoredValue> = {}) =>
  recordEvent(deps, actor, {
    code,
    values: { claim: labelValue(claim.details), ...values },
    candidateId: claim.candidateId,
    claimId: claim.id,
  })
