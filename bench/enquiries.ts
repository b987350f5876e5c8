import { rmSync } from 'node:fs'
import { resolve } from 'node:path'
import { type Connection, createConnection } from 'mariadb'
import { pino } from 'pino'
import { QueryTypes, type Sequelize } from 'sequelize'
import { vallorne } from '#scenario/organisation'
import { advanceDue } from '#server/enquiries/pass'
import { listEnquiries } from '#server/enquiries/queue'
import { clockAhead } from '#server/platform/clock'
import { readConfig } from '#server/platform/config'
import type { Account, Deps } from '#server/platform/deps'
import { readSource } from '#server/sources/read'
import { prepare } from '#server/start'
import { startOwnDatabase } from '../scripts/ownDatabase'
import { makeCrowd } from './crowd'
import { makeEnquiries } from './enquiriesOfCrowd'
import { percentile, type Result } from './result'
import { replay, statementsOf } from './statements'

const port = 4520
const people = 5000
const sourceCount = 50_000
const rounds = 120

/** A million enquiries about a hundred thousand claims, of fifty thousand sources: the queue, a source's page, and a night's work. */
export async function manyEnquiries(): Promise<Result[]> {
  const folder = resolve('.check/bench-enquiries')
  rmSync(folder, { recursive: true, force: true })
  const database = await startOwnDatabase(folder, port, { memory: '3G' })
  const settings = readConfig({ SECOND_FACTOR: '', DATA_FOLDER: '.check/own' })
  const fixed = await prepare({ ...settings, databaseUrl: database.url }, pino({ level: 'silent' }))
  const deps: Deps = { ...fixed, organisation: vallorne, clock: clockAhead(0, vallorne.timeZone) }
  await makeCrowd(fixed, people)
  await makeEnquiries(database.url, { people, sourceCount })
  const actor: Account = { kind: 'account', id: '', name: '', mail: '', roles: ['coordinator'], rights: [] }
  const { sequelize } = fixed
  const raw = await createConnection(database.url)
  const page = (what: string, call: () => Promise<unknown>) => measured(raw, sequelize, what, call)
  const results = [
    await page('Queue page', () => listEnquiries(deps, actor, {})),
    await page('Queue page of a country, overdue', () => listEnquiries(deps, actor, { country: 'AT', overdue: 'yes' })),
    await page('Queue page further down', later(deps, actor)),
    await page('A source’s page', await sourcePages(actor, sequelize)),
  ]
  await raw.end()
  results.push(await night(deps, database.url))
  await sequelize.close()
  await database.stop()
  return results
}

/** How long a page takes on the server, beside the statements it makes by themselves, one after the other. */
async function measured(
  raw: Connection,
  sequelize: Sequelize,
  what: string,
  call: () => Promise<unknown>,
): Promise<Result> {
  const p95 = await timesOf(call)
  const statements = await statementsOf({ sequelize }, call)
  const alone = await timesOf(() => replay(raw, statements))
  return {
    what,
    measured: `p95 ${p95.toFixed(1)} ms, ${(p95 / alone).toFixed(1)} times the SQL alone (${alone.toFixed(1)} ms)`,
    wanted: 'under 40 ms, under 2.5 times',
  }
}

/** The 95th of a hundred times, in milliseconds, once it is warm. */
async function timesOf(work: () => Promise<unknown>): Promise<number> {
  const times: number[] = []
  for (let nth = 0; nth < rounds; nth += 1) {
    const from = performance.now()
    await work()
    times.push(performance.now() - from)
  }
  return percentile(times.slice(20), 0.95)
}

/** One page after the other, as somebody leafs. */
function later(deps: Deps, actor: Account) {
  let after: string | undefined
  return async () => {
    const { next } = await listEnquiries(deps, actor, after ? { after } : {})
    after = next ?? undefined
  }
}

/** One source after the other. */
async function sourcePages(actor: Account, sequelize: Sequelize) {
  const ids = await sequelize.query<{ id: string }>('SELECT id FROM bench_sources ORDER BY n LIMIT 200', {
    type: QueryTypes.SELECT,
  })
  let nth = 0
  return () => readSource(actor, ids[nth++ % ids.length]!.id)
}

/** A night with a hundred thousand that are due: how long it takes, and how long its transactions last, from their first lock to the end. */
async function night(deps: Deps, url: string): Promise<Result> {
  const lasted = timeTransactions(deps.sequelize)
  const from = performance.now()
  const failed = await advanceDue(deps)
  const seconds = (performance.now() - from) / 1000
  const connection = await createConnection(url)
  const [count] = await connection.query("SELECT COUNT(*) AS reminded FROM enquiry_steps WHERE step = 'reminded'")
  await connection.end()
  const [p99, longest] = [percentile(lasted, 0.99), Math.max(...lasted)]
  return {
    what: `A night with ${Number(count.reminded).toLocaleString('en')} reminders`,
    measured: `${seconds.toFixed(1)} s, ${failed} failed; locks held at most ${longest.toFixed(0)} ms, p99 ${p99.toFixed(0)} ms, in ${lasted.length} transactions`,
    wanted: 'under 60 s, under 200 ms',
  }
}

/** Milliseconds that each transaction lasts from here on. The database's own list of them is only renewed when nobody reads it. */
function timeTransactions(sequelize: Sequelize): number[] {
  const lasted: number[] = []
  const begin = sequelize.transaction.bind(sequelize) as (work: (transaction: unknown) => Promise<unknown>) => unknown
  sequelize.transaction = (async (work: (transaction: unknown) => Promise<unknown>) => {
    let from = 0
    try {
      return await begin((transaction) => {
        from = performance.now()
        return work(transaction)
      })
    } finally {
      lasted.push(performance.now() - from)
    }
  }) as Sequelize['transaction']
  return lasted
}
