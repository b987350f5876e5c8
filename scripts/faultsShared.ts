import { spawn, spawnSync } from 'node:child_process'
import { resolve } from 'node:path'
import { setTimeout as wait } from 'node:timers/promises'
import { createConnection } from 'mariadb'

/** So long after a mail has arrived it is noted, with much else going on. */
const mostUntilNoted = 5000

/** Everything on ports of its own, with its data in a folder. */
export const envOf = (port: number, folder: string) => ({
  ...process.env,
  PORT: String(port),
  SMTP_PORT: String(port + 2),
  STANDINS_PORT: String(port + 3),
  SMTP_URL: `smtp://127.0.0.1:${port + 2}`,
  DATABASE_URL: `mariadb://root@127.0.0.1:${port + 6}/probatum`,
  MAILBOX_FOLDER: resolve(folder, 'mailbox'),
  DATA_FOLDER: folder,
  SECOND_FACTOR: '',
  SCAN_FOLDER: resolve(folder, 'scans'),
  LOG_LEVEL: 'silent',
})

export const startedBy = (env: NodeJS.ProcessEnv) => (file: string) =>
  spawn(process.execPath, ['--import', 'tsx', file], { env, stdio: ['ignore', 'ignore', 'inherit'] })

/** Follows every chain of the audit trail. */
export function lookAtChains(env: NodeJS.ProcessEnv): string[] {
  const { status, stdout } = spawnSync(process.execPath, ['--import', 'tsx', 'server/verifyTrail.ts'], {
    env,
    encoding: 'utf8',
  })
  console.log(stdout.trim())
  return status === 0 ? [] : ['the audit trail does not hold']
}

type ArrivedMail = { receivedAt: string; copies: number; headers: Record<string, string> }
/** Every mail is out, has arrived, and once but where its acknowledgement was lost. */
export async function lookAtMails(port: number, killedAt: readonly number[]): Promise<string[]> {
  const read = async () => {
    const connection = await createConnection({
      host: '127.0.0.1',
      port: port + 6,
      user: 'root',
      database: 'probatum',
      connectTimeout: 15_000,
    })
    const rows = await connection.query('SELECT id, state, toMail FROM messages')
    await connection.end()
    return rows as { id: string; state: string; toMail: string }[]
  }
  // What is queued has time to go out.
  for (let tries = 0; tries < 120 && (await read()).some(({ state }) => state === 'queued'); tries += 1)
    await wait(1000)
  const listed = (await (await fetch(`http://127.0.0.1:${port + 3}/mailbox.json`)).json()) as ArrivedMail[]
  const arrived = new Map(listed.map((mail) => [mail.headers['message-id']?.replace(/^<|@.*$/g, '') ?? '', mail]))
  const rows = await read()
  const found = rows.flatMap(({ id, state }) => (state === 'accepted' ? [] : [`the mail ${id} is still ${state}`]))
  // The acknowledgement was lost where a kill followed the arrival at once; nothing else explains a second copy.
  const lost = ({ receivedAt }: ArrivedMail) =>
    killedAt.some((at) => at > Date.parse(receivedAt) - 1000 && at < Date.parse(receivedAt) + mostUntilNoted)
  for (const [id, mail] of arrived)
    if (mail.copies > 1 && !lost(mail))
      found.push(`the mail ${id} arrived ${mail.copies} times, and nothing was killed`)
  for (const { id, state } of rows)
    if (state === 'accepted' && !arrived.has(id)) found.push(`the mail ${id} is said to be out and did not arrive`)
  const known = new Set(rows.map(({ id }) => id))
  for (const id of arrived.keys()) if (!known.has(id)) found.push(`the mail ${id} arrived and nobody wrote it`)
  console.log(
    `${rows.length} mails, ${arrived.size} arrived, ${listed.filter(({ copies }) => copies > 1).length} of them again.`,
  )
  return found
}
