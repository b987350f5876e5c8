import type Router from '@koa/router'
import type { Context } from 'koa'
import { hiddenKindOfClaim, sees, subjectOf } from '#core/privacy/hidden'
import { candidateOf } from '../accounts/candidate'
import { personWrittenFor } from '../applications/behalf'
import { applicationsOf } from '../applications/find'
import { currentClock } from '../demo/clock'
import type { Account, Deps } from '../deps'
import { accountOf } from '../http/caller'
import { notAllowed, notFound, signInFirst } from '../http/problems'
import { recordPaperSight, shownTo } from '../privacy/sights'
import { claimById } from '../verification/load'
import { readBytes } from './bytes'
import { documentById } from './documents'
import type { Document } from './model'

const readers = ['coordinator', 'hiring manager', 'administrator']

/** Serves a document's bytes to its owner and to those at the desk who may see the file, with headers that keep it a picture. */
export function serveDocuments(router: Router, fixed: Omit<Deps, 'clock'>) {
  router.get('/api/documents/:id/bytes', async (ctx: Context) => {
    const actor = await accountOf(ctx)
    if (!actor) throw signInFirst()
    const deps: Deps = { ...fixed, clock: await currentClock(fixed.config) }
    const document = await documentById(ctx.params.id)
    if (!(await mayRead(deps, actor, document))) throw notFound()
    await insistOnShown(deps, actor, document)
    const { bytes, mediaType } = await readBytes(document.sha256)
    ctx.set({
      'Content-Type': mediaType,
      'Content-Disposition': `inline; filename*=UTF-8''${encodeURIComponent(document.fileName)}`,
      'X-Content-Type-Options': 'nosniff',
      'Content-Security-Policy': "default-src 'none'; sandbox",
      'Cache-Control': 'private, no-store',
    })
    ctx.body = bytes
  })
}

async function mayRead(deps: Deps, actor: Account, document: Document): Promise<boolean> {
  if (actor.roles.some((role) => readers.includes(role))) {
    const applications = await applicationsOf(document.candidateId)
    if (applications.some(({ stage }) => stage !== 'being written')) return true
    return (await Promise.all(applications.map(({ id }) => personWrittenFor(actor, id)))).some(Boolean)
  }
  return (await candidateOf(deps, actor)).id === document.candidateId
}

/** A paper of identity or health is opened by whose work needs it, or after it was asked for; either is remembered. */
async function insistOnShown(deps: Deps, actor: Account, document: Document) {
  if (!actor.roles.some((role) => readers.includes(role))) return
  const claim = await claimById(document.claimId)
  const kind = hiddenKindOfClaim(claim.details)
  if (!kind) return
  const { candidateId, claimId } = document
  if (!sees(actor.roles, kind) && !(await shownTo(deps, actor, candidateId)).has(subjectOf(kind, claimId)))
    throw notAllowed('This paper is hidden. Have it shown in the file first, with a reason.')
  await recordPaperSight(deps, actor, { candidateId, claimId, kind })
}
