import { randomUUID } from 'node:crypto'
import type { Middleware } from 'koa'
import type { Logger } from 'pino'
import { pinoHttp } from 'pino-http'

/** Where a request went, without what only its sender may know: no query, no secrets of links. */
export const loggedPath = (url = ''): string =>
  url.split('?')[0]!.replace(/\/[\w-]{32,}(?=\/|$)/g, (part) => (uuid.test(part) ? part : '/…'))

const uuid = /^\/[\da-f]{8}(-[\da-f]{4}){3}-[\da-f]{12}$/

/** Logs every request under an identifier that stands in its reply too, also where it is refused. */
export function requestLog(logger: Logger): Middleware {
  const log = pinoHttp({
    logger,
    genReqId: (_request, response) => {
      const id = randomUUID()
      response.setHeader('X-Request-Id', id)
      return id
    },
    customLogLevel: (_request, { statusCode }, error) => (error || statusCode >= 500 ? 'error' : 'info'),
    serializers: {
      req: ({ id, method, url }: { id: string; method: string; url: string }) => ({
        id,
        method,
        path: loggedPath(url),
      }),
      res: ({ statusCode }: { statusCode: number }) => ({ status: statusCode }),
    },
  })
  return (ctx, next) => {
    log(ctx.req, ctx.res)
    return next()
  }
}

/** The identifier of a request, once `requestLog` has seen it. */
export const requestIdOf = (request: { id?: unknown }): string | undefined =>
  typeof request.id === 'string' ? request.id : undefined
