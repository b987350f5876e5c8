import { useState } from 'react'
import type { File } from '#contract/desk'
import { isReason } from '#core/words/reason'
import { say } from '#core/words/say'
import { Button, Key } from '../../ui/Button'
import { Dialog } from '../../ui/Dialog'
import { Choice, LongField } from '../../ui/Field'
import { faultAt, ProblemNote } from '../../ui/ProblemNote'
import { useAct } from '../../useAct'
import { useKeys } from '../useKeys'
import { useToast } from '../useToast'

type Props = { applicationId: string; hidden: File['hidden']; letter?: string }

/** What is hidden from the reader's role, and the way to have it shown; `letter` is its key, where it has one. */
export function HiddenParts({ applicationId, hidden, letter }: Props) {
  const [asking, setAsking] = useState(false)
  const revealable = hidden.filter(({ mayReveal }) => mayReveal)
  useKeys(letter && revealable.length > 0 ? { [letter.toLowerCase()]: () => setAsking(true) } : {})
  if (hidden.length === 0) return null
  return (
    <p className="mt-1 text-[0.8333rem] text-ink-2">
      {say('file.hidden')} {hidden.map(({ label }) => label).join('; ')}.{' '}
      {revealable.length > 0 && (
        <button type="button" className="font-semibold text-confirmed" onClick={() => setAsking(true)}>
          {say('file.haveItShown')} {letter && <Key letter={letter} />}
        </button>
      )}
      {asking && <AskToSee applicationId={applicationId} parts={revealable} onClose={() => setAsking(false)} />}
    </p>
  )
}

type Asking = { applicationId: string; parts: File['hidden']; onClose: () => void }

function AskToSee({ applicationId, parts, onClose }: Asking) {
  const [subject, setSubject] = useState(parts[0]!.subject)
  const [reason, setReason] = useState('')
  const { act, busy, problem } = useAct('reveal')
  const toast = useToast()
  const show = async () => {
    if (!(await act({ params: { id: applicationId }, body: { subject, reason } }))) return
    toast(say('file.shownToYouForA'))
    onClose()
  }
  return (
    <Dialog
      open
      onClose={onClose}
      title={say('file.haveSomethingHiddenShown')}
      description={say('file.toYouAloneForA')}
    >
      <form
        className="grid gap-3"
        noValidate
        onSubmit={(event) => {
          event.preventDefault()
          void show()
        }}
      >
        <Choice
          label={say('file.what')}
          name="subject"
          inline={false}
          value={subject}
          onChange={setSubject}
          options={parts.map((part) => ({ value: part.subject, label: part.label }))}
        />
        <LongField
          label={say('file.whyDoYouNeedIt')}
          value={reason}
          limit={500}
          data-first
          onChange={(event) => setReason(event.target.value)}
          error={faultAt(problem, 'reason')}
        />
        <ProblemNote problem={problem?.faults ? undefined : problem} />
        <div className="flex gap-2">
          <Button kind="main" type="submit" busy={busy} disabled={!isReason(reason)}>
            {say('file.showIt')}
          </Button>
          <Button kind="quiet" onClick={onClose}>
            {say('file.cancel')}
          </Button>
        </div>
      </form>
    </Dialog>
  )
}
