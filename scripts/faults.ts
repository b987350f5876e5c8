import type { ChildProcess } from 'node:child_process'
import { mkdirSync, rmSync } from 'node:fs'
import { resolve } from 'node:path'
import { setTimeout as wait } from 'node:timers/promises'
import { parseArgs } from 'node:util'
import { createConnection } from 'mariadb'
import type { contract } from '#contract/index'
import type { Answers } from '#core/form/answer'
import { drawPdf } from '#scenario/papers'
import { visitor } from '../test/client'
import { personAnswers, tokenIn } from '../test/house'
import { envOf, lookAtChains, lookAtMails, startedBy } from './faultsShared'
import { requireFree, startOwnDatabase } from './ownDatabase'

const help = `npm run faults [-- --sessions 500 --kills 20 --port 4400]
npm run faults -- enquiries [--kills 10]
npm run faults -- payments [--kills 4]

Kills the server and the database (SIGKILL) at random while people write and send applications with their papers, sources
reply and the desk decides; starts them again, and then looks: everything that was acknowledged has to be there, nothing
twice, no chain broken, and every mail gone out. SMTP is at-least-once: a mail may arrive again, under the same Message-ID,
only where the kill fell between its arrival and the note that it had arrived.

Of enquiries: kills both in a night in which two thousand questions are due, and then looks that each was reminded once or decided
once, and that every reminder has arrived.

Of payments: kills both while the provider tells of 200 payments at once, each twice, and then looks that each was paid once and booked
once, with one receipt, and that no number of a paper was left out.`

const { values, positionals } = parseArgs({
  allowPositionals: true,
  options: {
    sessions: { type: 'string', default: '500' },
    kills: { type: 'string', default: '' },
    port: { type: 'string', default: '4400' },
    data: { type: 'string', default: '.check/faults' },
    help: { type: 'boolean' },
  },
})
if (values.help) {
  console.log(help)
  process.exit(0)
}
const port = Number(values.port)
const folder = resolve(values.data)
if (positionals[0] === 'enquiries') {
  const { nightOfFaults } = await import('./faultsEnquiries')
  process.exit(await nightOfFaults({ kills: Number(values.kills || 10), port, folder }))
}
if (positionals[0] === 'payments') {
  const { paymentsUnderFaults } = await import('./faultsPayments')
  process.exit(await paymentsUnderFaults({ kills: Number(values.kills || 4), port, folder }))
}
const sessions = Number(values.sessions)
const kills = Number(values.kills || 20)
const changesEach = 6
/** With what sending and deciding takes, each acknowledged by itself. */
const stepsEach = changesEach + 10
const atOnce = 40
const address = `http://127.0.0.1:${port}`

rmSync(folder, { recursive: true, force: true })
mkdirSync(folder, { recursive: true })
await requireFree(port, 'the application')

const env = envOf(port, folder)
const start = startedBy(env)

const durable = { durable: true }
let database = await startOwnDatabase(folder, port + 6, durable)
const standins = start('standins/main.ts')
let server: ChildProcess
const { prepareFaults, faultsPassword } = await import('./faultsWorld')
const { accounts, desk: deskSession, source } = await prepareFaults(env.DATABASE_URL, sessions)
server = start('server/main.ts')
await untilUp()

/** What was acknowledged to each person: the newest value of each answer, and how many claims. */
const told = accounts.map(() => ({
  answers: {} as Answers,
  claims: 0,
  named: 0,
  documentId: '',
  reference: '',
  decided: '',
}))
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
  const ok: Ok = async (name, argument) => {
    const reply = await person.call(name as never, argument)
    return refuseFailures(name, reply)
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
        if (answers['about.formerName'] === value) return
        const changes = { 'about.formerName': value }
        const reply = await ok('saveAnswers', { params: { id }, body: { version, changes } })
        if (reply.status !== 200) throw new Error(`${reply.status}`)
      })
      own.answers = { ...own.answers, 'about.formerName': value }
    }
    acknowledged += 1
    await wait(Math.random() * 60)
  }
  // A mail for each, to somebody who is to vouch for them.
  const body = { name: `Voucher ${nth}`, mail: `voucher-${nth}@mail.test`, relation: 'colleague' }
  const named = await surely(() => ok('nameVoucher', { params: { id }, body, key: `voucher ${nth}` }))
  if (named.status === 200) own.named += 1
  else throw new Error(`a name was refused: ${JSON.stringify(named.body)}`)
  await sendAndDecide(nth, ok)
  finished += 1
}

type Ok = (name: keyof typeof contract, argument: object) => Promise<{ status: number; body: Record<string, unknown> }>

