import { type ChildProcess, spawn } from 'node:child_process'
import { mkdirSync, readdirSync, readFileSync, rmSync } from 'node:fs'
import { resolve } from 'node:path'
import { setTimeout as wait } from 'node:timers/promises'
import { hash } from '@node-rs/argon2'
import { simpleParser } from 'mailparser'
import { type Connection, createConnection } from 'mariadb'
import { drawPdf } from '#scenario/papers'
import { prepareFaults } from '../scripts/faultsWorld'
import { startOwnDatabase } from '../scripts/ownDatabase'
import { visitor } from '../test/client'
import { percentile, type Result } from './result'

const people = 500
const seconds = 120
const port = 4520
const password = 'a-long-enough-secret'
const folder = resolve('.check/bench-at-once')

type Person = Awaited<ReturnType<typeof prepareFaults>>[number]

/**
 * So many people write an application and send it within two minutes, each at their own pace: answers, a degree with its
 * certificate, a job, the signature, and the sending. Says how long they wait, and whether anything is lost or doubled.
 */
export async function manyAtOnce(): Promise<Result[]> {
  rmSync(folder, { recursive: true, force: true })
  mkdirSync(folder, { recursive: true })
  const env = {
    ...process.env,
    NODE_ENV: 'production',
    PORT: String(port),
    SMTP_PORT: String(port + 2),
    STANDINS_PORT: String(port + 3),
    SMTP_URL: `smtp://127.0.0.1:${port + 2}`,
    DATABASE_URL: `mariadb://root@127.0.0.1:${port + 6}/probatum`,
    MAILBOX_FOLDER: resolve(folder, 'mailbox'),
    UPLOAD_FOLDER: resolve(folder, 'uploads'),
    SCAN_FOLDER: resolve(folder, 'scans'),
    LOG_LEVEL: 'error',
  }
  const begin = (file: string) => spawn(process.execPath, ['--import', 'tsx', file], { env, stdio: 'inherit' })
  const database = await startOwnDatabase(folder, port + 6)
  const accounts = await prepareFaults(env.DATABASE_URL, people)
  const raw = await createConnection({ host: '127.0.0.1', port: port + 6, user: 'root', database: 'probatum' })
  await raw.query('UPDATE accounts SET passwordHash = ?', [await hash(password)])
  const others: ChildProcess[] = [begin('standins/main.ts'), begin('server/main.ts')]
  const address = `http://127.0.0.1:${port}`
  await untilUp(address)

  const certificate = await drawPdf({
    issuer: 'An issuer',
    place: 'Tannberg, AT',
    heading: 'Certificate',
    lines: ['awarded to', 'Somebody', 'Master of Science'],
    signedBy: 'The registrar',
    on: '2018',
  })
  const times: { what: string; ms: number }[] = []
  const failures: string[] = []
  const from = Date.now()
  await Promise.all(
    accounts.map((account, nth) =>
      writeAndSend(address, account, nth, certificate, times).catch((error: Error) => {
        failures.push(`${nth}: ${error.message}`)
      }),
    ),
  )
  const took = (Date.now() - from) / 1000
  failures.push(...(await lookAtDatabase(raw, accounts)), ...(await lookAtMails(raw, env.MAILBOX_FOLDER)))
  for (const failure of failures.slice(0, 10)) console.error(failure)
  await raw.end()
  for (const child of others) child.kill('SIGTERM')
  await database.stop()
  rmSync(folder, { recursive: true, force: true })
  const of = (name?: string) => times.flatMap(({ what, ms }) => (!name || what === name ? [ms] : []))
  return [
    {
      what: `${people} people at once, ${times.length.toLocaleString('en')} changes in ${took.toFixed(0)} s`,
      measured: `p95 ${percentile(of(), 0.95).toFixed(0)} ms, median ${percentile(of(), 0.5).toFixed(0)} ms; ${failures.length} lost or doubled`,
      wanted: 'p95 under 300 ms, none',
    },
    ...[...new Set(times.map(({ what }) => what))].map((what) => ({
      what: `  ${what}`,
      measured: `p95 ${percentile(of(what), 0.95).toFixed(0)} ms, median ${percentile(of(what), 0.5).toFixed(0)} ms`,
      wanted: '',
    })),
  ]
}

