import { createHash } from 'node:crypto'
import { Op, type WhereOptions } from 'sequelize'
import { v7 as uuid } from 'uuid'
import type { payableKinds, TransferLine } from '#contract/transfers'
import { type Match, matchTransfer, type Payable } from '#core/money/matching'
import { say } from '#core/words/say'
import { recordEvent } from '../../platform/audit/record'
import { changeWhere } from '../../platform/database/compareAndSet'
import { inTransaction } from '../../platform/database/connection'
import type { Account, Deps } from '../../platform/deps'
import { invalidField, notFound } from '../../platform/errors/problems'
import { EmployerInvoice, employersById } from '../../records/fees/employers'
import { BankTransfer, FeeCharge, FeePayment } from '../../records/fees/model'
import { shownNames } from '../../records/people/shownNames'
import { receivedFromEmployer } from '../employers/invoice'
import { received } from '../pay'
import { problems } from '../problems'
import { readStatement, type StatedTransfer } from './readStatement'

const pageSize = 50

type TransferKind = (typeof payableKinds)[number]

/**
 * Takes a bank's statement. What names a reference of ours is booked; everything else waits for a person. The same transfer is taken
 * once, however often its statement is read, and by however many at the same moment.
 */
export async function takeStatement(deps: Deps, actor: Account, bytes: Buffer) {
  const { transfers, passedOver } = readStatement(bytes)
  const counts = { booked: 0, toLookAt: 0, known: 0, passedOver }
  // One after the other, so that a long statement holds nobody up; where it breaks off it is read again, and goes on.
  for (const stated of transfers)
    counts[await inTransaction(deps.sequelize, () => takeTransfer(deps, actor, stated))] += 1
  await recordEvent(deps, actor, {
    code: 'statement-read',
    values: { count: transfers.length, booked: counts.booked },
    details: counts,
  })
  return counts
}

async function takeTransfer(
  deps: Deps,
  actor: Account,
  stated: StatedTransfer,
): Promise<'booked' | 'toLookAt' | 'known'> {
  const row = await keep(deps, actor, stated)
  if (!row) return 'known'
  const match = matchTransfer(stated, await payables(stated))
  if (match.by !== 'reference') return 'toLookAt'
  await pay(deps, actor, row, match.parts)
  return 'booked'
}

/** Keeps a transfer that is not there yet. */
async function keep(deps: Deps, actor: Account, { key, ...stated }: StatedTransfer): Promise<BankTransfer | undefined> {
  const bankKey = createHash('sha256').update(`${key}|${stated.on}|${stated.amount}|${stated.currency}`).digest('hex')
  const id = uuid()
  await BankTransfer.bulkCreate(
    [
      {
        ...{ id, bankKey, bookedOn: stated.on, amount: stated.amount, currency: stated.currency },
        ...{
          payer: stated.payer.slice(0, 255),
          reference: stated.reference.slice(0, 100),
          text: stated.text.slice(0, 1000),
        },
        ...{ state: 'to look at', takenBy: actor.name, takenAt: deps.clock.now() },
      },
    ],
    { ignoreDuplicates: true },
  )
  return (await BankTransfer.findByPk(id)) ?? undefined
}

/** What a transfer may pay: by the references it could name, or by what owes its amount. */
async function payables({
  amount,
  currency,
  reference,
  text,
}: Pick<StatedTransfer, 'amount' | 'currency' | 'reference' | 'text'>) {
  const plain = `${reference} ${text}`.toUpperCase().replace(/[^0-9A-Z]/g, '')
  const starts = [...plain.matchAll(/RF\d{2}/g)].map(({ index }) => plain.slice(index, index + 25))
  const possible = starts.flatMap((start) => Array.from({ length: start.length }, (_, nth) => start.slice(0, nth + 1)))
  const where = { currency, [Op.or]: [{ reference: possible }, { state: 'open', owed: amount }] } as WhereOptions
  const [charges, invoices] = await Promise.all([
    FeeCharge.findAll({ where, limit: 200 }),
    EmployerInvoice.findAll({ where, limit: 200 }),
  ])
  const [names, employers] = await Promise.all([
    shownNames(charges.map(({ candidateId }) => candidateId)),
    employersById(invoices.map(({ employerId }) => employerId)),
  ])
  return [
    ...charges.map(({ id, reference: own, owed, candidateId }): Payable & { kind: TransferKind } => ({
      ...{ id, reference: own, owed, currency, name: names.get(candidateId) ?? '', kind: 'charge' },
    })),
    ...invoices.map(({ id, reference: own, owed, employerId }): Payable & { kind: TransferKind } => ({
      ...{ id, reference: own, owed, currency, name: employers.get(employerId)!.name, kind: 'employer invoice' },
    })),
  ]
}

