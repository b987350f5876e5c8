import { spawn, spawnSync } from 'node:child_process'
import { existsSync, mkdirSync } from 'node:fs'
import { createServer } from 'node:net'
import { resolve } from 'node:path'
import { setTimeout as wait } from 'node:timers/promises'
import { createConnection } from 'mariadb'

export type OwnDatabase = {
  url: string
  stop: () => Promise<void>
  /** Ends it as a loss of power would, without a word. */
  kill: () => Promise<void>
}

/**
 * Starts a MariaDB server of our own on loopback, with its data in `folder` (made on first use), and gives the address
 * of the database `probatum` in it. Never touches a server that is already there.
 *
 * @param options.memory how much of its data it keeps in memory; with it grows how much may wait to be written to its files
 * @param options.durable whether every commit is on the disk before it is acknowledged, as in earnest
 * @throws Error where the port is taken or the server does not come up within 30 seconds
 */
export async function startOwnDatabase(
  folder: string,
  port: number,
  { memory = '256M', durable = false } = {},
): Promise<OwnDatabase> {
  const base = resolve(folder)
  const dataFolder = resolve(base, 'mariadb')
  await requireFree(port, 'the database')
  mkdirSync(base, { recursive: true })
  const user = process.getuid?.() === 0 ? ['--user=root'] : []
  if (!existsSync(resolve(dataFolder, 'mysql'))) {
    const made = spawnSync(
      'mariadb-install-db',
      [
        '--no-defaults',
        `--datadir=${dataFolder}`,
        '--auth-root-authentication-method=normal',
        '--skip-test-db',
        ...user,
      ],
      { encoding: 'utf8' },
    )
    if (made.status !== 0) throw new Error(`mariadb-install-db failed:\n${made.stderr ?? made.error}`)
  }
  const server = spawn(
    daemon(),
    [
      '--no-defaults',
      ...user,
      `--datadir=${dataFolder}`,
      `--port=${port}`,
      '--bind-address=127.0.0.1',
      `--socket=${resolve(base, 'db.sock')}`,
      `--pid-file=${resolve(base, 'db.pid')}`,
      `--log-error=${resolve(base, 'db.log')}`,
      '--character-set-server=utf8mb4',
      '--collation-server=utf8mb4_unicode_520_ci',
      `--innodb-flush-log-at-trx-commit=${durable ? 1 : 2}`,
      '--skip-name-resolve',
      `--innodb-buffer-pool-size=${memory}`,
      `--innodb-log-file-size=${memory.endsWith('G') ? '2G' : '96M'}`,
    ],
    { stdio: 'ignore' },
  )
  let ended = false
  server.on('exit', () => {
    ended = true
  })
  await untilItAnswers(port, () => ended, resolve(base, 'db.log'))
  const end = async (signal: 'SIGTERM' | 'SIGKILL') => {
    if (ended) return
    const gone = new Promise((done) => server.once('exit', done))
    server.kill(signal)
    await gone
  }
  return {
    url: `mariadb://root@127.0.0.1:${port}/probatum`,
    stop: () => end('SIGTERM'),
    kill: () => end('SIGKILL'),
  }
}

const daemon = () =>
  ['/usr/sbin/mariadbd', '/usr/bin/mariadbd', '/usr/local/bin/mariadbd'].find((path) => existsSync(path)) ?? 'mariadbd'

async function untilItAnswers(port: number, ended: () => boolean, log: string) {
  for (let attempt = 0; attempt < 300; attempt += 1) {
    if (ended()) throw new Error(`the database server ended at once; see ${log}`)
    try {
      const connection = await createConnection({ host: '127.0.0.1', port, user: 'root', connectTimeout: 1000 })
      await connection.query(
        'CREATE DATABASE IF NOT EXISTS probatum CHARACTER SET utf8mb4 COLLATE utf8mb4_unicode_520_ci',
      )
      await connection.end()
      return
    } catch {
      await wait(100)
    }
  }
  throw new Error(`the database server did not answer within 30 seconds; see ${log}`)
}

/** Throws with a plain sentence where a port on loopback is taken. */
export async function requireFree(port: number, what: string) {
  await new Promise<void>((done, fail) => {
    const probe = createServer()
    probe.once('error', () =>
      fail(
        new Error(
          `Port ${port}, wanted for ${what}, is taken. Stop what uses it, or choose other ports (see ./demo --help).`,
        ),
      ),
    )
    probe.listen(port, '127.0.0.1', () => probe.close(() => done()))
  })
}
