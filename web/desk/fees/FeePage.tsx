import { useState } from 'react'
import { Link } from 'react-router'
import type { ChargeDetail, FeePaymentLine } from '#contract/fees'
import { writeWhen } from '#core/dates/write'
import { knownFeeFacts } from '#core/fees/facts'
import { amountInDigits, readAmount } from '#core/money/currency'
import type { Account } from '#core/money/ledger'
import { writeCreditorReference } from '#core/money/reference'
import { writeAmount } from '#core/words/amounts'
import { chargeWords, payerRequestWords, paymentWords } from '#core/words/fees'
import { accountWords, causeWords } from '#core/words/ledger'
import { isReason } from '#core/words/reason'
import { say } from '#core/words/say'
import { api } from '../../api'
import { QuoteTable } from '../../fees/QuoteTable'
import { Button } from '../../ui/Button'
import { Dialog } from '../../ui/Dialog'
import { LongField, TextField } from '../../ui/Field'
import { faultAt, ProblemNote } from '../../ui/ProblemNote'
import { Waiting } from '../../ui/Waiting'
import { writeMoment, writeShortDay } from '../../ui/write'
import { useAct } from '../../useAct'
import { useSession } from '../../useSession'
import { WithReason } from '../file/WithReason'
import { Overview, Table } from '../overviews/Overview'
import { useKeys } from '../useKeys'
import { NotePayment } from './NotePayment'

type Doing = { act: 'received' | 'waive' } | { act: 'refund'; payment: FeePaymentLine }

