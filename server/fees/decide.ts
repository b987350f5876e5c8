import { v7 as uuid } from 'uuid'
import { difference, quote } from '#core/fees/quote'
import type { FeeSchedule } from '#core/fees/schedule'
import { charged, paid as paidBy, waived } from '#core/money/ledger'
import { schedulesIn } from '#core/rules/rules'
import { say } from '#core/words/say'
import { type StoredValue, writeValue } from '#core/words/stored'
import { translated } from '#core/words/translations'
import { recordEvent } from '../platform/audit/record'
import type { Change } from '../platform/changes'
import { changeWhere, putVersion } from '../platform/database/compareAndSet'
import type { Account, Deps } from '../platform/deps'
import { invalidField, notFound } from '../platform/errors/problems'
import { chargeable, situationOf } from '../readiness/feeSituation'
import { readinessOf } from '../readiness/readiness'
import { applicationById } from '../records/applications/find'
import { chargeById } from '../records/fees/find'
import { FeeAnswers, FeeCharge, FeePayment } from '../records/fees/model'
import { contentOf, titleOf } from './charge'
import { issue } from './documents'
import { giveBackToEmployers } from './employers/giveBack'
import { book } from './ledger'
import { waitingIn } from './ownFees'
import { endRequests, received, scheduleOf, settleIfPaid } from './pay'
import { problems } from './problems'
import { takeBack } from './refund'

/** Notes that something owed was received otherwise than by card. */
export async function recordPayment(
  deps: Deps,
  actor: Account,
  id: string,
  { amount, receivedOn, note }: { amount: number; receivedOn: string; note: string },
) {
  const charge = await chargeById(id)
  if (charge.state === 'called off') throw problems.calledOff()
  if (charge.owed <= 0) throw problems.nothingOwed()
  if (receivedOn > deps.clock.today().toString()) throw invalidField('/body/receivedOn', say('problem.dayInFuture'))
  const now = deps.clock.now()
  const payment = await FeePayment.create({
    ...{ id: uuid(), chargeId: id, means: 'by hand', amount, currency: charge.currency, state: 'paid' },
    ...{ note: note.trim(), notedBy: actor.name, paidOn: receivedOn, startedAt: now, settledAt: now },
  })
  await received(deps, actor, payment)
  return { done: true as const }
}

/** Does without a part of what is owed. Of two at the same moment neither does without more than is owed. */
export async function waiveFee(
  deps: Deps,
  actor: Account,
  id: string,
  { amount, reason }: { amount: number; reason: string },
) {
  const charge = await chargeById(id)
  if (charge.state !== 'open') throw problems.nothingOwed()
  await book(deps, actor, charge, { cause: `waiver ${uuid()}`, postings: waived(amount) })
  if (charge.owed < 0) throw problems.tooMuch()
  const schedule = await scheduleOf(charge)
  await recordEvent(deps, actor, {
    code: 'fee-waived',
    values: { fee: titleOf(schedule) },
    details: { reason: reason.trim() },
    candidateId: charge.candidateId,
    applicationId: charge.applicationId,
  })
  await settleIfPaid(deps, actor, charge, schedule)
  return { done: true as const }
}

type Decision = { accepted: true } | { accepted: false; reason: string }

/**
 * Accepts the paper that shows something given for a fee, or refuses it. Refused, the fee is worked out without it, and the
 * difference is charged or taken back; the person is told why, and may add another paper.
 */
export async function decideFeeProof(
  deps: Deps,
  actor: Account,
  { id, fact }: { id: string; fact: string },
  decision: Decision,
) {
  const charge = await chargeById(id)
  const { applicationId, schedule: key } = charge
  const answers = await FeeAnswers.findOne({ where: { applicationId, schedule: key } })
  const own = answers?.facts[fact]
  if (!answers || !own) throw notFound()
  if (own.proof !== 'to look at') throw problems.notToLookAt()
  const proof = decision.accepted ? ('accepted' as const) : ('refused' as const)
  const facts = {
    ...answers.facts,
    [fact]: { ...own, proof, ...(decision.accepted ? {} : { reason: decision.reason }) },
  }
  await putVersion(FeeAnswers, { applicationId, schedule: key }, answers.version, {
    ...{ facts, leftOut: answers.leftOut, waiting: waitingIn(facts) },
  })
  await correct(deps, actor, charge, {
    cause: `${id} ${answers.version}`,
    reason: decision.accepted ? { code: 'fees.proofAccepted' } : decision.reason.trim(),
  })
  return { done: true as const }
}

