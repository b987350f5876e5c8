import { literal, Op, UniqueConstraintError } from 'sequelize'
import { v7 as uuid } from 'uuid'
import type { FeeSchedule, PayMeans } from '#core/fees/schedule'
import { charged, paid } from '#core/money/ledger'
import { say } from '#core/words/say'
import { translated } from '#core/words/translations'
import { takeUpOncePaid } from '../applications/completion'
import { recordEvent } from '../platform/audit/record'
import { changeWhere } from '../platform/database/compareAndSet'
import { inTransaction } from '../platform/database/connection'
import type { Account, Actor, Deps } from '../platform/deps'
import { notFound } from '../platform/errors/problems'
import { queueJob } from '../platform/jobs/queue'
import { type PaymentNotice as Notice, type PaymentTold, ProviderSilent } from '../platform/outside/payments'
import { situationOf, surchargeOf } from '../readiness/feeSituation'
import { readinessOf } from '../readiness/readiness'
import { candidateOf, mergedWith } from '../records/accounts/candidate'
import { applicationById } from '../records/applications/find'
import { PayerRequest } from '../records/fees/employers'
import { chargeById } from '../records/fees/find'
import { FeeCharge, FeePayment, PaymentNotice } from '../records/fees/model'
import { publishedRules } from '../records/rules/versions'
import { contentOf, titleOf } from './charge'
import { issue } from './documents'
import { book } from './ledger'
import { problems } from './problems'

/** Seconds after which a provider that has told nothing is asked, and hours after which nobody waits any longer. */
const asksAfterSeconds = 45
const givesUpHours = 24
/** Minutes in which a payment that was begun is gone on with. */
const goesOnMinutes = 30

/** A charge of one's own. @throws Problem `not-found` */
export async function ownCharge(deps: Deps, actor: Account, id: string): Promise<FeeCharge> {
  const [charge, { id: candidateId }] = await Promise.all([chargeById(id), candidateOf(deps, actor)])
  if (!(await mergedWith(candidateId)).includes(charge.candidateId)) throw notFound()
  return charge
}

/** The schedule a charge was made by. */
export async function scheduleOf({ applicationId, rulesVersion, schedule: key }: FeeCharge): Promise<FeeSchedule> {
  const { vacancyId } = await applicationById(applicationId)
  const { fees = [] } = await publishedRules(vacancyId, rulesVersion)
  const schedule = fees.find((one) => one.key === key)
  if (!schedule) throw new Error(`the rules of a charge have no schedule "${key}"`)
  return schedule
}

/** What paying in one way adds to a charge, by what it was charged by. */
async function surchargeFor(deps: Deps, charge: FeeCharge, schedule: FeeSchedule, means: PayMeans) {
  const readiness = await readinessOf(deps, await applicationById(charge.applicationId))
  const given = readiness.feeAnswers.find((one) => one.schedule === schedule.key)
  return surchargeOf(schedule, situationOf(schedule, readiness.facts, given), means)
}

/**
 * Begins to pay what is owed by card, and gives where the payer goes. What is begun is written down before the provider hears of
 * it, and known to it by our identifier, so that an answer is never about something nobody remembers.
 */
export async function payByCard(deps: Deps, actor: Account, id: string): Promise<{ address: string }> {
  const provider = deps.payments
  if (!provider) throw problems.noCards()
  const { payment, schedule } = await inTransaction(deps.sequelize, async () => {
    const charge = await ownCharge(deps, actor, id)
    if (charge.state === 'called off') throw problems.calledOff()
    if (charge.owed <= 0) throw problems.nothingOwed()
    const own = await scheduleOf(charge)
    const surcharge = await surchargeFor(deps, charge, own, 'card')
    const amount = charge.owed + surcharge.reduce((sum, one) => sum + one.amount, 0)
    // Whoever comes back to pay goes on where they were, and has no second page on which the same could be paid again.
    const open = await FeePayment.findOne({
      where: {
        chargeId: id,
        means: 'card',
        state: 'started',
        amount,
        startedAt: { [Op.gt]: since(deps, goesOnMinutes) },
      },
    })
    if (open) return { payment: open, schedule: own }
    const begun = await FeePayment.create({
      ...{ id: uuid(), chargeId: id, means: 'card', currency: charge.currency, state: 'started' },
      ...{ amount, surcharge, startedAt: deps.clock.now() },
    })
    await askLater(begun.id)
    return { payment: begun, schedule: own }
  })
  const { publicUrl } = deps.config
  const { address, providerId } = await provider
    .begin({
      ...{ id: payment.id, amount: payment.amount, currency: payment.currency, about: translated(schedule).title },
      ...{ returnTo: `${publicUrl}/my/fees/${id}/paid/${payment.id}`, tellTo: `${publicUrl}/api/payment-notices` },
    })
    .catch((error: unknown) => {
      throw error instanceof ProviderSilent ? problems.providerAway() : error
    })
  await FeePayment.update({ providerId }, { where: { id: payment.id } })
  return { address }
}

