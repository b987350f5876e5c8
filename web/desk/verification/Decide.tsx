import { useState } from 'react'
import type { FileClaim } from '#contract/desk'
import type { Proof } from '#contract/verification'
import { isReason } from '#core/words/reason'
import { say } from '#core/words/say'
import { Button } from '../../ui/Button'
import { Dialog } from '../../ui/Dialog'
import { LongField } from '../../ui/Field'
import { faultAt, ProblemNote } from '../../ui/ProblemNote'
import { useAct } from '../../useAct'
import { useToast } from '../useToast'

const words = {
  'confirmed with a note': {
    title: say('proof.confirmWithANote'),
    ask: say('proof.whyIsItTheSame'),
    act: say('proof.confirm'),
    toast: say('proof.confirmedWithANote'),
  },
  contradicted: {
    title: say('proof.recordAContradiction'),
    ask: say('proof.whatContradictsIt'),
    act: say('proof.recordContradiction'),
    toast: say('proof.contradictionRecorded'),
  },
  unconfirmable: {
    title: say('proof.cannotBeConfirmed'),
    ask: say('proof.whatWasTriedAndWhy'),
    act: say('proof.record'),
    toast: say('proof.recordedAsUnconfirmable'),
  },
} as const

/** A decision that needs a reason, for whoever reads it in two years. */
export function Decide({
  claim,
  proof,
  decision,
  onClose,
}: {
  claim: FileClaim
  proof: Proof
  decision: keyof typeof words
  onClose: () => void
}) {
  const [note, setNote] = useState('')
  const { act, busy, problem } = useAct('decideClaim')
  const toast = useToast()
  const say = words[decision]
  const decide = async () => {
    const done = await act({ params: { id: claim.id }, body: { version: proof.version, decision, note } })
    if (!done) return
    toast(`${say.toast}: ${claim.label}.`, { findingId: done.findingId })
    onClose()
  }
  return (
    <Dialog open onClose={onClose} title={`${say.title}: ${claim.label}`}>
      <p className="mb-3">
        <strong>{proof.sentence.head}</strong> {proof.sentence.detail}
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
            disabled={!isReason(note)}
            onClick={() => void decide()}
          >
            {say.act}
          </Button>
        </div>
      </div>
    </Dialog>
  )
}
