import { createServer, type Server } from 'node:http'
import type { Middleware } from 'koa'
import { Counter, collectDefaultMetrics, Gauge, Histogram, Registry } from 'prom-client'
import { QueryTypes, type Sequelize } from 'sequelize'
import type { Fixed } from '../deps'

/** What can be measured from outside, in the words of Prometheus (exposition format 0.0.4). Nothing of it is about a person. */
export type Metrics = { registry: Registry; watch: Middleware }

/** Requests counted by what answered them and how; never by address, which may hold a secret. */
export function makeMetrics({ sequelize }: Pick<Fixed, 'sequelize'>): Metrics {
  const registry = new Registry()
  collectDefaultMetrics({ register: registry })
  const labels = ['method', 'route', 'status'] as const
  const requests = new Counter({
    name: 'probatum_http_requests_total',
    help: 'Requests answered',
    labelNames: labels,
    registers: [registry],
  })
  const durations = new Histogram({
    name: 'probatum_http_request_duration_seconds',
    help: 'From the arrival of a request to the end of its answer',
    labelNames: ['method', 'route'],
    buckets: [0.005, 0.01, 0.025, 0.05, 0.1, 0.25, 0.5, 1, 2.5, 5, 10],
    registers: [registry],
  })
  countQueues(registry, sequelize)
  countConnections(registry, sequelize)
  return {
    registry,
    watch: async (ctx, next) => {
      const begun = process.hrtime.bigint()
      ctx.res.once('finish', () => {
        const route = String(ctx._matchedRoute ?? 'none')
        const { method } = ctx
        requests.inc({ method, route, status: ctx.status })
        durations.observe({ method, route }, Number(process.hrtime.bigint() - begun) / 1e9)
      })
      await next()
    },
  }
}

/** Jobs and messages that wait, read from the database when they are asked for. */
function countQueues(registry: Registry, sequelize: Sequelize) {
  const gauge = (name: string, help: string, labelNames: string[], sql: string) => {
    const made = new Gauge({
      name,
      help,
      labelNames,
      registers: [registry],
      async collect() {
        const rows = await sequelize.query<Record<string, string | number>>(sql, { type: QueryTypes.SELECT })
        made.reset()
        for (const { value, ...labels } of rows) made.set(labels, Number(value))
      },
    })
  }
  gauge(
    'probatum_jobs_waiting',
    'Jobs not done yet, by kind',
    ['kind'],
    'SELECT kind, COUNT(*) AS value FROM jobs WHERE doneAt IS NULL GROUP BY kind',
  )
  gauge(
    'probatum_jobs_oldest_seconds',
    'How long the oldest job that is due has waited, by kind',
    ['kind'],
    `SELECT kind, GREATEST(0, MAX(TIMESTAMPDIFF(MICROSECOND, runAt, UTC_TIMESTAMP(3)))) / 1000000 AS value
     FROM jobs WHERE doneAt IS NULL AND runAt <= UTC_TIMESTAMP(3) GROUP BY kind`,
  )
  gauge(
    'probatum_messages',
    'Mails and text messages that wait or were refused, by channel and state',
    ['channel', 'state'],
    `SELECT channel, state, COUNT(*) AS value FROM messages WHERE state IN ('queued', 'refused') GROUP BY channel, state`,
  )
}

type Pool = { size: number; available: number; using: number; waiting: number }

function countConnections(registry: Registry, sequelize: Sequelize) {
  const made = new Gauge({
    name: 'probatum_database_connections',
    help: 'Connections to the database, by what they do',
    labelNames: ['state'],
    registers: [registry],
    collect() {
      const { size, available, using, waiting } = (sequelize.connectionManager as unknown as { pool: Pool }).pool
      for (const [state, value] of Object.entries({ size, available, using, waiting })) made.set({ state }, value)
    },
  })
}

/** Serves the measures on a port of their own, which is not for everybody. */
export function serveMetrics({ registry }: Metrics, port: number, host: string): Promise<Server> {
  const server = createServer((request, response) => {
    if (request.url?.split('?')[0] !== '/metrics') {
      response.writeHead(404).end('There is nothing here but /metrics.')
      return
    }
    registry.metrics().then(
      (text) => response.writeHead(200, { 'Content-Type': registry.contentType }).end(text),
      () => response.writeHead(503).end('The database does not answer.'),
    )
  })
  return new Promise((done, fail) => {
    server.once('error', (error: NodeJS.ErrnoException) =>
      fail(error.code === 'EADDRINUSE' ? new Error(`Port ${port} is taken. Set METRICS_PORT to another.`) : error),
    )
    server.listen(port, host, () => done(server))
  })
}
