import { rmSync } from 'node:fs'
import { createServer, type RequestListener } from 'node:http'
import { resolve } from 'node:path'
import { createConnection } from 'mariadb'
import { pino } from 'pino'
import { v7 as uuid } from 'uuid'
import type { Role } from '#contract/roles'
import { openSession } from '#server/accounts/session'
import { makeApp } from '#server/app'
import { readConfig } from '#server/platform/config'
import { Account } from '#server/records/accounts/model'
import { prepare } from '#server/start'
import { startOwnDatabase } from '../scripts/ownDatabase'
import { type Visitor, visitor } from '../test/client'
import { applicationsEach, idOf, makeCrowd, nameOf } from './crowd'
import { percentile, type Result } from './result'
import { replay, statementsOf } from './statements'

const port = 4500
const warmUp = 30
const tries = 120
/** A database of this size is given memory of the size of its data. */
const memory = '4G'
const rowsExported = 100_000

type Measured = { p95: number; alone: number }

/** The desk on ever larger crowds: how long each page takes, against the same SQL by itself, and how it grows. */
export async function deskOf(sizes: readonly number[]): Promise<Result[]> {
  const bySize = new Map<number, Map<string, Measured>>()
  const results: Result[] = []
  for (const people of sizes) {
    const { measured, made, exported } = await measure(people)
    bySize.set(people, measured)
    results.push({
      what: `Making ${people.toLocaleString('en')} people`,
      measured: `${made.toFixed(0)} s`,
      wanted: people >= 100_000 ? 'under 15 min' : '',
    })
    if (exported) results.push(exported)
  }
  for (const [what, wanted] of Object.entries(wantedMs))
    for (const people of sizes) {
      const { p95, alone } = bySize.get(people)!.get(what)!
      const smallest = bySize.get(sizes[0]!)!.get(what)!.p95
      results.push({
        what: `${what}, ${people.toLocaleString('en')} people`,
        measured: `p95 ${p95.toFixed(1)} ms, ${(p95 / alone).toFixed(1)} times the SQL alone (${alone.toFixed(1)} ms), ${(p95 / smallest).toFixed(1)} times the smallest`,
        wanted: `under ${wanted} ms, under 3 times`,
      })
    }
  return results
}

const wantedMs = {
  'Vacancy list': 60,
  'Queue page': 30,
  'Table page': 60,
  'File open': 20,
  'Person search': 60,
  'Saved patch': 30,
}

async function measure(people: number) {
  const folder = resolve(`.check/bench-${people}`)
  rmSync(folder, { recursive: true, force: true })
  const database = await startOwnDatabase(folder, port + 6, { memory })
  const config = {
    ...readConfig({ SECOND_FACTOR: '', DATA_FOLDER: '.check/own' }),
    port,
    databaseUrl: database.url,
    logLevel: 'silent',
  }
  const fixed = await prepare(config, pino({ level: 'silent' }))
  const begun = Date.now()
  await makeCrowd(fixed, people)
  const made = (Date.now() - begun) / 1000
  // Without its jobs: the nightly computing anew of every standing is another measure.
  const { server, nextOnServer } = timedServer(makeApp(fixed).callback())
  server.listen(port, '127.0.0.1')
  await new Promise((ready) => server.once('listening', ready))
  const address = `http://127.0.0.1:${port}`
  const desk = visitor(address, { probatum: await staffSession() })
  const raw = await createConnection({
    host: '127.0.0.1',
    port: port + 6,
    user: 'root',
    database: 'probatum',
    connectTimeout: 15_000,
  })
  const some = (nth: number) => (nth * 7919) % people
  const sentOf = (nth: number) =>
    idOf('application', some(nth) * applicationsEach - ((some(nth) * applicationsEach) % 8))
  const calls: Record<string, (nth: number) => Promise<unknown>> = {
    'Vacancy list': () => desk.done('listVacancies'),
    'Queue page': (nth) => desk.done('readQueue', { params: { queue: nth % 2 ? 'applications' : 'verification' } }),
    'Table page': (nth) => desk.done('readTable', { query: { order: nth % 2 ? 'score' : 'sent', eligible: 'yes' } }),
    'File open': (nth) => desk.done('readFile', { params: { id: sentOf(nth) } }),
    'Person search': (nth) => desk.done('find', { query: { text: nameOf(some(nth)).slice(0, 9) } }),
    'Saved patch': await patching(address, people),
  }
  const measured = new Map<string, Measured>()
  for (const [what, call] of Object.entries(calls)) {
    await call(1)
    const statements = await statementsOf(fixed, () => call(2))
    const times: number[] = []
    const alone: number[] = []
    for (let nth = 3; nth < warmUp; nth += 1) await call(nth)
    for (let nth = warmUp; nth < warmUp + tries; nth += 1) {
      const [took] = await Promise.all([nextOnServer(), call(nth)])
      times.push(took)
      alone.push(await timed(() => replay(raw, statements)))
    }
    measured.set(what, { p95: percentile(times, 0.95), alone: percentile(alone, 0.95) })
  }
  const exported = people * applicationsEach >= rowsExported ? await exporting(desk) : undefined
  await raw.end()
  server.closeAllConnections()
  server.close()
  await fixed.sequelize.close()
  await database.stop()
  rmSync(folder, { recursive: true, force: true })
  return { measured, made, exported }
}

