import { type ChildProcess, spawn } from 'node:child_process'
import { mkdirSync, readdirSync, readFileSync, rmSync } from 'node:fs'
import { availableParallelism } from 'node:os'
import { resolve } from 'node:path'
import { setTimeout as wait } from 'node:timers/promises'
import { hash } from '@node-rs/argon2'
import { simpleParser } from 'mailparser'
import { type Connection, createConnection } from 'mariadb'
import type { Answers } from '#core/form/answer'
import { drawPdf } from '#scenario/papers'
import { prepareFaults } from '../scripts/faultsWorld'
import { startOwnDatabase } from '../scripts/ownDatabase'
import { visitor } from '../test/client'
import { nameOf } from './crowd'
import { percentile, type Result } from './result'

const people = 500
const seconds = 120
/** Between two things a person does, on average; a whole application is written and sent in under five minutes. */
const paceMs = 20_000
const port = 4520
/** A copy of the application for each core; the database, the mail server and the 500 people share them. */
const cores = availableParallelism()
const password = 'a-long-enough-secret'
const folder = resolve('.check/bench-at-once')

type Person = Awaited<ReturnType<typeof prepareFaults>>['accounts'][number]

/**
 * For two minutes so many people at once write their application and send it, each at their own pace: answers, a degree
 * with its certificate, a job, the signature, the sending. At the beginning each is somewhere on the way; whoever has sent
 * makes room for somebody new. Says how long they wait, and whether anything is lost or doubled.
 */
