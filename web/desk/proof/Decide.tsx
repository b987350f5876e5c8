import { useState } from 'react'
import type { File } from '#contract/desk'
import { Button } from '../../ui/Button'
import { Dialog } from '../../ui/Dialog'
import { LongField } from '../../ui/Field'
import { faultAt, ProblemNote } from '../../ui/ProblemNote'
import { useAct } from '../../useAct'
import { useToast } from '../useToast'

const words = {
  'confirmed with a note': {
    title: 'Confirm with a note',
    ask: 'Why is it the same, in spite of the difference?',
    act: 'Confirm',
    toast: 'Confirmed with a note',
  },
  contradicted: {
    title: 'Record a contradiction',
    ask: 'What contradicts it?',
    act: 'Record contradiction',
    toast: 'Contradiction recorded',
  },
  unconfirmable: {
    title: 'Cannot be confirmed',
    ask: 'What was tried, and why can nobody confirm it?',
    act: 'Record',
    toast: 'Recorded as unconfirmable',
  },
} as const

/** A decision that needs a reason, for whoever reads it in two years. */
export function Decide({
  claim,
  decision,
  onClose,
}: {
  claim: File['claims'][number]
  decision: keyof typeof words
  onClose: () => void
}) {
  const [note, setNote] = useState('')
  const { act, busy, problem } = useAct('decideClaim')
  const toast = useToast()
  const say = words[decision]
  const decide = async () => {
    const done = await act({ params: { id: claim.id }, body: { version: claim.version, decision, note } })
    if (!done) return
    toast(`${say.toast}: ${claim.label}.`, { findingId: done.findingId })
    onClose()
  }
  return (
    <Dialog open onClose={onClose} title={`${say.title}: ${claim.label}`}>
      <p className="mb-3">
        <strong>{claim.proof.sentence.head}</strong> {claim.proof.sentence.detail}
      </p>
      <LongField
        label={say.ask}
        limit={1000}
        value={note}
        onChange={(event) => setNote(event.target.value)}
        error={faultAt(problem, 'note')}
        data-first
      />
      <div className="mt-3 grid gap-2">
        <ProblemNote problem={problem?.faults ? undefined : problem} />
        <div>
          <Button
            kind={decision === 'contradicted' ? 'grave' : 'main'}
            busy={busy}
            disabled={note.trim().length < 3}
            onClick={() => void decide()}
          >
            {say.act}
          </Button>
        </div>
      </div>
    </Dialog>
  )
}
