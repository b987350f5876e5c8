import type { Context } from 'koa'
import type { Endpoint, Input } from '#contract/endpoint'
import type { Account, Deps } from '../deps'

/** A session that holds, with whose it is. */
export type OpenSession = {
  account: Account
  /** The password was given a moment ago. */
  confirmed: boolean
  /** One-time codes are switched on. */
  codesOn: boolean
  /** What decides by which way they come in. */
  entrance: { roles: Account['roles']; providerSubject: string | null; breakGlass: boolean }
}

/** How the adapter learns who calls. What an account and a session are is the business of a feature. */
export type Callers = {
  /** The session of a request, where there is one that still holds. A page nobody has touched keeps no session alive. */
  sessionOf: (ctx: Context, deps: Pick<Deps, 'config'>) => Promise<OpenSession | undefined>
  /** The person for whom somebody of the desk writes, where the request names one of their applications. */
  writtenFor: (ctx: Context, writer: Account | undefined) => Promise<Account | undefined>
  /** Whether somebody may see what a request is about; asked of those who do not see every vacancy. */
  inSight: (account: Account, endpoint: Pick<Endpoint, 'path'>, input: Input<Endpoint>) => Promise<boolean>
  /** Whether somebody signs in with a second factor here. */
  needsCodes: (deps: Pick<Deps, 'config'>, entrance: OpenSession['entrance']) => boolean
}
