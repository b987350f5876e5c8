import { useState } from 'react'
import type { Status } from '#contract/applications'
import { writeWhen } from '#core/dates/write'
import { Button } from '../../ui/Button'
import { Dialog } from '../../ui/Dialog'
import { ProblemNote } from '../../ui/ProblemNote'
import { writeMoney } from '../../ui/write'
import { useAct } from '../../useAct'

/** The offer, and its answer. Declining is confirmed with what follows from it. */
export function OfferCard({ id, title, offer }: { id: string; title: string; offer: NonNullable<Status['offer']> }) {
  const { act, busy, problem } = useAct('answerOffer')
  const [declining, setDeclining] = useState(false)
  const answer = (given: 'accepted' | 'declined') => act({ params: { id }, body: { answer: given } })
  return (
    <div>
      <dl className="mb-3 grid grid-cols-[auto_1fr] gap-x-5 gap-y-1">
        <dt className="text-ink-2">Post</dt>
        <dd className="font-semibold">{title}</dd>
        <dt className="text-ink-2">Pay</dt>
        <dd className="font-semibold">{writeMoney(offer.salary)} a year</dd>
        <dt className="text-ink-2">First day</dt>
        <dd className="font-semibold">{writeWhen(offer.startsOn)}</dd>
        <dt className="text-ink-2">Answer by</dt>
        <dd className="font-semibold">{writeWhen(offer.answerBy)}</dd>
      </dl>
      <ProblemNote problem={problem} />
      <div className="mt-2 flex gap-3">
        <Button kind="main" busy={busy} onClick={() => void answer('accepted')}>
          Accept the offer
        </Button>
        <Button kind="quiet" onClick={() => setDeclining(true)}>
          Decline
        </Button>
      </div>
      <Dialog
        open={declining}
        onClose={() => setDeclining(false)}
        title="Decline this offer?"
        description="The application ends with that. You can apply for other posts with everything that was confirmed."
      >
        <Button kind="grave" busy={busy} onClick={() => void answer('declined')}>
          Decline the offer
        </Button>
      </Dialog>
    </div>
  )
}
