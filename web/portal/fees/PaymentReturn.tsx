import { Link, useParams } from 'react-router'
import { writeAmount } from '#core/words/amounts'
import { say } from '#core/words/say'
import { api } from '../../api'
import { Sheet } from '../../ui/Sheet'
import { useTitle } from '../../ui/useTitle'
import { Waiting } from '../../ui/Waiting'

const asksEveryMs = 1500

/** Where somebody comes back to from paying by card: it waits until it is known what became of it. */
export function PaymentReturn() {
  const { charge = '', payment: id = '' } = useParams()
  useTitle(say('fees.yourPayment'))
  const params = { id: charge, payment: id }
  const before = api.endpoints.readPayment.useQueryState({ params })
  const waits = before.data === undefined || before.data.payment.state === 'started'
  const { data, error, refetch } = api.endpoints.readPayment.useQuery(
    { params },
    { refetchOnMountOrArgChange: true, pollingInterval: waits ? asksEveryMs : 0 },
  )
  if (!data) return <Waiting error={error} onRetry={refetch} />
  const { payment, charge: of, application } = data
  const values = { amount: writeAmount(payment.amount, of.currency), title: of.title }
  const good = payment.state === 'paid'
  return (
    <main className="mx-auto max-w-[640px] px-4 py-10 sm:px-7">
      <Sheet>
        <h1 className="mb-2 text-[1.7em]">{say('fees.yourPayment')}</h1>
        <p
          role="status"
          className={good ? 'text-confirmed' : payment.state === 'started' ? 'text-ink-2' : 'text-soon-ink'}
        >
          {say(`fees.return.${payment.state}`, values)}
          {payment.state === 'declined' && payment.because && ` ${becauseWords(payment.because)}`}
        </p>
        <p className="mt-4 flex flex-wrap gap-4">
          <Link
            to={`/applications/${application}#fees`}
            className="inline-block rounded-sheet bg-confirmed px-3 py-1.5 font-semibold text-on-confirmed"
          >
            {good ? say('fees.toTheApplication') : say('fees.backToPay')}
          </Link>
        </p>
      </Sheet>
    </main>
  )
}

const reasons = ['not-enough', 'blocked', 'not-you'] as const

function becauseWords(because: string): string {
  const known = reasons.find((one) => one === because)
  return known ? say(`fees.declined.${known}`) : ''
}
