import { Transform } from 'node:stream'

/** What a dump holds: rows by table, and whether it was written to its end. */
export type DumpCounts = { rows: Record<string, number>; complete: boolean }

const insertion = /^INSERT INTO `([^`]+)` VALUES/

/**
 * Lets a dump through and counts the rows in it. mariadb-dump begins a line for each row, and no row holds a line break of its
 * own: they are written `\n` (MariaDB, mariadb-dump, `--extended-insert`).
 */
export function countingDump(): { through: Transform; counts: DumpCounts } {
  const counts: DumpCounts = { rows: {}, complete: false }
  let table: string | undefined
  let rest = ''
  const line = (text: string) => {
    const named = insertion.exec(text)?.[1]
    if (named) {
      table = named
      if (text.endsWith('VALUES')) return
      counts.rows[table] = (counts.rows[table] ?? 0) + 1
    } else if (table && text.startsWith('(')) counts.rows[table] = (counts.rows[table] ?? 0) + 1
    else table = undefined
    if (text.startsWith('-- Dump completed')) counts.complete = true
  }
  const through = new Transform({
    transform(chunk: Buffer, _encoding, done) {
      // Only how a line begins counts; half a character at the edge of a chunk does no harm to that.
      const parts = (rest + chunk.toString('latin1')).split('\n')
      rest = parts.pop()!
      for (const part of parts) line(part)
      done(null, chunk)
    },
    flush(done) {
      line(rest)
      done()
    },
  })
  return { through, counts }
}

/** How the client programs of MariaDB are told where the database is; the password goes by the environment, where no list of processes shows it. */
export function clientArguments(url: string): { database: string; given: string[]; env: NodeJS.ProcessEnv } {
  const { hostname, port, username, password, pathname } = new URL(url)
  return {
    database: decodeURIComponent(pathname.slice(1)),
    given: [
      '--no-defaults',
      `--host=${hostname}`,
      `--port=${port || 3306}`,
      `--user=${decodeURIComponent(username)}`,
      '--protocol=tcp',
      '--default-character-set=utf8mb4',
    ],
    env: { ...process.env, MYSQL_PWD: decodeURIComponent(password) },
  }
}
