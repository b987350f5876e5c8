import type { FeeChargeView } from '#contract/fees'
import type { FeeSchedule } from '#core/fees/schedule'
import { transferCode } from '#core/money/transferCode'
import { translated } from '#core/words/translations'
import type { Deps } from '../platform/deps'
import { employersById, type PayerRequest, requestsOf } from '../records/fees/employers'
import { documentsOf, paymentsOf } from '../records/fees/find'
import type { FeeCharge, FeeDocument, FeePayment } from '../records/fees/model'
import { numberOf } from './documents'

/** Charges as whoever pays them sees them, and the money role. */
export async function viewsOf(
  deps: Deps,
  charges: readonly FeeCharge[],
  schedules: ReadonlyMap<string, FeeSchedule>,
): Promise<Map<string, FeeChargeView>> {
  const ids = charges.map(({ id }) => id)
  const [payments, documents, requests] = await Promise.all([paymentsOf(ids), documentsOf(ids), requestsOf(ids)])
  const employers = await employersById(requests.map(({ employerId }) => employerId))
  return new Map(
    charges.map((charge) => [
      charge.id,
      {
        ...viewOf(
          deps,
          charge,
          schedules.get(charge.id)!,
          payments.get(charge.id) ?? [],
          documents.get(charge.id) ?? [],
        ),
        requests: requests.flatMap((one) =>
          one.chargeId === charge.id ? [requestLine(one, employers.get(one.employerId)!.name)] : [],
        ),
      },
    ]),
  )
}

export const isLate = ({ clock }: Pick<Deps, 'clock'>, { state, dueOn }: Pick<FeeCharge, 'state' | 'dueOn'>) =>
  state === 'open' && dueOn < clock.today().toString()

function viewOf(
  deps: Deps,
  charge: FeeCharge,
  schedule: FeeSchedule,
  payments: readonly FeePayment[],
  documents: readonly FeeDocument[],
): Omit<FeeChargeView, 'requests'> {
  const { id, currency, state, total, takenBack, owed, reference, dueOn } = charge
  return {
    ...{ id, title: translated(schedule).title, currency, state, total, takenBack, owed, reference, dueOn },
    late: isLate(deps, charge),
    transfer: transferOf(deps, charge),
    payments: payments.map(paymentLine),
    documents: documents.map((document) => ({
      ...{ id: document.id, kind: document.kind, number: numberOf(document) },
      issuedAt: document.issuedAt.toISOString(),
    })),
  }
}

const requestLine = (
  { id, employerId, state, lines, amount, orderNumber, askedAt, decidedAt, reason }: PayerRequest,
  employer: string,
): FeeChargeView['requests'][number] => ({
  ...{ id, employer, employerId, state, lines: lines ?? null, amount, orderNumber, askedAt: askedAt.toISOString() },
  ...{ decidedAt: decidedAt?.toISOString() ?? null, reason: reason ?? null },
})

export const paymentLine = (payment: FeePayment): FeeChargeView['payments'][number] => ({
  ...{ id: payment.id, means: payment.means, amount: payment.amount, state: payment.state },
  ...{ because: payment.because ?? null, givenBack: payment.givenBack, note: payment.note ?? null },
  startedAt: payment.startedAt.toISOString(),
  settledAt: payment.settledAt?.toISOString() ?? null,
})

/** Where a transfer of what is owed goes, with the code a bank reads. */
export function transferOf(
  { organisation }: Pick<Deps, 'organisation'>,
  { owed: amount, currency, reference }: Pick<FeeCharge, 'owed' | 'currency' | 'reference'>,
): FeeChargeView['transfer'] {
  const { bank } = organisation
  if (!bank.iban || amount <= 0) return null
  return { ...bank, code: transferCode(bank, { amount, currency, reference }) ?? null }
}
