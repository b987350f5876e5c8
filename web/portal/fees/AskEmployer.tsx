import { useState } from 'react'
import type { FeeChargeView, OwnFee } from '#contract/fees'
import { partsByLine } from '#core/fees/split'
import { writeAmount } from '#core/words/amounts'
import { payerRequestWords } from '#core/words/fees'
import { say } from '#core/words/say'
import { translated } from '#core/words/translations'
import { api } from '../../api'
import { Button } from '../../ui/Button'
import { CheckList, TextField } from '../../ui/Field'
import { faultAt, ProblemNote } from '../../ui/ProblemNote'
import { useAct } from '../../useAct'

/** What became of employers who were asked to pay, and taking back what was asked. */
export function Requests({ charge }: { charge: FeeChargeView }) {
  const { act, busy, problem } = useAct('takeRequestBack')
  const told = charge.requests.filter(
    ({ state, amount }) => state !== 'withdrawn' && (state !== 'accepted' || amount > 0),
  )
  if (told.length === 0) return null
  return (
    <ul className="mt-2 grid gap-1">
      {told.map((request) => (
        <li key={request.id} className={request.state === 'asked' ? 'text-asked' : 'text-ink-2'}>
          {payerRequestWords(request, charge.currency)} {request.reason && <q>{request.reason}</q>}{' '}
          {request.state === 'asked' && (
            <Button
              kind="quiet"
              busy={busy}
              onClick={() => void act({ params: { id: charge.id, request: request.id } })}
            >
              {say('employers.takeBack')}
            </Button>
          )}
        </li>
      ))}
      <ProblemNote problem={problem} />
    </ul>
  )
}

/** Asks an employer to pay: found by name or code, for all of it or some of its lines. */
export function AskEmployer({ fee: { schedule, quote }, charge }: { fee: OwnFee; charge: FeeChargeView }) {
  const { act, busy, problem } = useAct('askEmployer')
  const [asking, setAsking] = useState(false)
  const [text, setText] = useState('')
  const [employer, setEmployer] = useState<{ id: string; name: string }>()
  const parts = partsByLine(quote, charge.total)
  const lines = schedule.lines.filter(({ key }) => (parts[key] ?? 0) > 0)
  const [chosen, setChosen] = useState(lines.map(({ key }) => key))
  const [orderNumber, setOrderNumber] = useState('')
  const { data } = api.endpoints.findEmployers.useQuery(
    { query: { text: text.trim() } },
    { skip: text.trim().length < 3 || employer !== undefined },
  )
  if (charge.requests.some(({ state }) => state === 'asked')) return null
  if (!asking)
    return (
      <p>
        <button type="button" className="font-semibold text-confirmed" onClick={() => setAsking(true)}>
          {say('employers.ask')}
        </button>
      </p>
    )
  if (!employer)
    return (
      <div className="grid max-w-[460px] gap-2">
        <TextField
          label={say('employers.find')}
          help={say('employers.findMeans')}
          value={text}
          maxLength={80}
          autoComplete="off"
          onChange={({ target }) => setText(target.value)}
        />
        {text.trim().length >= 3 && data?.employers.length === 0 && (
          <p className="text-ink-2">{say('employers.noneFound')}</p>
        )}
        {text.trim().length >= 3 &&
          data?.employers.map((one) => (
            <Button key={one.id} onClick={() => setEmployer(one)} className="justify-self-start">
              {[one.name, one.town].filter(Boolean).join(', ')}
            </Button>
          ))}
      </div>
    )
  const ask = () =>
    act({
      params: { id: charge.id },
      body: {
        ...{ employer: employer.id, code: text.trim().slice(0, 20), orderNumber: orderNumber.trim() },
        lines: chosen.length === lines.length ? null : chosen,
      },
    })
  return (
    <div className="grid max-w-[460px] gap-3">
      <p className="font-semibold">{employer.name}</p>
      {lines.length > 1 && (
        <CheckList
          label={say('employers.whatIsAsked')}
          options={lines.map((line) => ({
            value: line.key,
            label: `${translated(line).title}, ${writeAmount(parts[line.key]!, charge.currency)}`,
          }))}
          value={chosen}
          onChange={setChosen}
        />
      )}
      <TextField
        label={say('employers.yourOrderNumber')}
        optional
        value={orderNumber}
        maxLength={40}
        onChange={({ target }) => setOrderNumber(target.value)}
        error={faultAt(problem, 'orderNumber')}
      />
      <p className="text-ink-2">{say('employers.theySee')}</p>
      <ProblemNote problem={problem?.faults ? undefined : problem} />
      <div className="flex flex-wrap gap-2">
        <Button kind="main" busy={busy} disabled={chosen.length === 0} onClick={() => void ask()}>
          {say('employers.askThis', { name: employer.name })}
        </Button>
        <Button kind="quiet" onClick={() => setEmployer(undefined)}>
          {say('employers.otherEmployer')}
        </Button>
      </div>
    </div>
  )
}
