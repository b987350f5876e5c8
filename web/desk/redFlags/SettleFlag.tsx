import { useState } from 'react'
import type { FlagLine } from '#contract/redFlags'
import { isReason } from '#core/words/reason'
import { say } from '#core/words/say'
import { Button } from '../../ui/Button'
import { Dialog } from '../../ui/Dialog'
import { Choice, LongField } from '../../ui/Field'
import { faultAt, ProblemNote } from '../../ui/ProblemNote'
import { useAct } from '../../useAct'
import { useToast } from '../useToast'
import { FlagNote } from './FlagNote'

const outcomes = [
  { value: 'upheld', label: say('flags.uphold') },
  { value: 'dismissed', label: say('flags.dismiss') },
] as const
type Outcome = (typeof outcomes)[number]['value']

/** What a red flag comes to, with the reason; one that was settled is only looked at again. */
export function SettleFlag({ flag, onClose }: { flag: FlagLine; onClose: () => void }) {
  const again = flag.state !== 'open'
  const [outcome, setOutcome] = useState<Outcome>()
  const [reason, setReason] = useState('')
  const settling = useAct('settleRedFlag')
  const toast = useToast()
  const settle = async () => {
    const next = again ? ('reopened' as const) : outcome!
    const done = await settling.act({ params: { id: flag.id }, body: { version: flag.version, outcome: next, reason } })
    if (!done) return
    toast(again ? say('flags.reopened') : say('flags.done'))
    onClose()
  }
  return (
    <Dialog open onClose={onClose} title={again ? say('flags.lookAgain') : say('flags.settleTitle')}>
      <div className="grid gap-3">
        <div className="grid gap-1">
          <FlagNote flag={flag} />
        </div>
        {!again && (
          <Choice
            name="outcome"
            label={say('flags.settleTitle')}
            hidden
            options={[...outcomes]}
            value={outcome ?? ''}
            onChange={(value) => setOutcome(value as Outcome)}
          />
        )}
        {outcome && (
          <p className="text-ink-2">{say(outcome === 'upheld' ? 'flags.upholdNote' : 'flags.dismissNote')}</p>
        )}
        <LongField
          label={say('flags.reason')}
          limit={1000}
          value={reason}
          onChange={(event) => setReason(event.target.value)}
          error={faultAt(settling.problem, 'reason')}
          data-first
        />
        <ProblemNote problem={settling.problem?.faults ? undefined : settling.problem} />
        <div>
          <Button
            kind="main"
            busy={settling.busy}
            disabled={!(again || outcome) || !isReason(reason)}
            onClick={() => void settle()}
          >
            {again ? say('flags.lookAgain') : say('flags.settle')}
          </Button>
        </div>
      </div>
    </Dialog>
  )
}
