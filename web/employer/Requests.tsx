import { useState } from 'react'
import type { PayerRequestLine } from '#contract/employers'
import { writeWhen } from '#core/dates/write'
import { writeAmount } from '#core/words/amounts'
import { isReason } from '#core/words/reason'
import { say } from '#core/words/say'
import { api } from '../api'
import { Button } from '../ui/Button'
import { LongField, TextField } from '../ui/Field'
import { Pager } from '../ui/Pager'
import { faultAt, ProblemNote } from '../ui/ProblemNote'
import { Waiting } from '../ui/Waiting'
import { writeDayOf } from '../ui/write'
import { useAct } from '../useAct'

const fresh = { refetchOnMountOrArgChange: true, refetchOnFocus: true }

/** What waits for an answer: each with its person and lines, taken over or declined. */
export function ToDecide({ needsOrderNumber }: { needsOrderNumber: boolean }) {
  const { data, error, refetch } = api.endpoints.listPayerRequests.useQuery({ query: { state: 'asked' } }, fresh)
  if (!data) return <Waiting error={error} onRetry={refetch} />
  if (data.requests.length === 0) return <p className="text-ink-2">{say('employers.nothingToDecide')}</p>
  return (
    <ul className="grid gap-3">
      {data.requests.map((request) => (
        <li key={request.id} className="rounded-sheet border border-line bg-sheet p-4">
          <WhatIsAsked request={request} />
          <Decide request={request} needsOrderNumber={needsOrderNumber} />
        </li>
      ))}
    </ul>
  )
}

function WhatIsAsked({ request }: { request: PayerRequestLine }) {
  const { name, reference, vacancy, fee, lines, amount, currency } = request
  return (
    <>
      <p className="flex flex-wrap justify-between gap-x-4">
        <span>
          <span className="font-semibold text-[1.07em]">{name}</span>{' '}
          <span className="font-mono text-ink-2">{reference}</span>
        </span>
        <span className="font-mono font-semibold">{writeAmount(amount, currency)}</span>
      </p>
      <p className="text-ink-2">
        {fee}, {vacancy}
      </p>
      {lines.length > 1 && (
        <ul className="mt-1">
          {lines.map((line) => (
            <li key={line.title} className="flex justify-between gap-4">
              <span>{line.title}</span>
              <span className="font-mono">{writeAmount(line.amount, currency)}</span>
            </li>
          ))}
        </ul>
      )}
    </>
  )
}

function Decide({ request, needsOrderNumber }: { request: PayerRequestLine; needsOrderNumber: boolean }) {
  const { id, name, amount, currency, lapsesOn } = request
  const { act, busy, problem } = useAct('decidePayerRequest')
  const [orderNumber, setOrderNumber] = useState(request.orderNumber)
  const [reason, setReason] = useState<string>()
  const decide = (body: { accepted: true; orderNumber: string } | { accepted: false; reason: string }) =>
    void act({ params: { id }, body })
  return (
    <div className="mt-3 grid gap-3 border-line border-t pt-3">
      <p className="text-ink-2">{say('employers.answerBy', { day: writeWhen(lapsesOn), name })}</p>
      {reason === undefined ? (
        <>
          <div className="max-w-[320px]">
            <TextField
              label={say('employers.orderNumber')}
              optional={!needsOrderNumber}
              value={orderNumber}
              maxLength={40}
              onChange={({ target }) => setOrderNumber(target.value)}
              error={faultAt(problem, 'orderNumber')}
            />
          </div>
          <ProblemNote problem={problem?.faults ? undefined : problem} />
          <div className="flex flex-wrap gap-2">
            <Button kind="main" busy={busy} onClick={() => decide({ accepted: true, orderNumber })}>
              {say('employers.take', { amount: writeAmount(amount, currency) })}
            </Button>
            <Button kind="quiet" onClick={() => setReason('')}>
              {say('employers.decline')}
            </Button>
          </div>
        </>
      ) : (
        <>
          <LongField
            label={say('employers.why', { name })}
            value={reason}
            limit={1000}
            onChange={({ target }) => setReason(target.value)}
            error={faultAt(problem, 'reason')}
          />
          <ProblemNote problem={problem?.faults ? undefined : problem} />
          <div className="flex flex-wrap gap-2">
            <Button
              kind="main"
              busy={busy}
              disabled={!isReason(reason)}
              onClick={() => decide({ accepted: false, reason })}
            >
              {say('employers.declineNow')}
            </Button>
            <Button kind="quiet" onClick={() => setReason(undefined)}>
              {say('apply.cancel')}
            </Button>
          </div>
        </>
      )}
    </div>
  )
}

/** What was decided, the newest first. */
export function Decided() {
  const [after, setAfter] = useState<string[]>([])
  const { data, error, refetch } = api.endpoints.listPayerRequests.useQuery(
    { query: { state: 'decided', after: after.at(-1) } },
    fresh,
  )
  if (!data) return <Waiting error={error} onRetry={refetch} />
  if (data.requests.length === 0) return <p className="text-ink-2">{say('employers.nothingDecided')}</p>
  return (
    <>
      <ul className="divide-y divide-line rounded-sheet border border-line bg-sheet">
        {data.requests.map((request) => (
          <li key={request.id} className="p-4">
            <WhatIsAsked request={request} />
            <p>
              {decidedWords(request)} {request.reason && <q>{request.reason}</q>}{' '}
              {request.orderNumber && <span className="font-mono text-ink-2">{request.orderNumber}</span>}
            </p>
          </li>
        ))}
      </ul>
      <Pager
        words={{ before: say('employers.newer'), more: say('employers.older') }}
        after={after}
        next={data.next}
        onTurn={setAfter}
      />
    </>
  )
}

function decidedWords({ state, decidedAt, decidedBy }: PayerRequestLine): string {
  const values = { state: say(`employers.state.${state}`), day: decidedAt ? writeDayOf(decidedAt) : '' }
  return decidedBy ? say('employers.decidedBy', { ...values, by: decidedBy }) : say('employers.decidedOn', values)
}
