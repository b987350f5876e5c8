import { createHash, randomBytes } from 'node:crypto'
import type { Readable } from 'node:stream'
import type Router from '@koa/router'
import type { Context } from 'koa'
import rawBody from 'raw-body'
import { QueryTypes } from 'sequelize'
import { type Endpoint, mayCall } from '#contract/endpoint'
import { documentLimits } from '#core/pages/limits'
import { inTransaction } from '../database/connection'
import { readingApart } from '../database/rows'
import { currentClock } from '../demo/clock'
import type { Actor, Deps } from '../deps'
import type { Route } from './bind'
import { accountOf, actingFor, csrfCookie, insistOnOurPage, sessionCookie } from './caller'
import { conflict, notAllowed, Problem, signInFirst } from './problems'
import { faultsOfReply, insistOnShape } from './validate'

const jsonLimit = 512 * 1024
const uploadLimit = documentLimits.bytes

/** Serves every bound endpoint: who may call, what comes in, one transaction, what goes out. */
export function serve(router: Router, routes: readonly Route[], deps: Omit<Deps, 'clock'>) {
  for (const route of routes)
    router.register(route.endpoint.path, [route.endpoint.method], (ctx) => readingApart(() => call(ctx, route, deps)))
}

async function call(ctx: Context, { endpoint, handle, transaction }: Route, fixed: Omit<Deps, 'clock'>) {
  const deps: Deps = { ...fixed, clock: await currentClock(fixed.config) }
  const caller = (endpoint.behalf && (await actingFor(ctx))) || (await accountOf(ctx))
  const actor: Actor = caller ?? { kind: 'nobody' }
  insistOnRole(endpoint, actor)
  if (endpoint.method !== 'GET') insistOnOurPage(ctx)
  const input = await inputOf(ctx, endpoint)
  const session = {
    token: ctx.cookies.get(sessionCookie),
    set: (token: string | undefined) =>
      void ctx.cookies.set(sessionCookie, token ?? '', {
        ...cookieOptions(deps),
        ...(token ? { maxAge: 14 * 86_400_000 } : { maxAge: 0 }),
      }),
  }
  const run = () => handle({ deps, actor, input, session, address: ctx.ip, csrf: () => csrfOf(ctx, deps) })
  const key = endpoint.once ? onceKeyOf(ctx) : undefined
  const guarded = key ? () => once(deps, actor, endpoint, key, input, run) : run
  const reply = transaction ? await inTransaction(deps.sequelize, guarded) : await guarded()
  ctx.set('Cache-Control', 'no-store')
  if (endpoint.file) return giveFile(ctx, reply as FileToKeep)
  if (process.env.NODE_ENV !== 'production') warnOfOddReply(deps, endpoint, reply)
  // Written out once: the length of an object would be found by writing it out as well.
  ctx.body = reply === undefined ? undefined : JSON.stringify(reply)
  ctx.type = 'json'
}

/** What an endpoint gives whose reply is a file. */
export type FileToKeep = {
  fileName: string
  mediaType: string
  body: Readable | Buffer
  /** Shown in the page and not kept. */
  inline?: boolean
}

function giveFile(ctx: Context, { fileName, mediaType, body, inline }: FileToKeep) {
  ctx.set({
    'Content-Type': mediaType,
    'Content-Disposition': `${inline ? 'inline' : 'attachment'}; filename*=UTF-8''${encodeURIComponent(fileName)}`,
    // Whatever somebody has sent stays a picture and does nothing.
    ...(inline ? { 'Content-Security-Policy': "default-src 'none'; sandbox" } : {}),
    'X-Content-Type-Options': 'nosniff',
    'Cache-Control': 'private, no-store',
  })
  ctx.body = body
}

/** The cookie value a page of ours repeats in a header; a form of another site cannot. */
function csrfOf(ctx: Context, deps: Pick<Deps, 'config'>): string {
  const known = ctx.cookies.get(csrfCookie)
  if (known && known.length >= 32) return known
  const made = randomBytes(24).toString('base64url')
  ctx.cookies.set(csrfCookie, made, cookieOptions(deps))
  return made
}

const cookieOptions = ({ config }: Pick<Deps, 'config'>) => ({
  httpOnly: true,
  sameSite: 'lax' as const,
  secure: config.publicUrl.startsWith('https:'),
  signed: false,
  overwrite: true,
})

function insistOnRole(endpoint: Endpoint, actor: Actor) {
  if (endpoint.who === 'anyone' || endpoint.who === 'bearer-of-link') return
  if (actor.kind !== 'account') throw signInFirst()
  if (!mayCall(endpoint, actor.roles)) throw notAllowed()
}

