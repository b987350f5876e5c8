import { recordEvent } from '../platform/audit/record'
import { compareAndSet } from '../platform/database/compareAndSet'
import type { Account, Deps } from '../platform/deps'
import { labelValue } from '../records/claims/label'
import { Claim } from '../records/claims/model'
import { documentById } from '../records/documents/documents'
import { Document } from '../records/documents/model'
import { forgetBytes } from './erase'

/**
 * Discards a paper that nobody asked for and that should not be here. Its bytes go at once, unless another paper has the same;
 * that it was there, and why it went, stays. A claim that only this paper had shown is claimed again.
 */
export async function discardDocument(
  deps: Deps,
  actor: Account,
  id: string,
  { version, reason }: { version: number; reason: string },
) {
  const document = await documentById(id)
  const { sha256, originalSha256, claimId, candidateId, fileName } = document
  const gone = {
    sha256: null,
    originalSha256: null,
    size: 0,
    pages: 0,
    reads: {},
    seenBy: null,
    seenAt: null,
    finalBy: null,
  }
  await compareAndSet(document, version, { state: 'discarded', sentBackBecause: reason.trim(), ...gone })
  await forgetBytes(
    deps,
    [sha256, originalSha256].filter((hash) => hash !== null),
  )
  const claim = await Claim.findByPk(claimId, { rejectOnEmpty: true })
  const left = await Document.count({
    where: { claimId, credentialVersion: claim.credentialVersion, state: 'seen' },
  })
  if (claim.rung === 'evidenced' && left === 0) await compareAndSet(claim, claim.version, { rung: 'claimed' })
  await recordEvent(deps, actor, {
    code: 'document-discarded',
    values: { file: fileName, claim: labelValue(claim.details), reason: reason.trim() },
    candidateId,
    claimId,
  })
  return { done: true as const }
}
