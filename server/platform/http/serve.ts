import { createHash, randomUUID } from 'node:crypto'
import type { Readable } from 'node:stream'
import type Router from '@koa/router'
import type { Context } from 'koa'
import rawBody from 'raw-body'
import { QueryTypes } from 'sequelize'
import type { Endpoint, Input } from '#contract/endpoint'
import { mayCall } from '#contract/roles'
import { documentLimits } from '#core/documents/limits'
import { depsNow } from '../clock'
import { inTransaction } from '../database/connection'
import { readingApart } from '../database/rows'
import { type Account, type Actor, type Deps, type Fixed, isStaff } from '../deps'
import { notAllowed, notFound, signInFirst } from '../errors/problems'
import type { Route } from './bind'
import type { Callers, OpenSession } from './callers'
import { type CookieName, formValue, readCookie, requireOurPage, writeCookie } from './cookies'
import { byLink } from './limits'
import { inTime } from './patience'
import { problems } from './problems'
import { faultsOfReply, requireShape } from './validate'

const jsonLimit = 512 * 1024
const uploadLimit = documentLimits.bytes

/** Serves every bound endpoint: who may call, what comes in, one transaction, what goes out. */
export function serve(router: Router, routes: readonly Route[], deps: Fixed, callers: Callers) {
  for (const route of routes)
    router.register(route.endpoint.path, [route.endpoint.method], (ctx) =>
      readingApart(() => call(ctx, route, deps, callers)),
    )
}

async function call(
  ctx: Context,
  { endpoint, handle, transaction }: Route,
  fixed: Fixed,
  { sessionOf, writtenFor, inSight, needsCodes }: Callers,
) {
  const deps: Deps = await depsNow(fixed)
  const opened = await sessionOf(ctx, deps)
  const caller = (endpoint.behalf && (await writtenFor(ctx, opened?.account))) || opened?.account
  const actor: Actor = caller ?? { kind: 'nobody' }
  requireRole(endpoint, actor)
  if (opened) requireFactors(endpoint, opened, needsCodes(deps, opened.entrance))
  if (endpoint.method !== 'GET') requireOurPage(ctx, deps)
  const input = await inputOf(ctx, deps, endpoint)
  if (caller?.vacancies && !(await inSight(caller, endpoint, input))) throw notFound()
  if (opened) requirePassword(endpoint, opened, input.body)
  let token = readCookie(ctx, deps, 'session')
  const session = {
    token,
    set: (next: string | undefined) => {
      token = next
      writeCookie(ctx, deps, 'session', next, sessionMs)
    },
  }
  const browser = {
    read: (name: CookieName) => readCookie(ctx, deps, name),
    write: (name: CookieName, value: string, days: number) => writeCookie(ctx, deps, name, value, days * dayMs),
  }
  const csrf = () => formValue(ctx, deps, token)
  // `requireRole` has seen to it that there is an account where the endpoint asks for one.
  const run = () => handle({ deps, actor: actor as Account, input, session, browser, address: ctx.ip, csrf })
  const key = endpoint.idempotent ? onceKeyOf(ctx) : undefined
  const guarded = key ? () => once(deps, actor, endpoint, key, input, { transaction, run }) : run
  const done = () => (transaction ? inTransaction(deps.sequelize, guarded) : guarded())
  const link = endpoint.access === 'bearer-of-link' ? tokenIn(input) : ''
  const reply = await (link ? byLink(deps, { endpoint, token: link, address: ctx.ip }, done) : done())
  ctx.set('Cache-Control', 'no-store')
  if (endpoint.file) return giveFile(ctx, reply as FileToKeep)
  // Written out once: the length of an object would be found by writing it out as well.
  const text = reply === undefined ? undefined : JSON.stringify(reply)
  if (process.env.NODE_ENV !== 'production') warnOfOddReply(deps, endpoint, text)
  ctx.body = text
  ctx.type = 'json'
}

/** The token of a link is a part of the address, or of what is sent. */
const tokenIn = ({ params, body }: Input<Endpoint>): string =>
  (Object.assign({}, params, body) as { token?: string }).token ?? ''

const dayMs = 86_400_000
const sessionMs = 14 * dayMs

/** A role that signs in with a second factor does nothing before it is set up. */
function requireFactors(endpoint: Endpoint, { codesOn }: OpenSession, needed: boolean) {
  if (!codesOn && !endpoint.beforeCodes && needed) throw problems.codesFirst()
}

/** Acts about money and exports want the password once more. */
function requirePassword({ passwordAgain }: Endpoint, { account, confirmed }: OpenSession, body: unknown) {
  const asks = typeof passwordAgain === 'object' ? passwordAgain.with in (body as object) : passwordAgain
  if (asks && !confirmed && isStaff(account)) throw problems.passwordAgain()
}

/** What an endpoint gives whose reply is a file. */
export type FileToKeep = {
  fileName: string
  mediaType: string
  body: Readable | Buffer
  /** Length of a stream, where it is known, in bytes. */
  size?: number
  /** Shown in the page and not kept. */
  inline?: boolean
}

function giveFile(ctx: Context, { fileName, mediaType, body, size, inline }: FileToKeep) {
  ctx.set({
    'Content-Type': mediaType,
    'Content-Disposition': `${inline ? 'inline' : 'attachment'}; filename*=UTF-8''${encodeURIComponent(fileName)}`,
    // Whatever somebody has sent stays a picture and does nothing.
    ...(inline ? { 'Content-Security-Policy': "default-src 'none'; sandbox" } : {}),
    'X-Content-Type-Options': 'nosniff',
    'Cache-Control': 'private, no-store',
  })
  ctx.body = body
  if (size !== undefined) ctx.length = size
}

