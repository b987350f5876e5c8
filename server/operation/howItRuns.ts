import { statfs } from 'node:fs/promises'
import { setTimeout as wait } from 'node:timers/promises'
import { Op, QueryTypes } from 'sequelize'
import { recordEvent } from '../platform/audit/record'
import { changeWhere } from '../platform/database/compareAndSet'
import { readSetting } from '../platform/database/settings'
import type { Account as Actor, Deps } from '../platform/deps'
import { notFound } from '../platform/errors/problems'
import { Job } from '../platform/jobs/model'
import type { LastBackup } from './backUp'
import { problems } from './problems'

const mostFailed = 50
/** A page waits no longer than this for a register to say anything at all. */
const registerPatienceMs = 1500
const startedAt = new Date(Date.now() - process.uptime() * 1000)

/** How it runs: counts and moments, never what a job or a message is about. */
export async function readOperation({ sequelize, config, registers: reached }: Deps) {
  const select = <Row extends object>(sql: string) => sequelize.query<Row>(sql, { type: QueryTypes.SELECT })
  const [waiting, failed, messages, [tables], [documents], registers, [server], free, lastBackup] = await Promise.all([
    select<{ kind: string; count: number; oldestAt: Date; underWay: number; tried: number }>(
      `SELECT kind, COUNT(*) AS count, MIN(queuedAt) AS oldestAt, SUM(leasedUntil > UTC_TIMESTAMP(3)) AS underWay,
        SUM(attempts > 0) AS tried FROM jobs WHERE doneAt IS NULL GROUP BY kind ORDER BY kind`,
    ),
    Job.findAll({
      where: { doneAt: { [Op.ne]: null }, lastError: { [Op.ne]: null } } as never,
      order: [['doneAt', 'DESC']],
      limit: mostFailed,
    }),
    select<{ channel: string; state: string; count: number; oldestAt: Date }>(
      `SELECT channel, state, COUNT(*) AS count, MIN(createdAt) AS oldestAt FROM messages
       WHERE state IN ('queued', 'refused') GROUP BY channel, state ORDER BY channel, state`,
    ),
    select<{ bytes: number | string }>(
      `SELECT COALESCE(SUM(DATA_LENGTH + INDEX_LENGTH), 0) AS bytes FROM information_schema.TABLES WHERE TABLE_SCHEMA = DATABASE()`,
    ),
    select<{ count: number; bytes: number | string }>(
      'SELECT COUNT(*) AS count, COALESCE(SUM(size), 0) AS bytes FROM blobs WHERE wholeAt IS NOT NULL',
    ),
    select<{ register: string; source: string; asked: number; lastAt: Date | null }>(
      `SELECT s.register, s.name AS source, COUNT(e.id) AS asked, MAX(e.askedAt) AS lastAt FROM sources s
       LEFT JOIN enquiries e ON e.sourceId = s.id AND e.channel = 'register'
       WHERE s.register IS NOT NULL AND s.retiredAt IS NULL GROUP BY s.id ORDER BY s.name`,
    ),
    select<{ version: string }>('SELECT VERSION() AS version'),
    statfs(config.uploadFolder)
      .catch(() => statfs('.'))
      .then(({ bavail, bsize }) => bavail * bsize)
      .catch(() => null),
    readSetting<LastBackup>('last-backup'),
  ])
  const names = [...new Set(registers.map(({ register }) => register))]
  const answering = new Map(await Promise.all(names.map(async (name) => [name, await answers(reached, name)] as const)))
  return {
    version: process.env.PROBATUM_VERSION ?? 'source',
    node: process.versions.node,
    database: server!.version,
    upSince: startedAt.toISOString(),
    jobs: {
      waiting: waiting.map(({ kind, count, oldestAt, underWay, tried }) => ({
        kind,
        count: Number(count),
        oldestAt: new Date(oldestAt).toISOString(),
        underWay: Number(underWay ?? 0),
        tried: Number(tried),
      })),
      failed: failed.map(({ id, kind, attempts, doneAt }) => ({ id, kind, attempts, at: doneAt!.toISOString() })),
    },
    messages: messages.map((line) => ({
      ...line,
      count: Number(line.count),
      oldestAt: new Date(line.oldestAt).toISOString(),
    })),
    room: {
      tables: Number(tables!.bytes),
      documents: { count: Number(documents!.count), bytes: Number(documents!.bytes) },
      free,
    },
    registers: registers.map((line) => ({
      ...line,
      asked: Number(line.asked),
      answers: answering.get(line.register)!,
      lastAt: line.lastAt && new Date(line.lastAt).toISOString(),
    })),
    lastBackup: lastBackup ?? null,
  }
}

/** Whether a register says anything when it is asked for a number that nobody has. */
async function answers(registers: Deps['registers'], name: string): Promise<boolean> {
  const said = registers.lookUp(name, '0').then(
    () => true,
    () => false,
  )
  return Promise.race([said, wait(registerPatienceMs, false, { ref: false })])
}

/** Has a job done again that was given up; of two who ask at once it is queued once. */
export async function retryJob(deps: Deps, actor: Actor, id: string) {
  const job = await Job.findByPk(id)
  if (!job) throw notFound()
  const again = { doneAt: null, lastError: null, attempts: 0, runAt: new Date(), leasedUntil: null }
  const given = { doneAt: { [Op.ne]: null }, lastError: { [Op.ne]: null } } as never
  if (!(await changeWhere(job, given, again))) throw problems.notGivenUp()
  await recordEvent(deps, actor, { code: 'job-retried', values: { kind: { code: `administration.job.${job.kind}` } } })
  return { done: true as const }
}
