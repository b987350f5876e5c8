import { Op } from 'sequelize'
import { v7 as uuid } from 'uuid'
import { paidByEmployer } from '#core/money/ledger'
import { creditorReference } from '#core/money/reference'
import { writeAmount } from '#core/words/amounts'
import { say } from '#core/words/say'
import { addTo } from '../../platform/database/addTo'
import { nextNumber } from '../../platform/database/counter'
import { forEachRow } from '../../platform/database/forEachRow'
import type { Actor, Deps } from '../../platform/deps'
import { inLanguage } from '../../platform/http/language'
import { queueMail } from '../../platform/mail/queueMail'
import { Account } from '../../records/accounts/model'
import { keepBytes } from '../../records/documents/bytes'
import {
  Employer,
  EmployerInvoice,
  EmployerPayment,
  EmployerPerson,
  employerById,
  PayerRequest,
} from '../../records/fees/employers'
import { type DocumentContent, type DocumentKind, FeeDocument } from '../../records/fees/model'
import { documentPdf, issue, numberOf } from '../documents'
import { bookEntry } from '../ledger'
import { transferOf } from '../view'
import { contentFor, titlesOf } from './content'

/** Makes an invoice of what an employer has taken over, and mails it. */
export async function invoice(
  deps: Deps,
  employer: Employer,
  requests: readonly PayerRequest[],
  month: string | null,
): Promise<EmployerInvoice> {
  const total = requests.reduce((sum, { amount }) => sum + amount, 0)
  const tax = requests.reduce((sum, one) => sum + one.tax, 0)
  const number = await nextNumber(deps, 'charges')
  const made = await EmployerInvoice.create({
    ...{ id: uuid(), employerId: employer.id, month, currency: employer.currency, total, tax, owed: total },
    reference: creditorReference(`${deps.organisation.referencePrefix}${String(number).padStart(6, '0')}`),
    dueOn: deps.clock.today().add({ days: employer.dueDays }).toString(),
    ...{ state: 'open', createdAt: deps.clock.now() },
  })
  const ids = requests.map(({ id }) => id)
  const [taken] = await PayerRequest.update(
    { invoiceId: made.id },
    { where: { id: ids, state: 'accepted', invoiceId: null } },
  )
  if (taken < ids.length) throw new Error('what was to be invoiced was invoiced or given back meanwhile')
  const titles = await titlesOf(requests)
  const account = transferOf(deps, made)
  const orders = [...new Set(requests.map(({ orderNumber }) => orderNumber).filter(Boolean))]
  await paper(deps, employer, made, 'invoice', `invoice ${made.id}`, () => ({
    lines: requests.map(({ id, amount, orderNumber }) => ({
      title: orders.length > 1 && orderNumber ? `${titles.get(id)!()} (${orderNumber})` : titles.get(id)!(),
      amount,
    })),
    tax: tax === 0 ? [] : [{ title: say('fees.taxes'), basisPoints: 0, amount: tax }],
    total,
    ...(orders.length > 0 ? { orderNumber: orders.join(', ') } : {}),
    ...(account ? { transfer: account } : {}),
  }))
  return made
}

/** Issues a paper to an employer and mails it to those who decide for it, and to its second address. */
async function paper(
  deps: Deps,
  employer: Employer,
  about: EmployerInvoice,
  kind: DocumentKind,
  cause: string,
  part: () => Pick<DocumentContent, 'lines' | 'tax' | 'total'> & Partial<DocumentContent>,
) {
  const content = inLanguage(employer.language, () => contentFor(employer, about, part()))
  const document = await issue(deps, about, { kind, cause, content })
  const { body, fileName } = await documentPdf(deps, document)
  const sha256 = await keepBytes(body as Buffer, 'application/pdf', deps.clock.now())
  await document.update({ mailedSha256: sha256 })
  const amount = inLanguage(employer.language, () => writeAmount(content.total, about.currency))
  const words = kind === 'receipt' ? ('employerReceipt' as const) : ('employerInvoice' as const)
  for (const to of await readersOf(employer))
    await queueMail(deps, {
      ...{ to, words, attachments: [{ fileName, sha256 }] },
      values: { number: numberOf(document), amount, day: { day: about.dueOn }, employer: employer.name },
    })
}

/** Whom an employer's papers go to, each address once. */
async function readersOf({ id, receiptMail, name, language }: Employer) {
  const readers = await decidersOf(id)
  const second = receiptMail && !readers.some(({ mail }) => mail === receiptMail)
  return second ? [...readers, { name, mail: receiptMail, language }] : readers
}

