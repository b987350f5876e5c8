import { isSent } from '#core/hiring/stages'
import { hiddenKindOfClaim, sees, subjectOf } from '#core/privacy/hidden'
import { coded } from '#core/words/say'
import type { Account, Deps } from '../platform/deps'
import { notAllowed, notFound } from '../platform/errors/problems'
import type { FileToKeep } from '../platform/http/serve'
import { recordPaperSight, shownTo } from '../privacy/accessLog'
import { candidateOf } from '../records/accounts/candidate'
import { applicationsOf } from '../records/applications/find'
import { personWrittenFor } from '../records/applications/writtenFor'
import { streamBytes } from '../records/documents/bytes'
import { documentById, originalName } from '../records/documents/documents'
import type { Document } from '../records/documents/model'
import { claimById } from '../records/enquiries/load'
import { namesHiddenIn } from '../records/people/shownNames'

/** A document for its owner and for those at the desk who may see the file; for others it is not there. */
export async function readDocument(deps: Deps, actor: Account, id: string): Promise<FileToKeep> {
  const document = await documentById(id)
  const { sha256 } = document
  if (sha256 === null || !(await mayRead(deps, actor, document))) throw notFound()
  await requireShown(deps, actor, document)
  return { fileName: document.fileName, ...(await streamBytes(sha256)), inline: true }
}

/** The Word file it was made of: never opened in the browser, only kept. */
export async function readOriginalFile(deps: Deps, actor: Account, id: string): Promise<FileToKeep> {
  const document = await documentById(id)
  const { originalSha256, fileName } = document
  if (!originalSha256 || !(await mayRead(deps, actor, document))) throw notFound()
  await requireShown(deps, actor, document)
  return { fileName: originalName(fileName), ...(await streamBytes(originalSha256)) }
}

async function mayRead(deps: Deps, actor: Account, document: Document): Promise<boolean> {
  if (actor.rights.includes('documents.read')) {
    const applications = await applicationsOf(document.candidateId)
    if (applications.some(isSent)) return true
    return (await Promise.all(applications.map(({ id }) => personWrittenFor(actor, id)))).some(Boolean)
  }
  return (await candidateOf(deps, actor)).id === document.candidateId
}

/** A paper of identity or health is opened by whose work needs it, or after it was asked for; either is remembered. */
async function requireShown(deps: Deps, actor: Account, document: Document) {
  if (!actor.rights.includes('documents.read')) return
  const shown = await shownTo(deps, actor, document.candidateId)
  if ((await namesHiddenIn([document.candidateId])).size > 0 && !shown.has('name'))
    throw notAllowed(coded('problem.namesAndPapersAreHidden'))
  const claim = await claimById(document.claimId)
  const kind = hiddenKindOfClaim(claim.details)
  if (!kind) return
  const { candidateId, claimId } = document
  if (!sees(actor.rights, kind) && !shown.has(subjectOf(kind, claimId)))
    throw notAllowed(coded('problem.thisPaperIsHiddenHave'))
  await recordPaperSight(deps, actor, { candidateId, claimId, kind })
}
