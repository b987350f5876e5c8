import { takenOver, taxWithinPart } from '#core/money/ledger'
import { say } from '#core/words/say'
import { type StoredValue, writeValue } from '#core/words/stored'
import { addTo } from '../../platform/database/addTo'
import type { Actor, Deps } from '../../platform/deps'
import { inLanguage } from '../../platform/http/language'
import { Employer, EmployerInvoice, employerById, PayerRequest } from '../../records/fees/employers'
import { type FeeCharge, FeeDocument } from '../../records/fees/model'
import { issue, numberOf } from '../documents'
import { book } from '../ledger'
import { contentFor, titlesOf } from './content'
import { settleInvoice } from './invoice'

/**
 * Gives a part of what an employer took over back to the charge: the employer owes that much less, with a credit note where it was
 * invoiced, and whoever was charged that much more. Minor units.
 */
export async function giveBack(
  deps: Deps,
  actor: Actor,
  charge: FeeCharge,
  request: PayerRequest,
  { amount, reason }: { amount: number; reason: StoredValue },
) {
  const tax = taxWithinPart({ total: request.amount, tax: request.tax }, { before: 0, now: amount })
  const { id, employerId, invoiceId } = request
  const cause = `give back ${id} ${charge.version}`
  await book(deps, actor, charge, { cause, employerId, postings: takenOver(-amount) })
  await addTo(Employer, employerId, { owes: -amount })
  await addTo(PayerRequest, id, { amount: -amount, tax: -tax })
  if (!invoiceId) return
  await addTo(EmployerInvoice, invoiceId, { owed: -amount, takenBack: amount })
  const [invoice, employer, paper, titles] = await Promise.all([
    settleInvoice(deps, invoiceId),
    employerById(employerId),
    FeeDocument.findOne({ where: { invoiceId, kind: 'invoice' } }),
    titlesOf([request]),
  ])
  await inLanguage(employer.language, () =>
    issue(deps, invoice, {
      kind: 'credit note',
      cause,
      content: contentFor(employer, invoice, {
        lines: [{ title: titles.get(id)!(), amount: -amount }],
        tax: tax === 0 ? [] : [{ title: say('fees.taxes'), basisPoints: 0, amount: -tax }],
        ...{ total: -amount, because: writeValue(reason) },
        ...(paper ? { of: numberOf(paper) } : {}),
      }),
    }),
  )
}

/**
 * Gives back to the employers that took a charge over what it comes to less, the newest first.
 *
 * @returns what none of them had taken over
 */
export async function giveBackToEmployers(
  deps: Deps,
  actor: Actor,
  charge: FeeCharge,
  { amount, reason }: { amount: number; reason: StoredValue },
): Promise<number> {
  let left = amount
  const where = { chargeId: charge.id, state: 'accepted' as const }
  for (const request of await PayerRequest.findAll({ where, order: [['decidedAt', 'DESC']] })) {
    const part = Math.min(left, request.amount)
    if (part <= 0) continue
    await giveBack(deps, actor, charge, request, { amount: part, reason })
    left -= part
  }
  return left
}
