import { useState } from 'react'
import type { Status } from '#contract/status'
import { writeWhen } from '#core/dates/write'
import { say } from '#core/words/say'
import { Button } from '../../ui/Button'
import { Dialog } from '../../ui/Dialog'
import { ProblemNote } from '../../ui/ProblemNote'
import { writeMoney } from '../../ui/write'
import { useAct } from '../../useAct'
import { useCurrency } from '../../useCurrency'

/** The offer, and its answer. Declining is confirmed with what follows from it. */
export function OfferCard({ id, title, offer }: { id: string; title: string; offer: NonNullable<Status['offer']> }) {
  const currency = useCurrency()
  const { act, busy, problem } = useAct('answerOffer')
  const [declining, setDeclining] = useState(false)
  const answer = (given: 'accepted' | 'declined') => act({ params: { id }, body: { answer: given } })
  return (
    <div>
      <dl className="mb-3 grid grid-cols-[auto_1fr] gap-x-5 gap-y-1">
        <dt className="text-ink-2">{say('status.post')}</dt>
        <dd className="font-semibold">{title}</dd>
        <dt className="text-ink-2">{say('status.pay')}</dt>
        <dd className="font-semibold">{say('status.aYear', { salary: writeMoney(offer.salary, currency) })}</dd>
        <dt className="text-ink-2">{say('status.firstDay')}</dt>
        <dd className="font-semibold">{writeWhen(offer.startsOn)}</dd>
        <dt className="text-ink-2">{say('status.answerBy')}</dt>
        <dd className="font-semibold">{writeWhen(offer.answerBy)}</dd>
      </dl>
      <ProblemNote problem={problem} />
      <div className="mt-2 flex gap-3">
        <Button kind="main" busy={busy} onClick={() => void answer('accepted')}>
          {say('status.acceptTheOffer')}
        </Button>
        <Button kind="quiet" onClick={() => setDeclining(true)}>
          {say('status.decline')}
        </Button>
      </div>
      <Dialog
        open={declining}
        onClose={() => setDeclining(false)}
        title={say('status.declineThisOffer')}
        description={say('status.theApplicationEndsWithThat')}
      >
        <Button kind="grave" busy={busy} onClick={() => void answer('declined')}>
          {say('status.declineTheOffer')}
        </Button>
      </Dialog>
    </div>
  )
}
