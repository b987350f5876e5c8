import { useState } from 'react'
import type { FileClaim } from '#contract/desk'
import type { Review } from '#contract/reviews'
import type { Proof } from '#contract/verification'
import type { Decision } from '#core/comparison/proposeDecision'
import { isReason } from '#core/words/reason'
import { say } from '#core/words/say'
import { Button } from '../../ui/Button'
import { Dialog } from '../../ui/Dialog'
import { LongField, SelectField } from '../../ui/Field'
import { faultAt, ProblemNote } from '../../ui/ProblemNote'
import { useAct } from '../../useAct'
import { useToast } from '../useToast'
import { useUnfinished } from '../useUnfinished'

const words: Record<Decision, { title: string; ask: string; act: string; toast: string }> = {
  confirmed: {
    title: say('proof.confirm'),
    ask: say('proof.whyIsItTheSame'),
    act: say('proof.confirm'),
    toast: say('proof.confirmed'),
  },
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
}

type Props = {
  claim: FileClaim
  proof: Proof
  /** Several where it is decided anew, and has to be chosen. */
  among: readonly Decision[]
  /** Said as one of several people, or for good after the candidate was heard. */
  review?: { of: Review; as: 'view' | 'conclusion' }
  onClose: () => void
}

/** A decision with its reason, for whoever reads it in two years. */
export function Decide({ claim, proof, among, review, onClose }: Props) {
  const [decision, setDecision] = useState<Decision>(among[0]!)
  const unfinished = useUnfinished('Claim', claim.id)
  const [typed, setNote] = useState<string>()
  // What was begun about this claim and not finished is there again.
  const note = typed ?? unfinished.left?.note ?? ''
  const deciding = useAct('decideClaim')
  const viewing = useAct('giveView')
  const concluding = useAct('concludeReview')
  const toast = useToast()
  const told = words[decision]
  const { busy, problem } = review ? (review.as === 'view' ? viewing : concluding) : deciding
  const needsReason = decision !== 'confirmed' || among.length > 1 || review?.as === 'conclusion'
  const decide = async () => {
    if (review) {
      const { of, as } = review
      const body = { version: of.version, decision, note }
      const done = await (as === 'view' ? viewing : concluding).act({ params: { id: of.id }, body })
      if (!done) return
      unfinished.forget()
      toast(say('proof.saidOf', { label: claim.label }))
      return onClose()
    }
    const done = await deciding.act({ params: { id: claim.id }, body: { version: proof.version, decision, note } })
    if (!done) return
    unfinished.forget()
    if (done.reviewId) toast(say('proof.proposedOf', { label: claim.label }), { reviewId: done.reviewId })
    else toast(`${told.toast}: ${claim.label}.`, { findingId: done.findingId ?? undefined })
    onClose()
  }
  return (
    <Dialog open onClose={onClose} title={`${among.length > 1 ? say('proof.decideAnew') : told.title}: ${claim.label}`}>
      <p className="mb-3">
        <strong>{proof.sentence.head}</strong> {proof.sentence.detail}
      </p>
      {among.length > 1 && (
        <SelectField
          label={say('proof.whatItComesTo')}
          value={decision}
          options={among.map((value) => ({ value, label: words[value].title }))}
          onChange={(event) => setDecision(event.target.value as Decision)}
        />
      )}
      {decision === 'contradicted' && review?.as !== 'conclusion' && (
        <p className="mb-3 text-ink-2">{say('proof.contradictionGoesOn')}</p>
      )}
      <LongField
        label={among.length > 1 ? say('proof.whyDecidedAnew') : told.ask}
        limit={1000}
        value={note}
        onChange={(event) => {
          setNote(event.target.value)
          unfinished.keep(event.target.value ? { note: event.target.value } : {})
        }}
        error={faultAt(problem, 'note')}
        data-first
      />
      <div className="mt-3 grid gap-2">
        <ProblemNote problem={problem?.faults ? undefined : problem} />
        <div>
          <Button
            kind={decision === 'contradicted' ? 'grave' : 'main'}
            busy={busy}
            disabled={needsReason && !isReason(note)}
            onClick={() => void decide()}
          >
            {told.act}
          </Button>
        </div>
      </div>
    </Dialog>
  )
}
