import { accessSync, constants, existsSync, mkdirSync, statfsSync, statSync } from 'node:fs'
import { tmpdir } from 'node:os'
import { join, resolve, sep } from 'node:path'
import { createConnection } from 'mariadb'
import { createTransport } from 'nodemailer'
import type { Config } from '../platform/config'
import { openidProvider, returnAddress } from '../platform/outside/identityProvider'

/** What was looked at: fine, not as it should be, or in the way; and in a sentence what is wrong and how to put it right. */
export type Finding = { what: string; state: 'fine' | 'care' | 'wrong'; said: string }

const fine = (what: string, said: string): Finding => ({ what, state: 'fine', said })
const care = (what: string, said: string): Finding => ({ what, state: 'care', said })
const wrong = (what: string, said: string): Finding => ({ what, state: 'wrong', said })

const MiB = 1024 * 1024
const leastNode = [20, 12] as const
const leastMariaDb = [10, 11] as const
const leastPacket = 16 * MiB
const leastFree = 1024 * MiB
const mostClockDifferenceMs = 2_000

/** Everything an installation rests on. Nothing is changed but that folders are made. */
export async function checkEverything(config: Config): Promise<Finding[]> {
  return [
    checkNode(process.versions.node),
    ...(await checkDatabase(config.databaseUrl)),
    await checkMail(config),
    ...(await checkIdentityProvider(config)),
    ...checkFolders(config),
    checkAddress(config.publicUrl),
    checkWeb(config.webFolder),
  ]
}

/** @param version as Node says it of itself: `20.20.0` */
export function checkNode(version: string): Finding {
  const [major = 0, minor = 0] = version.split('.').map(Number)
  const enough = major > leastNode[0] || (major === leastNode[0] && minor >= leastNode[1])
  return enough
    ? fine('Node.js', version)
    : wrong('Node.js', `${version} is too old; install ${leastNode.join('.')} or later.`)
}

type Variables = Record<string, string | number | bigint | null>

/** The database server: whether it answers, how it is set, and what we may do in our database. */
export async function checkDatabase(url: string): Promise<Finding[]> {
  const { hostname, port, username, password, pathname } = new URL(url)
  const database = decodeURIComponent(pathname.slice(1))
  const connection = await createConnection({
    host: hostname,
    port: Number(port || 3306),
    user: decodeURIComponent(username),
    password: decodeURIComponent(password),
    database,
    connectTimeout: 10_000,
  }).catch((error: Error) => error)
  if (connection instanceof Error)
    return [
      wrong('MariaDB', `${reasonOf(connection)} Look at DATABASE_URL, and that the server runs and knows this user.`),
    ]
  try {
    const [row] = await connection.query<Variables[]>(
      `SELECT VERSION() AS version, @@max_allowed_packet AS packet, @@innodb_flush_log_at_trx_commit AS flush,
        @@log_bin AS binlog, @@sync_binlog AS sync, @@sql_mode AS mode,
        (SELECT DEFAULT_CHARACTER_SET_NAME FROM information_schema.SCHEMATA WHERE SCHEMA_NAME = DATABASE()) AS charset,
        ROUND(UNIX_TIMESTAMP(NOW(3)) * 1000) AS now, @@hostname AS host`,
    )
    return [
      ...checkSettings(row!),
      checkClock(Number(row!.now), Date.now()),
      await mayChangeTables((sql) => connection.query(sql)),
    ]
  } finally {
    await connection.end()
  }
}

/** @param row as `checkDatabase` reads it */
export function checkSettings(row: Variables): Finding[] {
  const [major = 0, minor = 0] = String(row.version).split('.').map(Number)
  const known = String(row.version).includes('MariaDB')
  const enough = major > leastMariaDb[0] || (major === leastMariaDb[0] && minor >= leastMariaDb[1])
  const packet = Number(row.packet)
  return [
    known && enough
      ? fine('MariaDB', String(row.version))
      : wrong('MariaDB', `${row.version} is not what we need: install MariaDB ${leastMariaDb.join('.')} or later.`),
    row.charset === 'utf8mb4'
      ? fine('Character set', 'utf8mb4')
      : wrong(
          'Character set',
          `The database is in ${row.charset}; names in many scripts need utf8mb4: ALTER DATABASE … CHARACTER SET utf8mb4.`,
        ),
    packet >= leastPacket
      ? fine('max_allowed_packet', `${Math.round(packet / MiB)} MiB`)
      : wrong(
          'max_allowed_packet',
          `${Math.round(packet / MiB)} MiB is too little; set max_allowed_packet=64M under [mariadb] and start the server anew.`,
        ),
    Number(row.flush) === 1 && (Number(row.binlog) === 0 || Number(row.sync) === 1)
      ? fine('Flush at commit', 'what is acknowledged is on the disk')
      : care(
          'Flush at commit',
          'The server acknowledges before it has written to the disk; a loss of power would take the last second with it. Set innodb_flush_log_at_trx_commit=1, and sync_binlog=1 where there is a binary log.',
        ),
    /STRICT_(TRANS|ALL)_TABLES/.test(String(row.mode))
      ? fine('Strict mode', 'on')
      : wrong('Strict mode', 'The server cuts off what does not fit; add STRICT_TRANS_TABLES to sql_mode.'),
  ]
}

/** Whether the database server and we agree on the time, in milliseconds since 1970. Time zones do not matter: we speak UTC. */
export function checkClock(theirs: number, ours: number): Finding {
  const difference = Math.abs(theirs - ours)
  return difference <= mostClockDifferenceMs
    ? fine('Clock', 'the database server has the same')
    : wrong(
        'Clock',
        `The database server’s clock is ${Math.round(difference / 1000)} seconds off from ours. Let both follow a time server (timedatectl set-ntp true).`,
      )
}

