import type Router from '@koa/router'
import type { Context } from 'koa'
import { candidateOf } from '../accounts/candidate'
import { applicationsOf } from '../applications/find'
import { currentClock } from '../demo/clock'
import type { Account, Deps } from '../deps'
import { accountOf } from '../http/caller'
import { notFound, signInFirst } from '../http/problems'
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
    return (await applicationsOf(document.candidateId)).some(({ stage }) => stage !== 'being written')
  }
  return (await candidateOf(deps, actor)).id === document.candidateId
}