function requireRole(endpoint: Endpoint, actor: Actor) {
  if (endpoint.access === 'anyone' || endpoint.access === 'bearer-of-link') return
  if (actor.kind !== 'account') throw signInFirst()
  if (!mayCall(endpoint, actor)) throw notAllowed()
}

async function inputOf(ctx: Context, deps: Pick<Deps, 'config'>, endpoint: Endpoint) {
  const params = ctx.params ?? {}
  const query = { ...ctx.query }
  requireShape(endpoint.params, params, 'params')
  requireShape(endpoint.query, query, 'query')
  if (endpoint.method === 'GET' || endpoint.method === 'DELETE') return { params, query, body: {} }
  const body = await inTime(ctx, deps, endpoint.bytes ? bytesOf(ctx) : jsonOf(ctx))
  if (!endpoint.bytes) requireShape(endpoint.body, body, 'body')
  return { params, query, body }
}

async function bytesOf(ctx: Context): Promise<Buffer> {
  try {
    return await rawBody(ctx.req, { limit: uploadLimit, length: ctx.request.length })
  } catch (error) {
    if ((error as { type?: string }).type !== 'entity.too.large') throw error
    throw problems.fileTooLarge()
  }
}

async function jsonOf(ctx: Context): Promise<unknown> {
  if (ctx.request.length === 0) return {}
  const text = await rawBody(ctx.req, { limit: jsonLimit, length: ctx.request.length, encoding: 'utf8' }).catch(
    (error: { type?: string }) => {
      throw error.type === 'entity.too.large' ? problems.tooLarge() : error
    },
  )
  if (text === '') return {}
  try {
    return JSON.parse(text)
  } catch {
    throw problems.notJson()
  }
}

function onceKeyOf(ctx: Context): string {
  const key = ctx.get('Idempotency-Key')
  if (key.length < 8 || key.length > 80) throw problems.keyMissing()
  return key
}

/** Somebody who held a key for so long has died with it. */
const heldMs = 120_000

type Work = { transaction: boolean; run: () => Promise<unknown> }

/**
 * Does something once per key. The row is written first, so that of two calls at the same moment the second waits for
 * the first to commit and then gives its reply. In a transaction the key goes with whatever is rolled back; without one it
 * is given free by whoever holds it, and by nobody else.
 */
async function once(
  deps: Deps,
  actor: Actor,
  endpoint: Endpoint,
  key: string,
  input: unknown,
  { transaction, run }: Work,
): Promise<unknown> {
  const who = actor.kind === 'account' ? actor.id : actor.kind
  const bodyHash = createHash('sha256').update(JSON.stringify(input)).digest('hex')
  const now = new Date()
  const holder = randomUUID()
  const replacements = { who, key, endpoint: `${endpoint.method} ${endpoint.path}`, bodyHash, holder, now }
  const mine = 'actor = :who AND idempotencyKey = :key AND holder = :holder'
  const [, written] = await deps.sequelize.query(
    `INSERT IGNORE INTO idempotency_keys (actor, idempotencyKey, endpoint, bodyHash, holder, reply, createdAt)
     VALUES (:who, :key, :endpoint, :bodyHash, :holder, NULL, :now)`,
    { replacements, type: QueryTypes.INSERT },
  )
  if (written === 0) {
    const [earlier] = await deps.sequelize.query<{ reply: unknown; bodyHash: string; endpoint: string }>(
      'SELECT reply, bodyHash, endpoint FROM idempotency_keys WHERE actor = :who AND idempotencyKey = :key FOR UPDATE',
      { replacements, type: QueryTypes.SELECT },
    )
    if (earlier && (earlier.bodyHash !== bodyHash || earlier.endpoint !== replacements.endpoint))
      throw problems.keyUsed()
    if (earlier?.reply) return typeof earlier.reply === 'string' ? JSON.parse(earlier.reply) : earlier.reply
    const [, taken] = await deps.sequelize.query(
      `UPDATE idempotency_keys SET holder = :holder, createdAt = :now
       WHERE actor = :who AND idempotencyKey = :key AND reply IS NULL AND createdAt < :long`,
      { replacements: { ...replacements, long: new Date(now.getTime() - heldMs) }, type: QueryTypes.UPDATE },
    )
    if (taken === 0) throw problems.underWay()
  }
  const reply = await run().catch(async (error: unknown) => {
    if (!transaction) await deps.sequelize.query(`DELETE FROM idempotency_keys WHERE ${mine}`, { replacements })
    throw error
  })
  await deps.sequelize.query(`UPDATE idempotency_keys SET reply = :reply WHERE ${mine}`, {
    replacements: { ...replacements, reply: JSON.stringify(reply ?? null) },
  })
  return reply
}

/** Says in the log that a reply is not what its contract says. What is done is done: the reply goes out all the same. */
function warnOfOddReply(deps: Deps, endpoint: Endpoint, text: string | undefined) {
  const faults = faultsOfReply(endpoint.reply, JSON.parse(text ?? 'null'))
  if (faults.length > 0)
    deps.log.error({ endpoint: endpoint.path, faults }, 'a reply does not have the shape its contract says')
}
