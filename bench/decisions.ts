import { rmSync } from 'node:fs'
import { resolve } from 'node:path'
import { createConnection } from 'mariadb'
import { pino } from 'pino'
import { QueryTypes, type Sequelize } from 'sequelize'
import { vallorne } from '#scenario/organisation'
import { verifyTrail } from '#server/audit/verify'
import { clockAhead } from '#server/platform/clock'
import { readConfig } from '#server/platform/config'
import { inTransaction } from '#server/platform/database/connection'
import type { Account, Deps } from '#server/platform/deps'
import { Claim } from '#server/records/claims/model'
import { prepare } from '#server/start'
import { decideClaim } from '#server/verification/decide'
import { giveView } from '#server/verification/reviews'
import { startOwnDatabase } from '../scripts/ownDatabase'
import { claimsEach, idOf, makeCrowd } from './crowd'
import { makeEnquiries } from './enquiriesOfCrowd'
import { percentile, type Result } from './result'

const port = 4520
const people = 100
const hands = 4
/** Every so many is contradicted, which takes a second person. */
const contradictedEvery = 20

/**
 * A day of decisions: four people decide 2,000 claims whose sources have answered, each claim two of them at the same moment.
 * What is lost, doubled, or half done is counted in the database, and the trail is verified.
 */
export async function manyDecisions(): Promise<Result[]> {
  const folder = resolve('.check/bench-decisions')
  rmSync(folder, { recursive: true, force: true })
  const database = await startOwnDatabase(folder, port, { memory: '1G' })
  const settings = readConfig({ SECOND_FACTOR: '', DATA_FOLDER: '.check/own' })
  const fixed = await prepare({ ...settings, databaseUrl: database.url }, pino({ level: 'silent' }))
  const deps: Deps = { ...fixed, organisation: vallorne, clock: clockAhead(0, vallorne.timeZone) }
  await makeCrowd(fixed, people)
  await makeEnquiries(database.url, { people, sourceCount: 1000 })
  await answerAll(database.url)
  const staff = await Promise.all(Array.from({ length: hands }, (_, nth) => somebody(fixed.sequelize, nth)))
  const ids = Array.from({ length: people * claimsEach }, (_, nth) => idOf('claim', nth))
  const times: number[] = []
  const refused = new Map<string, number>()
  const begun = performance.now()
  const decide = async (actor: Account, id: string, contradicts: boolean) => {
    const from = performance.now()
    const body = contradicts
      ? { version: 1, decision: 'contradicted' as const, note: 'Not what the source says' }
      : { version: 1, decision: 'confirmed' as const, note: '' }
    await inTransaction(fixed.sequelize, () => decideClaim(deps, actor, id, body)).catch((error: { code?: string }) => {
      const code = error.code ?? String(error)
      refused.set(code, (refused.get(code) ?? 0) + 1)
    })
    times.push(performance.now() - from)
  }
  // Two pairs, each through half of the claims, both of a pair at one claim at the same moment.
  const half = ids.length / 2
  await Promise.all(
    [0, 1].map(async (pair) => {
      for (const [nth, id] of ids.slice(pair * half, (pair + 1) * half).entries()) {
        const contradicts = nth % contradictedEvery === 0
        await Promise.all([decide(staff[2 * pair]!, id, contradicts), decide(staff[2 * pair + 1]!, id, contradicts)])
      }
    }),
  )
  const seconds = (performance.now() - begun) / 1000
  const seconded = await secondAll(deps, fixed.sequelize, staff)
  const results = [
    result(
      'Decisions attempted',
      `${times.length} in ${Math.round(seconds)} s, p95 ${Math.round(percentile(times, 0.95))} ms`,
      '4,000',
    ),
    result('Refused to the second of two', [...refused].map(([code, count]) => `${count} ${code}`).join(', '), '2,000'),
    result('Second views given', String(seconded), String(ids.length / contradictedEvery)),
    ...(await leftBehind(fixed.sequelize)),
    result('Trail', JSON.stringify(await verifyTrail()), 'unbroken'),
  ]
  await fixed.sequelize.close()
  await database.stop()
  return results
}

const result = (what: string, measured: string, wanted: string): Result => ({ what, measured, wanted })

/** Every claim's last question has its answer, which says what was claimed. */
async function answerAll(url: string) {
  const bulk = await createConnection(url)
  await bulk.query(`UPDATE enquiries SET state = 'answered', statement = claimed, reply = '{"known":true}', answeredAt = UTC_TIMESTAMP(3),
    turn = 'desk', activeKey = NULL WHERE state = 'open'`)
  await bulk.end()
}

async function somebody(sequelize: Sequelize, nth: number): Promise<Account> {
  const id = `018e0009-0000-7000-8000-00000000000${nth}`
  const name = `Coordinator ${nth}`
  await sequelize.query(
    `INSERT INTO accounts (id, mail, name, passwordHash, roles, confirmedAt, createdAt)
     VALUES (:id, :mail, :name, 'none', '["coordinator"]', UTC_TIMESTAMP(3), UTC_TIMESTAMP(3))`,
    { replacements: { id, name, mail: `c${nth}@crowd.test` } },
  )
  return { kind: 'account', id, name, mail: '', roles: ['coordinator'], rights: ['proof.settle'] }
}

/** Whoever is free says the same of every contradiction, two of them at the same moment. */
async function secondAll(deps: Deps, sequelize: Sequelize, staff: readonly Account[]): Promise<number> {
  const open = await sequelize.query<{ id: string; version: number; by: string }>(
    `SELECT r.id, r.version, v.accountId AS \`by\` FROM claim_reviews r JOIN review_views v ON v.reviewId = r.id WHERE r.state = 'second'`,
    { type: QueryTypes.SELECT },
  )
  let given = 0
  for (const { id, version, by } of open) {
    const others = staff.filter((one) => one.id !== by).slice(0, 2)
    const body = { version, decision: 'contradicted' as const, note: 'The same, having looked' }
    const said = await Promise.allSettled(
      others.map((actor) => inTransaction(sequelize, () => giveView(deps, actor, id, body))),
    )
    given += said.filter(({ status }) => status === 'fulfilled').length
  }
  return given
}

async function leftBehind(sequelize: Sequelize): Promise<Result[]> {
  const count = async (sql: string) =>
    Number(
      (await sequelize.query<{ n: number }>(`SELECT COUNT(*) AS n FROM ${sql}`, { type: QueryTypes.SELECT }))[0]!.n,
    )
  const wanted = people * claimsEach
  const contradicted = wanted / contradictedEvery
  return [
    result(
      'Claims confirmed',
      String(await Claim.count({ where: { rung: 'confirmed', version: 2 } })),
      String(wanted - contradicted),
    ),
    result('Findings', String(await count('findings')), String(wanted - contradicted)),
    result(
      'Claims with two findings',
      String(await count('(SELECT claimId FROM findings GROUP BY claimId HAVING COUNT(*) > 1) t')),
      '0',
    ),
    result('Reviews', String(await count('claim_reviews')), String(contradicted)),
    result(
      'Events of decisions',
      String(await count("events WHERE code = 'claim-decided'")),
      String(wanted - contradicted),
    ),
    result(
      'Confirmed without a finding',
      String(
        await count(
          "claims c LEFT JOIN findings f ON f.claimId = c.id WHERE c.rung = 'confirmed' AND c.version = 2 AND f.id IS NULL",
        ),
      ),
      '0',
    ),
  ]
}
