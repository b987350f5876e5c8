import { QueryTypes } from 'sequelize'
import type { Endpoint } from '#contract/endpoint'
import type { Deps } from '../deps'
import { Problem } from '../errors/problems'
import { problems } from './problems'
import { hashOf } from './tokens'

/** So many within so many seconds; what was counted leaks away evenly, so that waiting always helps. */
export type Limit = { most: number; seconds: number }

/**
 * Counts an attempt and throws once there were too many. Kept in the database, so that several copies count together. Call
 * it outside of a transaction that may be rolled back. Method: a leaky bucket as a meter (ITU-T I.371, annex A.5).
 */
export async function countAttempt(deps: Deps, bucket: string, { most, seconds }: Limit) {
  const replacements = { bucket: bucket.slice(0, 160), now: new Date(), most, seconds }
  await deps.sequelize.query(
    `INSERT INTO rate_limits (bucket, level, countedAt) VALUES (:bucket, 1, :now)
     ON DUPLICATE KEY UPDATE
       level = LEAST(:most + 1, GREATEST(0, level - :most * TIMESTAMPDIFF(MICROSECOND, countedAt, :now) / 1000000 / :seconds) + 1),
       countedAt = :now`,
    { replacements },
  )
  const [row] = await deps.sequelize.query<{ level: number }>('SELECT level FROM rate_limits WHERE bucket = :bucket', {
    replacements,
    type: QueryTypes.SELECT,
  })
  const over = Number(row?.level ?? 0) - most
  if (over <= 0) return
  const minutes = Math.max(1, Math.ceil((over * seconds) / most / 60))
  throw problems.tooManyAttempts(minutes)
}

/**
 * Throws where there have been too many attempts by now; counts none.
 *
 * @throws Problem `too-many-attempts`
 */
async function requireFewAttempts(deps: Deps, bucket: string, { most, seconds }: Limit) {
  const [row] = await deps.sequelize.query<{ level: number }>(
    'SELECT level - :most * TIMESTAMPDIFF(MICROSECOND, countedAt, :now) / 1000000 / :seconds AS level FROM rate_limits WHERE bucket = :bucket',
    { replacements: { bucket, now: new Date(), most, seconds }, type: QueryTypes.SELECT },
  )
  if (Number(row?.level ?? 0) >= most) throw problems.tooManyAttempts(Math.ceil(seconds / most / 60))
}

const wrongLinks = { most: 60, seconds: 900 }

/**
 * Does what somebody with a link asks for. A network from which many links of nobody's came is told nothing for a while, whatever
 * link it has; and of an endpoint that says so, one link may be used only so often.
 *
 * @throws Problem `too-many-attempts`
 */
export async function byLink<T>(
  deps: Deps,
  { endpoint, token, address }: { endpoint: Pick<Endpoint, 'path' | 'tries'>; token: string; address: string },
  run: () => Promise<T>,
): Promise<T> {
  const bucket = `wrong links ${networkOf(address)}`
  await requireFewAttempts(deps, bucket, wrongLinks)
  if (endpoint.tries) await countAttempt(deps, `${hashOf(token)} ${endpoint.path}`, endpoint.tries)
  return run().catch(async (error: unknown) => {
    if (error instanceof Problem && error.status === 404) await countAttempt(deps, bucket, wrongLinks)
    throw error
  })
}

/** Counts a mail to an address that whoever asks has typed: nobody else's mailbox is filled from here, whichever way. */
export const countMailTo = (deps: Deps, mail: string) =>
  countAttempt(deps, `mail to ${mail.trim().toLowerCase()}`, { most: 5, seconds: 3600 })

/** Takes back one count: it was no guess after all. */
export async function uncountAttempt(deps: Deps, bucket: string) {
  await deps.sequelize.query('UPDATE rate_limits SET level = GREATEST(0, level - 1) WHERE bucket = :bucket', {
    replacements: { bucket: bucket.slice(0, 160) },
  })
}

export async function forgetAttempts(deps: Deps, bucket: string) {
  await deps.sequelize.query('DELETE FROM rate_limits WHERE bucket = :bucket', {
    replacements: { bucket: bucket.slice(0, 160) },
  })
}

/** Takes away what has leaked out long ago. */
export async function forgetOldAttempts({ sequelize }: Deps) {
  await sequelize.query('DELETE FROM rate_limits WHERE countedAt < :before', {
    replacements: { before: new Date(Date.now() - 86_400_000) },
  })
}

/** Who shares an address: an IPv6 network of 64 bits is one household, an IPv4 address that came as IPv6 is itself. */
export function networkOf(address: string): string {
  const plain = address.replace(/^::ffff:/i, '')
  if (!plain.includes(':')) return plain
  const [head = '', tail = ''] = plain.split('::')
  const front = head.split(':').filter(Boolean)
  const back = tail.split(':').filter(Boolean)
  const whole = plain.includes('::')
    ? [...front, ...Array(Math.max(0, 8 - front.length - back.length)).fill('0'), ...back]
    : front
  return `${whole
    .slice(0, 4)
    .map((part) => part.toLowerCase().replace(/^0+(?=.)/, ''))
    .join(':')}::/64`
}