/** One fee: how it came about, what was paid, every movement; and what can be done about it. */
export function FeePage({ id }: { id: string }) {
  const { data, error, refetch } = api.endpoints.readCharge.useQuery(
    { params: { id } },
    { refetchOnMountOrArgChange: true, refetchOnFocus: true },
  )
  const { may } = useSession()
  const [doing, setDoing] = useState<Doing>()
  const open = data?.state === 'open' && may('recordPayment')
  useKeys(open ? { r: () => setDoing({ act: 'received' }), w: () => setDoing({ act: 'waive' }) } : {})
  if (!data) return <Waiting error={error} onRetry={refetch} />
  const { line, schedule, quote, currency } = data
  return (
    <Overview title={`${data.title}: ${line.name}`} about={standing(data)}>
      <div className="grid gap-x-8 gap-y-4 lg:grid-cols-[minmax(0,1.1fr)_minmax(0,1fr)]">
        <div className="min-w-0">
          <p className="mb-2 flex flex-wrap gap-x-4">
            <Link to="/desk/fees" className="font-semibold text-confirmed">
              {say('fees.allFees')}
            </Link>
            {may('readQueue') && (
              <Link to={`/desk/all/${line.application}`} className="font-semibold text-confirmed">
                {say('fees.toTheFile')}
              </Link>
            )}
          </p>
          <dl className="mb-2 grid grid-cols-[auto_1fr] gap-x-4 text-ink-2">
            <dt>{say('fees.document.for')}</dt>
            <dd className="text-ink">
              {line.vacancy}, <span className="font-mono">{line.reference}</span>
            </dd>
            <dt>{say('fees.reference')}</dt>
            <dd className="font-mono text-ink">{writeCreditorReference(data.reference)}</dd>
            <dt>{say('fees.due')}</dt>
            <dd className="text-ink">{writeWhen(data.dueOn)}</dd>
          </dl>
          <Facts detail={data} />
          <h2 className="mt-3 text-[1.2rem]">{say('fees.howItCameAbout')}</h2>
          <QuoteTable schedule={schedule} quote={quote} known={knownFeeFacts(schedule, [])} />
        </div>
        <div className="min-w-0">
          {open && (
            <p className="mb-3 flex flex-wrap gap-2">
              <Button kind="main" letter="R" onClick={() => setDoing({ act: 'received' })}>
                {say('fees.noteReceived')}
              </Button>
              <Button letter="W" onClick={() => setDoing({ act: 'waive' })}>
                {say('fees.waive')}
              </Button>
            </p>
          )}
          <h2 className="text-[1.2rem]">{say('fees.payments')}</h2>
          <Table
            rows={data.payments}
            keyOf={(one) => one.id}
            empty={say('fees.noPayments')}
            columns={[
              {
                name: say('fees.document.day'),
                whole: true,
                of: (one) => writeShortDay(one.settledAt ?? one.startedAt),
              },
              {
                name: say('fees.how'),
                of: (one) => [paymentWords(one, currency), one.note].filter(Boolean).join(': '),
              },
              {
                name: say('fees.document.amount'),
                right: true,
                whole: true,
                of: (one) => writeAmount(one.amount, currency),
              },
              {
                name: '',
                of: (one) =>
                  one.state === 'odd' ? (
                    <CheckPayment id={id} payment={one.id} />
                  ) : (
                    may('refundPayment') &&
                    one.state === 'paid' &&
                    one.means !== 'voucher' &&
                    one.givenBack < one.amount && (
                      <button
                        type="button"
                        className="whitespace-nowrap font-semibold text-confirmed"
                        onClick={() => setDoing({ act: 'refund', payment: one })}
                      >
                        {say('fees.giveBack')}
                      </button>
                    )
                  ),
              },
            ]}
          />
          {data.requests.length > 0 && (
            <section className="mt-3" aria-label={say('employers.asked')}>
              <h2 className="text-[1.2rem]">{say('employers.asked')}</h2>
              <ul>
                {data.requests.map((request) => (
                  <li key={request.id}>
                    <Link to={`/desk/employers/${request.employerId}`} className="font-semibold text-confirmed">
                      {payerRequestWords(request, currency)}
                    </Link>{' '}
                    {request.reason && <q className="text-ink-2">{request.reason}</q>}
                  </li>
                ))}
              </ul>
            </section>
          )}
          {data.refunds.length > 0 && (
            <>
              <h2 className="mt-3 text-[1.2rem]">{say('fees.refunds')}</h2>
              <Table
                rows={data.refunds}
                keyOf={(one) => one.id}
                empty=""
                columns={[
                  { name: say('fees.document.day'), whole: true, of: (one) => writeShortDay(one.askedAt) },
                  { name: say('fees.document.because'), of: (one) => `${one.reason} (${one.askedBy})` },
                  { name: say('fees.how'), of: (one) => say(`fees.refund.${one.state}`) },
                  {
                    name: say('fees.document.amount'),
                    right: true,
                    whole: true,
                    of: (one) => writeAmount(one.amount, currency),
                  },
                ]}
              />
            </>
          )}
          <h2 className="mt-3 text-[1.2rem]">{say('fees.papers')}</h2>
          <ul>
            {data.documents.map((one) => (
              <li key={one.id}>
                <a href={`/api/desk/charges/${id}/documents/${one.id}`} className="font-semibold text-confirmed">
                  {say(`fees.document.${one.kind}`)} {one.number}
                </a>
                , {writeShortDay(one.issuedAt)}
              </li>
            ))}
          </ul>
          <details className="mt-3">
            <summary className="cursor-pointer font-semibold">{say('fees.movements')}</summary>
            <Table
              rows={data.movements.flatMap((one) =>
                one.postings.map((posting) => ({ ...one, ...posting, key: `${one.at}${one.cause}${posting.account}` })),
              )}
              keyOf={(one) => one.key}
              empty=""
              columns={[
                { name: say('fees.document.day'), of: (one) => writeMoment(one.at) },
                { name: say('fees.document.what'), of: (one) => causeWords(one.cause) },
                { name: say('fees.account'), of: (one) => accountWords(one.account as Account) },
                {
                  name: say('fees.document.amount'),
                  right: true,
                  whole: true,
                  of: (one) => writeAmount(one.amount, currency),
                },
              ]}
            />
          </details>
        </div>
      </div>
      {doing?.act === 'received' && <Received detail={data} onClose={() => setDoing(undefined)} />}
      {doing?.act === 'waive' && <Waive detail={data} onClose={() => setDoing(undefined)} />}
      {doing?.act === 'refund' && (
        <GiveBack detail={data} payment={doing.payment} onClose={() => setDoing(undefined)} />
      )}
    </Overview>
  )
}

/** A payment that was told oddly: the provider is asked what it really took. */
function CheckPayment({ id, payment }: { id: string; payment: string }) {
  const { may } = useSession()
  const { act, busy, problem } = useAct('checkPayment')
  if (!may('checkPayment')) return null
  return (
    <>
      <button
        type="button"
        disabled={busy}
        className="whitespace-nowrap font-semibold text-confirmed"
        onClick={() => void act({ params: { id, payment } })}
      >
        {say('fees.askProvider')}
      </button>
      <ProblemNote problem={problem} />
    </>
  )
}

const standing = (charge: ChargeDetail): string =>
  charge.owed < 0 ? say('fees.toGiveBack', { amount: writeAmount(-charge.owed, charge.currency) }) : chargeWords(charge)