/** The application is sent with a paper, the source is asked and replies, and the desk decides. */
async function sendAndDecide(nth: number, ok: Ok) {
  const own = told[nth]!
  const { applicationId: id } = accounts[nth]!
  const desk = visitor(address, { probatum: deskSession })
  const asDesk: Ok = async (name, argument) => refuseFailures(name, await desk.call(name as never, argument))
  const sure = async (how: Ok, name: Parameters<Ok>[0], argument: object, also: readonly string[] = []) => {
    const { status, body } = await surely(() => how(name, argument))
    if (status !== 200 && !also.includes(String(body.code))) throw new Error(`${name}: ${JSON.stringify(body)}`)
    acknowledged += 1
    return body
  }
  const changes: Answers = {
    ...personAnswers(`Runa${nth}`, 'Faultless'),
    'contact.mail': accounts[nth]!.mail,
  }
  // Whether an answer was kept although nobody said so is found by asking.
  await surely(async () => {
    const { body } = await ok('readDraft', { params: { id } })
    const draft = body as { version: number; answers: Answers }
    if (draft.answers['about.givenNames'] === changes['about.givenNames']) return
    const reply = await ok('saveAnswers', { params: { id }, body: { version: draft.version, changes } })
    if (reply.status !== 200) throw new Error(`answers: ${reply.status}`)
  })
  own.answers = { ...changes }
  const details = { kind: 'study', ...source, award: 'MSc', subject: 'Electrical Engineering', level: 7, field: '0713' }
  const times = { number: `TB-${nth}`, from: '2015-10', to: '2018-03' }
  const degree = await sure(ok, 'addClaim', { body: { details: { ...details, ...times } }, key: `degree ${nth}` })
  own.claims += 1
  const claimId = String(degree.id)
  const paper = await drawPdf({
    issuer: 'An issuer',
    place: 'Tannberg, AT',
    heading: 'Certificate',
    lines: ['awarded to', `Runa${nth} Faultless`],
    signedBy: 'The registrar',
    on: '2018',
  })
  const query = { fileName: `Degree ${nth}.pdf` }
  const uploaded = await sure(ok, 'uploadDocument', { params: { id: claimId }, query, body: paper }, ['same-bytes'])
  own.documentId = String(uploaded.id ?? 'there')
  const signature = { fullName: `Runa${nth} Faultless`, password: faultsPassword, agreed: true }
  await sure(ok, 'signPermission', { params: { id }, body: signature }, ['already-signed'])
  const { body: draft } = await surely(() => ok('readDraft', { params: { id } }))
  const sending = { params: { id }, body: { version: Number(draft.version) }, key: `sending ${nth}` }
  own.reference = String((await sure(ok, 'sendApplication', sending)).reference)
  const opened = await surely(() => asDesk('readFile', { params: { id } }))
  type Claimed = { id: string; documents: { id: string }[] }
  const before = (opened.body.claims as Claimed[]).find((one) => one.id === claimId)!
  const { body: proof } = await surely(() => asDesk('readProof', { params: { id, claimId } }))
  const seeing = { params: { id: before.documents[0]!.id }, body: { version: 0, reads: proof.claimed } }
  await sure(asDesk, 'seeDocument', { ...seeing, key: `seeing ${nth}` }, ['already-seen', 'changed-meanwhile'])
  const asking = { params: { id: claimId }, body: { applicationId: id }, key: `asking ${nth}` }
  const enquiry = String((await sure(asDesk, 'raiseEnquiry', asking)).id)
  const token = await surely(() => tokenOf(id))
  const bearer = visitor(address)
  const asSource: Ok = async (name, argument) => refuseFailures(name, await bearer.call(name as never, argument))
  const question = await sure(asSource, 'readEnquiry', { params: { token } })
  const fields = Object.fromEntries(Object.keys(question.claimed as object).map((field) => [field, { says: 'agrees' }]))
  const reply = { known: true, fields, note: '', respondent: 'Renate Amt', capacity: '' }
  await sure(asSource, 'replyToEnquiry', { params: { token }, body: reply, key: `reply for ${nth}` }, ['answered'])
  const { body: file } = await surely(() => asDesk('readFile', { params: { id } }))
  const claim = (file.claims as { id: string; version: number }[]).find((one) => one.id === claimId)!
  const decision = { version: claim.version, decision: 'confirmed', note: '' }
  await sure(asDesk, 'decideClaim', { params: { id: claimId }, body: decision, key: `decision ${nth}` })
  own.decided = `${claimId} ${enquiry}`
}

/** What could not be done while a part was gone is tried again; so is what somebody else is doing at the moment. */
function refuseFailures<R extends { status: number; body: object }>(name: string, reply: R) {
  const code = (reply.body as { code?: string } | null)?.code
  if (reply.status >= 500 || code === 'under-way') throw new Error(`${name}: ${reply.status}`)
  return reply as unknown as { status: number; body: Record<string, unknown> }
}

