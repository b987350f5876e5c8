import type Router from '@koa/router'
import { depsNow } from '../platform/clock'
import { inTransaction } from '../platform/database/connection'
import type { Fixed } from '../platform/deps'
import { stopGeneralMail } from './generalMail'

/** What a mail program posts to end general mailings: a form of its own and no page of ours, so it is no endpoint (RFC 8058). */
export function serveStop(router: Router, fixed: Fixed) {
  router.post('/notices/:token', async (ctx) => {
    const deps = await depsNow(fixed)
    await inTransaction(deps.sequelize, () => stopGeneralMail(deps, ctx.params.token as string))
    ctx.status = 204
  })
}
