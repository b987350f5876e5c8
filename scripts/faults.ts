import { type ChildProcess, spawn } from 'node:child_process'
import { mkdirSync, readdirSync, readFileSync, rmSync } from 'node:fs'
import { resolve } from 'node:path'
import { setTimeout as wait } from 'node:timers/promises'
import { parseArgs } from 'node:util'
import { simpleParser } from 'mailparser'
import { createConnection } from 'mariadb'
import type { Answers } from '#core/form/answer'
import { visitor } from '../test/client'
import { insistOnFree, startOwnDatabase } from './ownDatabase'

const help = `npm run faults [-- --sessions 500 --kills 20 --port 4400]

Kills the server and the database (SIGKILL) at random while people write their applications, starts them again, and then
looks: everything that was acknowledged has to be there, nothing twice, and every mail gone out once or still queued.`

const { values } = parseArgs({
  options: {
    sessions: { type: 'string', default: '500' },
    kills: { type: 'string', default: '20' },
    port: { type: 'string', default: '4400' },
    data: { type: 'string', default: '.check/faults' },
    help: { type: 'boolean' },
  },
})
if (values.help) {
  console.log(help)
  process.exit(0)
}
const sessions = Number(values.sessions)
const kills = Number(values.kills)
const port = Number(values.port)
const folder = resolve(values.data)
const changesEach = 6
const atOnce = 40
const address = `http://127.0.0.1:${port}`

rmSync(folder, { recursive: true, force: true })
mkdirSync(folder, { recursive: true })
await insistOnFree(port, 'the application')

const env = {
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
}
const start = (file: string) =>
  spawn(process.execPath, ['--import', 'tsx', file], { env, stdio: ['ignore', 'ignore', 'inherit'] })

let database = await startOwnDatabase(folder, port + 6)
const standins = start('standins/main.ts')
let server: ChildProcess
const { prepareFaults } = await import('./faultsWorld')
const accounts = await prepareFaults(env.DATABASE_URL, sessions)
server = start('server/main.ts')
await untilUp()

/** What was acknowledged to each person: the newest value of each answer, and how many claims. */
const told = accounts.map(() => ({ answers: {} as Record<string, string>, claims: 0, named: 0 }))
let finished = 0
/** Changes acknowledged so far; kills are spread over all of them. */
let acknowledged = 0

/** Does something until it is acknowledged, however often the other side is gone. With a key it is done once. */
async function surely<T>(work: () => Promise<T>): Promise<T> {
  for (let tries = 0; ; tries += 1) {
    try {
      return await work()
    } catch (error) {
      if (tries > 240) throw error
      await wait(100 + Math.random() * 250)
    }
  }
}

async function editingSession(nth: number) {
  const own = told[nth]!
  const { applicationId: id, session } = accounts[nth]!
  const person = visitor(address, { probatum: session })
  const ok = async (name: Parameters<typeof person.call>[0], argument: object) => {
    const reply = await person.call(name, argument)
    // What the database could not do while it was gone is tried again; a refusal is not.
    if (reply.status >= 500) throw new Error(`${name}: ${reply.status}`)
    return reply
  }
  for (let change = 0; change < changesEach; change += 1) {
    if (change % 3 === 2) {
      const key = `claim ${nth} ${change}`
      const details = {
        kind: 'work',
        sourceId: null,
        sourceName: `Employer ${nth} ${change}`,
        activity: 'employment',
        position: 'Fitter',
        from: '2019-01',
        to: 'present',
        fullTimeShare: 100,
        tags: [],
        confirmBy: '',
        mayAsk: 'never',
      }
      const reply = await surely(() => ok('addClaim', { body: { details }, key }))
      if (reply.status === 200) own.claims += 1
      else throw new Error(`a claim was refused: ${JSON.stringify(reply.body)}`)
    } else {
      const value = `Street ${nth} ${change} ${Math.random().toString(36).slice(2)}`
      await surely(async () => {
        const { body: draft } = await ok('readDraft', { params: { id } })
        const { version, answers } = draft as { version: number; answers: Answers }
        // It may have been kept although nobody said so.
        if (answers['contact.street'] === value) return
        const changes = { 'contact.street': value }
        const reply = await ok('saveAnswers', { params: { id }, body: { version, changes } })
        if (reply.status !== 200) throw new Error(`${reply.status}`)
      })
      own.answers['contact.street'] = value
    }
    acknowledged += 1
    await wait(Math.random() * 60)
  }
  // A mail for each, to somebody who is to vouch for them.
  const body = { name: `Voucher ${nth}`, mail: `voucher-${nth}@mail.test`, relation: 'colleague' }
  const named = await surely(() => ok('nameVoucher', { params: { id }, body, key: `voucher ${nth}` }))
  if (named.status === 200) own.named += 1
  else throw new Error(`a name was refused: ${JSON.stringify(named.body)}`)
  finished += 1
}

