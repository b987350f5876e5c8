import { type ChildProcess, spawn } from 'node:child_process'
import { existsSync, mkdirSync, rmSync, statSync, writeFileSync } from 'node:fs'
import { resolve } from 'node:path'
import { setTimeout as wait } from 'node:timers/promises'
import { parseArgs } from 'node:util'
import { build, createServer } from 'vite'
import { loadScenario } from '#scenario/load'
import { demoPassword, knownToProvider, staff } from '#scenario/staff'
import { readConfig } from '#server/platform/config'
import { readSetting, writeSetting } from '#server/platform/database/settings'
import { prepare, start } from '#server/start'
import { identityClient } from '../standins/identity'
import { issuerKeys } from '../standins/issuers'
import { buildReply } from './build'
import { newestUnder } from './newest'
import { requireFree, startOwnDatabase } from './ownDatabase'

const help = `./demo [--fresh] [--dev] [--port N] [--data FOLDER]

  --fresh        throws the demo's data away and loads it anew
  --dev          for working on it: the server starts anew and the page changes with every file saved (npm run dev)
  --port N       the application's port (4100); the stand-ins, mail that comes in and the database take N+2, N+3, N+4 and N+6
  --data FOLDER  where the data lies (.data)`

const { values } = parseArgs({
  options: {
    fresh: { type: 'boolean' },
    dev: { type: 'boolean' },
    port: { type: 'string', default: '4100' },
    data: { type: 'string', default: '.data' },
    help: { type: 'boolean' },
  },
})
if (values.help) {
  console.log(help)
  process.exit(0)
}

// What is shown is what people get; the checks that say where a reply is odd run in the tests.
if (!values.dev) process.env.NODE_ENV ??= 'production'
const port = Number(values.port)
const ports = { app: port, vite: port + 1, smtp: port + 2, standins: port + 3, mailIn: port + 4, database: port + 6 }
const folder = resolve(values.data)
const registersFile = resolve(folder, 'registers.json')
const peopleFile = resolve(folder, 'people.json')
const stops: (() => Promise<void> | void)[] = []
const begun = Date.now()

/** Ends everything that was started, last first, and nothing else. */
async function stopAll(code: number) {
  for (const stop of stops.splice(0).reverse()) await stop()
  process.exit(code)
}
// A second signal on the way out must not leave behind what was started.
let stopping = false
for (const signal of ['SIGINT', 'SIGTERM'] as const)
  process.on(signal, () => {
    if (stopping) return
    stopping = true
    void stopAll(0)
  })

try {
  if (values.fresh) rmSync(folder, { recursive: true, force: true })
  mkdirSync(folder, { recursive: true })
  await requireFree(ports.app, 'the application')
  await requireFree(ports.smtp, 'the stand-in mail server')
  await requireFree(ports.standins, 'the stand-in mailbox')
  await requireFree(ports.mailIn, 'mail that comes in')
  if (values.dev) await requireFree(ports.vite, 'Vite')
  // The pages are built beside the loading of the demo, which waits for the database most of the time.
  const built = values.dev ? undefined : buildIfOlder()
  // Said where it is waited for.
  built?.catch(() => undefined)
  const database = await startOwnDatabase(folder, ports.database)
  stops.push(database.stop)
  stops.push(await startStandins())
  const env = {
    ...process.env,
    PORT: String(ports.app),
    DATABASE_URL: database.url,
    SMTP_URL: `smtp://127.0.0.1:${ports.smtp}`,
    REGISTER_URL: `http://127.0.0.1:${ports.standins}/registers`,
    CAPTURE_URL: `http://127.0.0.1:${ports.standins}/capture`,
    PAYMENT_URL: `http://127.0.0.1:${ports.standins}/payments`,
    PAYMENT_SECRET: 'stand-in',
    DATA_FOLDER: folder,
    TEXT_URL: `http://127.0.0.1:${ports.standins}/texts`,
    MAIL_IN_PORT: String(ports.mailIn),
    SCAN_FOLDER: resolve(folder, 'scans'),
    PLACES_URL: `http://127.0.0.1:${ports.standins}/places`,
    OIDC_ISSUER: `http://127.0.0.1:${ports.standins}/identity`,
    OIDC_CLIENT_ID: identityClient.id,
    OIDC_CLIENT_SECRET: identityClient.secret,
    OIDC_NAME: 'Vallorne Identity',
    MAIL_FROM: 'applications@vallorne.example',
    DEMO: 'yes',
    LOG_LEVEL: process.env.LOG_LEVEL ?? 'warn',
  }
  writeFileSync(peopleFile, JSON.stringify(knownToProvider, null, 2))
  const config = readConfig(env)
  const fixed = await prepare(config)
  if (!(await readSetting('scenario-loaded'))) {
    console.log('Loading the demo, once: about a minute.')
    const issuers = { fjellvik: issuerKeys(`http://127.0.0.1:${ports.standins}`, 'fjellvik') }
    await loadScenario(fixed, registersFile, { issuers })
    await writeSetting('scenario-loaded', true)
  }
  await built
  if (values.dev) {
    await fixed.sequelize.close()
    await serveWithReload(env)
  } else stops.push((await start(fixed)).stop)
  const page = values.dev ? ports.vite : ports.app
  console.log(`
Probatum is up after ${Math.round((Date.now() - begun) / 1000)} seconds.

  Vacancies   http://127.0.0.1:${page}
  Desk        http://127.0.0.1:${page}/desk
  Mailbox     http://127.0.0.1:${ports.standins}   (every mail that is sent arrives here)

  Sign in with the password ${demoPassword} as
${staff.map(({ name, mail, roles }) => `    ${mail.padEnd(28)} ${name}, ${roles.join(', ')}`).join('\n')}
    maelle.dreau-okafor@mail.example   a candidate
    petra@brandalm.example             pays for her people, as an employer

  Ctrl-C stops everything this started.`)
} catch (error) {
  console.error(`\n${error instanceof Error ? error.message : error}`)
  if (process.env.DEBUG) console.error(error)
  await stopAll(1)
}