/** Books a transfer to what it pays. Of two who do it at the same moment one does. */
async function pay(deps: Deps, actor: Account, row: BankTransfer, parts: readonly { id: string; amount: number }[]) {
  const settled = { state: 'booked' as const, settledBy: actor.name, settledAt: deps.clock.now() }
  if (!(await changeWhere(row, { state: ['to look at', 'set aside'] }, settled))) throw problems.transferSettled()
  const ids = parts.map(({ id }) => id)
  const invoices = new Set((await EmployerInvoice.findAll({ where: { id: ids } })).map(({ id }) => id))
  for (const { id, amount } of parts) {
    const now = deps.clock.now()
    if (invoices.has(id)) {
      const given = { means: 'transfer' as const, paidOn: row.bookedOn, note: row.payer || null, transferId: row.id }
      await receivedFromEmployer(deps, actor, id, { ...given, amount })
      continue
    }
    const payment = await FeePayment.create({
      ...{ id: uuid(), chargeId: id, means: 'transfer', amount, currency: row.currency, state: 'paid' },
      ...{ note: row.payer || null, paidOn: row.bookedOn, transferId: row.id, startedAt: now, settledAt: now },
    })
    await received(deps, actor, payment)
  }
}

/** Lays a transfer with what it pays, one or several, to its last cent. */
export async function assignTransfer(
  deps: Deps,
  actor: Account,
  id: string,
  { parts }: { parts: { pays: string; amount: number }[] },
) {
  const row = await transferById(id)
  if (parts.reduce((sum, { amount }) => sum + amount, 0) !== row.amount)
    throw invalidField('/body/parts', say('problem.partsDoNotAddUp'))
  const ids = [...new Set(parts.map(({ pays }) => pays))]
  const where = { id: ids, currency: row.currency }
  const found = await Promise.all([FeeCharge.count({ where }), EmployerInvoice.count({ where })])
  if (found[0] + found[1] < ids.length) throw notFound()
  await pay(
    deps,
    actor,
    row,
    parts.map(({ pays: payable, amount }) => ({ id: payable, amount })),
  )
  return { done: true as const }
}

/** Sets a transfer aside that pays nothing of ours; it can still be laid with something later. */
export async function setTransferAside(deps: Deps, actor: Account, id: string, reason: string) {
  const row = await transferById(id)
  const aside = {
    state: 'set aside' as const,
    reason: reason.trim(),
    settledBy: actor.name,
    settledAt: deps.clock.now(),
  }
  if (!(await changeWhere(row, { state: 'to look at' }, aside))) throw problems.transferSettled()
  return { done: true as const }
}

async function transferById(id: string): Promise<BankTransfer> {
  const row = await BankTransfer.findByPk(id)
  if (!row) throw notFound()
  return row
}

type Query = { state: TransferLine['state']; after?: string }

/** Transfers in a state, the newest first, each with what it may pay. */
export async function listTransfers({ state, after }: Query) {
  const [on, last] = after?.split(' ') ?? []
  const beyond = on && last ? { [Op.or]: [{ bookedOn: { [Op.lt]: on } }, { bookedOn: on, id: { [Op.lt]: last } }] } : {}
  const rows = await BankTransfer.findAll({
    where: { [Op.and]: [{ state }, beyond] },
    order: [
      ['bookedOn', 'DESC'],
      ['id', 'DESC'],
    ],
    limit: pageSize + 1,
  })
  const shown = rows.slice(0, pageSize)
  const end = shown.at(-1)
  const [waiting, transfers] = await Promise.all([
    BankTransfer.count({ where: { state: 'to look at' } }),
    Promise.all(shown.map(lineOf)),
  ])
  return { transfers, waiting, next: rows.length > pageSize && end ? `${end.bookedOn} ${end.id}` : null }
}

async function lineOf(row: BankTransfer): Promise<TransferLine> {
  const { id, bookedOn, amount, currency, payer, reference, text, state, reason } = row
  const possible = state === 'booked' ? [] : await payables(row)
  const match: Match = state === 'booked' ? { by: 'nothing' } : matchTransfer(row, possible)
  const proposed =
    match.by === 'amount and name' ? match.candidates : match.by === 'reference' ? match.parts.map((one) => one.id) : []
  return {
    ...{ id, bookedOn, amount, currency, payer, reference, text, state, reason: reason ?? null },
    proposed: possible
      .filter((one) => proposed.includes(one.id))
      .map(({ id: pays, kind, name, owed }) => ({ pays, kind, name, owed })),
  }
}