/** A server that tells how long it took over each request: from its arrival to the last byte handed over. */
function timedServer(handle: RequestListener) {
  let tell: (took: number) => void = () => undefined
  const server = createServer((request, response) => {
    const from = performance.now()
    response.once('finish', () => tell(performance.now() - from))
    handle(request, response)
  })
  const nextOnServer = () =>
    new Promise<number>((done) => {
      tell = done
    })
  return { server, nextOnServer }
}

/** A coordinator who is signed in. */
export async function staffSession(): Promise<string> {
  const account = await Account.create({
    id: uuid(),
    mail: 'bench@desk.test',
    name: 'Bench',
    passwordHash: 'none',
    roles: ['coordinator'] as Role[],
    confirmedAt: new Date(),
    createdAt: new Date(),
  })
  return openSession(account.id)
}

/** People who write: the eighth application of every second person is not sent. */
async function patching(address: string, people: number) {
  const writers: { person: Visitor; id: string; version: number }[] = []
  for (let nth = 0; nth < Math.min(20, people / 2); nth += 1) {
    const number = nth * 8 + 7
    const person = visitor(address, {
      probatum: await openSession(idOf('account', Math.floor(number / applicationsEach))),
    })
    const id = idOf('application', number)
    const { version } = await person.done('readDraft', { params: { id } })
    writers.push({ person, id, version })
  }
  return async (nth: number) => {
    const writer = writers[nth % writers.length]!
    const changes = { 'contact.home': { street: `Street ${nth}`, town: 'Vallorne', country: 'Austria' } }
    const body = { version: writer.version, changes }
    writer.version = (await writer.person.done('saveAnswers', { params: { id: writer.id }, body })).version
  }
}

async function timed(work: () => Promise<unknown>): Promise<number> {
  const from = performance.now()
  await work()
  return performance.now() - from
}

async function exporting(desk: Visitor): Promise<Result> {
  const before = process.memoryUsage().rss
  let most = before
  const from = performance.now()
  const reply = await desk.request('/api/desk/lists/applications')
  let rows = 0
  for await (const chunk of reply.body as unknown as AsyncIterable<Uint8Array>) {
    for (const byte of chunk) if (byte === 10) rows += 1
    most = Math.max(most, process.memoryUsage().rss)
    if (rows >= rowsExported) break
  }
  return {
    what: `Export of ${rowsExported.toLocaleString('en')} rows`,
    measured: `${((performance.now() - from) / 1000).toFixed(1)} s, ${((most - before) / 1e6).toFixed(0)} MB more at most`,
    wanted: 'under 10 s, flat memory',
  }
}
