import { type ChildProcess, spawn } from 'node:child_process'
import { once } from 'node:events'
import { createServer } from 'node:http'
import type { AddressInfo } from 'node:net'
import { dirname } from 'node:path'
import { v7 as uuid } from 'uuid'
import { visitor } from '../../test/client'
import { type House, openHouse, until } from '../../test/house'
import { giveBackLeases, holding, leaseOf } from '../platform/jobs/lease'
import { Job } from '../platform/jobs/model'
import { newestMigration } from '../platform/migrations/migrate'
import { readinessNow } from './health'

let house: House
beforeAll(async () => {
  house = await openHouse('health')
}, 60_000)
afterAll(() => house.close())

const freePort = () =>
  new Promise<number>((done) => {
    const probe = createServer().listen(0, '127.0.0.1', () => {
      const { port } = probe.address() as AddressInfo
      probe.close(() => done(port))
    })
  })

test('alive and ready are told to whoever asks, and nothing else', async () => {
  const live = await house.visitor().request('/health/live')
  expect([live.status, await live.json()]).toEqual([200, { status: 'ok' }])
  const ready = await house.visitor().request('/health/ready')
  expect([ready.status, await ready.json()]).toEqual([
    200,
    { status: 'ok', database: 'ok', migrations: 'ok', disk: 'ok', ending: false },
  ])
  expect(ready.headers.get('cache-control')).toBe('no-store')
})

test('not ready where a migration is missing, the database is gone, or it is on its way out', async () => {
  const { fixed } = house
  expect(await readinessNow(fixed, true)).toMatchObject({ status: 'failed', database: 'ok', ending: true })
  const last = { name: newestMigration }
  await fixed.sequelize.query('DELETE FROM migrations WHERE name = :name', { replacements: last })
  expect(await readinessNow(fixed, false)).toMatchObject({ status: 'failed', database: 'ok', migrations: 'failed' })
  await fixed.sequelize.query('INSERT INTO migrations (name) VALUES (:name)', { replacements: last })
  const gone = { ...fixed, sequelize: { query: () => new Promise(() => {}) } as never }
  expect(await readinessNow(gone, false)).toMatchObject({ status: 'failed', database: 'failed' })
})

describe('another copy on the same database, as it is run', () => {
  let port: number
  let metricsPort: number
  let child: ChildProcess
  let ended: Promise<unknown>
  beforeAll(async () => {
    port = await freePort()
    metricsPort = await freePort()
    const { databaseUrl, secretFile, webFolder, smtpUrl } = house.fixed.config
    const { PATH = '', HOME = '' } = process.env
    child = spawn(process.execPath, ['--import', 'tsx', 'server/main.ts'], {
      env: {
        ...{ PATH, HOME, PORT: String(port), METRICS_PORT: String(metricsPort), LOG_LEVEL: 'silent' },
        ...{ DATABASE_URL: databaseUrl, SECRET_FILE: secretFile, WEB_FOLDER: webFolder, SMTP_URL: smtpUrl },
        ...{ DATA_FOLDER: dirname(secretFile), END_PATIENCE_SECONDS: '8' },
      },
      stdio: 'inherit',
    })
    ended = once(child, 'exit')
    await until(() =>
      fetch(`http://127.0.0.1:${port}/health/ready`).then(
        ({ ok }) => ok,
        () => false,
      ),
    )
  }, 60_000)
  afterAll(() => void child.kill('SIGKILL'))

  test('measures requests by the route that answered, never by an address with a secret in it', async () => {
    const guest = visitor(`http://127.0.0.1:${port}`)
    await guest.request('/api/vacancies/track-engineer')
    await guest.request(`/api/enquiries/${'s'.repeat(43)}`)
    const runAt = new Date(Date.now() + 3_600_000)
    await Job.create({ id: uuid(), kind: 'mail', uniqueKey: null, payload: {}, attempts: 0, runAt })
    const text = await (await fetch(`http://127.0.0.1:${metricsPort}/metrics`)).text()
    expect(text).toContain('probatum_http_requests_total{method="GET",route="/api/vacancies/:slug",status="200"} 1')
    expect(text).toContain('route="/api/enquiries/:token"')
    expect(text).toMatch(/probatum_jobs_waiting\{kind="mail"\} [1-9]/)
    expect(text).toMatch(/probatum_database_connections\{state="size"\} [1-9]/)
    expect(text).toContain('nodejs_eventloop_lag_seconds')
    expect(text).not.toContain('ssssss')
    expect((await guest.request('/metrics')).status).toBe(404)
  })

  test('asked to end, answers what is under way first and takes nothing more', async () => {
    const session = await fetch(`http://127.0.0.1:${port}/api/session`)
    const { csrf } = (await session.json()) as { csrf: string }
    const cookie = session.headers
      .getSetCookie()
      .map((line) => line.split(';')[0])
      .join('; ')
    const body = JSON.stringify({ mail: 'nobody@grimvik.example' })
    // The body comes in two parts, and the end is asked for in between.
    const stream = new ReadableStream({
      async start(controller) {
        controller.enqueue(new TextEncoder().encode(body.slice(0, 5)))
        await new Promise((done) => setTimeout(done, 900))
        controller.enqueue(new TextEncoder().encode(body.slice(5)))
        controller.close()
      },
    })
    const reply = fetch(`http://127.0.0.1:${port}/api/accounts/reset-password`, {
      method: 'POST',
      headers: { 'Content-Type': 'application/json', 'X-Probatum-Form': csrf, Cookie: cookie },
      body: stream,
      duplex: 'half',
    } as RequestInit).then(async (answer) => [answer.status, await answer.json()])
    await new Promise((done) => setTimeout(done, 300))
    child.kill('SIGTERM')
    await new Promise((done) => setTimeout(done, 200))
    await expect(fetch(`http://127.0.0.1:${port}/health/live`)).rejects.toThrow()
    expect(await reply).toEqual([200, { done: true }])
    expect(await ended).toEqual([0, null])
  }, 20_000)
})

/** A kind that no lane works on, so that nobody takes it meanwhile. */
const nobodys = 'nobody’s' as never

test('a job that is given back is free for another copy at once, and is not held any longer by the first', async () => {
  const runAt = new Date(Date.now() - 1000)
  const job = await Job.create({ id: uuid(), kind: nobodys, uniqueKey: null, payload: {}, attempts: 0, runAt })
  const leased = await leaseOf(house.fixed, [nobodys], 300)
  expect(leased!.id).toBe(job.id)
  let finish = () => {}
  const work = holding(job, () => new Promise<void>((done) => (finish = done)), 300)
  expect(await leaseOf(house.fixed, [nobodys])).toBeUndefined()
  await giveBackLeases(house.fixed)
  await new Promise((done) => setTimeout(done, 250))
  expect((await leaseOf(house.fixed, [nobodys]))!.id).toBe(job.id)
  finish()
  await work
})