export async function manyAtOnce(): Promise<Result[]> {
  rmSync(folder, { recursive: true, force: true })
  mkdirSync(folder, { recursive: true })
  const env = {
    ...process.env,
    NODE_ENV: 'production',
    PROCESSES: String(cores),
    PORT: String(port),
    SMTP_PORT: String(port + 2),
    STANDINS_PORT: String(port + 3),
    SMTP_URL: `smtp://127.0.0.1:${port + 2}`,
    DATABASE_URL: `mariadb://root@127.0.0.1:${port + 6}/probatum`,
    MAILBOX_FOLDER: resolve(folder, 'mailbox'),
    DATA_FOLDER: folder,
    SECOND_FACTOR: '',
    SCAN_FOLDER: resolve(folder, 'scans'),
    LOG_LEVEL: 'error',
  }
  const begin = (file: string) => spawn(process.execPath, ['--import', 'tsx', file], { env, stdio: 'inherit' })
  const database = await startOwnDatabase(folder, port + 6)
  const { accounts } = await prepareFaults(env.DATABASE_URL, 2 * people)
  const raw = await createConnection({
    host: '127.0.0.1',
    port: port + 6,
    user: 'root',
    database: 'probatum',
    connectTimeout: 15_000,
  })
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
  const fail = (nth: number) => (error: Error) => void failures.push(`${nth}: ${error.message}`)
  const writers = accounts.map((account, nth) => writer(address, account, nth, certificate))
  // Where each stands when the two minutes begin.
  const begun = writers.slice(0, people)
  const doneBefore = (nth: number) => Math.floor((nth / people) * writers[nth]!.steps.length)
  await Promise.all(
    Array.from({ length: 8 }, async (_, lane) => {
      for (let nth = lane; nth < people; nth += 8)
        for (const { work } of begun[nth]!.steps.slice(0, doneBefore(nth))) await work().catch(fail(nth))
    }),
  )
  const waiting = writers.slice(people)
  const end = Date.now() + seconds * 1000
  const acting = begun.map(async ({ steps }, place) => {
    let nth = place
    let left = steps.slice(doneBefore(place))
    await wait(Math.random() * paceMs)
    while (Date.now() < end) {
      const step = left.shift()
      if (!step) {
        const next = waiting.shift()
        if (!next) return
        nth = next.nth
        left = [...next.steps]
        continue
      }
      const began = performance.now()
      await step.work().catch(fail(nth))
      times.push({ what: step.what, ms: performance.now() - began })
      await wait(Math.random() * 2 * paceMs)
    }
  })
  const from = Date.now()
  await Promise.all(acting)
  const took = (Date.now() - from) / 1000
  failures.push(...(await lookAtDatabase(raw, accounts, writers)), ...(await lookAtMails(raw, env.MAILBOX_FOLDER)))
  for (const failure of failures.slice(0, 10)) console.error(failure)
  await raw.end()
  for (const child of others) child.kill('SIGTERM')
  await database.stop()
  rmSync(folder, { recursive: true, force: true })
  const of = (name?: string) => times.flatMap(({ what, ms }) => (!name || what === name ? [ms] : []))
  return [
    {
      what: `${people} people at once, each at something every ${paceMs / 1000} s: ${times.length.toLocaleString('en')} in ${took.toFixed(0)} s`,
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

/** Somebody and what they do, step by step; `told` is what was acknowledged to them. */
function writer(address: string, { applicationId: id, session }: Person, nth: number, certificate: Uint8Array) {
  const person = visitor(address, { probatum: session })
  const told = { answers: {} as Record<string, string>, claims: 0, documents: 0, signed: 0, sent: 0 }
  let version = 0
  let degree = ''
  const source = { sourceId: null, sourceName: 'Academy of Tannberg' }
  const steps: { what: string; work: () => Promise<void> }[] = [
    {
      what: 'read',
      work: async () => {
        version = (await person.done('readDraft', { params: { id } })).version
      },
    },
    ...answersOf(nth).map((changes) => ({
      what: 'save',
      work: async () => {
        const body = { version, changes }
        version = (await person.done('saveAnswers', { params: { id }, body })).version
        Object.assign(told.answers, changes)
      },
    })),
    {
      what: 'add a claim',
      work: async () => {
        const details = {
          kind: 'study',
          ...source,
          award: 'MSc',
          subject: 'Electrical Engineering',
          level: 7,
          field: '0713',
          number: `TB-2018-${nth}`,
          from: '2015-10',
          to: '2018-03',
        }
        degree = (await person.done('addClaim', { body: { details } })).id
        told.claims += 1
      },
    },
    {
      what: 'upload',
      work: async () => {
        const query = { fileName: 'Degree.pdf' }
        await person.done('uploadDocument', { params: { id: degree }, query, body: Buffer.from(certificate) })
        told.documents += 1
      },
    },
    {
      what: 'add a claim',
      work: async () => {
        const details = {
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
        }
        await person.done('addClaim', { body: { details } })
        told.claims += 1
      },
    },
    {
      what: 'sign',
      work: async () => {
        const body = { fullName: nameOf(nth * 17), password, agreed: true }
        await person.done('signPermission', { params: { id }, body })
        told.signed += 1
      },
    },
    {
      what: 'send',
      work: async () => {
        await person.done('sendApplication', { params: { id }, body: { version } })
        told.sent += 1
      },
    },
  ]
  return { nth, steps, told }
}

/** The answers of the post, a few at a time, as they are typed. */
const answersOf = (nth: number): Answers[] => [
  { 'about.givenNames': nameOf(nth * 17).split(' ')[0]!, 'about.familyName': nameOf(nth * 17).split(' ')[1]! },
  { 'about.born': `19${70 + (nth % 29)}-0${1 + (nth % 9)}-${10 + (nth % 18)}` },
  { 'contact.phone': `+43 512 ${100000 + nth}`, 'contact.mail': `person-${nth}@mail.test` },
  { 'contact.home': { street: `Dorfstrasse ${nth}`, postcode: '6800', town: 'Vallorne', country: 'Austria' } },
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

/** Everything that was acknowledged is there, once, and nothing else. */
async function lookAtDatabase(
  raw: Connection,
  accounts: readonly Person[],
  writers: readonly ReturnType<typeof writer>[],
): Promise<string[]> {
  const found: string[] = []
  for (const [nth, { applicationId, candidateId }] of accounts.entries()) {
    const { told } = writers[nth]!
    const [row] = await raw.query('SELECT stage, reference, answers FROM applications WHERE id = ?', [applicationId])
    const answers = (typeof row.answers === 'string' ? JSON.parse(row.answers) : row.answers) as Record<string, string>
    for (const [key, value] of Object.entries(told.answers))
      if (answers[key] !== value) found.push(`${nth}: ${key} is ${answers[key]}`)
    if (Object.keys(answers).length !== Object.keys(told.answers).length)
      found.push(`${nth}: answers nobody was told of`)
    for (const [table, column, value, wanted] of [
      ['claims', 'candidateId', candidateId, told.claims],
      ['documents', 'candidateId', candidateId, told.documents],
      ['permissions', 'applicationId', applicationId, told.signed],
      ['snapshots', 'applicationId', applicationId, told.sent],
    ] as const) {
      const [{ count }] = await raw.query(`SELECT COUNT(*) AS count FROM ${table} WHERE ${column} = ?`, [value])
      if (Number(count) !== wanted) found.push(`${nth}: ${count} ${table}, acknowledged were ${wanted}`)
    }
  }
  const [{ sent, references }] = await raw.query(
    "SELECT COUNT(*) AS sent, COUNT(DISTINCT reference) AS `references` FROM applications WHERE stage = 'sent'",
  )
  if (Number(sent) !== Number(references)) found.push(`${sent} were sent under ${references} references`)
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
