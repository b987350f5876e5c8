import { useState } from 'react'
import { Link, useNavigate, useSearchParams } from 'react-router'
import { type ChargeLine, feeQueues, type FeeQueue as Queue } from '#contract/fees'
import { writeWhen } from '#core/dates/write'
import { writeAmount } from '#core/words/amounts'
import { say } from '#core/words/say'
import { api } from '../../api'
import { Pager } from '../../ui/Pager'
import { Waiting } from '../../ui/Waiting'
import { Overview } from '../overviews/Overview'
import { useKeys } from '../useKeys'

/** What is owed, late, to look at, to give back and settled: for those who look after money. */
export function FeeQueue() {
  const [search, setSearch] = useSearchParams()
  const navigate = useNavigate()
  const application = search.get('application') ?? undefined
  const queue = feeQueues.find((one) => one === search.get('queue')) ?? 'owed'
  const [after, setAfter] = useState<string[]>([])
  const [at, setAt] = useState(0)
  const { data, error, refetch } = api.endpoints.listCharges.useQuery(
    { query: { queue, application, after: after.at(-1) } },
    { refetchOnMountOrArgChange: true, refetchOnFocus: true },
  )
  const charges = data?.charges ?? []
  const current = charges[Math.min(at, charges.length - 1)]
  const step = (by: number) => setAt(Math.min(charges.length - 1, Math.max(0, at + by)))
  useKeys({
    j: () => step(1),
    k: () => step(-1),
    ...(current ? { enter: () => void navigate(`/desk/fees/${current.id}`) } : {}),
  })
  if (!data) return <Waiting error={error} onRetry={refetch} />
  const choose = (next: Queue) => {
    setSearch({ queue: next })
    setAfter([])
    setAt(0)
  }
  return (
    <Overview title={say('fees.title')} about={say('fees.about')}>
      <div className="mb-2 flex flex-wrap items-center gap-1" role="tablist" aria-label={say('fees.title')}>
        {feeQueues.map((one) => (
          <button
            key={one}
            type="button"
            role="tab"
            aria-selected={!application && one === queue}
            className={`rounded-sheet border px-2.5 py-1 ${!application && one === queue ? 'border-line-strong bg-sheet-2 font-semibold' : 'border-transparent hover:bg-sheet-2'}`}
            onClick={() => choose(one)}
          >
            {say(`fees.queue.${one}`)} <span className="font-mono text-ink-2">{data.counts[one]}</span>
          </button>
        ))}
        <nav className="ml-auto flex flex-wrap gap-x-3" aria-label={say('fees.places')}>
          <Place to="/desk/transfers" title={say('fees.transfers')} />
          <Place to="/desk/employers" title={say('employers.title')} count={data.lateInvoices} />
          <Place to="/desk/vouchers" title={say('fees.vouchers')} />
          <Place to="/desk/closings" title={say('closings.title')} count={data.daysToLookAt} />
        </nav>
      </div>
      {application && (
        <p className="mb-2 text-ink-2">
          {say('fees.ofOneApplication')}{' '}
          <button type="button" className="font-semibold text-confirmed" onClick={() => choose('owed')}>
            {say('fees.showAll')}
          </button>
        </p>
      )}
      {charges.length === 0 ? (
        <p className="py-4 text-ink-2">{application ? say('fees.noneOfApplication') : say(`fees.none.${queue}`)}</p>
      ) : (
        <ol className="border-line border-t">
          {charges.map((charge) => (
            <Row key={charge.id} charge={charge} current={charge === current} />
          ))}
        </ol>
      )}
      <Pager
        words={{ before: say('enquiries.before'), more: say('enquiries.more') }}
        after={after}
        next={data.next}
        onTurn={(next) => {
          setAfter(next)
          setAt(0)
        }}
      />
    </Overview>
  )
}

const Place = ({ to, title, count = 0 }: { to: string; title: string; count?: number }) => (
  <Link to={to} className="font-semibold text-confirmed">
    {title} {count > 0 && <span className="font-mono text-contradicted">{count}</span>}
  </Link>
)

function Row({ charge, current }: { charge: ChargeLine; current: boolean }) {
  const { id, name, reference, vacancy, title, currency, owed, total, dueOn, late, state } = charge
  return (
    <li
      className={`grid grid-cols-[7rem_minmax(0,1fr)_minmax(0,1.2fr)_9rem] items-baseline gap-x-4 border-line border-b px-2 py-1.5 max-md:grid-cols-1 ${current ? 'bg-confirmed-wash' : ''}`}
    >
      <span className={`whitespace-nowrap font-mono ${late ? 'font-semibold text-contradicted' : 'text-ink-2'}`}>
        {writeWhen(dueOn)}
      </span>
      <span className="min-w-0">
        <Link to={`/desk/fees/${id}`} className="font-semibold text-confirmed">
          {name}
        </Link>{' '}
        <span className="font-mono text-[0.8667rem] text-ink-2">{reference}</span>
      </span>
      <span className="min-w-0 truncate text-ink-2">
        {title}, {vacancy}
      </span>
      <span className="whitespace-nowrap text-right font-mono">
        {state === 'called off'
          ? say('fees.charge.calledOff')
          : owed < 0
            ? say('fees.toGiveBack', { amount: writeAmount(-owed, currency) })
            : writeAmount(owed === 0 ? total : owed, currency)}
      </span>
    </li>
  )
}
