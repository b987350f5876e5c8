import { useState } from 'react'
import type { File } from '#contract/desk'
import { writeWhen } from '#core/dates/write'
import { isReason } from '#core/words/reason'
import { say } from '#core/words/say'
import { Button } from '../../ui/Button'
import { DateField } from '../../ui/DateField'
import { Dialog } from '../../ui/Dialog'
import { LongField } from '../../ui/Field'
import { faultAt, ProblemNote } from '../../ui/ProblemNote'
import { useAct } from '../../useAct'
import { useToast } from '../useToast'

/** Another target start for one application; what is judged by it follows. */
export function ChangeStart({ file, onClose }: { file: File; onClose: () => void }) {
  const { act, busy, problem } = useAct('changeStart')
  const toast = useToast()
  const [targetStart, setTargetStart] = useState(file.targetStart)
  const [reason, setReason] = useState('')
  const change = async () => {
    const done = await act({ params: { id: file.id }, body: { version: file.version, targetStart, reason } })
    if (!done) return
    toast(say('file.theTargetStartIsNow', { targetStart: writeWhen(targetStart) }))
    onClose()
  }
  return (
    <Dialog
      open
      onClose={onClose}
      title={say('file.anotherFirstDayFor', { name: file.candidate.name })}
      description={say('file.validityAndSlackAreJudged')}
    >
      <div className="grid gap-3">
        <DateField
          label={say('file.targetStart')}
          value={targetStart}
          onChange={setTargetStart}
          error={faultAt(problem, 'targetStart')}
        />
        <LongField
          label={say('file.whyTheyReadThis')}
          limit={1000}
          value={reason}
          onChange={(event) => setReason(event.target.value)}
          error={faultAt(problem, 'reason')}
        />
        <ProblemNote problem={problem?.faults ? undefined : problem} />
        <div className="flex gap-2">
          <Button
            kind="main"
            busy={busy}
            disabled={!isReason(reason) || targetStart === '' || targetStart === file.targetStart}
            onClick={() => void change()}
          >
            {say('file.changeTheStart')}
          </Button>
          <Button kind="quiet" onClick={onClose}>
            {say('file.cancel')}
          </Button>
        </div>
      </div>
    </Dialog>
  )
}