const since = ({ clock }: Deps, minutes: number) => new Date(clock.now().getTime() - minutes * 60_000)

const askLater = (paymentId: string, seconds = asksAfterSeconds) =>
  queueJob('follow payment', { paymentId }, { runAt: new Date(Date.now() + seconds * 1000) })

/** Believes a notice of the provider: the same one once, however often it comes. */
export const takeNotice = (deps: Deps, { notice, ...told }: Notice): Promise<void> =>
  inTransaction(deps.sequelize, async () => {
    const isNew = await PaymentNotice.create({ id: notice, receivedAt: deps.clock.now() }).then(
      () => true,
      (error: unknown) => {
        if (error instanceof UniqueConstraintError) return false
        throw error
      },
    )
    if (isNew) await settlePayment(deps, told)
  })

/** Asks a provider that has told nothing what became of a payment. */
export async function followPayment(deps: Deps, { paymentId }: { paymentId: string }) {
  const payment = await FeePayment.findByPk(paymentId)
  if (payment?.state !== 'started' || !deps.payments) return
  const told = await deps.payments.look(paymentId)
  const waited = deps.clock.now().getTime() - payment.startedAt.getTime()
  await inTransaction(deps.sequelize, async () => {
    if (told && told.state !== 'pending') return settlePayment(deps, told)
    if (waited < givesUpHours * 3_600_000) return askLater(paymentId, Math.min(900, 30 + waited / 4000))
    // What nobody finished is over for us; if the provider should tell of it after all, it counts.
    await changeWhere(payment, { state: 'started' }, { state: 'abandoned', settledAt: deps.clock.now() })
  })
}

/** The same at once, for somebody who has come back and waits. */
export async function lookAfterPayment(deps: Deps, payment: FeePayment) {
  if (payment.state !== 'started' || !deps.payments) return
  const told = await deps.payments.look(payment.id).catch(() => undefined)
  if (told && told.state !== 'pending') await inTransaction(deps.sequelize, () => settlePayment(deps, told))
}

/**
 * Asks the provider again about a payment it has told oddly of, for somebody who looks at it. What it really took is what was
 * paid, also where that is less; in another currency nothing was.
 */
export async function checkPayment(
  deps: Deps,
  actor: Account,
  { id, payment: paymentId }: { id: string; payment: string },
) {
  const payment = await FeePayment.findOne({ where: { id: paymentId, chargeId: id } })
  if (!payment) throw notFound()
  if (payment.state !== 'odd') throw problems.notOdd()
  if (!deps.payments) throw problems.noCards()
  const told = await deps.payments.look(paymentId).catch(() => {
    throw problems.providerAway()
  })
  await inTransaction(deps.sequelize, async () => {
    const settledAt = deps.clock.now()
    const isPaid = told?.state === 'paid' && told.currency === payment.currency && told.amount > 0
    const next = isPaid
      ? { state: 'paid' as const, amount: told.amount, because: null, settledAt }
      : { state: 'abandoned' as const, settledAt }
    if (!(await changeWhere(payment, { state: 'odd' }, next))) throw problems.notOdd()
    if (isPaid) await received(deps, actor, payment)
  })
  return { done: true as const }
}

const byItself: Actor = { kind: 'system' }

/**
 * Writes down what became of a payment, whoever told of it and in whatever order: what was paid is paid, also where it had seemed
 * declined or abandoned before. An amount or currency that was not asked for settles nothing, and somebody looks at it.
 */
