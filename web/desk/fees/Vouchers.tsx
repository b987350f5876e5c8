import { useState } from 'react'
import { Link } from 'react-router'
import type { VoucherLine } from '#contract/vouchers'
import { writeWhen } from '#core/dates/write'
import { readAmount } from '#core/money/currency'
import { writeAmount, writeShare } from '#core/words/amounts'
import { say } from '#core/words/say'
import { api } from '../../api'
import { Button } from '../../ui/Button'
import { DateField } from '../../ui/DateField'
import { Dialog } from '../../ui/Dialog'
import { LongField, SelectField, TextField } from '../../ui/Field'
import { Pager } from '../../ui/Pager'
import { faultAt, ProblemNote } from '../../ui/ProblemNote'
import { Waiting } from '../../ui/Waiting'
import { useAct } from '../../useAct'
import { useCurrency } from '../../useCurrency'
import { useSession } from '../../useSession'
import { Overview, Table } from '../overviews/Overview'

/** Vouchers that were made, and making more. Their codes are shown once. */
export function Vouchers() {
  const [after, setAfter] = useState<string[]>([])
  const [making, setMaking] = useState(false)
  const { may } = useSession()
  const { data, error, refetch } = api.endpoints.listVouchers.useQuery(
    { query: { after: after.at(-1) } },
    { refetchOnMountOrArgChange: true },
  )
  if (!data) return <Waiting error={error} onRetry={refetch} />
  return (
    <Overview title={say('fees.vouchers')} about={say('fees.vouchersAbout')}>
      <p className="mb-3 flex flex-wrap items-center gap-4">
        {may('makeVouchers') && (
          <Button kind="main" onClick={() => setMaking(true)}>
            {say('fees.makeVouchers')}
          </Button>
        )}
        <Link to="/desk/fees" className="font-semibold text-confirmed">
          {say('fees.allFees')}
        </Link>
      </p>
      <Table
        rows={data.vouchers}
        keyOf={({ id }) => id}
        empty={say('fees.noVouchers')}
        columns={[
          { name: say('fees.batch'), of: ({ batch }) => batch },
          { name: say('fees.codeEnds'), of: ({ ending }) => <span className="font-mono">…{ending}</span> },
          { name: say('fees.worth'), right: true, whole: true, of: worthWords },
          {
            name: say('fees.covers'),
            of: ({ lines }) => (lines ? lines.join(', ') : say('fees.allLines')),
          },
          { name: say('fees.lastDay'), whole: true, of: ({ through }) => writeWhen(through) },
          { name: say('fees.state'), of: ({ state }) => say(`fees.voucher.${state}`) },
          { name: '', of: (voucher) => <Withdraw voucher={voucher} /> },
        ]}
      />
      <Pager
        words={{ before: say('enquiries.before'), more: say('enquiries.more') }}
        after={after}
        next={data.next}
        onTurn={setAfter}
      />
      {making && <Make onClose={() => setMaking(false)} />}
    </Overview>
  )
}

const worthWords = ({ amount, basisPoints, currency }: VoucherLine) =>
  basisPoints ? writeShare(basisPoints) : writeAmount(amount ?? 0, currency ?? '')

function Withdraw({ voucher: { id, state } }: { voucher: VoucherLine }) {
  const { may } = useSession()
  const { act, busy } = useAct('withdrawVoucher')
  if (state !== 'open' || !may('withdrawVoucher')) return null
  return (
    <button
      type="button"
      disabled={busy}
      className="font-semibold text-confirmed"
      onClick={() => void act({ params: { id } })}
    >
      {say('fees.withdrawVoucher')}
    </button>
  )
}

const kinds = ['amount', 'share'] as const

function Make({ onClose }: { onClose: () => void }) {
  const currency = useCurrency()
  const { act, busy, problem } = useAct('makeVouchers')
  const [batch, setBatch] = useState('')
  const [count, setCount] = useState('10')
  const [kind, setKind] = useState<(typeof kinds)[number]>('amount')
  const [worth, setWorth] = useState('')
  const [lines, setLines] = useState('')
  const [through, setThrough] = useState('')
  const [codes, setCodes] = useState<string[]>()
  const amount = readAmount(worth, kind === 'amount' ? currency : 'EUR')
  const ready = batch.trim().length >= 2 && Number(count) >= 1 && amount && /^\d{4}-\d{2}-\d{2}$/.test(through)
  const make = async () => {
    const keys = lines.split(/[\s,;]+/).filter(Boolean)
    const made = await act({
      body: {
        ...{ batch: batch.trim(), count: Number(count), through, lines: keys.length > 0 ? keys : null },
        // A share is typed in per cent with at most two decimals, as money is.
        worth: kind === 'amount' ? { amount: amount!, currency } : { basisPoints: amount! },
      },
    })
    if (made) setCodes(made.codes)
  }
  if (codes)
    return (
      <Dialog open onClose={onClose} title={say('fees.codesMade')}>
        <p className="mb-2">{say('fees.codesOnce')}</p>
        <LongField label={say('fees.codes')} rows={10} readOnly value={codes.join('\n')} />
        <div className="mt-3 flex gap-2">
          <Button kind="main" onClick={() => void navigator.clipboard.writeText(codes.join('\n'))}>
            {say('fees.copyCodes')}
          </Button>
          <Button kind="quiet" onClick={onClose}>
            {say('fees.done')}
          </Button>
        </div>
      </Dialog>
    )
  return (
    <Dialog open onClose={onClose} title={say('fees.makeVouchers')}>
      <div className="grid gap-3">
        <TextField
          label={say('fees.batch')}
          help={say('fees.batchMeans')}
          value={batch}
          maxLength={120}
          onChange={({ target }) => setBatch(target.value)}
          error={faultAt(problem, 'batch')}
          data-first
        />
        <div className="grid grid-cols-3 gap-3">
          <TextField
            label={say('fees.howMany')}
            type="number"
            min={1}
            max={500}
            value={count}
            onChange={({ target }) => setCount(target.value)}
            error={faultAt(problem, 'count')}
          />
          <SelectField
            label={say('fees.worthKind')}
            value={kind}
            options={kinds.map((one) => ({ value: one, label: say(`fees.worthKind.${one}`) }))}
            onChange={({ target }) => setKind(target.value as (typeof kinds)[number])}
          />
          <TextField
            label={kind === 'amount' ? `${say('fees.worth')}, ${currency}` : `${say('fees.worth')}, %`}
            inputMode="decimal"
            value={worth}
            onChange={({ target }) => setWorth(target.value)}
            error={faultAt(problem, 'worth')}
          />
        </div>
        <TextField
          label={say('fees.coversLines')}
          help={say('fees.coversLinesMeans')}
          optional
          value={lines}
          onChange={({ target }) => setLines(target.value)}
          error={faultAt(problem, 'lines')}
        />
        <DateField
          label={say('fees.lastDay')}
          value={through}
          onChange={setThrough}
          error={faultAt(problem, 'through')}
        />
        <ProblemNote problem={problem?.faults ? undefined : problem} />
        <Button kind="main" busy={busy} disabled={!ready} onClick={() => void make()} className="justify-self-start">
          {say('fees.makeThem')}
        </Button>
      </div>
    </Dialog>
  )
}
