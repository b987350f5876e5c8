import { rmSync } from 'node:fs'
import { resolve } from 'node:path'
import { setTimeout as wait } from 'node:timers/promises'
import { createConnection } from 'mariadb'
import { pino } from 'pino'
import { QueryTypes, type Sequelize } from 'sequelize'
import { vallorne } from '#scenario/organisation'
import { advanceDue } from '#server/enquiries/pass'
import { listEnquiries } from '#server/enquiries/queue'
import { clockAhead } from '#server/platform/clock'
import { readConfig } from '#server/platform/config'
import type { Account, Deps } from '#server/platform/deps'
import { addSources } from '#server/records/sources/sources'
import { readSource } from '#server/sources/read'
import { prepare } from '#server/start'
import { startOwnDatabase } from '../scripts/ownDatabase'
import { applicationsEach, claimsEach, makeCrowd, sqlId } from './crowd'
import { percentile, type Result } from './result'

const port = 4520
const people = 5000
const sourceCount = 50_000
const perClaim = 10
const countries = ['AT', 'DE', 'CH', 'FR', 'IT', 'NO', 'PL', 'ES', 'SI', 'DK']
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
  for (let at = 0; at < sourceCount; at += 1000)
    await addSources(
      Array.from({ length: 1000 }, (_, nth) => ({
        ...{ name: `Source ${at + nth}`, kind: 'employer' as const, town: 'Somewhere', country: countries[nth % 10]! },
        contacts: [{ mail: `office@s${at + nth}.example` }],
      })),
    )
  await makeEnquiries(database.url)
  const actor: Account = { kind: 'account', id: '', name: '', mail: '', roles: ['coordinator'], rights: [] }
  const { sequelize } = fixed
  const results = [
    await measured('Queue page', () => listEnquiries(deps, actor, {}), await alone(sequelize, "turn = 'source'")),
    await measured(
      'Queue page of a country, overdue',
      () => listEnquiries(deps, actor, { country: 'AT', overdue: 'yes' }),
      await alone(sequelize, "turn = 'source' AND country = 'AT' AND state = 'open' AND answerBy < CURDATE()"),
    ),
    await measured(
      'Queue page further down',
      later(deps, actor),
      await alone(sequelize, "turn = 'source' AND slack > 0"),
    ),
    await sourcePage(actor, sequelize),
    await night(deps, database.url),
  ]
  await sequelize.close()
  await database.stop()
  return results
}

async function makeEnquiries(url: string) {
  const bulk = await createConnection(url)
  await bulk.query('SET SESSION unique_checks = 0, foreign_key_checks = 0, check_constraint_checks = 0')
  const claims = people * claimsEach
  await bulk.query("UPDATE claims SET rung = 'asked', version = 1")
  await bulk.query(
    'CREATE TABLE bench_sources AS SELECT ROW_NUMBER() OVER (ORDER BY id) - 1 AS n, id, country, JSON_VALUE(known, "$.contacts[0].id") AS contactId FROM sources WHERE name LIKE "Source %"',
  )
  await bulk.query('ALTER TABLE bench_sources ADD PRIMARY KEY (n)')
  // The first of each claim goes on and is due; the others have ended long ago.
  const live = 'e.seq MOD 10 = 0'
  const claim = `FLOOR(e.seq / ${perClaim})`
  await bulk.query(`INSERT INTO enquiries (id, batchId, claimId, credentialVersion, applicationId, sourceId, round, channel, state, claimed, askedAt, askedBy,
      answerBy, expiresAt, answeredAt, reference, contactId, activeKey, turn, slack, country, dueOn)
    SELECT ${sqlId('enquiry', 'e.seq')}, ${sqlId('enquiry', 'e.seq')}, ${sqlId('claim', claim)}, 1,
      ${sqlId('application', `FLOOR(${claim} / ${claimsEach}) * ${applicationsEach}`)}, s.id, 1, 'link', IF(${live}, 'open', 'answered'), '{"name":"A B"}',
      DATE_SUB(UTC_TIMESTAMP(3), INTERVAL 20 + e.seq MOD 300 DAY), 'Ines', DATE_SUB(CURDATE(), INTERVAL 3 DAY), DATE_ADD(UTC_TIMESTAMP(3), INTERVAL 60 DAY),
      IF(${live}, NULL, UTC_TIMESTAMP(3)), CONCAT('EQ-', e.seq), s.contactId, IF(${live}, ${sqlId('claim', claim)}, NULL), IF(${live}, 'source', NULL),
      CAST(e.seq * 7919 MOD 90 AS SIGNED) - 20, s.country, IF(${live}, CURDATE(), NULL)
    FROM seq_0_to_${claims * perClaim - 1} e JOIN bench_sources s ON s.n = e.seq * 31 MOD ${sourceCount}`)
  await bulk.query('ANALYZE TABLE enquiries, claims, sources')
  await bulk.end()
}

