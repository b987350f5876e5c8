import { isForSource } from '#core/documents/papers'
import { isReason } from '#core/words/reason'
import { say } from '#core/words/say'
import { recordEvent } from '../platform/audit/record'
import { compareAndSet } from '../platform/database/compareAndSet'
import type { Account, Deps } from '../platform/deps'
import { invalidField, notFound } from '../platform/errors/problems'
import { labelValue } from '../records/claims/label'
import type { Claim } from '../records/claims/model'
import { documentById, markSeen, markSentBack, markUnseen } from '../records/documents/documents'
import type { Document } from '../records/documents/model'
import { claimById } from '../records/enquiries/load'
import { problems } from './problems'

/** A live portrait is looked at by itself, and what a source wants with a question shows nothing of what is claimed. */
const showsTheClaim = ({ live, part }: Document) => !live && !isForSource(part)

/** Whoever asks a source at that very moment has read another version of the claim, and does not. */
async function takeBack(claim: Claim, document: Document) {
  if (showsTheClaim(document)) await compareAndSet(claim, claim.version, { rung: 'claimed' })
  else if (!document.live) await compareAndSet(claim, claim.version, {})
}

/** Marks a document as seen, with what it says. A claim that was only claimed is now evidenced. */
export async function seeDocument(
  deps: Deps,
  actor: Account,
  id: string,
  { version, reads }: { version: number; reads: Record<string, string> },
) {
  const said = Object.fromEntries(
    Object.entries(reads)
      .map(([key, value]) => [key, value.trim()])
      .filter(([, value]) => value !== ''),
  )
  const document = await markSeen(deps, id, version, actor.name, said as Record<string, string>)
  const claim = await claimById(document.claimId)
  if (claim.rung === 'claimed' && showsTheClaim(document))
    await compareAndSet(claim, claim.version, { rung: 'evidenced' })
  await recordEvent(deps, actor, {
    code: 'document-seen',
    values: { file: document.fileName, claim: labelValue(claim.details) },
    candidateId: claim.candidateId,
    claimId: claim.id,
    details: { reads: said },
  })
  return { done: true as const }
}

/**
 * Says whether a live portrait shows whoever the paper of identity is of. It changes no rung: the paper is looked at by itself.
 *
 * @throws Problem 404 where it is no live portrait, `invalid` where it is somebody else's and nobody says why
 */
export async function comparePortrait(
  deps: Deps,
  actor: Account,
  id: string,
  { version, holder, note }: { version: number; holder: 'same' | 'other'; note: string },
) {
  if (!(await documentById(id)).live) throw notFound()
  if (holder === 'other' && !isReason(note)) throw invalidField('/body/note', say('problem.sayWhyForWhoeverReads'))
  const document = await markSeen(deps, id, version, actor.name, {})
  await document.update({ holder })
  const claim = await claimById(document.claimId)
  await recordEvent(deps, actor, {
    code: 'portrait-compared',
    words: `portrait-compared.${holder}`,
    values: { claim: labelValue(claim.details), note: note.trim() },
    candidateId: claim.candidateId,
    claimId: claim.id,
  })
  return { done: true as const }
}

export async function unseeDocument(deps: Deps, actor: Account, id: string) {
  const claim = await claimById((await documentById(id)).claimId)
  if (claim.rung !== 'evidenced' && claim.rung !== 'claimed') throw problems.askedSince()
  const document = await markUnseen(id)
  await takeBack(claim, document)
  await recordEvent(deps, actor, {
    code: 'document-unseen',
    values: { file: document.fileName },
    candidateId: claim.candidateId,
    claimId: claim.id,
  })
  return { done: true as const }
}

/** Sends a document back with a reason. The candidate gets a mail, and a task on the status page. */
export async function sendDocumentBack(
  deps: Deps,
  actor: Account,
  id: string,
  { version, reason }: { version: number; reason: string },
) {
  const claim = await claimById((await documentById(id)).claimId)
  if (claim.rung !== 'evidenced' && claim.rung !== 'claimed') throw problems.askedSinceRecord()
  const document = await markSentBack(id, version, reason.trim())
  await takeBack(claim, document)
  await recordEvent(deps, actor, {
    code: 'document-sent-back',
    values: { file: document.fileName, claim: labelValue(claim.details), reason: reason.trim() },
    candidateId: claim.candidateId,
    claimId: claim.id,
  })
  return { done: true as const }
}