async function inputOf(ctx: Context, endpoint: Endpoint) {
  const params = ctx.params ?? {}
  const query = { ...ctx.query }
  insistOnShape(endpoint.params, params, 'params')
  insistOnShape(endpoint.query, query, 'query')
  if (endpoint.method === 'GET' || endpoint.method === 'DELETE') return { params, query, body: {} }
  const body = endpoint.bytes ? await bytesOf(ctx) : await jsonOf(ctx)
  if (!endpoint.bytes) insistOnShape(endpoint.body, body, 'body')
  return { params, query, body }
}

async function bytesOf(ctx: Context): Promise<Buffer> {
  try {
    return await rawBody(ctx.req, { limit: uploadLimit, length: ctx.request.length })
  } catch (error) {
    if ((error as { type?: string }).type !== 'entity.too.large') throw error
    throw new Problem(
      413,
      'file-too-large',
      'The file is larger than 10 MB. Save it smaller, or send its pages as separate files.',
    )
  }
}

async function jsonOf(ctx: Context): Promise<unknown> {
  if (ctx.request.length === 0) return {}
  const text = await rawBody(ctx.req, { limit: jsonLimit, length: ctx.request.length, encoding: 'utf8' }).catch(
    (error: { type?: string }) => {
      throw error.type === 'entity.too.large'
        ? new Problem(413, 'too-large', 'That is more than can be taken at once.')
        : error
    },
  )
  if (text === '') return {}
  try {
    return JSON.parse(text)
  } catch {
    throw new Problem(400, 'not-json', 'The body is not JSON.')
  }
}

function onceKeyOf(ctx: Context): string {
  const key = ctx.get('Idempotency-Key')
  if (key.length < 8 || key.length > 80)
    throw new Problem(400, 'key-missing', 'This needs an Idempotency-Key of 8 to 80 characters.')
  return key
}

/**
 * Does something once per key. The row is written first, so that of two calls at the same moment the second waits for
 * the first to commit and then gives its reply.
 */
async function once(
  deps: Deps,
  actor: Actor,
  endpoint: Endpoint,
  key: string,
  input: unknown,
  run: () => Promise<unknown>,
): Promise<unknown> {
  const who = actor.kind === 'account' ? actor.id : actor.kind
  const bodyHash = createHash('sha256').update(JSON.stringify(input)).digest('hex')
  const replacements = { who, key, endpoint: `${endpoint.method} ${endpoint.path}`, bodyHash, now: deps.clock.now() }
  const [, written] = await deps.sequelize.query(
    'INSERT IGNORE INTO once_replies (actor, idempotencyKey, endpoint, bodyHash, reply, createdAt) VALUES (:who, :key, :endpoint, :bodyHash, NULL, :now)',
    { replacements, type: QueryTypes.INSERT },
  )
  if (written === 0) {
    const [earlier] = await deps.sequelize.query<{ reply: unknown; bodyHash: string; endpoint: string }>(
      'SELECT reply, bodyHash, endpoint FROM once_replies WHERE actor = :who AND idempotencyKey = :key FOR UPDATE',
      { replacements, type: QueryTypes.SELECT },
    )
    if (earlier?.reply && earlier.bodyHash === bodyHash && earlier.endpoint === replacements.endpoint) {
      return typeof earlier.reply === 'string' ? JSON.parse(earlier.reply) : earlier.reply
    }
    throw conflict('key-used', 'This key was used for something else.')
  }
  const reply = await run().catch(async (error: unknown) => {
    // Without a transaction around it, the key has to be given free by hand.
    await deps.sequelize.query('DELETE FROM once_replies WHERE actor = :who AND idempotencyKey = :key', {
      replacements,
    })
    throw error
  })
  await deps.sequelize.query('UPDATE once_replies SET reply = :reply WHERE actor = :who AND idempotencyKey = :key', {
    replacements: { ...replacements, reply: JSON.stringify(reply) },
  })
  return reply
}

function warnOfOddReply(deps: Deps, endpoint: Endpoint, reply: unknown) {
  const faults = faultsOfReply(endpoint.reply, JSON.parse(JSON.stringify(reply ?? null)))
  if (faults.length === 0) return
  deps.log.error({ endpoint: endpoint.path, faults }, 'a reply does not have the shape its contract says')
  throw new Problem(500, 'odd-reply', 'The reply does not have the shape its contract says.', { faults })
}
