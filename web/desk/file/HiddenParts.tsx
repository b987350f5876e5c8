import { useState } from 'react'
import type { File } from '#contract/desk'
import { Button, Key } from '../../ui/Button'
import { Dialog } from '../../ui/Dialog'
import { Choice, LongField } from '../../ui/Field'
import { faultAt, ProblemNote } from '../../ui/ProblemNote'
import { useAct } from '../../useAct'
import { useKeys } from '../useKeys'
import { useTold } from '../useTold'

/** What is hidden from the reader's role, and the way to have it shown. */
export function HiddenParts({ file }: { file: File }) {
  const [asking, setAsking] = useState(false)
  const revealable = file.hidden.filter(({ mayReveal }) => mayReveal)
  useKeys({ h: revealable.length > 0 ? () => setAsking(true) : undefined })
  if (file.hidden.length === 0) return null
  return (
    <p className="mt-1 text-[12.5px] text-ink-2">
      Hidden: {file.hidden.map(({ label }) => label).join('; ')}.{' '}
      {revealable.length > 0 && (
        <button type="button" className="font-semibold text-confirmed" onClick={() => setAsking(true)}>
          Have it shown <Key letter="H" />
        </button>
      )}
      {asking && <AskToSee file={file} parts={revealable} onClose={() => setAsking(false)} />}
    </p>
  )
}

function AskToSee({ file, parts, onClose }: { file: File; parts: File['hidden']; onClose: () => void }) {
  const [subject, setSubject] = useState(parts[0]!.subject)
  const [reason, setReason] = useState('')
  const { act, busy, problem } = useAct('reveal')
  const told = useTold()
  const show = async () => {
    if (!(await act({ params: { id: file.id }, body: { subject, reason } }))) return
    told('Shown to you for a quarter of an hour. Your reason is on record.')
    onClose()
  }
  return (
    <Dialog
      open
      onClose={onClose}
      title="Have something hidden shown"
      description="To you alone, for a quarter of an hour. That you have seen it, when and why, stays on the person’s record, and they can read it."
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
          label="What"
          name="subject"
          inline={false}
          value={subject}
          onChange={setSubject}
          options={parts.map((part) => ({ value: part.subject, label: part.label }))}
        />
        <LongField
          label="Why do you need it?"
          value={reason}
          limit={500}
          data-first
          onChange={(event) => setReason(event.target.value)}
          error={faultAt(problem, 'reason')}
        />
        <ProblemNote problem={problem?.faults ? undefined : problem} />
        <div className="flex gap-2">
          <Button kind="main" type="submit" busy={busy} disabled={reason.trim().length < 3}>
            Show it
          </Button>
          <Button kind="quiet" onClick={onClose}>
            Cancel
          </Button>
        </div>
      </form>
    </Dialog>
  )
}
