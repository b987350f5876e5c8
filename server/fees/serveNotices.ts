import type Router from '@koa/router'
import type { Context } from 'koa'
import rawBody from 'raw-body'
import { depsNow } from '../platform/clock'
import type { Fixed } from '../platform/deps'
import { NotGenuine } from '../platform/outside/payments'
import { takeNotice } from './pay'

const mostBytes = 20_000

/** What the payment provider tells us of payments. It is signed, and no page of ours: so it is no endpoint of the contract. */
export function serveNotices(router: Router, fixed: Fixed) {
  router.post('/api/payment-notices', async (ctx: Context) => {
    const deps = await depsNow(fixed)
    const body = await rawBody(ctx.req, { limit: mostBytes, encoding: 'utf8' })
    if (!deps.payments) return ctx.throw(404)
    try {
      await takeNotice(deps, deps.payments.read(ctx.headers, body))
    } catch (error) {
      if (!(error instanceof NotGenuine) && !(error instanceof SyntaxError)) throw error
      deps.log.warn({ because: error.message }, 'a notice of a payment was refused')
      ctx.status = 400
      ctx.body = { refused: error.message }
      return
    }
    ctx.status = 204
  })
}
