import { type ChildProcess, execFileSync, spawn } from 'node:child_process'
import { once } from 'node:events'
import { mkdirSync, rmSync, symlinkSync } from 'node:fs'
import { createServer, request } from 'node:http'
import { resolve } from 'node:path'
import { setTimeout as wait } from 'node:timers/promises'
import { newestMigration } from '#server/platform/migrations/migrate'
import { openMailbox } from '../standins/mailbox'
import { visitor } from '../test/client'
import type { prepareFaults } from './faultsWorld'
import { startOwnDatabase } from './ownDatabase'

/**
 * The upgrade of docs/operate.md with two real versions: the one from before our newest step of the database, out of the history,
 * and this one, side by side on one database behind a proxy, while people write and the desk reads. Then back to the old one.
 * Nobody may be refused, nothing acknowledged may be missing, and the audit trail has to hold.
 */
const ports = { proxy: 4700, old: 4701, ours: 4702, smtp: 4703, database: 4706 }
const people = 12
const secondsEach = 6
const folder = resolve('.check/upgrade')
const before = resolve(folder, 'before')

rmSync(folder, { recursive: true, force: true })
mkdirSync(before, { recursive: true })
const git = (...given: string[]) => execFileSync('git', given, { encoding: 'utf8', maxBuffer: 2 ** 30 }).trim()
const introduced = git('log', '-1', '--format=%H', `-Sname: '${newestMigration}'`, '--', 'server/platform/migrations')
if (!introduced) throw new Error(`The history does not say when ${newestMigration} came; a whole clone is needed.`)
execFileSync('sh', ['-c', `git archive ${introduced}^ | tar -x -C ${before}`])
symlinkSync(resolve('node_modules'), resolve(before, 'node_modules'))

const database = await startOwnDatabase(folder, ports.database, { durable: true })
const mailbox = await openMailbox(resolve(folder, 'mailbox'), ports.smtp)
const env = {
  ...process.env,
  DATABASE_URL: database.url,
  SMTP_URL: `smtp://127.0.0.1:${ports.smtp}`,
  DATA_FOLDER: folder,
  SCAN_FOLDER: resolve(folder, 'scans'),
  SECOND_FACTOR: '',
  LOG_LEVEL: 'warn',
}
type World = Awaited<ReturnType<typeof prepareFaults>>
const world = JSON.parse(
  execFileSync(
    process.execPath,
    [
      ...['--import', 'tsx', '--input-type=module', '-e'],
      `const { prepareFaults } = await import('./scripts/faultsWorld.ts')
       console.log(JSON.stringify(await prepareFaults(process.env.DATABASE_URL, ${people})))`,
    ],
    { cwd: before, env, encoding: 'utf8' },
  )
    .trim()
    .split('\n')
    .at(-1)!,
) as World

const started: ChildProcess[] = []
async function start(cwd: string, port: number): Promise<ChildProcess> {
  const server = spawn(process.execPath, ['--import', 'tsx', 'server/main.ts'], {
    cwd,
    env: { ...env, PORT: String(port), MAIL_IN_PORT: String(port + 10) },
    stdio: ['ignore', 'ignore', 'inherit'],
  })
  started.push(server)
  for (let tries = 0; (await ready(port)) !== 200; tries += 1) {
    if (tries > 200 || server.exitCode !== null) throw new Error(`What is in ${cwd} did not come up.`)
    await wait(200)
  }
  return server
}
const ready = async (port: number) =>
  (await fetch(`http://127.0.0.1:${port}/health/ready`).catch(() => undefined))?.status
const ended = async (server: ChildProcess) => {
  const exit = once(server, 'exit')
  server.kill('SIGTERM')
  return (await exit)[0] as number | null
}

let target = ports.old
const proxy = createServer((incoming, outgoing) => {
  const { method, url: path, headers } = incoming
  const onward = request({ host: '127.0.0.1', port: target, method, path, headers }, (reply) => {
    outgoing.writeHead(reply.statusCode!, reply.headers)
    reply.pipe(outgoing)
  })
  onward.on('error', () => outgoing.writeHead(502).end('{}'))
  incoming.pipe(onward)
}).listen(ports.proxy, '127.0.0.1')
const address = `http://127.0.0.1:${ports.proxy}`

const wrong: string[] = []
let requests = 0
let writing = true
const note = (what: string, { status, body }: { status: number; body: unknown }) => {
  requests += 1
  if (status !== 200)
    wrong.push(`${what} at ${target === ports.old ? 'the old' : 'ours'}: ${status} ${JSON.stringify(body)}`)
  return status === 200
}

/** Saves an answer again and again; gives the last that was acknowledged. */
async function write({ applicationId: id, session, name }: World['accounts'][number]): Promise<string> {
  const person = visitor(address, { probatum: session })
  let street = ''
  for (let nth = 0; writing; nth += 1) {
    const draft = await person.call('readDraft', { params: { id } })
    if (!note('reading a draft', draft)) continue
    const next = `${name}, ${nth}`
    const changes = { 'contact.street': next }
    const saved = await person.call('saveAnswers', { params: { id }, body: { version: draft.body.version, changes } })
    if (note('saving an answer', saved)) street = next
    await wait(40)
  }
  return street
}

async function readAtDesk() {
  const desk = visitor(address, { probatum: world.desk })
  for (; writing; await wait(80)) {
    note('the session', await desk.call('readSession'))
    note('the desk', await desk.call('readCounts'))
  }
}

let fine = false
try {
  const old = await start(before, ports.old)
  const written = Promise.all(world.accounts.map(write))
  const reading = readAtDesk()
  await wait(secondsEach * 1000)
  const ours = await start('.', ports.ours)
  // The tables are ours by now, and the old one goes on with them.
  await wait(secondsEach * 1000)
  const oldStaysReady = await ready(ports.old)
  target = ports.ours
  const oldEnded = await ended(old)
  await wait(secondsEach * 1000)
  const back = await start(before, ports.old)
  target = ports.old
  const oursEnded = await ended(ours)
  await wait(secondsEach * 1000)
  writing = false
  const [streets] = await Promise.all([written, reading])

  const lost: string[] = []
  for (const [nth, { applicationId: id, session, mail }] of world.accounts.entries()) {
    const { answers } = await visitor(address, { probatum: session }).done('readDraft', { params: { id } })
    if (answers['contact.street'] !== streets[nth]) lost.push(`${mail}: ${JSON.stringify(answers['contact.street'])}`)
  }
  await ended(back)
  execFileSync(process.execPath, ['--import', 'tsx', 'server/verifyTrail.ts'], { env, stdio: 'inherit' })
  const told = {
    from: git('log', '-1', '--format=%h', `${introduced}^`),
    requests,
    refused: wrong.length,
    lost: lost.length,
  }
  console.log(JSON.stringify({ ...told, oldStaysReady, oldEnded, oursEnded }))
  for (const line of [...wrong.slice(0, 10), ...lost]) console.error(line)
  fine =
    wrong.length === 0 &&
    lost.length === 0 &&
    requests > people * 20 &&
    [oldStaysReady, oldEnded, oursEnded].join() === '200,0,0'
} finally {
  proxy.closeAllConnections()
  proxy.close()
  mailbox.close()
  for (const server of started) server.kill('SIGKILL')
  await database.stop()
}
process.exit(fine ? 0 : 1)