/** Works a charge out again by what counts now, and charges or takes back the difference. */
async function correct(
  deps: Deps,
  actor: Account,
  charge: FeeCharge,
  { cause, reason }: { cause: string; reason: StoredValue },
) {
  const [application, schedule] = await Promise.all([applicationById(charge.applicationId), scheduleOf(charge)])
  const readiness = await readinessOf(deps, application)
  const given = readiness.feeAnswers.find((one) => one.schedule === charge.schedule)
  // By the day it was sent: what was early then is early still.
  const situation = { ...situationOf(schedule, readiness.facts, given), on: dayOf(charge, deps) }
  const after = quote(schedule, situation)
  const [was, is] = [chargeable(charge.quote), chargeable(after)]
  const more = is.total - was.total
  // What was called off stays so.
  if (more === 0 || charge.state === 'called off') return
  await charge.update({ quote: after })
  const added = { total: more, tax: is.tax - was.tax }
  if (more < 0) await takeBackOf(deps, actor, charge, schedule, { less: -more, reason, cause })
  else {
    await book(deps, actor, charge, { cause: `correction ${cause}`, postings: charged(added) }, added)
    await FeeCharge.update(
      { state: 'open', settledAt: null, dueOn: deps.clock.today().add({ days: schedule.dueDays }).toString() },
      { where: { id: charge.id } },
    )
    await charge.reload()
  }
  await recordEvent(deps, actor, {
    code: 'fee-corrected',
    values: { fee: titleOf(schedule) },
    details: { reason },
    candidateId: charge.candidateId,
    applicationId: charge.applicationId,
  })
  await settleIfPaid(deps, actor, charge, schedule)
  if (more > 0)
    await issue(deps, charge, {
      kind: 'invoice',
      cause: `correction ${cause}`,
      content: await contentOf(
        charge,
        schedule,
        () => ({
          lines: [{ title: translated(schedule).title, amount: more }],
          tax: added.tax === 0 ? [] : [{ title: say('fees.taxes'), basisPoints: 0, amount: added.tax }],
          ...{ total: more, because: writeValue(reason) },
        }),
        application,
      ),
    })
}

/**
 * Takes back what a charge comes to less. Where more was paid than is owed then, the schedule says whether it is given back; what an
 * employer took over goes back to it, and what a voucher covered is never money: it goes back to the voucher's account.
 */
async function takeBackOf(
  deps: Deps,
  actor: Account,
  charge: FeeCharge,
  { surplus }: FeeSchedule,
  { less, reason, cause }: { less: number; reason: StoredValue; cause: string },
) {
  const { total, takenBack, owed } = charge
  const net = total - takenBack
  const paid = net - owed
  const then = difference(net - less, paid, surplus)
  const amount = owed - (then.owed - then.giveBack)
  if (amount > 0) await takeBack(deps, actor, charge, { amount, reason, cause: `correction ${cause}` })
  if (charge.owed >= 0) return
  const payments = await FeePayment.findAll({ where: { chargeId: charge.id, state: 'paid' } })
  const money = payments.reduce(
    (sum, { means, amount: own, givenBack }) => (means === 'voucher' ? sum : sum + own - givenBack),
    0,
  )
  const notMoney = -charge.owed - money
  if (notMoney <= 0) return
  const covered = await giveBackToEmployers(deps, actor, charge, { amount: notMoney, reason })
  if (covered > 0) await book(deps, actor, charge, { cause: `voucher ${cause}`, postings: paidBy('voucher', -covered) })
}

const dayOf = ({ createdAt }: FeeCharge, { organisation }: Deps) =>
  createdAt.toLocaleDateString('sv-SE', { timeZone: organisation.timeZone })

/** What is still owed for an application that has ended is called off; what was paid stays, and can be given back. */
export async function callOffFees(deps: Deps, changes: readonly Change[]) {
  for (const { actor, applicationId } of changes) {
    if (!applicationId) continue
    for (const charge of await FeeCharge.findAll({ where: { applicationId, state: 'open' } })) {
      if (!(await changeWhere(charge, { state: 'open' }, { state: 'called off' }))) continue
      await charge.reload()
      await endRequests(deps, charge.id)
      const amount = Math.min(charge.owed, charge.total - charge.takenBack)
      if (amount > 0)
        await takeBack(deps, actor, charge, {
          amount,
          reason: { code: 'fees.endedReason' },
          cause: `call-off ${charge.id}`,
        })
    }
  }
}

/** Who waives what is to be paid for does without what is still owed of it. */
export async function waiveWithRequirement(deps: Deps, changes: readonly Change[]) {
  for (const { actor, applicationId, details } of changes) {
    if (!applicationId) continue
    const { requirements } = await readinessOf(deps, await applicationById(applicationId))
    const waivedNow = requirements.find(({ key }) => key === details?.requirement)
    const schedule = waivedNow ? schedulesIn(waivedNow) : []
    if (schedule.length === 0) continue
    for (const charge of await FeeCharge.findAll({ where: { applicationId, schedule, state: 'open' } })) {
      await book(deps, actor, charge, { cause: `waiver ${charge.id} ${charge.version}`, postings: waived(charge.owed) })
      await settleIfPaid(deps, actor, charge, await scheduleOf(charge))
    }
  }
}
