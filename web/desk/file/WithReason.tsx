import { useState } from 'react'
import { isReason } from '#core/words/reason'
import { say } from '#core/words/say'
import type { Problem } from '../../api'
import { Button } from '../../ui/Button'
import { LongField } from '../../ui/Field'
import { faultAt, ProblemNote } from '../../ui/ProblemNote'

type Props = {
  /** What it means, where that has to be said. */
  means?: string
  label: string
  act: string
  busy: boolean
  problem: Problem | undefined
  onReason: (reason: string) => void
  onDone: () => void
}

/** Something that is done with its reason, or left. */
export function WithReason({ means, label, act, busy, problem, onReason, onDone }: Props) {
  const [reason, setReason] = useState('')
  return (
    <div className="mt-2 grid gap-2">
      {means && <p className="text-ink-2">{means}</p>}
      <LongField
        label={label}
        limit={1000}
        value={reason}
        onChange={(event) => setReason(event.target.value)}
        error={faultAt(problem, 'reason')}
      />
      <ProblemNote problem={problem?.faults ? undefined : problem} />
      <div className="flex gap-2">
        <Button kind="main" busy={busy} disabled={!isReason(reason)} onClick={() => onReason(reason)}>
          {act}
        </Button>
        <Button kind="quiet" onClick={onDone}>
          {say('file.cancel')}
        </Button>
      </div>
    </div>
  )
}
