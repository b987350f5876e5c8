import type Router from '@koa/router'
import type { Context } from 'koa'
import { readBytes } from '../documents/bytes'
import { accountOf } from '../http/caller'
import { notFound, signInFirst } from '../http/problems'
import { permissionOf } from '../permissions/permissions'
import { ownApplication } from './find'
import { Snapshot } from './model'

/** What a candidate can keep of an application: all of it as it was sent, and the permission as it was signed. */
const papers: Record<string, { name: string; sha256Of: (id: string) => Promise<string | null | undefined> }> = {
  'application.pdf': { name: 'Application', sha256Of: async (id) => (await Snapshot.findByPk(id))?.pdfSha256 },
  'permission.pdf': { name: 'Permission to check', sha256Of: async (id) => (await permissionOf(id))?.sha256 },
}

export function servePdfs(router: Router) {
  router.get('/api/my/applications/:id/:paper', async (ctx: Context, next) => {
    const paper = papers[ctx.params.paper]
    if (!paper) return next()
    const actor = await accountOf(ctx)
    if (!actor) throw signInFirst()
    const application = await ownApplication(actor, ctx.params.id)
    const sha256 = await paper.sha256Of(application.id)
    if (!sha256) throw notFound()
    const { bytes, mediaType } = await readBytes(sha256)
    const fileName = `${paper.name}${application.reference ? `, ${application.reference}` : ''}.pdf`
    ctx.set({
      'Content-Type': mediaType,
      'Content-Disposition': `attachment; filename*=UTF-8''${encodeURIComponent(fileName)}`,
      'X-Content-Type-Options': 'nosniff',
      'Cache-Control': 'private, no-store',
    })
    ctx.body = bytes
  })
}
