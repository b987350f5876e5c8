import { useState } from 'react'
import type { DeliveryLine, PermissionLine } from '#contract/recipients'
import { writeWhen } from '#core/dates/write'
import { say } from '#core/words/say'
import { addressOf } from '../../api'
import { Deliveries } from '../../recipients/Deliveries'
import { HowToSend, howOf, usualSending } from '../../recipients/HowToSend'
import { Button } from '../../ui/Button'
import { faultAt, ProblemNote } from '../../ui/ProblemNote'
import { Sheet } from '../../ui/Sheet'
import { useAct } from '../../useAct'

/** Somebody one has allowed to be told, what each received, and how that is sent anew or taken back. */
export function OneRecipient({ permission, today }: { permission: PermissionLine; today: string }) {
  const [doing, setDoing] = useState<'send' | 'withdraw'>()
  const { id, recipient, purpose, claims, state, given, signedOn, through, hasPaper, inApplication, deliveries } =
    permission
  const done = () => setDoing(undefined)
  return (
    <Sheet className="grid grid-cols-[minmax(0,1fr)] gap-2">
      <div className="flex flex-wrap items-baseline justify-between gap-x-4">
        <h3 className="font-semibold text-[1.07em]">{recipient.name}</h3>
        <span className={state === 'holds' ? 'text-confirmed' : 'text-ink-2'}>
          {say(`recipients.state.${state}`, { day: writeWhen(through) })}
        </span>
      </div>
      <p className="text-ink-2">
        {recipient.mail}. {say('recipients.for', { purpose })}. {say('recipients.of', { claims: claims.join(', ') })}
      </p>
      <p className="flex flex-wrap gap-x-4 text-[0.93em] text-ink-2">
        {say(given === 'paper' ? 'recipients.onPaper' : 'recipients.signedOn', { day: writeWhen(signedOn) })}
        {hasPaper && (
          <a
            href={addressOf('readOwnRecipientPermission', { params: { id } })}
            className="font-semibold text-confirmed underline"
          >
            {say('recipients.permissionPdf')}
          </a>
        )}
      </p>
      <Deliveries
        deliveries={deliveries}
        takeBack={(delivery, onDone) => <TakeBack delivery={delivery} recipient={recipient.name} onDone={onDone} />}
      />
      {!doing && state !== 'withdrawn' && (
        <p className="flex flex-wrap gap-x-4 gap-y-1">
          {state === 'holds' && !inApplication && (
            <Button onClick={() => setDoing('send')}>{say('recipients.sendAgain')}</Button>
          )}
          <Button kind="quiet" onClick={() => setDoing('withdraw')}>
            {say('recipients.withdraw')}
          </Button>
        </p>
      )}
      {doing === 'send' && <SendAgain id={id} today={today} onDone={done} />}
      {doing === 'withdraw' && <Withdraw id={id} onDone={done} />}
    </Sheet>
  )
}

function SendAgain({ id, today, onDone }: { id: string; today: string; onDone: () => void }) {
  const { act, busy, problem } = useAct('sendOwnRecord')
  const [sending, setSending] = useState(() => usualSending(today))
  const how = howOf(sending)
  return (
    <div className="grid gap-3 border-line border-t pt-3">
      <HowToSend name={`way ${id}`} sending={sending} onChange={setSending} error={faultAt(problem, 'linkEndsOn')} />
      <ProblemNote problem={problem?.faults ? undefined : problem} />
      <p className="flex gap-2">
        <Button
          kind="main"
          busy={busy}
          onClick={() => void (how && act({ params: { id }, body: how }).then((sent) => sent && onDone()))}
        >
          {say('recipients.send')}
        </Button>
        <Button kind="quiet" onClick={onDone}>
          {say('recipients.cancel')}
        </Button>
      </p>
    </div>
  )
}

function Withdraw({ id, onDone }: { id: string; onDone: () => void }) {
  const { act, busy, problem } = useAct('withdrawRecipient')
  return (
    <Sure
      {...{ busy, problem, onDone }}
      means={say('recipients.withdrawMeans')}
      label={say('recipients.withdraw')}
      onSure={() => void act({ params: { id } }).then((done) => done && onDone())}
    />
  )
}

type TakeBackProps = { delivery: DeliveryLine; recipient: string; onDone: () => void }

function TakeBack({ delivery: { id }, recipient, onDone }: TakeBackProps) {
  const { act, busy, problem } = useAct('takeBackOwnRecord')
  return (
    <Sure
      {...{ busy, problem, onDone }}
      means={say('recipients.takeBackMeans', { recipient })}
      label={say('recipients.takeBack')}
      onSure={() => void act({ params: { id } }).then((done) => done && onDone())}
    />
  )
}

type SureProps = {
  means: string
  label: string
  busy: boolean
  problem: Parameters<typeof ProblemNote>[0]['problem']
  onSure: () => void
  onDone: () => void
}

/** What it means, before it is done. */
function Sure({ means, label, busy, problem, onSure, onDone }: SureProps) {
  return (
    <div className="grid gap-2 border-line border-t pt-3">
      <p className="max-w-[68ch]">{means}</p>
      <ProblemNote problem={problem} />
      <p className="flex gap-2">
        <Button kind="grave" busy={busy} onClick={onSure}>
          {label}
        </Button>
        <Button kind="quiet" onClick={onDone}>
          {say('recipients.cancel')}
        </Button>
      </p>
    </div>
  )
}