async function mayChangeTables(run: (sql: string) => Promise<unknown>): Promise<Finding> {
  const name = `probatum_setup_${process.pid}`
  try {
    await run(`CREATE TABLE ${name} (id INT PRIMARY KEY)`)
    await run(`ALTER TABLE ${name} ADD COLUMN one INT, ADD INDEX one (one)`)
    await run(`CREATE SEQUENCE ${name}_numbers`)
    await run(`DROP SEQUENCE ${name}_numbers`)
    await run(`DROP TABLE ${name}`)
    return fine('Rights in the database', 'tables can be made and changed')
  } catch (error) {
    return wrong(
      'Rights in the database',
      `${reasonOf(error as Error)} Give the user ALL PRIVILEGES on this one database; setting up and upgrading change its tables.`,
    )
  }
}

const reasonOf = (error: Error & { sqlMessage?: string }) =>
  `${(error.sqlMessage ?? error.message).split('\n')[0]!.replace(/\.$/, '').slice(0, 200)}.`

/** Whether the mail server takes us as a sender; no mail is sent. */
export async function checkMail({ smtpUrl, mailFrom }: Pick<Config, 'smtpUrl' | 'mailFrom'>): Promise<Finding> {
  const transport = createTransport({ url: smtpUrl, connectionTimeout: 8_000, greetingTimeout: 8_000 })
  try {
    await transport.verify()
    return /@localhost$/.test(mailFrom.replace('>', ''))
      ? care('Mail', `The server answers, but mails would come from ${mailFrom}; set MAIL_FROM to an address of yours.`)
      : fine('Mail', `the server answers; mails come from ${mailFrom}`)
  } catch (error) {
    return care('Mail', `${reasonOf(error as Error)} Look at SMTP_URL; until it is right, mails wait in the outbox.`)
  } finally {
    transport.close()
  }
}

/** Whether the identity provider can be read; nobody signs in for it. Nothing where there is none. */
export async function checkIdentityProvider({
  identityProvider,
  publicUrl,
}: Pick<Config, 'identityProvider' | 'publicUrl'>): Promise<Finding[]> {
  if (!identityProvider) return []
  const what = 'Identity provider'
  const returnTo = returnAddress(publicUrl)
  try {
    await openidProvider(identityProvider).begin({ returnTo, again: false })
    return [fine(what, `${identityProvider.name} answers; it has to send people back to ${returnTo}`)]
  } catch {
    return [
      care(
        what,
        `${identityProvider.issuer} does not describe itself. Look at OIDC_ISSUER; until it does, nobody signs in through it.`,
      ),
    ]
  }
}

/** The folders of what must last: there, ours alone, writable, with room, and not where a machine clears up. */
export function checkFolders({ uploadFolder, scanFolder, secretFile, secretKey }: Config): Finding[] {
  const folders = [
    ...new Set([resolve(uploadFolder), resolve(scanFolder), ...(secretKey ? [] : [resolve(secretFile, '..')])]),
  ]
  return folders.map((folder) => {
    const what = `Folder ${folder}`
    if (isTemporary(folder))
      return wrong(what, 'What lies in a temporary folder is gone after a restart; set DATA_FOLDER to one that stays.')
    try {
      mkdirSync(folder, { recursive: true, mode: 0o700 })
      accessSync(folder, constants.R_OK | constants.W_OK | constants.X_OK)
    } catch (error) {
      return wrong(what, `${reasonOf(error as Error)} Make it, and give it to the user the application runs as.`)
    }
    const { bavail, bsize } = statfsSync(folder)
    if (bavail * bsize < leastFree)
      return wrong(
        what,
        `Only ${Math.round((bavail * bsize) / MiB)} MiB are free on its disk; it needs ${leastFree / MiB}.`,
      )
    return (statSync(folder).mode & 0o007) === 0
      ? fine(what, 'there, with room')
      : care(what, `Others on this machine can look into it: chmod 700 ${folder}.`)
  })
}

export const isTemporary = (folder: string): boolean =>
  [tmpdir(), '/tmp', '/var/tmp', '/dev/shm', '/run'].some((place) => folder === place || folder.startsWith(place + sep))

/** @param publicUrl where people will reach it */
export function checkAddress(publicUrl: string): Finding {
  const address = URL.canParse(publicUrl) ? new URL(publicUrl) : undefined
  if (!address || !/^https?:$/.test(address.protocol) || address.pathname !== '/' || publicUrl.endsWith('/'))
    return wrong(
      'Address',
      `“${publicUrl}” is not where people can go; write PUBLIC_URL like https://jobs.example.org.`,
    )
  const here = ['localhost', '127.0.0.1', '[::1]'].includes(address.hostname)
  if (address.protocol === 'https:') return fine('Address', publicUrl)
  return here
    ? care(
        'Address',
        `${publicUrl} can be reached from this machine only. Set PUBLIC_URL once a proxy with TLS is in front.`,
      )
    : wrong(
        'Address',
        `Passwords would travel in the clear to ${publicUrl}; put a proxy with TLS in front and begin with https.`,
      )
}

const checkWeb = (webFolder: string): Finding =>
  existsSync(join(webFolder, 'index.html'))
    ? fine('Web client', 'built')
    : wrong('Web client', `There is none in ${resolve(webFolder)}; run npm run build first.`)
