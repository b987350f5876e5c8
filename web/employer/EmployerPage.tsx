import { NavLink, useParams } from 'react-router'
import type { EmployerInvoiceLine } from '#contract/employers'
import { writeWhen } from '#core/dates/write'
import { writeAmount } from '#core/words/amounts'
import { say } from '#core/words/say'
import { api } from '../api'
import { useTitle } from '../ui/useTitle'
import { Waiting } from '../ui/Waiting'
import { OwnAccount } from './OwnAccount'
import { Decided, ToDecide } from './Requests'

const parts = ['requests', 'decided', 'invoices', 'account'] as const

/** The organisation account of an employer: what its people ask it to pay, its invoices, and who decides. */
export function EmployerPage() {
  const { part } = useParams()
  const shown = parts.find((one) => one === part) ?? 'requests'
  const { data, error, refetch } = api.endpoints.readOwnEmployer.useQuery({}, { refetchOnMountOrArgChange: true })
  useTitle(data?.terms.name ?? '')
  if (!data) return <Waiting error={error} onRetry={refetch} />
  const { terms, owes } = data
  const amount = writeAmount(owes, terms.currency)
  return (
    <main className="mx-auto max-w-[820px] px-4 py-8">
      <h1 className="text-[2em]">{terms.name}</h1>
      <p className="mb-1 text-ink-2">{say('employers.yourPlace')}</p>
      <p className="mb-4">
        {terms.limit === null
          ? say('employers.youOwe', { amount })
          : say('employers.youOweOf', { amount, limit: writeAmount(terms.limit, terms.currency) })}{' '}
        {say(terms.invoicing === 'each' ? 'employers.invoicedEach' : 'employers.invoicedMonthly', {
          count: terms.dueDays,
        })}
      </p>
      <nav className="mb-4 flex flex-wrap gap-1 border-line border-b pb-2" aria-label={terms.name}>
        {parts.map((one) => (
          <NavLink
            key={one}
            to={one === 'requests' ? '/employer' : `/employer/${one}`}
            end
            className={({ isActive }) =>
              `rounded-sheet border px-3 py-1 ${isActive ? 'border-line-strong bg-sheet font-semibold' : 'border-transparent hover:bg-sheet'}`
            }
          >
            {say(`employers.part.${one}`)}
          </NavLink>
        ))}
      </nav>
      {shown === 'requests' && <ToDecide needsOrderNumber={terms.orderNumberNeeded} />}
      {shown === 'decided' && <Decided />}
      {shown === 'invoices' && <Invoices />}
      {shown === 'account' && <OwnAccount employer={data} />}
    </main>
  )
}

function Invoices() {
  const { data, error, refetch } = api.endpoints.listOwnInvoices.useQuery({}, { refetchOnMountOrArgChange: true })
  if (!data) return <Waiting error={error} onRetry={refetch} />
  if (data.invoices.length === 0) return <p className="text-ink-2">{say('employers.noInvoices')}</p>
  return (
    <>
      <p className="mb-2 text-ink-2">{say('employers.byTransferTo')}</p>
      <ul className="divide-y divide-line rounded-sheet border border-line bg-sheet">
        {data.invoices.map((invoice) => (
          <li key={invoice.id} className="grid gap-1 p-4 sm:grid-cols-[1fr_auto]">
            <div>
              <p className="font-semibold">
                {say('employers.invoiceNumber', { number: invoice.number })}
                {invoice.month && <span className="font-normal text-ink-2"> {invoice.month}</span>}
              </p>
              <p className={invoiceColour(invoice)}>{invoiceWords(invoice)}</p>
              <p className="mt-1 flex flex-wrap gap-x-4">
                {invoice.documents.map(({ id, kind, number }) => (
                  <a
                    key={id}
                    className="font-semibold text-confirmed"
                    href={`/api/employer/invoices/${invoice.id}/documents/${id}`}
                  >
                    {say(`fees.document.${kind}`)} {number}
                  </a>
                ))}
              </p>
            </div>
            <p className="font-mono sm:text-right">{writeAmount(invoice.total, invoice.currency)}</p>
          </li>
        ))}
      </ul>
    </>
  )
}

const invoiceColour = ({ late, state }: EmployerInvoiceLine) =>
  late ? 'text-contradicted' : state === 'open' ? 'text-soon-ink' : 'text-confirmed'

function invoiceWords({ state, owed, currency, dueOn, late }: EmployerInvoiceLine): string {
  if (state === 'settled') return say('employers.isPaid')
  const values = { amount: writeAmount(owed, currency), day: writeWhen(dueOn) }
  return say(late ? 'employers.isLate' : 'employers.isOpen', values)
}
