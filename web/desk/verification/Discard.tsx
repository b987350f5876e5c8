import { useState } from 'react'
import type { FileClaim } from '#contract/desk'
import { isReason } from '#core/words/reason'
import { say } from '#core/words/say'
import { Button } from '../../ui/Button'
import { LongField } from '../../ui/Field'
import { ProblemNote } from '../../ui/ProblemNote'
import { useAct } from '../../useAct'
import { useFreshAfterClash } from '../../useFreshAfterClash'
import { useToast } from '../useToast'

type Props = { document: FileClaim['documents'][number]; onClose: () => void; onDone: () => void }

/** A paper that should not be here goes for good, with a reason its candidate reads. */
export function Discard({ document: { id, version }, onClose, onDone }: Props) {
  const [reason, setReason] = useState('')
  const { act, busy, problem } = useAct('discardDocument')
  useFreshAfterClash(problem, 'desk')
  const toast = useToast()
  const discard = async () => {
    if (!(await act({ params: { id }, body: { version, reason } }))) return
    toast(say('proof.discarded'))
    onDone()
  }
  return (
    <>
      <p className="font-semibold text-contradicted">{say('proof.discardMeans')}</p>
      <LongField
        label={say('proof.whyNotHere')}
        help={say('proof.whyNotHereFor')}
        limit={1000}
        value={reason}
        onChange={(event) => setReason(event.target.value)}
      />
      <ProblemNote problem={problem} />
      <div className="flex gap-2">
        <Button kind="grave" busy={busy} disabled={!isReason(reason)} onClick={() => void discard()}>
          {say('proof.eraseIt')}
        </Button>
        <Button kind="quiet" onClick={onClose}>
          {say('proof.cancel')}
        </Button>
      </div>
    </>
  )
}