async function buildIfOlder() {
  const page = resolve('dist/web/index.html')
  const settings = ['package-lock.json', 'vite.config.ts'].map((file) => statSync(file).mtimeMs)
  const sources = Math.max(...['web', 'core', 'contract'].map(newestUnder), ...settings)
  if (existsSync(page) && statSync(page).mtimeMs > sources) return
  console.log('Building the web client.')
  await build({ logLevel: 'error' })
  await buildReply()
}

/** The server, started anew whenever one of its files is saved, and Vite in front of it. */
async function serveWithReload(env: NodeJS.ProcessEnv) {
  const server = spawn(process.execPath, ['--watch', '--enable-source-maps', '--import', 'tsx', 'server/main.ts'], {
    stdio: 'inherit',
    env: { ...env, PUBLIC_URL: `http://127.0.0.1:${ports.vite}` },
  })
  stops.push(() => ended(server))
  const answers = () =>
    fetch(`http://127.0.0.1:${ports.app}/api/session`).then(
      ({ ok }) => ok,
      () => false,
    )
  while (server.exitCode === null && !(await answers())) await wait(200)
  process.env.API = `http://127.0.0.1:${ports.app}`
  const vite = await createServer({ server: { port: ports.vite, strictPort: true, host: '127.0.0.1' } })
  await vite.listen()
  stops.push(() => vite.close())
}

async function startStandins(): Promise<() => Promise<void>> {
  const child: ChildProcess = spawn(process.execPath, ['--import', 'tsx', 'standins/main.ts'], {
    stdio: ['ignore', 'pipe', 'inherit'],
    env: {
      ...process.env,
      SMTP_PORT: String(ports.smtp),
      MAIL_IN_PORT: String(ports.mailIn),
      TEXTS_FILE: resolve(folder, 'texts.json'),
      STANDINS_PORT: String(ports.standins),
      MAILBOX_FOLDER: resolve(folder, 'mailbox'),
      REGISTERS_FILE: registersFile,
      PEOPLE_FILE: peopleFile,
      RETURN_TO: `http://127.0.0.1:${values.dev ? ports.vite : ports.app}/sign-in/return`,
      SCAN_FOLDER: resolve(folder, 'scans'),
    },
  })
  await new Promise<void>((ready, fail) => {
    child.stdout!.once('data', () => ready())
    child.once('exit', () => fail(new Error('The stand-ins ended at once.')))
  })
  return () => ended(child)
}

/** Asks a process to end and waits until it has; one that has ended already by a signal has no code. */
function ended(child: ChildProcess): Promise<void> {
  return new Promise((done) => {
    if (child.exitCode !== null || child.signalCode !== null) return done()
    child.once('exit', () => done())
    child.kill('SIGTERM')
  })
}
