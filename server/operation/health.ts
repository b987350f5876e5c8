import { statfs } from 'node:fs/promises'
import type Router from '@koa/router'
import { QueryTypes } from 'sequelize'
import type { Fixed } from '../platform/deps'
import { newestMigration } from '../platform/migrations/migrate'

/** Less than this on the disk of our own files, in bytes, and nothing is taken in any more. */
const leastFree = 200 * 1024 * 1024
const patienceMs = 3_000

export type Standing = 'ok' | 'failed'
export type Readiness = { status: Standing; database: Standing; migrations: Standing; disk: Standing; ending: boolean }

/**
 * Whether this copy can take requests: the database answers within three seconds and has the shape this program needs, there
 * is room on the disk, and it is not on its way out.
 */
export async function readinessNow({ sequelize, config }: Fixed, ending: boolean): Promise<Readiness> {
  const [migrations, disk] = await Promise.all([
    inTime(hasNewestMigration(sequelize)),
    statfs(config.uploadFolder)
      .catch(() => statfs('.'))
      .then(({ bavail, bsize }) => bavail * bsize > leastFree)
      .catch(() => false),
  ])
  const standing = (fine: boolean): Standing => (fine ? 'ok' : 'failed')
  const fine = migrations === true && disk && !ending
  return {
    status: standing(fine),
    database: standing(migrations !== undefined),
    migrations: standing(migrations === true),
    disk: standing(disk),
    ending,
  }
}

/** A newer database is fine: old and new run side by side while one takes the place of the other. */
async function hasNewestMigration(sequelize: Fixed['sequelize']): Promise<boolean> {
  const rows = await sequelize.query<{ name: string }>('SELECT name FROM migrations WHERE name = :name', {
    replacements: { name: newestMigration },
    type: QueryTypes.SELECT,
  })
  return rows.length > 0
}

const inTime = <T>(work: Promise<T>): Promise<T | undefined> =>
  Promise.race([
    work.catch(() => undefined),
    new Promise<undefined>((done) => setTimeout(() => done(undefined), patienceMs).unref()),
  ])

/** `/health/live`: the process answers. `/health/ready`: it can take requests, or 503 with what is in the way. */
export function serveHealth(router: Router, fixed: Fixed, isEnding: () => boolean) {
  router.get('/health/live', (ctx) => {
    ctx.set('Cache-Control', 'no-store')
    ctx.body = { status: 'ok' }
  })
  router.get('/health/ready', async (ctx) => {
    const readiness = await readinessNow(fixed, isEnding())
    ctx.set('Cache-Control', 'no-store')
    ctx.status = readiness.status === 'ok' ? 200 : 503
    ctx.body = readiness
  })
}
