import { literal } from 'sequelize'
import { v7 as uuid } from 'uuid'
import { charged, paid, taxWithinPart } from '#core/money/ledger'
import { say } from '#core/words/say'
import { type StoredValue, writeValue } from '#core/words/stored'
import { translated } from '#core/words/translations'
import { recordEvent } from '../platform/audit/record'
import { changeWhere } from '../platform/database/compareAndSet'
import { inTransaction } from '../platform/database/connection'
import type { Account, Actor, Deps } from '../platform/deps'
import { notFound } from '../platform/errors/problems'
import { queueJob } from '../platform/jobs/queue'
import { applicationById } from '../records/applications/find'
import { chargeById } from '../records/fees/find'
import { type FeeCharge, FeeDocument, FeePayment, FeeRefund } from '../records/fees/model'
import { contentOf, titleOf } from './charge'
import { issue, numberOf } from './documents'
import { book } from './ledger'
import { scheduleOf } from './pay'
import { problems } from './problems'

/**
 * Gives back a part of what was paid, or all of it. What is given back beyond what was paid too much is taken back from the charge
 * too, with a credit note. Of two who give back the same at the same moment one is refused.
 */
export async function refund(
  deps: Deps,
  actor: Account,
  id: string,
  { payment: paymentId, amount, reason }: { payment: string; amount: number; reason: string },
) {
  const charge = await chargeById(id)
  const payment = await FeePayment.findOne({ where: { id: paymentId, chargeId: id } })
  if (!payment) throw notFound()
  if (payment.state !== 'paid' || payment.means === 'voucher') throw problems.notPaidByCard()
  // What is left of a payment is guarded in the row itself.
  const [reserved] = await FeePayment.update(
    { givenBack: literal(`givenBack + ${Math.trunc(amount)}`) as unknown as number },
    { where: { id: paymentId, givenBack: payment.givenBack, state: 'paid' } },
  )
  if (reserved === 0 || payment.givenBack + amount > payment.amount) throw problems.tooMuch()
  const made = await FeeRefund.create({
    ...{ id: uuid(), paymentId, chargeId: id, amount, reason: reason.trim(), state: 'asked' },
    ...{ askedBy: actor.name, askedAt: deps.clock.now() },
  })
  const surplus = Math.max(0, -charge.owed)
  if (amount > surplus)
    await takeBack(deps, actor, charge, { amount: amount - surplus, reason: reason.trim(), cause: `refund ${made.id}` })
  if (payment.means === 'card') await queueJob('refund', { refundId: made.id })
  else await refundDone(deps, actor, made)
  return { done: true as const }
}

/** Takes a part of a charge back, with a credit note for it: what is owed becomes that much less. */
export async function takeBack(
  deps: Deps,
  actor: Actor,
  charge: FeeCharge,
  { amount, reason, cause }: { amount: number; reason: StoredValue; cause: string },
) {
  const { total, takenBack, tax: inAll } = charge
  if (takenBack + amount > total) throw problems.tooMuch()
  const tax = taxWithinPart({ total, tax: inAll }, { before: takenBack, now: amount })
  const booked = await book(
    deps,
    actor,
    charge,
    { cause: `credit ${cause}`, postings: charged({ total: -amount, tax: -tax }) },
    { takenBack: amount },
  )
  if (!booked) return
  const [schedule, application, invoice] = await Promise.all([
    scheduleOf(charge),
    applicationById(charge.applicationId),
    FeeDocument.findOne({ where: { chargeId: charge.id, kind: 'invoice' } }),
  ])
  await issue(deps, charge, {
    kind: 'credit note',
    cause: `credit ${cause}`,
    content: await contentOf(
      charge,
      schedule,
      () => ({
        lines: [{ title: translated(schedule).title, amount: -amount }],
        tax: tax === 0 ? [] : [{ title: say('fees.taxes'), basisPoints: 0, amount: -tax }],
        total: -amount,
        because: writeValue(reason),
        ...(invoice ? { of: numberOf(invoice) } : {}),
      }),
      application,
    ),
  })
}

/** Has the provider give back what was asked; the same refund once, however often this is tried. */
export async function sendRefund(deps: Deps, { refundId }: { refundId: string }) {
  const made = await FeeRefund.findByPk(refundId)
  const payment = made && (await FeePayment.findByPk(made.paymentId))
  if (!made || !payment || made.state !== 'asked') return
  if (!deps.payments) throw new Error('there is no payment provider to give it back')
  const { amount } = made
  const done = await deps.payments.giveBack({ id: refundId, payment: payment.id, amount, currency: payment.currency })
  await inTransaction(deps.sequelize, async () => {
    if (done === 'done') return refundDone(deps, { kind: 'system' }, made)
    await refundFailed(deps, made)
  })
}

/** The money stays where it is, and the charge says that we owe it. */
async function refundFailed(deps: Deps, made: FeeRefund) {
  if (!(await changeWhere(made, { state: 'asked' }, { state: 'failed', doneAt: deps.clock.now() }))) return
  await FeePayment.update(
    { givenBack: literal(`givenBack - ${Math.trunc(made.amount)}`) as unknown as number },
    { where: { id: made.paymentId } },
  )
}

async function refundDone(deps: Deps, actor: Actor, made: FeeRefund) {
  if (!(await changeWhere(made, { state: 'asked' }, { state: 'done', doneAt: deps.clock.now() }))) return
  const [charge, payment] = await Promise.all([
    chargeById(made.chargeId),
    FeePayment.findByPk(made.paymentId, { rejectOnEmpty: true }),
  ])
  await book(deps, actor, charge, { cause: `refund ${made.id}`, postings: paid(payment.means, -made.amount) })
  const schedule = await scheduleOf(charge)
  await recordEvent(deps, actor, {
    code: 'fee-refunded',
    values: { fee: titleOf(schedule) },
    details: { reason: made.reason },
    candidateId: charge.candidateId,
    applicationId: charge.applicationId,
  })
}

/** A provider that would not answer for days: what was to be given back is owed still. */
export async function giveUpRefund(deps: Deps, { refundId }: { refundId: string }) {
  const made = await FeeRefund.findByPk(refundId)
  if (made) await inTransaction(deps.sequelize, () => refundFailed(deps, made))
}
