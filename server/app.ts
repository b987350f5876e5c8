import Router from '@koa/router'
import Koa, { type Context, type Next } from 'koa'
import compress from 'koa-compress'
import helmet from 'koa-helmet'
import serveStatic from 'koa-static'
import { UniqueConstraintError } from 'sequelize'
import { openApi } from '#contract/openapi'
import { ConditionSchema, RulesFile } from '#contract/ruleShapes'
import { accountRoutes } from './accounts/routes'
import { administrationRoutes } from './administration/routes'
import { equalityRoutes } from './applications/equality/routes'
import { applicationRoutes } from './applications/routes'
import { auditRoutes } from './audit/routes'
import { callers } from './callers'
import { catalogueRoutes } from './catalogue/routes'
import { identityRoutes } from './claims/identity/routes'
import { claimRoutes } from './claims/routes'
import { conversationRoutes } from './conversations/routes'
import { credentialRoutes } from './credentials/routes'
import { demoRoutes } from './demo/routes'
import { deskRoutes } from './desk/routes'
import { serveUploads } from './documents/uploads'
import { duplicatesRoutes } from './duplicates/routes'
import { enquiryRoutes } from './enquiries/routes'
import { servePlainReply } from './enquiries/servePlainReply'
import { closingRoutes } from './fees/closing/routes'
import { employerRoutes } from './fees/employers/routes'
import { feeRoutes } from './fees/routes'
import { serveNotices } from './fees/serveNotices'
import { hiringRoutes } from './hiring/routes'
import { scoringRoutes } from './hiring/scoring/routes'
import { importRoutes } from './incoming/imports/routes'
import { incomingMailRoutes } from './incoming/mail/routes'
import { paperRoutes } from './incoming/tray/routes'
import { matterRoutes } from './matters/routes'
import { messageRoutes } from './messages/routes'
import { serveStop } from './messages/serveStop'
import { onBehalfRoutes } from './onBehalf/routes'
import { serveHealth } from './operation/health'
import { operationRoutes } from './operation/routes'
import { originalRoutes } from './originals/routes'
import { servePages } from './pages'
import { currentOrganisation } from './platform/clock'
import type { Fixed } from './platform/deps'
import { describeError } from './platform/errors/describeError'
import { changedMeanwhile, Problem } from './platform/errors/problems'
import { inLanguageOf } from './platform/http/language'
import type { Metrics } from './platform/http/metrics'
import { endUnread } from './platform/http/patience'
import { problems } from './platform/http/problems'
import { requestIdOf, requestLog } from './platform/http/requestLog'
import { serve } from './platform/http/serve'
import { privacyRoutes } from './privacy/routes'
import { recipientRoutes } from './recipients/routes'
import { redFlagsRoutes } from './redFlags/routes'
import { servePublished } from './reports/publish'
import { reportRoutes } from './reports/routes'
import { skillsRoutes } from './skills/routes'
import { sourceRoutes } from './sources/routes'
import { statisticsRoutes } from './statistics/routes'
import { vacancyRoutes } from './vacancies/routes'
import { rulesRoutes } from './vacancies/rules/routes'
import { verificationRoutes } from './verification/routes'
import { vouchingRoutes } from './vouching/routes'

export const routes = [
  ...accountRoutes,
  ...administrationRoutes,
  ...catalogueRoutes,
  ...operationRoutes,
  ...vacancyRoutes,
  ...rulesRoutes,
  ...applicationRoutes,
  ...onBehalfRoutes,
  ...claimRoutes,
  ...sourceRoutes,
  ...statisticsRoutes,
  ...skillsRoutes,
  ...verificationRoutes,
  ...enquiryRoutes,
  ...credentialRoutes,
  ...identityRoutes,
  ...vouchingRoutes,
  ...equalityRoutes,
  ...hiringRoutes,
  ...feeRoutes,
  ...employerRoutes,
  ...closingRoutes,
  ...deskRoutes,
  ...auditRoutes,
  ...privacyRoutes,
  ...scoringRoutes,
  ...messageRoutes,
  ...conversationRoutes,
  ...matterRoutes,
  ...originalRoutes,
  ...incomingMailRoutes,
  ...duplicatesRoutes,
  ...redFlagsRoutes,
  ...reportRoutes,
  ...recipientRoutes,
  ...paperRoutes,
  ...importRoutes,
  ...demoRoutes,
]

const whoLeft = new Set(['ERR_STREAM_PREMATURE_CLOSE', 'ECONNRESET', 'EPIPE'])

/** How it is seen from outside: what is measured, and whether it is on its way out. */
export type Watched = { metrics?: Metrics | undefined; isEnding: () => boolean }

