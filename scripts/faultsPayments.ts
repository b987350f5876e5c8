import { createHmac, randomUUID } from 'node:crypto'
import { mkdirSync, rmSync } from 'node:fs'
import { setTimeout as wait } from 'node:timers/promises'
import { pino } from 'pino'
import { v7 as uuid } from 'uuid'
import { vallorne } from '#scenario/organisation'
import { vacanciesOn } from '#scenario/vacancies/vacancies'
import { chargeSent } from '#server/fees/charge'
import { checkLedger } from '#server/fees/ledger'
import { clockAhead } from '#server/platform/clock'
import { readConfig } from '#server/platform/config'
import { inTransaction } from '#server/platform/database/connection'
import { Account, Candidate } from '#server/records/accounts/model'
import { Application } from '#server/records/applications/model'
import { FeeCharge, FeeDocument, FeePayment, LedgerEntry } from '#server/records/fees/model'
import { addVacancy, vacancyBySlug } from '#server/records/vacancies/vacancies'
import { prepare } from '#server/start'
import { envOf, startedBy } from './faultsShared'
import { requireFree, startOwnDatabase } from './ownDatabase'

const payers = 200
const secret = 'stand-in'

type Run = { kills: number; port: number; folder: string }
type Paying = { id: string; amount: number; currency: string }

/**
 * Kills the server and the database while the provider tells of 200 payments at once, each twice, until each was acknowledged.
 *
 * @returns 0 where each was paid once, booked once, with one receipt, and no number of a paper was left out; else 1
 */
export async function paymentsUnderFaults({ kills, port, folder }: Run): Promise<number> {
  rmSync(folder, { recursive: true, force: true })
  mkdirSync(folder, { recursive: true })
  await requireFree(port, 'the application')
  const env = { ...envOf(port, folder), PAYMENT_SECRET: secret, PAYMENT_URL: `http://127.0.0.1:${port + 3}/payments` }
  const start = startedBy(env)
  let database = await startOwnDatabase(folder, port + 6, { durable: true })
  const payments = await fill(database.url)
  const standins = start('standins/main.ts')
  let server = start('server/main.ts')
  let acknowledged = 0
  const tell = async ({ id, amount, currency }: Paying) => {
    const written = `${Math.trunc(amount / 100)}.${String(amount % 100).padStart(2, '0')}`
    const body = JSON.stringify({ notice: `n-${id}`, payment: id, state: 'paid', amount: written, currency })
    for (;;) {
      const at = String(Math.floor(Date.now() / 1000))
      const signature = createHmac('sha256', secret).update(`${at}.${body}`).digest('hex')
      const fine = await fetch(`http://127.0.0.1:${port}/api/payment-notices`, {
        method: 'POST',
        headers: { 'Signed-At': at, Signature: signature },
        body,
        signal: AbortSignal.timeout(10_000),
      }).then(
        ({ status }) => status === 204,
        () => false,
      )
      if (fine) break
      await wait(50 + Math.random() * 200)
    }
    acknowledged += 1
  }
  const telling = Promise.all(payments.flatMap((one) => [tell(one), tell(one)]))
  const killedAt: number[] = []
  while (killedAt.length < kills && acknowledged < payments.length * 2) {
    const until = Math.ceil((payments.length * 2 * (killedAt.length + 1)) / (kills + 2))
    while (acknowledged < until) await wait(5)
    if (killedAt.length % 2 === 0) {
      server.kill('SIGKILL')
      await new Promise((done) => server.once('exit', done))
      server = start('server/main.ts')
    } else {
      await database.kill()
      database = await startOwnDatabase(folder, port + 6, { durable: true })
    }
    killedAt.push(Date.now())
  }
  await telling
  const failures = await look(database.url, payments)
  server.kill('SIGTERM')
  standins.kill('SIGTERM')
  await database.stop()
  for (const failure of failures.slice(0, 20)) console.error(failure)
  const fine = failures.length === 0 && killedAt.length >= kills
  console.log(
    fine
      ? `${payments.length} payments told of twice, ${killedAt.length} kills: each paid once, booked once, with one receipt.`
      : `${failures.length} failures after ${killedAt.length} kills.`,
  )
  return fine ? 0 : 1
}

