import type Router from '@koa/router'
import type { Context } from 'koa'
import { ReportSchema } from '#contract/reports'
import type { Fixed } from '../platform/deps'
import { notFound } from '../platform/errors/problems'
import { schemaAddress } from './credential'
import { didDocument } from './signing'
import { listLastsMinutes, signedStatusList } from './statusList'

/** What whoever checks a report of ours without us needs: our keys by our name, the lists of what is revoked, and its shape. */
export function servePublished(router: Router, deps: Fixed) {
  const open = (ctx: Context, type: string, minutes: number) => {
    ctx.type = type
    ctx.set({ 'Access-Control-Allow-Origin': '*', 'Cache-Control': `public, max-age=${minutes * 60}` })
  }
  // did:web, 3.2: at the root of the host, or in the folder that its name says.
  router.get('/.well-known/did.json', async (ctx: Context) => {
    ctx.body = JSON.stringify(await didDocument(deps))
    open(ctx, 'application/did+json', listLastsMinutes)
  })
  router.get('/did.json', async (ctx: Context) => {
    ctx.body = JSON.stringify(await didDocument(deps))
    open(ctx, 'application/did+json', listLastsMinutes)
  })
  router.get('/api/statuses/:nth', async (ctx: Context) => {
    const nth = String(ctx.params.nth)
    if (!/^\d{1,5}$/.test(nth)) throw notFound()
    ctx.body = await signedStatusList(deps, Number(nth))
    open(ctx, 'application/vc+jwt', 0)
  })
  router.get('/api/schemas/report-1.json', (ctx: Context) => {
    ctx.body = JSON.stringify({
      $schema: 'https://json-schema.org/draft/2020-12/schema',
      $id: schemaAddress(deps),
      title: 'A report of what has been proven of a person',
      ...ReportSchema,
    })
    open(ctx, 'application/schema+json', 60)
  })
  router.get('/api/schemas/report-1.context.json', (ctx: Context) => {
    ctx.body = JSON.stringify({ '@context': { '@vocab': `${schemaAddress(deps)}#` } })
    open(ctx, 'application/ld+json', 60)
  })
}
