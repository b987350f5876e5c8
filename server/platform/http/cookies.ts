import { randomBytes } from 'node:crypto'
import type { Context } from 'koa'
import type { Deps } from '../deps'
import { problems } from './problems'

type Ours = Pick<Deps, 'config' | 'vault'>

/** The cookies there are, each by what it is for. */
const cookies = {
  session: 'probatum',
  /** Somebody without a session, for the form value. */
  visitor: 'probatum-form',
  /** The browser somebody signed up in. */
  signUp: 'probatum-sign-up',
  /** The browser somebody left for the identity provider in. */
  provider: 'probatum-provider',
  /** A browser that has signed in to an account before, sealed. */
  device: 'probatum-device',
} as const
export type CookieName = keyof typeof cookies

const isSecure = ({ config }: Pick<Deps, 'config'>) => config.publicUrl.startsWith('https:')

/** Where the address is https, no other host and no unencrypted page can set or read a cookie of ours (RFC 6265bis, 4.1.3.2). */
const nameOf = (ours: Pick<Deps, 'config'>, name: CookieName) =>
  isSecure(ours) ? `__Host-${cookies[name]}` : cookies[name]

export const readCookie = (ctx: Context, ours: Pick<Deps, 'config'>, name: CookieName): string | undefined =>
  ctx.cookies.get(nameOf(ours, name))

export function writeCookie(
  ctx: Context,
  ours: Pick<Deps, 'config'>,
  name: CookieName,
  value: string | undefined,
  maxAgeMs: number,
) {
  // Whether a connection is safe is known by the public address: a proxy may end TLS in front of us.
  ctx.cookies.secure = isSecure(ours)
  ctx.cookies.set(nameOf(ours, name), value ?? '', {
    httpOnly: true,
    sameSite: 'lax',
    secure: isSecure(ours),
    signed: false,
    overwrite: true,
    path: '/',
    maxAge: value === undefined ? 0 : maxAgeMs,
  })
}

const yearMs = 365 * 86_400_000

/**
 * The value a page of ours repeats in a header, which a form of another site cannot. It belongs to the session: what was
 * true of one person is of no use for the next.
 *
 * @param session the secret of a session that was opened by this request, where one was
 */
export function formValue(ctx: Context, ours: Ours, session = readCookie(ctx, ours, 'session')): string {
  if (session) return ours.vault.sign('form', session)
  const known = readCookie(ctx, ours, 'visitor')
  const visitor = known && known.length >= 32 ? known : randomBytes(24).toString('base64url')
  if (visitor !== known) writeCookie(ctx, ours, 'visitor', visitor, yearMs)
  return ours.vault.sign('form', visitor)
}

export function requireOurPage(ctx: Context, ours: Ours) {
  const holder = readCookie(ctx, ours, 'session') ?? readCookie(ctx, ours, 'visitor')
  if (!holder || ctx.get('X-Probatum-Form') !== ours.vault.sign('form', holder)) throw problems.stalePage()
}
