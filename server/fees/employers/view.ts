import { Op, type WhereOptions } from 'sequelize'
import type { EmployerInvoiceLine, PayerRequestLine } from '#contract/employers'
import { partsByLine } from '#core/fees/split'
import { translated } from '#core/words/translations'
import type { Account, Deps } from '../../platform/deps'
import { notFound } from '../../platform/errors/problems'
import type { FileToKeep } from '../../platform/http/serve'
import { applicationsById } from '../../records/applications/find'
import { Employer, EmployerInvoice, employersById, PayerRequest } from '../../records/fees/employers'
import { FeeCharge, FeeDocument } from '../../records/fees/model'
import { shownNames } from '../../records/people/shownNames'
import { vacancyById } from '../../records/vacancies/vacancies'
import { documentPdf, numberOf } from '../documents'
import { scheduleOf } from '../pay'
import { ownEmployer } from './own'

const pageSize = 50

/** What an employer was asked, each with its person and lines. */
export async function requestLines(requests: readonly PayerRequest[]): Promise<PayerRequestLine[]> {
  const charges = await FeeCharge.findAll({ where: { id: requests.map(({ chargeId }) => chargeId) } })
  const [names, applications] = await Promise.all([
    shownNames(charges.map(({ candidateId }) => candidateId)),
    applicationsById(charges.map(({ applicationId }) => applicationId)),
  ])
  return Promise.all(
    requests.map(async (request) => {
      const charge = charges.find(({ id }) => id === request.chargeId)!
      const application = applications.find(({ id }) => id === charge.applicationId)!
      const [schedule, vacancy] = await Promise.all([scheduleOf(charge), vacancyById(application.vacancyId)])
      const parts = partsByLine(charge.quote, charge.total)
      const { id, employerId, lines, amount, orderNumber, state, askedAt, lapsesOn, decidedAt, decidedBy } = request
      return {
        ...{
          id,
          employer: employerId,
          name: names.get(charge.candidateId) ?? '',
          reference: application.reference ?? '',
        },
        ...{ vacancy: vacancy.title, fee: translated(schedule).title, amount, currency: charge.currency, orderNumber },
        lines: schedule.lines.flatMap((line) =>
          (parts[line.key] ?? 0) > 0 && (!lines || lines.includes(line.key))
            ? [{ title: translated(line).title, amount: parts[line.key]! }]
            : [],
        ),
        ...{ state, askedAt: askedAt.toISOString(), lapsesOn, decidedAt: decidedAt?.toISOString() ?? null },
        ...{ decidedBy: decidedBy ?? null, reason: request.reason ?? null },
      }
    }),
  )
}

/** Invoices with their papers. */
export async function invoiceLines(
  { clock }: Pick<Deps, 'clock'>,
  invoices: readonly EmployerInvoice[],
): Promise<EmployerInvoiceLine[]> {
  const today = clock.today().toString()
  const [employers, documents] = await Promise.all([
    employersById(invoices.map(({ employerId }) => employerId)),
    FeeDocument.findAll({ where: { invoiceId: invoices.map(({ id }) => id) }, order: ['issuedAt', 'id'] }),
  ])
  return invoices.map((invoice) => {
    const { id, employerId, month, currency, total, takenBack, owed, dueOn, state, reference } = invoice
    const own = documents.filter(({ invoiceId }) => invoiceId === id)
    const paper = own.find(({ kind }) => kind === 'invoice')
    return {
      ...{ id, employer: employerId, name: employers.get(employerId)!.name, number: paper ? numberOf(paper) : '' },
      ...{ month: month ?? null, currency, total: total - (takenBack ?? 0), owed, dueOn, state, reference },
      late: state === 'open' && dueOn < today,
      documents: own.map((one) => ({
        ...{ id: one.id, kind: one.kind, number: numberOf(one), issuedAt: one.issuedAt.toISOString() },
      })),
    }
  })
}

/** What waits for an answer, the oldest first; or what was decided, the newest first. */
export async function listPayerRequests(
  actor: Account,
  { state, after }: { state: 'asked' | 'decided'; after?: string },
) {
  const { id: employerId } = await ownEmployer(actor)
  const [at, last] = after?.split(' ') ?? []
  const beyond = at &&
    last && { [Op.or]: [{ askedAt: { [Op.lt]: new Date(at) } }, { askedAt: new Date(at), id: { [Op.lt]: last } }] }
  const asked: WhereOptions = { employerId, state: 'asked' }
  const own: WhereOptions = state === 'asked' ? asked : { employerId, state: { [Op.ne]: 'asked' } }
  const direction = state === 'asked' ? 'ASC' : 'DESC'
  const [rows, waiting] = await Promise.all([
    PayerRequest.findAll({
      where: { [Op.and]: [own, beyond || {}] } as WhereOptions,
      order: [
        ['askedAt', direction],
        ['id', direction],
      ],
      limit: state === 'asked' ? 500 : pageSize + 1,
    }),
    PayerRequest.count({ where: asked }),
  ])
  const shown = state === 'asked' ? rows : rows.slice(0, pageSize)
  const end = shown.at(-1)
  return {
    requests: await requestLines(shown),
    waiting,
    next: rows.length > shown.length && end ? `${end.askedAt.toISOString()} ${end.id}` : null,
  }
}

export async function listOwnInvoices(deps: Deps, actor: Account) {
  const { id: employerId } = await ownEmployer(actor)
  const invoices = await EmployerInvoice.findAll({ where: { employerId }, order: [['createdAt', 'DESC']], limit: 200 })
  return { invoices: await invoiceLines(deps, invoices) }
}

/** Open invoices, found by the employer's name, their number or their reference. */
export async function findInvoices(deps: Deps, text: string) {
  const like = `%${text.trim().replace(/[\\%_]/g, '\\$&')}%`
  const named = await Employer.findAll({ where: { name: { [Op.like]: like } }, attributes: ['id'], limit: 50 })
  const invoices = await EmployerInvoice.findAll({
    where: {
      state: 'open',
      [Op.or]: [{ employerId: named.map(({ id }) => id) }, { reference: text.replace(/\s/g, '').toUpperCase() }],
    },
    order: ['dueOn', 'id'],
    limit: 20,
  })
  return { invoices: await invoiceLines(deps, invoices) }
}

export async function readOwnInvoiceDocument(
  deps: Deps,
  actor: Account,
  { id, document }: { id: string; document: string },
): Promise<FileToKeep> {
  const { id: employerId } = await ownEmployer(actor)
  if (!(await EmployerInvoice.findOne({ where: { id, employerId } }))) throw notFound()
  return readInvoiceDocument(deps, { id, document })
}

export async function readInvoiceDocument(
  deps: Deps,
  { id, document }: { id: string; document: string },
): Promise<FileToKeep> {
  const paper = await FeeDocument.findOne({ where: { id: document, invoiceId: id } })
  if (!paper) throw notFound()
  return documentPdf(deps, paper)
}