export async function settlePayment(deps: Deps, told: PaymentTold): Promise<void> {
  const payment = await FeePayment.findByPk(told.payment)
  if (!payment || told.state === 'pending' || payment.means !== 'card') return
  const settledAt = deps.clock.now()
  if (told.state !== 'paid') {
    const because = told.because?.slice(0, 40) ?? null
    await changeWhere(payment, { state: 'started' }, { state: told.state, because, settledAt })
    return
  }
  if (told.amount !== payment.amount || told.currency !== payment.currency) {
    if (await changeWhere(payment, { state: 'started' }, { state: 'odd', because: 'other-amount', settledAt }))
      deps.log.warn({ payment: payment.id }, 'a payment was told with another amount than was asked')
    return
  }
  if (
    !(await changeWhere(
      payment,
      { state: ['started', 'declined', 'abandoned', 'odd'] },
      { state: 'paid', because: null, settledAt },
    ))
  )
    return
  await received(deps, byItself, payment)
}

/** Books what was paid, gives a receipt, and says that it is paid once nothing is owed any more. */
export async function received(deps: Deps, actor: Actor, payment: FeePayment) {
  // Written before it is read, so that of two payments at the same moment the second sees what the first has left.
  const next = literal('version + 1') as unknown as number
  await FeeCharge.update({ version: next }, { where: { id: payment.chargeId } })
  const charge = await FeeCharge.findByPk(payment.chargeId, { rejectOnEmpty: true })
  // What is paid though nothing is owed is given back whole: it has no surcharge either.
  const surcharge = charge.owed > 0 ? (payment.surcharge ?? []) : []
  const added = surcharge.reduce((sum, { amount, tax }) => ({ total: sum.total + amount, tax: sum.tax + tax }), {
    total: 0,
    tax: 0,
  })
  if (added.total > 0)
    await book(deps, actor, charge, { cause: `surcharge ${payment.id}`, postings: charged(added) }, added)
  await book(deps, actor, charge, { cause: `payment ${payment.id}`, postings: paid(payment.means, payment.amount) })
  const schedule = await scheduleOf(charge)
  const application = await applicationById(charge.applicationId)
  await settleIfPaid(deps, actor, charge, schedule)
  await issue(deps, charge, {
    kind: 'receipt',
    cause: `payment ${payment.id}`,
    content: await contentOf(
      charge,
      schedule,
      () => ({
        lines: [
          { title: translated(schedule).title, amount: payment.amount - added.total },
          ...surcharge.map(({ key, amount }) => {
            const line = schedule.lines.find((one) => one.key === key)
            return { title: line ? translated(line).title : say('fees.surcharge'), amount }
          }),
        ],
        ...{ tax: [], total: payment.amount, means: payment.means },
      }),
      application,
    ),
  })
}

/** A charge of which nothing is owed any more is settled; of several who pay the last at the same moment one settles it. */
export async function settle(deps: Deps, charge: FeeCharge): Promise<boolean> {
  if (charge.owed > 0) return false
  const [settled] = await FeeCharge.update(
    { state: 'settled', settledAt: deps.clock.now(), version: literal('version + 1') as unknown as number },
    { where: { id: charge.id, state: 'open' } },
  )
  await charge.reload()
  if (settled > 0) {
    // Nobody is asked any more to pay what is paid, and what waited for it goes on.
    await endRequests(deps, charge.id)
    await takeUpOncePaid(deps, byItself, await applicationById(charge.applicationId))
  }
  return settled > 0
}

/** What an employer was asked for a charge, and has not answered, is over. */
export const endRequests = (deps: Deps, chargeId: string) =>
  PayerRequest.update(
    { state: 'withdrawn', activeKey: null, decidedAt: deps.clock.now() },
    { where: { activeKey: chargeId } },
  )

/** The same, and says that it is paid. */
export async function settleIfPaid(deps: Deps, actor: Actor, charge: FeeCharge, schedule: FeeSchedule) {
  if (!(await settle(deps, charge))) return
  const application = await applicationById(charge.applicationId)
  await recordEvent(deps, actor, {
    code: 'fee-received',
    values: { fee: titleOf(schedule) },
    about: application.reference ?? undefined,
    candidateId: charge.candidateId,
    applicationId: charge.applicationId,
  })
}
