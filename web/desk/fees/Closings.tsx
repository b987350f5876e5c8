import { useState } from 'react'
import { Link } from 'react-router'
import type { ClosingLine } from '#contract/closings'
import { writeWhen } from '#core/dates/write'
import { writeAmount } from '#core/words/amounts'
import { say } from '#core/words/say'
import { api } from '../../api'
import { Button } from '../../ui/Button'
import { Pager } from '../../ui/Pager'
import { Waiting } from '../../ui/Waiting'
import { useAct } from '../../useAct'
import { useSession } from '../../useSession'
import { WithReason } from '../file/WithReason'
import { Overview, Table } from '../overviews/Overview'
import { Bookkeeping } from './Bookkeeping'

/** Each day against the provider's report, what each month came to, and every posting for bookkeeping. */
export function Closings() {
  const [after, setAfter] = useState<string[]>([])
  const { data, error, refetch } = api.endpoints.listClosings.useQuery(
    { query: { after: after.at(-1) } },
    { refetchOnMountOrArgChange: true },
  )
  if (!data) return <Waiting error={error} onRetry={refetch} />
  return (
    <Overview title={say('closings.title')} about={say('closings.about')}>
      <p className="mb-3">
        <Link to="/desk/fees" className="font-semibold text-confirmed">
          {say('fees.allFees')}
        </Link>
      </p>
      <div className="grid gap-x-8 gap-y-5 xl:grid-cols-[minmax(0,1fr)_24rem]">
        <div className="grid min-w-0 content-start gap-5">
          <section aria-label={say('closings.months')}>
            <h2 className="text-[1.2rem]">{say('closings.months')}</h2>
            <Months months={data.months} />
          </section>
          <section aria-label={say('closings.days')}>
            <h2 className="text-[1.2rem]">{say('closings.days')}</h2>
            <Days closings={data.closings} />
            <Pager
              words={{ before: say('enquiries.before'), more: say('enquiries.more') }}
              after={after}
              next={data.next}
              onTurn={setAfter}
            />
          </section>
        </div>
        <Bookkeeping today={data.today} />
      </div>
    </Overview>
  )
}

type Month = {
  month: string
  currency: string
  charged: number
  tax: number
  paid: number
  vouchers: number
  waived: number
  employers: number
}

const sums = ['charged', 'tax', 'paid', 'vouchers', 'waived', 'employers'] as const

const Months = ({ months }: { months: readonly Month[] }) => (
  <Table
    rows={months}
    keyOf={({ month, currency }) => `${month} ${currency}`}
    empty={say('closings.noMonths')}
    columns={[
      { name: say('closings.month'), whole: true, of: ({ month }) => writeWhen(month) },
      ...sums.map((sum) => ({
        ...{ name: say(`closings.${sum}`), right: true, whole: true },
        of: (month: Month) => writeAmount(month[sum], month.currency),
      })),
    ]}
  />
)

const colours: Record<ClosingLine['state'], string> = {
  agreed: 'text-confirmed',
  differs: 'font-semibold text-contradicted',
  settled: 'text-ink-2',
  'no report': 'text-soon-ink',
}

const Days = ({ closings }: { closings: readonly ClosingLine[] }) => (
  <Table
    rows={closings}
    keyOf={({ day }) => day}
    empty={say('closings.none')}
    columns={[
      { name: say('closings.day'), whole: true, of: ({ day }) => writeWhen(day) },
      {
        ...{ name: say('closings.card'), right: true, whole: true },
        of: ({ card }) => card.map(({ currency, amount }) => writeAmount(amount, currency)).join(', '),
      },
      { name: say('closings.agreed'), right: true, of: ({ agreed }) => agreed || '' },
      { name: say('closings.state'), of: (closing) => <Standing closing={closing} /> },
    ]}
  />
)

function Standing({ closing }: { closing: ClosingLine }) {
  const { day, state, differences, reason, settledBy } = closing
  const nothing = state === 'agreed' && closing.agreed === 0
  const { may } = useSession()
  const again = useAct('closeDay')
  const settle = useAct('settleClosing')
  const [settling, setSettling] = useState(false)
  return (
    <>
      <span className={nothing ? 'text-ink-3' : colours[state]}>
        {nothing ? say('closings.nothing') : say(`closings.state.${state}`)}
      </span>{' '}
      {reason && (
        <span className="text-ink-2">
          <q>{reason}</q> {settledBy}
        </span>
      )}
      {differences.map((one) => (
        <p key={`${one.payment} ${one.refund ?? ''}`}>
          {differenceWords(one)}{' '}
          {one.charge && (
            <Link to={`/desk/fees/${one.charge}`} className="font-semibold text-confirmed">
              {say('closings.toTheFee')}
            </Link>
          )}
        </p>
      ))}
      {['differs', 'no report'].includes(state) && may('closeDay') && !settling && (
        <span className="flex gap-2">
          <Button kind="quiet" busy={again.busy} onClick={() => void again.act({ params: { day } })}>
            {say('closings.again')}
          </Button>
          {state === 'differs' && (
            <Button kind="quiet" onClick={() => setSettling(true)}>
              {say('closings.settle')}
            </Button>
          )}
        </span>
      )}
      {settling && (
        <WithReason
          label={say('closings.why')}
          act={say('closings.settle')}
          busy={settle.busy}
          problem={settle.problem}
          onReason={async (why) => {
            if (await settle.act({ params: { day }, body: { reason: why } })) setSettling(false)
          }}
          onDone={() => setSettling(false)}
        />
      )}
    </>
  )
}

function differenceWords(one: ClosingLine['differences'][number]): string {
  const written = (amount: number) => writeAmount(amount, one.currency)
  switch (one.code) {
    case 'not-booked':
      return say('closings.not-booked', { theirs: written(one.theirs) })
    case 'not-reported':
      return say('closings.not-reported', { ours: written(one.ours) })
    case 'other-amount':
      return say('closings.other-amount', { ours: written(one.ours), theirs: written(one.theirs) })
  }
}
