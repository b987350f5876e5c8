import { useState } from 'react'
import type { File } from '#contract/desk'
import { isReason } from '#core/words/reason'
import { say } from '#core/words/say'
import { Button } from '../../ui/Button'
import { Dialog } from '../../ui/Dialog'
import { LongField } from '../../ui/Field'
import { faultAt, ProblemNote } from '../../ui/ProblemNote'
import { useAct } from '../../useAct'
import { useToast } from '../useToast'

/** Somebody who was turned down goes on where they stood, for a reason that stays on record. */
export function TakeUpAgain({ file, onClose }: { file: File; onClose: () => void }) {
  const { act, busy, problem } = useAct('takeUpAgain')
  const toast = useToast()
  const [reason, setReason] = useState('')
  const take = async () => {
    if (!(await act({ params: { id: file.id }, body: { reason } }))) return
    toast(say('file.isTakenUpAgain', { name: file.candidate.name }))
    onClose()
  }
  return (
    <Dialog
      open
      onClose={onClose}
      title={say('file.takeUpAgain2', { name: file.candidate.name })}
      description={say('file.theyGoOnWhereThey')}
    >
      <form
        className="grid gap-3"
        noValidate
        onSubmit={(event) => {
          event.preventDefault()
          void take()
        }}
      >
        <LongField
          label={say('file.whyThisStaysOnRecord')}
          value={reason}
          limit={500}
          data-first
          onChange={(event) => setReason(event.target.value)}
          error={faultAt(problem, 'reason')}
        />
        <ProblemNote problem={problem?.faults ? undefined : problem} />
        <div className="flex gap-2">
          <Button kind="main" type="submit" busy={busy} disabled={!isReason(reason)}>
            {say('file.takeThemUpAgain')}
          </Button>
          <Button kind="quiet" onClick={onClose}>
            {say('file.cancel')}
          </Button>
        </div>
      </form>
    </Dialog>
  )
}
