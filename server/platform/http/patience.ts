import type { Context, Next } from 'koa'
import { documentLimits } from '#core/documents/limits'
import type { Deps } from '../deps'
import { problems } from './problems'

/** So slowly a file may come from a hut: 16 kB a second. */
const bytesPerMs = 16

/** How long a body may take to be here: the patience of the house, and the time its length takes on a slow line. */
const patienceFor = (ctx: Context, { config }: Pick<Deps, 'config'>) =>
  config.bodyPatienceMs + Math.min(ctx.request.length ?? 0, documentLimits.bytes) / bytesPerMs

/** The longest any request may take to arrive, in milliseconds: a file of the largest size from a hut, and a minute. */
export const longestRequestMs = Math.ceil(documentLimits.bytes / bytesPerMs) + 60_000

/**
 * Waits for a body. Whoever sends it drop by drop holds a connection, so what is not here in time is given up.
 *
 * @throws Problem `too-slow`
 */
export async function inTime<T>(ctx: Context, deps: Pick<Deps, 'config'>, reading: Promise<T>): Promise<T> {
  let timer: NodeJS.Timeout | undefined
  const late = new Promise<never>((_, fail) => {
    timer = setTimeout(
      () => {
        ctx.set('Connection', 'close')
        fail(problems.tooSlow())
      },
      patienceFor(ctx, deps),
    )
  })
  try {
    return await Promise.race([reading, late])
  } finally {
    clearTimeout(timer)
    reading.catch(() => undefined)
  }
}

/** Reads past the rest of a body that was refused, and ends the connection where that does not arrive in time either. */
export const endUnread = (deps: Pick<Deps, 'config'>) => async (ctx: Context, next: Next) => {
  await next()
  if (ctx.req.complete || ctx.respond === false) return
  const timer = setTimeout(() => ctx.req.complete || ctx.req.socket.destroy(), patienceFor(ctx, deps)).unref()
  for (const over of ['end', 'close']) ctx.req.once(over, () => clearTimeout(timer))
  ctx.req.resume()
}