const open = (databaseUrl: string) =>
  prepare({ ...readConfig({ SECOND_FACTOR: '', DATA_FOLDER: '.check/own' }), databaseUrl }, pino({ level: 'silent' }))

/** People who have sent an application that costs something, each with a payment that has begun. */
async function fill(databaseUrl: string): Promise<Paying[]> {
  const fixed = await open(databaseUrl)
  const deps = { ...fixed, organisation: vallorne, clock: clockAhead(0, vallorne.timeZone) }
  const day = (offset: number) => deps.clock.today().add({ days: offset }).toString()
  const at = (offset: number, hour: number) => new Date(`${day(offset)}T${String(hour).padStart(2, '0')}:00:00Z`)
  const post = vacanciesOn(at, day, vallorne.timeZone).find(({ slug }) => slug === 'lift-attendant')!
  await addVacancy(deps, post)
  const vacancy = await vacancyBySlug(post.slug)
  const now = deps.clock.now()
  const people = Array.from({ length: payers }, (_, nth) => ({ nth, account: uuid(), candidate: uuid(), id: uuid() }))
  await Account.bulkCreate(
    people.map(({ nth, account }) => ({
      ...{ id: account, mail: `payer-${nth}@mail.test`, name: `Payer ${nth}`, passwordHash: 'none' },
      ...{ roles: ['candidate' as const], confirmedAt: now, createdAt: now },
    })),
  )
  await Candidate.bulkCreate(
    people.map(({ nth, account, candidate }) => ({
      ...{ id: candidate, accountId: account, name: `Payer ${nth}`, born: null, otherNames: [], createdAt: now },
    })),
  )
  await Application.bulkCreate(
    people.map(({ nth, candidate, id }) => ({
      ...{ id, candidateId: candidate, vacancyId: vacancy.id, stage: 'sent' as const, answers: {}, version: 1 },
      ...{ number: nth + 1, reference: `VM-${nth + 1}`, rulesVersion: vacancy.rulesVersion, sentAt: now },
      ...{ targetStart: vacancy.targetStart, createdAt: now, savedAt: now },
    })),
  )
  for (const { id } of people)
    await inTransaction(fixed.sequelize, () =>
      chargeSent(deps, [{ actor: { kind: 'system' }, applicationId: id } as Parameters<typeof chargeSent>[1][number]]),
    )
  const payments = (await FeeCharge.findAll()).map(({ id, owed, currency }) => ({
    ...{ id: randomUUID(), chargeId: id, means: 'card' as const, amount: owed, currency },
    ...{ state: 'started' as const, startedAt: now },
  }))
  await FeePayment.bulkCreate(payments)
  await fixed.sequelize.close()
  return payments
}

async function look(databaseUrl: string, payments: readonly Paying[]): Promise<string[]> {
  const fixed = await open(databaseUrl)
  const faults = await checkLedger(fixed)
  const [open_, paid, receipts] = await Promise.all([
    FeeCharge.count({ where: { state: 'open' } }),
    FeePayment.count({ where: { state: 'paid' } }),
    FeeDocument.findAll({ where: { kind: 'receipt' }, order: ['number'] }),
  ])
  const booked = await LedgerEntry.count({ where: { cause: payments.map(({ id }) => `payment ${id}`) } })
  await fixed.sequelize.close()
  const wanted = payments.length
  const gap = receipts.findIndex(({ number }, nth) => number !== nth + 1)
  return [
    ...faults.map((fault) => JSON.stringify(fault)),
    ...(open_ === 0 ? [] : [`${open_} charges are still open`]),
    ...(paid === wanted ? [] : [`${paid} payments are paid, wanted ${wanted}`]),
    ...(booked === wanted ? [] : [`${booked} are booked, wanted ${wanted}`]),
    ...(receipts.length === wanted ? [] : [`${receipts.length} receipts, wanted ${wanted}`]),
    ...(gap < 0 ? [] : [`a number is left out before receipt ${receipts[gap]!.number}`]),
  ]
}
