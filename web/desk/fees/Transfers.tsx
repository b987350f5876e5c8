import { useState } from 'react'
import { Link, useSearchParams } from 'react-router'
import { type TransferLine, transferStates } from '#contract/transfers'
import { writeWhen } from '#core/dates/write'
import { writeAmount } from '#core/words/amounts'
import { say } from '#core/words/say'
import { api } from '../../api'
import { Button } from '../../ui/Button'
import { TextField } from '../../ui/Field'
import { FileButton } from '../../ui/FileButton'
import { Pager } from '../../ui/Pager'
import { ProblemNote } from '../../ui/ProblemNote'
import { Waiting } from '../../ui/Waiting'
import { useAct } from '../../useAct'
import { useSession } from '../../useSession'
import { WithReason } from '../file/WithReason'
import { Overview } from '../overviews/Overview'

/** Transfers of bank statements: what names a reference is booked by itself, the rest is laid with its fee here. */
export function Transfers() {
  const [search, setSearch] = useSearchParams()
  const state = transferStates.find((one) => one === search.get('state')) ?? 'to look at'
  const [after, setAfter] = useState<string[]>([])
  const { may } = useSession()
  const taking = useAct('takeStatement')
  const [taken, setTaken] = useState<{ booked: number; toLookAt: number; known: number; passedOver: number }>()
  const { data, error, refetch } = api.endpoints.listTransfers.useQuery(
    { query: { state, after: after.at(-1) } },
    { refetchOnMountOrArgChange: true },
  )
  if (!data) return <Waiting error={error} onRetry={refetch} />
  const take = async (file: File) => {
    setTaken(undefined)
    const done = await taking.act({ body: file as never })
    if (done) setTaken(done)
  }
  return (
    <Overview title={say('fees.transfers')} about={say('fees.transfersAbout')}>
      <div className="mb-2 flex flex-wrap items-center gap-3">
        {may('takeStatement') && (
          <FileButton
            name={say('fees.statement')}
            accept=".xml,.csv,text/csv,application/xml,text/xml"
            kind="main"
            busy={taking.busy}
            onFile={(file) => void take(file)}
          >
            {say('fees.readStatement')}
          </FileButton>
        )}
        <Link to="/desk/fees" className="font-semibold text-confirmed">
          {say('fees.allFees')}
        </Link>
      </div>
      <ProblemNote problem={taking.problem} />
      {taken && (
        <p role="status" className="mb-2 text-confirmed">
          {say('fees.statementRead', taken)}
        </p>
      )}
      <div className="mb-2 flex flex-wrap gap-1" role="tablist" aria-label={say('fees.transfers')}>
        {transferStates.map((one) => (
          <button
            key={one}
            type="button"
            role="tab"
            aria-selected={one === state}
            className={`rounded-sheet border px-2.5 py-1 ${one === state ? 'border-line-strong bg-sheet-2 font-semibold' : 'border-transparent hover:bg-sheet-2'}`}
            onClick={() => {
              setSearch({ state: one })
              setAfter([])
            }}
          >
            {say(`fees.transfer.${one}`)}{' '}
            {one === 'to look at' && <span className="font-mono text-ink-2">{data.waiting}</span>}
          </button>
        ))}
      </div>
      {data.transfers.length === 0 && <p className="py-4 text-ink-2">{say(`fees.noTransfers.${state}`)}</p>}
      <ul className="border-line border-t">
        {data.transfers.map((transfer) => (
          <Transfer key={transfer.id} transfer={transfer} />
        ))}
      </ul>
      <Pager
        words={{ before: say('enquiries.before'), more: say('enquiries.more') }}
        after={after}
        next={data.next}
        onTurn={setAfter}
      />
    </Overview>
  )
}

function Transfer({ transfer }: { transfer: TransferLine }) {
  const { id, bookedOn, amount, currency, payer, reference, text, state, reason, proposed } = transfer
  const { may } = useSession()
  const assign = useAct('assignTransfer')
  const aside = useAct('setTransferAside')
  const [finding, setFinding] = useState(false)
  const [leaving, setLeaving] = useState(false)
  const lay = (pays: string) => void assign.act({ params: { id }, body: { parts: [{ pays, amount }] } })
  return (
    <li className="grid grid-cols-[7rem_minmax(0,1fr)_9rem] items-baseline gap-x-4 border-line border-b px-2 py-2 max-md:grid-cols-1">
      <span className="whitespace-nowrap font-mono text-ink-2">{writeWhen(bookedOn)}</span>
      <div className="min-w-0">
        <p>
          <span className="font-semibold">{payer || say('fees.payerUnknown')}</span>{' '}
          <span className="text-ink-2">{[reference, text].filter(Boolean).join(' · ')}</span>
        </p>
        {reason && <p className="text-ink-2">{say('fees.setAsideBecause', { reason })}</p>}
        {state !== 'booked' && may('assignTransfer') && (
          <div className="mt-1 flex flex-wrap items-center gap-x-4 gap-y-1">
            {proposed.map(({ pays, name, owed }) => (
              <Button key={pays} busy={assign.busy} onClick={() => lay(pays)}>
                {say('fees.belongsTo', { name, amount: writeAmount(owed, currency) })}
              </Button>
            ))}
            <Button kind="quiet" onClick={() => setFinding(!finding)}>
              {say('fees.findFee')}
            </Button>
            {state === 'to look at' && (
              <Button kind="quiet" onClick={() => setLeaving(!leaving)}>
                {say('fees.setAside')}
              </Button>
            )}
          </div>
        )}
        {finding && <Find currency={currency} busy={assign.busy} onChoose={lay} />}
        {leaving && (
          <WithReason
            label={say('fees.reason')}
            act={say('fees.setAside')}
            busy={aside.busy}
            problem={aside.problem}
            onReason={async (why) => {
              if (await aside.act({ params: { id }, body: { reason: why } })) setLeaving(false)
            }}
            onDone={() => setLeaving(false)}
          />
        )}
        <ProblemNote problem={assign.problem} />
      </div>
      <span className="whitespace-nowrap text-right font-mono">{writeAmount(amount, currency)}</span>
    </li>
  )
}

type FindProps = { currency: string; busy: boolean; onChoose: (pays: string) => void }

/** Looks for the fee a transfer belongs to, by name or reference. */
function Find({ currency, busy, onChoose }: FindProps) {
  const [text, setText] = useState('')
  const { data } = api.endpoints.listCharges.useQuery(
    { query: { queue: 'owed', text } },
    { skip: text.trim().length < 3 },
  )
  const invoiced = api.endpoints.listEmployerInvoices.useQuery({ query: { text } }, { skip: text.trim().length < 3 })
  const charges =
    data?.charges.map(({ id, name, title, ...more }) => ({ id, what: `${name}, ${title}`, ...more })) ?? []
  const invoices =
    invoiced.data?.invoices.map(({ id, name, number, ...more }) => ({ id, what: `${name}, ${number}`, ...more })) ?? []
  const found = text.trim().length < 3 ? [] : [...charges, ...invoices].filter((one) => one.currency === currency)
  return (
    <div className="mt-2 grid max-w-[420px] gap-2">
      <TextField label={say('fees.nameOrReference')} value={text} onChange={({ target }) => setText(target.value)} />
      {data && text.trim().length >= 3 && found.length === 0 && (
        <p className="text-ink-2">{say('fees.nothingFound')}</p>
      )}
      {found.map(({ id, what, owed }) => (
        <Button key={id} busy={busy} onClick={() => onChoose(id)}>
          {what}: {writeAmount(owed, currency)}
        </Button>
      ))}
    </div>
  )
}
