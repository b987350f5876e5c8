import { QueryTypes } from 'sequelize'
import type { Deps } from '../deps'
import { Problem } from './problems'

/**
 * Counts an attempt and throws once there were more than `most` within `seconds`. Kept in the database, so that several
 * copies count together. Call it outside of a transaction that may be rolled back.
 */
export async function countAttempt(deps: Deps, bucket: string, most: number, seconds: number) {
  const now = new Date()
  const replacements = { bucket: bucket.slice(0, 160), now, since: new Date(now.getTime() - seconds * 1000) }
  await deps.sequelize.query(
    `INSERT INTO attempts (bucket, windowStart, count) VALUES (:bucket, :now, 1)
     ON DUPLICATE KEY UPDATE count = IF(windowStart < :since, 1, count + 1), windowStart = IF(windowStart < :since, :now, windowStart)`,
    { replacements },
  )
  const [row] = await deps.sequelize.query<{ count: number }>('SELECT count FROM attempts WHERE bucket = :bucket', {
    replacements,
    type: QueryTypes.SELECT,
  })
  if ((row?.count ?? 0) > most)
    throw new Problem(
      429,
      'too-many-attempts',
      `That was tried too often. Wait ${Math.ceil(seconds / 60)} minutes and try again.`,
    )
}

export async function forgetAttempts(deps: Deps, bucket: string) {
  await deps.sequelize.query('DELETE FROM attempts WHERE bucket = :bucket', {
    replacements: { bucket: bucket.slice(0, 160) },
  })
}