const workers = Array.from({ length: atOnce }, async (_, worker) => {
  for (let nth = worker; nth < sessions; nth += atOnce) await editingSession(nth)
})
let killed = 0
const killing = (async () => {
  while (killed < kills && finished < sessions) {
    const due = ((killed + Math.random()) / kills) * sessions * changesEach
    while (acknowledged < due && finished < sessions) await wait(40)
    await wait(Math.random() * 400)
    if (Math.random() < 0.5) {
      server.kill('SIGKILL')
      await new Promise((done) => server.once('exit', done))
      server = start('server/main.ts')
    } else {
      await database.kill()
      database = await startOwnDatabase(folder, port + 6)
    }
    killed += 1
    process.stdout.write(
      `\r${killed} kills, ${acknowledged} changes acknowledged, ${finished} of ${sessions} sessions finished   `,
    )
    await untilUp()
  }
})()
await Promise.all([...workers, killing])
console.log(`\n${killed} kills, ${finished} sessions finished.`)

const failures = [...(await lookAtDatabase()), ...(await lookAtMails())]
server.kill('SIGTERM')
standins.kill('SIGTERM')
await database.stop()
for (const failure of failures.slice(0, 20)) console.error(failure)
console.log(failures.length === 0 ? 'Nothing was lost, and nothing is there twice.' : `${failures.length} failures.`)
if (killed < Math.min(kills, 1)) console.error('Nothing was killed; the run says nothing.')
process.exit(failures.length === 0 && killed > 0 ? 0 : 1)

async function untilUp() {
  for (let tries = 0; tries < 300; tries += 1) {
    const fine = await fetch(`${address}/api/session`).then(
      ({ ok }) => ok,
      () => false,
    )
    if (fine) return
    if (server.exitCode !== null) server = start('server/main.ts')
    await wait(200)
  }
  throw new Error('the server did not come up again')
}

async function lookAtDatabase(): Promise<string[]> {
  const connection = await createConnection({ host: '127.0.0.1', port: port + 6, user: 'root', database: 'probatum' })
  const found: string[] = []
  for (const [nth, { applicationId, candidateId }] of accounts.entries()) {
    const own = told[nth]!
    const [row] = await connection.query('SELECT answers FROM applications WHERE id = ?', [applicationId])
    const answers = (typeof row.answers === 'string' ? JSON.parse(row.answers) : row.answers) as Record<string, string>
    for (const [key, value] of Object.entries(own.answers))
      if (answers[key] !== value) found.push(`${nth}: ${key} is “${answers[key]}”, acknowledged was “${value}”`)
    const claims = await connection.query('SELECT details FROM claims WHERE candidateId = ?', [candidateId])
    const named = await connection.query('SELECT id FROM vouchings WHERE applicationId = ?', [applicationId])
    if (named.length !== own.named) found.push(`${nth}: ${named.length} named, acknowledged were ${own.named}`)
    const mails = await connection.query('SELECT id FROM messages WHERE toMail = ?', [`voucher-${nth}@mail.test`])
    if (mails.length !== own.named) found.push(`${nth}: ${mails.length} mails written, acknowledged were ${own.named}`)
    if (claims.length !== own.claims) found.push(`${nth}: ${claims.length} claims, acknowledged were ${own.claims}`)
  }
  await connection.end()
  return found
}

/** Every mail is in the mailbox once, or still queued; those the database says are out have arrived. */
async function lookAtMails(): Promise<string[]> {
  const read = async () => {
    const connection = await createConnection({ host: '127.0.0.1', port: port + 6, user: 'root', database: 'probatum' })
    const rows = await connection.query('SELECT id, state, toMail FROM messages')
    await connection.end()
    return rows as { id: string; state: string; toMail: string }[]
  }
  // What is queued has time to go out.
  for (let tries = 0; tries < 120 && (await read()).some(({ state }) => state === 'queued'); tries += 1)
    await wait(1000)
  const arrived = new Map<string, number>()
  for (const file of readdirSync(env.MAILBOX_FOLDER).filter((name) => name.endsWith('.eml'))) {
    const { messageId } = await simpleParser(readFileSync(resolve(env.MAILBOX_FOLDER, file)))
    const id = messageId?.replace(/^<|@probatum>$/g, '') ?? ''
    arrived.set(id, (arrived.get(id) ?? 0) + 1)
  }
  const rows = await read()
  const found = [...arrived].flatMap(([id, count]) => (count > 1 ? [`the mail ${id} arrived ${count} times`] : []))
  for (const { id, state } of rows)
    if (state === 'accepted' && !arrived.has(id)) found.push(`the mail ${id} is said to be out and did not arrive`)
  const known = new Set(rows.map(({ id }) => id))
  for (const id of arrived.keys()) if (!known.has(id)) found.push(`the mail ${id} arrived and nobody wrote it`)
  console.log(
    `${rows.length} mails, ${arrived.size} arrived, ${rows.filter(({ state }) => state === 'queued').length} queued.`,
  )
  return found
}
