import { useState } from 'react'
import type { DeliveryWay } from '#core/recipients/delivery'
import { say } from '#core/words/say'
import type { Problem } from '../api'
import { Button } from '../ui/Button'
import { faultAt, ProblemNote } from '../ui/ProblemNote'
import { HowToSend, howOf, usualSending } from './HowToSend'

type Props = {
  /** Of the permission it is sent by. */
  id: string
  today: string
  busy: boolean
  problem: Problem | undefined
  onSend: (how: { way: DeliveryWay; linkEndsOn?: string }) => void
  onDone: () => void
}

/** What is proven today, sent by a permission that holds. */
export function SendAgain({ id, today, busy, problem, onSend, onDone }: Props) {
  const [sending, setSending] = useState(() => usualSending(today))
  const how = howOf(sending)
  return (
    <div className="mt-2 grid gap-3 border-line border-t pt-3">
      <HowToSend name={`way ${id}`} sending={sending} onChange={setSending} error={faultAt(problem, 'linkEndsOn')} />
      <ProblemNote problem={problem?.faults ? undefined : problem} />
      <p className="flex gap-2">
        <Button kind="main" busy={busy} onClick={() => how && onSend(how)}>
          {say('recipients.send')}
        </Button>
        <Button kind="quiet" onClick={onDone}>
          {say('recipients.cancel')}
        </Button>
      </p>
    </div>
  )
}
