import { UniqueConstraintError } from 'sequelize'
import type { Decision } from '#core/comparison/proposeDecision'
import { takesSecond } from '#core/decisions/secondPerson'
import { isReason } from '#core/words/reason'
import { say } from '#core/words/say'
import { recordEvent } from '../platform/audit/record'
import { compareAndSet } from '../platform/database/compareAndSet'
import type { Account, Deps } from '../platform/deps'
import { invalidField, notFound, requireVersion } from '../platform/errors/problems'
import { labelValue } from '../records/claims/label'
import type { Claim } from '../records/claims/model'
import { FindingUndo } from '../records/decisions/model'
import { reopenEnquiries } from '../records/enquiries/enquiries'
import { claimById } from '../records/enquiries/load'
import { Finding } from '../records/enquiries/model'
import { isFlagged } from '../records/redFlags/flags'
import { fileForProof } from './fileForProof'
import { problems } from './problems'
import { type FileForProof, type Weighed, weigh } from './proof'
import { recordFinding } from './recordFinding'
import { openReview, undoMs } from './reviews'

/**
 * Decides on a claim. The comparison it rests on is kept with the decision. What takes a second person, or is told to the
 * candidate first, is proposed and goes on as a review.
 */
export async function decideClaim(
  deps: Deps,
  actor: Account,
  id: string,
  { version, decision, note }: { version: number; decision: Decision; note: string },
) {
  const claim = await claimById(id)
  requireVersion(version, claim.version)
  const file = await fileForProof(deps, claim.candidateId)
  const weighed = weigh(claim, file)
  const asked = file.enquiries.some(
    ({ claimId, credentialVersion }) => claimId === id && credentialVersion === claim.credentialVersion,
  )
  if (file.reviews.some(({ claimId }) => claimId === id)) throw problems.underReview()
  requireGrounds(decision, note.trim(), weighed, asked)
  if (decision.startsWith('confirmed')) requireNewAnswer(claim, file, weighed)
  requireReasonAnew(claim, file, weighed, note)
  if (takesSecond(decision, await isFlagged(claim))) {
    const review = await openReview(deps, actor, claim, version, weighed, { decision, note: note.trim() })
    return { findingId: null, reviewId: review.id }
  }
  const finding = await recordFinding(deps, actor, claim, version, {
    ...{ decision, note: note.trim(), weighed, by: actor.name },
  })
  return { findingId: finding.id, reviewId: null }
}

/** What was decided is never changed, only decided anew; whoever reads it has to know why, unless the source has answered since. */
function requireReasonAnew(
  { id, credentialVersion }: Claim,
  { findings }: FileForProof,
  { latest }: Weighed,
  note: string,
) {
  const before = findings.findLast(
    (one) => one.claimId === id && one.credentialVersion === credentialVersion && !one.undoneAt && !one.basis,
  )
  const answeredSince = before && latest?.answeredAt && latest.answeredAt > before.decidedAt
  if (before && !answeredSince && !isReason(note)) throw invalidField('/body/note', say('problem.sayWhyDecidedAnew'))
}

function requireGrounds(decision: Decision, note: string, { comparison, latest }: Weighed, asked: boolean) {
  if (decision === 'confirmed' && comparison.outcome !== 'agrees') {
    throw problems.notTheSame()
  }
  if (decision === 'confirmed with a note' && !latest) throw problems.noReply()
  if (decision === 'unconfirmable' && !asked) throw problems.notAsked()
  if (decision !== 'confirmed' && note.length < 3)
    throw invalidField('/body/note', say('problem.sayWhyForWhoeverReads'))
}

/** Where it is asked again since it was confirmed long ago, what was answered then confirms nothing anew. */
function requireNewAnswer(
  { id, credentialVersion }: Claim,
  { findings, enquiries }: FileForProof,
  { latest }: Weighed,
) {
  const own = <T extends { claimId: string; credentialVersion: number }>(rows: readonly T[]) =>
    rows.filter((row) => row.claimId === id && row.credentialVersion === credentialVersion)
  const before = own(findings)
    .filter((one) => !one.undoneAt && one.decision.startsWith('confirmed'))
    .at(-1)
  const again = before && own(enquiries).some(({ askedAt }) => askedAt > before.decidedAt)
  if (again && (!latest?.answeredAt || latest.answeredAt <= before.decidedAt)) throw problems.answerFromBefore()
}

/** Undoes the newest decision on a claim while it is fresh. Both stay on record. */
export async function undoDecision(deps: Deps, actor: Account, findingId: string) {
  const finding = await Finding.findByPk(findingId)
  if (!finding) throw notFound()
  const claim = await claimById(finding.claimId)
  const newest = await Finding.findOne({
    where: { claimId: claim.id },
    order: [
      ['decidedAt', 'DESC'],
      ['id', 'DESC'],
    ],
  })
  const age = deps.clock.now().getTime() - finding.decidedAt.getTime()
  const late = age > undoMs || finding.reviewId || claim.credentialVersion !== finding.credentialVersion
  if (newest?.id !== findingId || late) throw problems.tooLate()
  await compareAndSet(claim, claim.version, { rung: finding.rungBefore })
  await FindingUndo.create({ findingId, undoneBy: actor.name, undoneAt: deps.clock.now() }).catch((error: unknown) => {
    throw error instanceof UniqueConstraintError ? problems.tooLate() : error
  })
  await reopenEnquiries(claim)
  await recordEvent(deps, actor, {
    code: 'decision-undone',
    values: { claim: labelValue(claim.details) },
    candidateId: claim.candidateId,
    claimId: claim.id,
  })
  return { done: true as const }
}