/** The whole application as one Koa app. */
export function makeApp(deps: Fixed, { metrics, isEnding }: Watched = { isEnding: () => false }): Koa {
  const { trustProxy } = deps.config
  const app = new Koa({ proxy: trustProxy > 0, maxIpsCount: trustProxy })
  // While a reply is on its way; that somebody reads it no further is no fault.
  app.on('error', (error: Error & { code?: string }) =>
    deps.log[whoLeft.has(error.code ?? '') ? 'debug' : 'error']({ error: describeError(error) }, 'a reply broke off'),
  )
  if (metrics) app.use(metrics.watch)
  app.use(requestLog(deps.log))
  app.use(endUnread(deps))
  app.use((ctx, next) => inLanguageOf(ctx, next))
  app.use(answerProblems(deps))
  app.use(
    helmet({
      contentSecurityPolicy: { directives: policy },
      strictTransportSecurity: deps.config.publicUrl.startsWith('https:'),
      // For a browser of 2009, with every answer.
      xDownloadOptions: false,
    }),
  )
  app.use(compress({ threshold: 2048, br: false, gzip: { level: 2 } }))
  const router = new Router()
  serveHealth(router, deps, isEnding)
  serveUploads(router, deps, callers)
  serveStop(router, deps)
  servePlainReply(router, deps)
  servePublished(router, deps)
  serveNotices(router, deps)
  serve(router, routes, deps, callers)
  router.get('/api/openapi.json', async (ctx: Context) => {
    ctx.body = openApi(`Probatum for ${(await currentOrganisation()).name}`, '1.0.0')
  })
  router.get('/api/schemas/rules.json', (ctx: Context) => {
    ctx.type = 'application/schema+json'
    ctx.body = JSON.stringify({
      $schema: 'https://json-schema.org/draft/2020-12/schema',
      ...RulesFile,
      $defs: { condition: ConditionSchema },
    })
  })
  router.all('/api/{*rest}', () => {
    throw problems.noSuchEndpoint()
  })
  const atNoPlace = servePages(router, deps)
  app.use(router.routes())
  app.use(
    serveStatic(deps.config.webFolder, {
      index: false,
      maxage: 0,
      setHeaders: (response, path) => {
        if (!path.includes('/assets/')) return
        response.setHeader('Cache-Control', 'public, max-age=31536000, immutable')
        if (neverADocument.test(path)) for (const header of ofDocuments) response.removeHeader(header)
      },
    }),
  )
  app.use(atNoPlace)
  return app
}

/** Only ourselves; pdf.js draws fonts from data, and pictures of documents and recordings are blobs. */
const policy = {
  defaultSrc: ["'self'"],
  imgSrc: ["'self'", 'data:', 'blob:'],
  mediaSrc: ["'self'", 'blob:'],
  fontSrc: ["'self'", 'data:'],
  styleSrc: ["'self'", "'unsafe-inline'"],
  scriptSrc: ["'self'", "'wasm-unsafe-eval'"],
  workerSrc: ["'self'", 'blob:'],
  frameAncestors: ["'none'"],
  formAction: ["'self'"],
  upgradeInsecureRequests: null,
}

/** Files that a page loads and nobody opens by themselves; a worker's script has a policy of its own. */
const neverADocument = /^(?!.*worker).*\.(css|js|woff2)(\.br|\.gz)?$/
/** What says how a document behaves; on each of thirty small files it would weigh more than some of them. */
const ofDocuments = [
  'Content-Security-Policy',
  'Cross-Origin-Opener-Policy',
  'Origin-Agent-Cluster',
  'Referrer-Policy',
  'X-DNS-Prefetch-Control',
  'X-Download-Options',
  'X-Frame-Options',
  'X-Permitted-Cross-Domain-Policies',
  'X-XSS-Protection',
]

/** Turns errors into problem details; what is nobody's fault but ours is logged and says nothing of the inside. */
function answerProblems(deps: Fixed) {
  return async (ctx: Context, next: Next) => {
    try {
      await next()
    } catch (error) {
      const problem = error instanceof Problem ? error : problemOf(error)
      if (problem.status >= 500)
        deps.log.error({ error: describeError(error), request: requestIdOf(ctx.req) }, 'a request failed')
      ctx.status = problem.status
      ctx.type = 'application/problem+json'
      ctx.body = JSON.stringify({ ...problem.body(), requestId: requestIdOf(ctx.req) })
    }
  }
}

/** No space left: of the machine (ENOSPC), or as the database says it (1021, 1114). */
function isDiskFull(error: unknown): boolean {
  const { code, original } = error as { code?: string; original?: { errno?: number } }
  return code === 'ENOSPC' || original?.errno === 1021 || original?.errno === 1114
}

function problemOf(error: unknown): Problem {
  // What exists once is unique in the database: of two who make it at the same moment the second is told.
  if (error instanceof UniqueConstraintError) return changedMeanwhile()
  if (isDiskFull(error)) return problems.noRoom()
  const status = (error as { status?: number }).status
  if (status === 404) return problems.notFound()
  if (status && status >= 400 && status < 500) return problems.badRequest(status)
  return problems.ourFault()
}
