import { useState } from 'react'
import type { DeliveryLine, PermissionLine } from '#contract/recipients'
import { say } from '#core/words/say'
import { addressOf } from '../../api'
import { Deliveries } from '../../recipients/Deliveries'
import { PermissionFacts } from '../../recipients/PermissionFacts'
import { SendAgain } from '../../recipients/SendAgain'
import { Button } from '../../ui/Button'
import { ProblemNote } from '../../ui/ProblemNote'
import { Sheet } from '../../ui/Sheet'
import { useAct } from '../../useAct'

/** Somebody one has allowed to be told, what each received, and how that is sent anew or taken back. */
export function OneRecipient({ permission, today }: { permission: PermissionLine; today: string }) {
  const [doing, setDoing] = useState<'send' | 'withdraw'>()
  const { id, recipient, state, inApplication, deliveries } = permission
  const done = () => setDoing(undefined)
  return (
    <Sheet className="grid grid-cols-[minmax(0,1fr)] gap-2">
      <PermissionFacts
        permission={permission}
        address={addressOf('readOwnRecipientPermission', { params: { id } })}
        open={say('recipients.permissionPdf')}
      />
      <Deliveries
        deliveries={deliveries}
        addressOfReport={(report) => addressOf('readOwnReport', { params: { id: report, form: 'pdf' } })}
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
      {doing === 'send' && <Send id={id} today={today} onDone={done} />}
      {doing === 'withdraw' && <Withdraw id={id} onDone={done} />}
    </Sheet>
  )
}

function Send({ id, today, onDone }: { id: string; today: string; onDone: () => void }) {
  const { act, busy, problem } = useAct('sendOwnRecord')
  return (
    <SendAgain
      {...{ id, today, busy, problem, onDone }}
      onSend={(how) => void act({ params: { id }, body: how }).then((sent) => sent && onDone())}
    />
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
