import type { Context } from 'koa'
import { behalfHeader } from '#contract/endpoint'
import { accountOfSession } from '../accounts/session'
import { personWrittenFor } from '../applications/behalf'
import type { Account } from '../deps'
import { Problem } from './problems'

export const sessionCookie = 'probatum'
export const csrfCookie = 'probatum-form'

/** Who is signed in, by the cookie of the session. */
export async function accountOf(ctx: Context): Promise<Account | undefined> {
  const token = ctx.cookies.get(sessionCookie)
  return token ? await accountOfSession(token) : undefined
}

/** The person for whom somebody of the desk writes, where the request names one of their applications. */
export async function actingFor(ctx: Context): Promise<Account | undefined> {
  const application = ctx.get(behalfHeader)
  return application ? await personWrittenFor(await accountOf(ctx), application) : undefined
}

/** A change has to repeat the form value of its cookie in a header, which a form of another site cannot. */
export function insistOnOurPage(ctx: Context) {
  const expected = ctx.cookies.get(csrfCookie)
  if (!expected || ctx.get('X-Probatum-Form') !== expected)
    throw new Problem(403, 'stale-page', 'This page is out of date. Load it again; what you typed is kept.')
}
