import { readdir, rename, rm, stat } from 'node:fs/promises'
import { join } from 'node:path'
import type Router from '@koa/router'
import { FileStore } from '@tus/file-store'
import { ERRORS, Server } from '@tus/server'
import type { Context } from 'koa'
import { v4 as uuid } from 'uuid'
import { videoLimits } from '#core/documents/limits'
import { say } from '#core/words/say'
import { depsNow } from '../platform/clock'
import type { Account, Deps, Fixed } from '../platform/deps'
import { notFound, signInFirst } from '../platform/errors/problems'
import type { Callers } from '../platform/http/callers'
import { requireOurPage } from '../platform/http/cookies'
import { countAttempt } from '../platform/http/limits'
import { problems } from './problems'

/**
 * Files that come in pieces, so that a lost connection costs only the piece that was under way: the tus protocol 1.0.
 * An upload's name begins with the account it belongs to; nobody else reaches it.
 */
const path = '/api/my/uploads'
const keptForMs = 2 * 86_400_000

/** The account behind a request on its way through the tus server. */
const owners = new WeakMap<object, string>()

const folderOf = ({ config }: Pick<Deps, 'config'>) => config.uploadFolder

/** What one person may have begun and not brought to an end, in bytes. */
const mostBegun = 3 * videoLimits.bytes
const beginLimit = { most: 60, seconds: 3600 }

const makeServer = (deps: Pick<Deps, 'config'>) =>
  new Server({
    path,
    relativeLocation: true,
    maxSize: videoLimits.bytes,
    datastore: new FileStore({ directory: folderOf(deps), expirationPeriodInMilliseconds: keptForMs }),
    onResponseError: (_request, error) =>
      error === ERRORS.FILE_WRITE_ERROR || (error as { code?: string }).code === 'ENOSPC'
        ? { status_code: 507, body: say('documents.noRoom') }
        : undefined,
    namingFunction: ({ runtime }) => `${owners.get(runtime!.node!.req)}.${uuid().replaceAll('-', '')}`,
  })

export function serveUploads(router: Router, deps: Fixed, { sessionOf, writtenFor }: Callers) {
  const server = makeServer(deps)
  const take = async (ctx: Context) => {
    const writer = (await sessionOf(ctx, deps))?.account
    const actor = (await writtenFor(ctx, writer)) ?? writer
    if (!actor?.roles.includes('candidate')) throw signInFirst()
    if (ctx.method !== 'HEAD' && ctx.method !== 'OPTIONS') requireOurPage(ctx, deps)
    const name = ctx.path.slice(path.length + 1)
    if (name !== '' && !name.startsWith(`${actor.id}.`)) throw notFound()
    if (ctx.method === 'POST') await requireQuota(await depsNow(deps), actor, Number(ctx.get('Upload-Length')))
    owners.set(ctx.req, actor.id)
    ctx.respond = false
    await server.handle(ctx.req, ctx.res)
  }
  router.all(path, take)
  router.all(`${path}/:name`, take)
}

/** Nobody fills the disk with what they begin. */
async function requireQuota(deps: Deps, { id }: Account, size: number) {
  await countAttempt(deps, `upload begun ${id}`, beginLimit)
  const store = new FileStore({ directory: folderOf(deps) })
  let begun = size
  for (const name of await readdir(folderOf(deps)))
    if (name.startsWith(`${id}.`) && !name.endsWith('.json'))
      begun += (await store.getUpload(name).catch(() => undefined))?.size ?? 0
  if (begun > mostBegun) throw problems.tooMuchBegun()
}

/** Behind the name of an upload that is being put in its place. */
const taken = '.taken'

/**
 * Puts an upload of one's own in its place, once it is whole. Of several that take it at the same moment the first has it:
 * the file is given another name, which only one can do. Where its place refuses it, it is there as before.
 *
 * @throws Problem `not-whole`, or 404 where it is not there
 */
export async function takeUpload<T>(
  deps: Pick<Deps, 'config'>,
  actor: Account,
  upload: string,
  put: (file: string) => Promise<T>,
): Promise<T> {
  if (!upload.startsWith(`${actor.id}.`)) throw notFound()
  const store = new FileStore({ directory: folderOf(deps) })
  const { size, offset } = await store.getUpload(upload).catch(() => {
    throw notFound()
  })
  if (size !== offset) throw problems.notWhole()
  const file = join(folderOf(deps), upload)
  await rename(file, file + taken).catch(() => {
    throw notFound()
  })
  try {
    const done = await put(file + taken)
    for (const name of [file + taken, `${file}.json`]) await rm(name, { force: true })
    return done
  } catch (error) {
    await rename(file + taken, file)
    throw error
  }
}

/** Takes away what nobody has gone on with for two days, and what was left where the machine stopped in the middle. */
export async function forgetOldUploads(deps: Pick<Deps, 'config'>): Promise<number> {
  const folder = folderOf(deps)
  for (const name of await readdir(folder).catch(() => [])) {
    const file = join(folder, name)
    if (name.endsWith(taken) && Date.now() - (await stat(file)).mtimeMs > keptForMs) await rm(file, { force: true })
  }
  return makeServer(deps).cleanUpExpiredUploads()
}