/** What was given for the fee alone, and the papers that show it: each is accepted or refused. */
function Facts({ detail: { id, facts } }: { detail: ChargeDetail }) {
  const { may } = useSession()
  const { act, busy, problem } = useAct('decideFeeProof')
  const [refusing, setRefusing] = useState<string>()
  if (facts.length === 0) return null
  return (
    <section className="my-3 border-line border-y py-2" aria-label={say('fees.givenForIt')}>
      <h2 className="text-[1.2rem]">{say('fees.givenForIt')}</h2>
      <p className="text-[0.8667rem] text-ink-2">{say('fees.onlyHere')}</p>
      {facts.map((fact) => (
        <div key={fact.key} className="py-1.5">
          <p>
            {fact.label} <strong>{fact.value}</strong>
          </p>
          {fact.hasPaper && (
            <p className="flex flex-wrap items-center gap-x-4 gap-y-1">
              <a
                href={`/api/desk/charges/${id}/proofs/${fact.key}`}
                target="_blank"
                rel="noreferrer"
                className="font-semibold text-confirmed"
              >
                {say('fees.seeProof', { proof: fact.asked })}
              </a>
              <span className={fact.proof === 'to look at' ? 'font-semibold text-soon-ink' : 'text-ink-2'}>
                {say(`fees.proofState.${fact.proof}`)}
              </span>
              {fact.proof === 'to look at' && may('decideFeeProof') && refusing !== fact.key && (
                <>
                  <Button
                    busy={busy}
                    onClick={() => void act({ params: { id, fact: fact.key }, body: { accepted: true } })}
                  >
                    {say('fees.accept')}
                  </Button>
                  <Button kind="quiet" onClick={() => setRefusing(fact.key)}>
                    {say('fees.refuse')}
                  </Button>
                </>
              )}
            </p>
          )}
          {refusing === fact.key && (
            <WithReason
              means={say('fees.refuseMeans')}
              label={say('fees.refuseReason')}
              act={say('fees.refuse')}
              busy={busy}
              problem={problem}
              onReason={async (reason) => {
                if (await act({ params: { id, fact: fact.key }, body: { accepted: false, reason } }))
                  setRefusing(undefined)
              }}
              onDone={() => setRefusing(undefined)}
            />
          )}
        </div>
      ))}
      {refusing === undefined && <ProblemNote problem={problem} />}
    </section>
  )
}

type Closing = { detail: ChargeDetail; onClose: () => void }

function Received({ detail: { id, currency, owed, today }, onClose }: Closing) {
  const { act, busy, problem } = useAct('recordPayment')
  return (
    <NotePayment
      {...{ title: say('fees.noteReceived'), currency, amount: owed, today, busy, problem, onClose }}
      onNote={async (body) => {
        if (await act({ params: { id }, body })) onClose()
      }}
    />
  )
}

const Waive = ({ detail, onClose }: Closing) => {
  const { id, currency, owed } = detail
  const waiving = useAct('waiveFee')
  return (
    <AmountWithReason
      {...{ title: say('fees.waive'), currency, most: owed, busy: waiving.busy, problem: waiving.problem, onClose }}
      means={say('fees.waiveMeans')}
      onDone={async (amount, reason) => {
        if (await waiving.act({ params: { id }, body: { amount, reason } })) onClose()
      }}
    />
  )
}

const GiveBack = ({ detail, payment, onClose }: Closing & { payment: FeePaymentLine }) => {
  const { id, currency, owed } = detail
  const refunding = useAct('refundPayment')
  const left = payment.amount - payment.givenBack
  return (
    <AmountWithReason
      {...{ title: say('fees.giveBack'), currency, busy: refunding.busy, problem: refunding.problem, onClose }}
      most={owed < 0 ? Math.min(left, -owed) : left}
      means={say('fees.giveBackMeans')}
      onDone={async (amount, reason) => {
        if (await refunding.act({ params: { id }, body: { payment: payment.id, amount, reason } })) onClose()
      }}
    />
  )
}

type AmountProps = {
  title: string
  means: string
  currency: string
  most: number
  busy: boolean
  problem: ReturnType<typeof useAct>['problem']
  onDone: (amount: number, reason: string) => void
  onClose: () => void
}

/** An amount and why, with what it means. */
function AmountWithReason({ title, means, currency, most, busy, problem, onDone, onClose }: AmountProps) {
  const [amount, setAmount] = useState(amountInDigits(most, currency))
  const [reason, setReason] = useState('')
  const read = readAmount(amount, currency)
  return (
    <Dialog open onClose={onClose} title={title}>
      <div className="grid gap-3">
        <p>{means}</p>
        <TextField
          label={`${say('fees.document.amount')}, ${currency}`}
          inputMode="decimal"
          value={amount}
          onChange={({ target }) => setAmount(target.value)}
          error={faultAt(problem, 'amount')}
          data-first
        />
        <LongField
          label={say('fees.reason')}
          limit={1000}
          value={reason}
          onChange={({ target }) => setReason(target.value)}
          error={faultAt(problem, 'reason')}
        />
        <ProblemNote problem={problem?.faults ? undefined : problem} />
        <Button
          kind="main"
          busy={busy}
          disabled={!read || !isReason(reason)}
          onClick={() => onDone(read!, reason)}
          className="justify-self-start"
        >
          {title}
        </Button>
      </div>
    </Dialog>
  )
}