/** Those who decide for an employer and have come, to be written to. */
export async function decidersOf(employerId: string) {
  const people = await EmployerPerson.findAll({ where: { employerId } })
  const accounts = await Account.findAll({ where: { id: people.map(({ accountId }) => accountId) } })
  return accounts
    .filter(({ confirmedAt, suspendedAt }) => confirmedAt && !suspendedAt)
    .map(({ name, mail, language }) => ({ name, mail, language }))
}

/** An invoice as it is now; of which nothing is owed any more is settled. */
export async function settleInvoice(deps: Deps, id: string): Promise<EmployerInvoice> {
  await EmployerInvoice.update(
    { state: 'settled', settledAt: deps.clock.now() },
    { where: { id, state: 'open', owed: { [Op.lte]: 0 } } },
  )
  return EmployerInvoice.findByPk(id, { rejectOnEmpty: true })
}

type Received = Pick<EmployerPayment, 'means' | 'amount' | 'paidOn'> &
  Partial<Pick<EmployerPayment, 'note' | 'notedBy' | 'transferId'>>

/** Books what an employer has paid of an invoice, with a receipt; below nothing where it was given back. */
export async function receivedFromEmployer(deps: Deps, actor: Actor, invoiceId: string, given: Received) {
  const payment = await EmployerPayment.create({ id: uuid(), invoiceId, at: deps.clock.now(), ...given })
  await addTo(EmployerInvoice, invoiceId, { owed: -given.amount })
  const about = await settleInvoice(deps, invoiceId)
  const { employerId, currency } = about
  await addTo(Employer, employerId, { owes: -given.amount })
  const cause = `employer-payment ${payment.id}`
  await bookEntry(deps, actor, { cause, postings: paidByEmployer(given.means, given.amount), employerId, currency })
  if (given.amount < 0) return
  const invoiced = await FeeDocument.findOne({ where: { invoiceId, kind: 'invoice' } })
  await paper(deps, await employerById(employerId), about, 'receipt', cause, () => ({
    lines: [
      { title: say('fees.employer.paymentOf', { number: invoiced ? numberOf(invoiced) : '' }), amount: given.amount },
    ],
    ...{ tax: [], total: given.amount, means: given.means },
  }))
}

/** Invoices what employers took over before this month; where each is invoiced by itself, what is left over. Gives how many failed. */
export async function invoiceMonths(deps: Deps): Promise<number> {
  const first = deps.clock.today().with({ day: 1 })
  const monthBegan = new Date(first.toZonedDateTime(deps.organisation.timeZone).epochMilliseconds)
  const month = first.subtract({ months: 1 }).toString().slice(0, 7)
  // The row of the employer is held meanwhile, so that of two copies one makes the invoice.
  return forEachRow(deps, Employer, {}, async (employer) => {
    const isMonthly = employer.invoicing === 'monthly'
    const where = {
      ...{ employerId: employer.id, state: 'accepted' as const, invoiceId: null, amount: { [Op.gt]: 0 } },
      ...(isMonthly ? { decidedAt: { [Op.lt]: monthBegan } } : {}),
    }
    const requests = await PayerRequest.findAll({ where, order: ['decidedAt', 'id'] })
    if (requests.length > 0) await invoice(deps, employer, requests, isMonthly ? month : null)
  })
}

const againAfterDays = 7

/** Reminds employers of invoices that are late, once a week. Gives how many failed. */
export function remindEmployers(deps: Deps): Promise<number> {
  const now = deps.clock.now()
  const late = {
    state: 'open' as const,
    dueOn: { [Op.lt]: deps.clock.today().toString() },
    [Op.or]: [{ remindedAt: null }, { remindedAt: { [Op.lt]: new Date(now.getTime() - againAfterDays * 86_400_000) } }],
  }
  return forEachRow(deps, EmployerInvoice, late, async (about) => {
    await about.update({ remindedAt: now })
    const [employer, document] = await Promise.all([
      employerById(about.employerId),
      FeeDocument.findOne({ where: { invoiceId: about.id, kind: 'invoice' } }),
    ])
    const amount = inLanguage(employer.language, () => writeAmount(about.owed, about.currency))
    for (const to of await readersOf(employer))
      await queueMail(deps, {
        ...{ to, words: 'employerLate' },
        values: { number: document ? numberOf(document) : '', amount, day: { day: about.dueOn } },
      })
  })
}