/** The same page as SQL by itself, in milliseconds. */
async function alone(sequelize: Sequelize, where: string): Promise<number> {
  const times: number[] = []
  for (let nth = 0; nth < rounds; nth += 1) {
    const from = performance.now()
    await sequelize.query(`SELECT * FROM enquiries WHERE ${where} ORDER BY slack, askedAt, id LIMIT 51`, {
      type: QueryTypes.SELECT,
    })
    times.push(performance.now() - from)
  }
  return percentile(times, 0.95)
}

async function measured(what: string, page: () => Promise<unknown>, sql: number): Promise<Result> {
  const times: number[] = []
  for (let nth = 0; nth < rounds; nth += 1) {
    const from = performance.now()
    await page()
    times.push(performance.now() - from)
  }
  const p95 = percentile(times.slice(10), 0.95)
  return {
    what,
    measured: `p95 ${p95.toFixed(1)} ms, ${(p95 / sql).toFixed(1)} times the SQL alone (${sql.toFixed(1)} ms)`,
    wanted: 'under 40 ms, under 2.5 times',
  }
}

/** One page after the other, as somebody leafs. */
function later(deps: Deps, actor: Account) {
  let after: string | undefined
  return async () => {
    const { next } = await listEnquiries(deps, actor, after ? { after } : {})
    after = next ?? undefined
  }
}

async function sourcePage(actor: Account, sequelize: Sequelize) {
  const ids = await sequelize.query<{ id: string }>('SELECT id FROM bench_sources ORDER BY n LIMIT 200', {
    type: QueryTypes.SELECT,
  })
  let nth = 0
  const times: number[] = []
  for (const { id } of ids) {
    const from = performance.now()
    await sequelize.query('SELECT * FROM sources WHERE id = :id', { replacements: { id }, type: QueryTypes.SELECT })
    times.push(performance.now() - from)
  }
  return measured('A source’s page', () => readSource(actor, ids[nth++ % ids.length]!.id), percentile(times, 0.95))
}

/** A night with a hundred thousand that are due: how long it takes, and how long the longest of its transactions held its locks. */
async function night(deps: Deps, url: string): Promise<Result> {
  const watch = await createConnection(url)
  let longest = 0
  let over = false
  const watching = (async () => {
    while (!over) {
      const [row] = await watch.query(
        'SELECT MAX(TIMESTAMPDIFF(MICROSECOND, trx_started, NOW(6))) / 1000 AS ms FROM information_schema.innodb_trx WHERE trx_rows_locked > 0',
      )
      longest = Math.max(longest, Number(row?.ms ?? 0))
      await wait(10)
    }
  })()
  const from = performance.now()
  const failed = await advanceDue(deps)
  const seconds = (performance.now() - from) / 1000
  over = true
  await watching
  const [count] = await watch.query("SELECT COUNT(*) AS reminded FROM enquiry_steps WHERE step = 'reminded'")
  await watch.end()
  return {
    what: `A night with ${Number(count.reminded).toLocaleString('en')} reminders`,
    measured: `${seconds.toFixed(1)} s, ${failed} failed; the longest transaction with locks ${longest.toFixed(0)} ms`,
    wanted: 'under 60 s, under 200 ms',
  }
}