/** What a person does, in this order, with pauses that fill the two minutes. */
async function writeAndSend(
  address: string,
  { applicationId: id, session, name }: Person,
  nth: number,
  certificate: Uint8Array,
  times: { what: string; ms: number }[],
) {
  const person = visitor(address, { probatum: session })
  const steps = 14
  const pause = () => wait((Math.random() * 2 * seconds * 1000) / (steps + 1))
  const timed = async <T>(what: string, work: () => Promise<T>): Promise<T> => {
    const began = performance.now()
    const done = await work()
    times.push({ what, ms: performance.now() - began })
    return done
  }
  await pause()
  let { version } = await timed('read', () => person.done('readDraft', { params: { id } }))
  for (const changes of answersOf(name, nth)) {
    await pause()
    const body = { version, changes }
    version = (await timed('save', () => person.done('saveAnswers', { params: { id }, body }))).version
  }
  const source = { sourceId: null, sourceName: 'Academy of Tannberg' }
  await pause()
  const degree = await timed('add a claim', () =>
    person.done('addClaim', {
      body: {
        details: {
          kind: 'study',
          ...source,
          award: 'MSc',
          subject: 'Electrical Engineering',
          level: 7,
          field: '0713',
          number: `TB-2018-${nth}`,
          from: '2015-10',
          to: '2018-03',
        },
      },
    }),
  )
  await pause()
  await timed('upload', () =>
    person.done('uploadDocument', {
      params: { id: degree.id },
      query: { fileName: 'Degree.pdf' },
      body: Buffer.from(certificate),
    }),
  )
  await pause()
  await timed('add a claim', () =>
    person.done('addClaim', {
      body: {
        details: {
          kind: 'work',
          ...source,
          activity: 'employment',
          position: 'Electrical engineer',
          from: '2018-05-01',
          to: 'present',
          fullTimeShare: 100,
          tags: ['electrical'],
          confirmBy: '',
          mayAsk: 'now',
        },
      },
    }),
  )
  await pause()
  await timed('sign', () =>
    person.done('signPermission', { params: { id }, body: { fullName: fullName(name, nth), password, agreed: true } }),
  )
  await pause()
  await timed('send', () => person.done('sendApplication', { params: { id }, body: { version } }))
}

const fullName = (name: string, nth: number) => `${name.split(' ')[0]}${nth} Writer`

/** The answers of the post, a few at a time, as they are typed. */
const answersOf = (name: string, nth: number): Record<string, string>[] => [
  { 'about.givenNames': fullName(name, nth).split(' ')[0]!, 'about.familyName': 'Writer' },
  { 'about.born': `19${70 + (nth % 29)}-0${1 + (nth % 9)}-${10 + (nth % 18)}` },
  { 'contact.phone': `+43 512 ${100000 + nth}`, 'contact.mail': `person-${nth}@mail.test` },
  { 'contact.street': `Dorfstrasse ${nth}` },
  { 'contact.town': '6800 Vallorne', 'contact.country': 'Austria' },
  { 'declare.dismissed': 'no', 'declare.withdrawn': 'no' },
  { 'declare.heights': 'yes' },
  { 'declare.permit': 'yes' },
]

async function untilUp(address: string) {
  for (let tries = 0; tries < 150; tries += 1) {
    if (
      await fetch(`${address}/api/session`).then(
        ({ ok }) => ok,
        () => false,
      )
    )
      return
    await wait(200)
  }
  throw new Error('the server did not come up')
}

/** Everything that was acknowledged is there, once. */
async function lookAtDatabase(raw: Connection, accounts: readonly Person[]): Promise<string[]> {
  const found: string[] = []
  const references = new Set<string>()
  for (const [nth, { applicationId, candidateId, name }] of accounts.entries()) {
    const [row] = await raw.query('SELECT stage, reference, answers FROM applications WHERE id = ?', [applicationId])
    const answers = (typeof row.answers === 'string' ? JSON.parse(row.answers) : row.answers) as Record<string, string>
    if (row.stage !== 'sent') found.push(`${nth}: is ${row.stage}`)
    references.add(row.reference)
    for (const [key, value] of answersOf(name, nth).flatMap((changes) => Object.entries(changes)))
      if (answers[key] !== value) found.push(`${nth}: ${key} is ${answers[key]}`)
    for (const [table, column, value, wanted] of [
      ['claims', 'candidateId', candidateId, 2],
      ['documents', 'candidateId', candidateId, 1],
      ['permissions', 'applicationId', applicationId, 1],
      ['snapshots', 'applicationId', applicationId, 1],
    ] as const) {
      const [{ count }] = await raw.query(`SELECT COUNT(*) AS count FROM ${table} WHERE ${column} = ?`, [value])
      if (Number(count) !== wanted) found.push(`${nth}: ${count} ${table}`)
    }
  }
  if (references.size !== accounts.length) found.push(`${references.size} references`)
  return found
}

/** Every mail is out, and arrived once. */
async function lookAtMails(raw: Connection, mailbox: string): Promise<string[]> {
  const queued = async () =>
    Number((await raw.query("SELECT COUNT(*) AS count FROM messages WHERE state = 'queued'"))[0].count)
  for (let tries = 0; tries < 120 && (await queued()) > 0; tries += 1) await wait(500)
  const arrived = new Map<string, number>()
  for (const file of readdirSync(mailbox).filter((name) => name.endsWith('.eml'))) {
    const { messageId = '' } = await simpleParser(readFileSync(resolve(mailbox, file)))
    arrived.set(messageId, (arrived.get(messageId) ?? 0) + 1)
  }
  const [{ count }] = await raw.query('SELECT COUNT(*) AS count FROM messages')
  return [
    ...(arrived.size === Number(count) ? [] : [`${count} mails were written, ${arrived.size} arrived`]),
    ...[...arrived].flatMap(([id, times]) => (times > 1 ? [`${id} arrived ${times} times`] : [])),
  ]
}
