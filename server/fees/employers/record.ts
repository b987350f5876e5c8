import { say } from '#core/words/say'
import type { Account, Deps } from '../../platform/deps'
import { invalidField, notFound } from '../../platform/errors/problems'
import { EmployerInvoice } from '../../records/fees/employers'
import { problems } from '../problems'
import { receivedFromEmployer } from './invoice'

type Noted = { amount: number; receivedOn: string; note: string; givenBack: boolean }

/** Notes what an employer paid otherwise, or that what it paid too much was given back. */
export async function recordInvoicePayment(deps: Deps, actor: Account, id: string, noted: Noted) {
  const { amount, receivedOn: paidOn, note, givenBack } = noted
  const invoice = await EmployerInvoice.findByPk(id)
  if (!invoice) throw notFound()
  if (paidOn > deps.clock.today().toString()) throw invalidField('/body/receivedOn', say('problem.dayInFuture'))
  if (givenBack ? invoice.owed >= 0 : invoice.owed <= 0) throw problems.nothingOwed()
  const given = { means: 'by hand' as const, paidOn, note: note.trim(), notedBy: actor.name }
  await receivedFromEmployer(deps, actor, id, { ...given, amount: givenBack ? -amount : amount })
  await invoice.reload()
  // Of two who note the same at the same moment neither gives back more than was paid too much.
  if (givenBack && invoice.owed > 0) throw problems.tooMuch()
  return { done: true as const }
}
