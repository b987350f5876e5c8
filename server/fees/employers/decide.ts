import { literal, Op } from 'sequelize'
import { takenOver, taxWithinPart } from '#core/money/ledger'
import { say } from '#core/words/say'
import { addTo } from '../../platform/database/addTo'
import { changeWhere } from '../../platform/database/compareAndSet'
import type { Account, Deps } from '../../platform/deps'
import { invalidField, notFound } from '../../platform/errors/problems'
import { Employer, EmployerInvoice, employerById, PayerRequest } from '../../records/fees/employers'
import { chargeById } from '../../records/fees/find'
import { FeeCharge } from '../../records/fees/model'
import { book } from '../ledger'
import { scheduleOf, settle } from '../pay'
import { problems } from '../problems'
import { takeBack } from '../refund'
import { record } from './ask'
import { giveBack } from './giveBack'
import { invoice } from './invoice'
import { ownEmployer } from './own'

type Decision = { accepted: true; orderNumber: string } | { accepted: false; reason: string }

/**
 * Takes over what was asked, or declines it. Taken over, the candidate owes that much less and the employer that much more, up to
 * its limit, which the row itself keeps; it is invoiced at once or with the month.
 */
export async function decidePayerRequest(deps: Deps, actor: Account, id: string, decision: Decision) {
  const employer = await ownEmployer(actor)
  const request = await PayerRequest.findOne({ where: { id, employerId: employer.id } })
  if (!request) throw notFound()
  const now = deps.clock.now()
  const decided = { activeKey: null, decidedAt: now, decidedBy: actor.name }
  const charge = await chargeById(request.chargeId)
  if (!decision.accepted) {
    const reason = decision.reason.trim()
    if (!(await changeWhere(request, { state: 'asked' }, { ...decided, state: 'declined', reason })))
      throw problems.requestOver()
    await record(deps, actor, charge, 'payer-declined', { employer: employer.name, reason })
    return { done: true as const }
  }
  const orderNumber = decision.orderNumber.trim() || request.orderNumber
  if (employer.orderNumberNeeded && orderNumber === '')
    throw invalidField('/body/orderNumber', say('problem.orderNumberNeeded'))
  if (employer.closedAt) throw problems.employerClosed()
  if (!(await changeWhere(request, { state: 'asked' }, { ...decided, state: 'accepted', orderNumber })))
    throw problems.requestOver()
  // Written before it is read, so that a payment at the same moment is seen.
  await FeeCharge.update({ version: literal('version + 1') as unknown as number }, { where: { id: charge.id } })
  await charge.reload()
  const amount = Math.min(request.amount, charge.owed)
  if (charge.state !== 'open' || amount <= 0) throw problems.nothingOwed()
  const tax = taxWithinPart({ total: request.amount, tax: request.tax }, { before: 0, now: amount })
  await request.update({ amount, tax })
  const within = { [Op.and]: [literal(`(\`limit\` IS NULL OR owes + ${amount} <= \`limit\`)`)] }
  if (!(await addTo(Employer, employer.id, { owes: amount }, within))) throw problems.overLimit()
  await book(deps, actor, charge, {
    ...{ cause: `taken over ${request.id}`, employerId: employer.id, postings: takenOver(amount) },
  })
  await settle(deps, charge)
  await record(deps, actor, charge, 'payer-accepted', { employer: employer.name })
  if (employer.invoicing === 'each') await invoice(deps, employer, [request], null)
  return { done: true as const }
}

/** Changes who pays: what an employer took over and has not paid goes back to the candidate. */
export async function returnToCandidate(deps: Deps, actor: Account, id: string, reason: string) {
  const request = await PayerRequest.findByPk(id)
  if (!request) throw notFound()
  const amount = request.amount
  const invoiced = request.invoiceId && (await EmployerInvoice.findByPk(request.invoiceId))
  // What the employer has paid already is given back to it as money, and not by a change of who pays.
  if (amount <= 0 || (invoiced && invoiced.owed < amount)) throw problems.notReturnable()
  if (!(await changeWhere(request, { state: 'accepted' }, { state: 'returned', reason: reason.trim() })))
    throw problems.notReturnable()
  const charge = await chargeById(request.chargeId)
  const schedule = await scheduleOf(charge)
  await giveBack(deps, actor, charge, request, { amount, reason: reason.trim() })
  // The invoice may have been paid at the same moment.
  const after = request.invoiceId && (await EmployerInvoice.findByPk(request.invoiceId))
  if (after && after.owed < 0) throw problems.notReturnable()
  if (charge.state === 'called off')
    await takeBack(deps, actor, charge, { amount, reason: reason.trim(), cause: `return ${request.id}` })
  else
    await FeeCharge.update(
      {
        state: 'open',
        settledAt: null,
        remindedAt: null,
        dueOn: deps.clock.today().add({ days: schedule.dueDays }).toString(),
      },
      { where: { id: charge.id, owed: { [Op.gt]: 0 } } },
    )
  const employer = await employerById(request.employerId)
  await record(deps, actor, charge, 'payer-returned', { employer: employer.name, reason: reason.trim() })
  return { done: true as const }
}