/** The link a source was sent, as it stands in its mail. */
async function tokenOf(applicationId: string): Promise<string> {
  const connection = await createConnection({
    host: '127.0.0.1',
    port: port + 6,
    user: 'root',
    database: 'probatum',
    connectTimeout: 15_000,
  })
  try {
    const rows = (await connection.query('SELECT text FROM messages WHERE applicationId = ?', [applicationId])) as {
      text: string
    }[]
    return tokenIn(rows.map(({ text }) => text).join(), 'reply')
  } finally {
    await connection.end()
  }
}

const workers = Array.from({ length: atOnce }, async (_, worker) => {
  for (let nth = worker; nth < sessions; nth += atOnce) await editingSession(nth)
})
let killed = 0
const killedAt: number[] = []
const killing = (async () => {
  while (killed < kills && finished < sessions) {
    const due = ((killed + Math.random()) / kills) * sessions * stepsEach
    while (acknowledged < due && finished < sessions) await wait(40)
    await wait(Math.random() * 400)
    if (Math.random() < 0.5) {
      server.kill('SIGKILL')
      await new Promise((done) => server.once('exit', done))
      server = start('server/main.ts')
    } else {
      await database.kill()
      database = await startOwnDatabase(folder, port + 6, durable)
    }
    killed += 1
    killedAt.push(Date.now())
    process.stdout.write(
      `\r${killed} kills, ${acknowledged} changes acknowledged, ${finished} of ${sessions} sessions finished   `,
    )
    await untilUp()
  }
})()
await Promise.all([...workers, killing])
console.log(`\n${killed} kills, ${finished} sessions finished.`)

const failures = [...(await lookAtDatabase()), ...(await lookAtMails(port, killedAt)), ...lookAtChains(env)]
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
  const connection = await createConnection({
    host: '127.0.0.1',
    port: port + 6,
    user: 'root',
    database: 'probatum',
    connectTimeout: 15_000,
  })
  const found: string[] = []
  for (const [nth, { applicationId, candidateId }] of accounts.entries()) {
    const own = told[nth]!
    const [row] = await connection.query('SELECT answers FROM applications WHERE id = ?', [applicationId])
    const answers = (typeof row.answers === 'string' ? JSON.parse(row.answers) : row.answers) as Answers
    for (const [key, value] of Object.entries(own.answers))
      if (JSON.stringify(answers[key]) !== JSON.stringify(value))
        found.push(`${nth}: ${key} is ${JSON.stringify(answers[key])}, acknowledged was ${JSON.stringify(value)}`)
    const claims = await connection.query('SELECT details FROM claims WHERE candidateId = ?', [candidateId])
    const named = await connection.query('SELECT id FROM vouchings WHERE applicationId = ?', [applicationId])
    if (named.length !== own.named) found.push(`${nth}: ${named.length} named, acknowledged were ${own.named}`)
    const mails = await connection.query('SELECT id FROM messages WHERE toMail = ?', [`voucher-${nth}@mail.test`])
    if (mails.length !== own.named) found.push(`${nth}: ${mails.length} mails written, acknowledged were ${own.named}`)
    const papers = await connection.query(
      `SELECT d.id FROM documents d JOIN blobs b ON b.sha256 = d.sha256 AND b.wholeAt IS NOT NULL
       WHERE d.candidateId = ? AND b.size = (SELECT SUM(LENGTH(c.bytes)) FROM blob_chunks c WHERE c.sha256 = b.sha256)`,
      [candidateId],
    )
    if (papers.length !== 1) found.push(`${nth}: ${papers.length} whole papers, acknowledged was one`)
    const [sent] = await connection.query('SELECT stage, reference FROM applications WHERE id = ?', [applicationId])
    if (sent.stage === 'being written' || sent.reference !== own.reference)
      found.push(`${nth}: ${sent.stage} as ${sent.reference}, acknowledged was sent as ${own.reference}`)
    const [claimId, enquiryId] = own.decided.split(' ')
    const [claim] = await connection.query('SELECT rung FROM claims WHERE id = ?', [claimId])
    const findings = await connection.query('SELECT id FROM findings WHERE claimId = ?', [claimId])
    const [enquiry] = await connection.query('SELECT state FROM enquiries WHERE id = ?', [enquiryId])
    if (claim?.rung !== 'confirmed' || findings.length !== 1 || enquiry?.state !== 'answered')
      found.push(
        `${nth}: ${claim?.rung}, ${findings.length} findings, ${enquiry?.state}; acknowledged was one decision`,
      )
    if (claims.length !== own.claims) found.push(`${nth}: ${claims.length} claims, acknowledged were ${own.claims}`)
  }
  await connection.end()
  return found
}
