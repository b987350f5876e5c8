import { v7 as uuid } from 'uuid'
import type { decisions } from '#contract/verification'
import type { Rung } from '#core/requirements/requirement'
import { say } from '#core/words/say'
import { recordEvent } from '../platform/audit/record'
import { compareAndSet } from '../platform/database/compareAndSet'
import type { Account, Deps } from '../platform/deps'
import { invalidField, notFound, requireVersion } from '../platform/errors/problems'
import { labelValue } from '../records/claims/label'
import type { Claim } from '../records/claims/model'
import { reopenEnquiries, settleEnquiries } from '../records/enquiries/enquiries'
import { claimById } from '../records/enquiries/load'
import { Finding } from '../records/enquiries/model'
import { fileForProof } from './fileForProof'
import { problems } from './problems'
import { type FileForProof, type Weighed, weigh } from './proof'

type Decision = (typeof decisions)[number]

const rungAfter: Record<Decision, Rung> = {
  confirmed: 'confirmed',
  'confirmed with a note': 'confirmed',
  contradicted: 'contradicted',
  unconfirmable: 'unconfirmable',
}
const undoMinutes = 15

/** Decides on a claim. The comparison it rests on is kept with the decision. */
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
  requireGrounds(decision, note.trim(), weighed, asked)
  if (decision.startsWith('confirmed')) requireNewAnswer(claim, file, weighed)
  const rungBefore = claim.rung
  await compareAndSet(claim, version, { rung: rungAfter[decision] })
  const finding = await Finding.create({
    id: uuid(),
    claimId: id,
    credentialVersion: claim.credentialVersion,
    enquiryId: weighed.latest?.id ?? null,
    decision,
    note: note.trim(),
    comparison: weighed.comparison,
    rungBefore,
    decidedBy: actor.name,
    decidedAt: deps.clock.now(),
  })
  await settleEnquiries(deps, id)
  await recordEvent(deps, actor, {
    code: 'claim-decided',
    words: `claim-decided.${decision}${note.trim() ? '.note' : ''}`,
    values: { claim: labelValue(claim.details), note: note.trim() },
    candidateId: claim.candidateId,
    claimId: id,
    details: { outcome: weighed.comparison.outcome },
  })
  return { findingId: finding.id }
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
  if (!finding || finding.undoneAt) throw notFound()
  const claim = await claimById(finding.claimId)
  const newest = await Finding.findOne({
    where: { claimId: claim.id },
    order: [
      ['decidedAt', 'DESC'],
      ['id', 'DESC'],
    ],
  })
  const age = deps.clock.now().getTime() - finding.decidedAt.getTime()
  if (newest?.id !== findingId || age > undoMinutes * 60_000 || claim.credentialVersion !== finding.credentialVersion) {
    throw problems.tooLate()
  }
  await compareAndSet(claim, claim.version, { rung: finding.rungBefore })
  await finding.update({ undoneAt: deps.clock.now() })
  await reopenEnquiries(claim)
  await recordEvent(deps, actor, {
    code: 'decision-undone',
    values: { claim: labelValue(claim.details) },
    candidateId: claim.candidateId,
    claimId: claim.id,
  })
  return { done: true as const }
}
