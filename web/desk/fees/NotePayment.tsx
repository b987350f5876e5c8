import { useState } from 'react'
import { amountInDigits, readAmount } from '#core/money/currency'
import { say } from '#core/words/say'
import type { Problem } from '../../api'
import { Button } from '../../ui/Button'
import { DateField } from '../../ui/DateField'
import { Dialog } from '../../ui/Dialog'
import { TextField } from '../../ui/Field'
import { faultAt, ProblemNote } from '../../ui/ProblemNote'

type Props = {
  title: string
  currency: string
  /** What is most likely, in minor units. */
  amount: number
  today: string
  busy: boolean
  problem: Problem | undefined
  onNote: (noted: { amount: number; receivedOn: string; note: string }) => void
  onClose: () => void
}

/** Notes a payment that was made otherwise: how much, when, and where it is found. */
export function NotePayment({ title, currency, amount: likely, today, busy, problem, onNote, onClose }: Props) {
  const [amount, setAmount] = useState(amountInDigits(likely, currency))
  const [receivedOn, setReceivedOn] = useState(today)
  const [note, setNote] = useState('')
  const read = readAmount(amount, currency)
  return (
    <Dialog open onClose={onClose} title={title}>
      <div className="grid gap-3">
        <TextField
          label={`${say('fees.document.amount')}, ${currency}`}
          inputMode="decimal"
          value={amount}
          onChange={({ target }) => setAmount(target.value)}
          error={faultAt(problem, 'amount')}
          data-first
        />
        <DateField
          label={say('fees.receivedOn')}
          value={receivedOn}
          onChange={setReceivedOn}
          error={faultAt(problem, 'receivedOn')}
        />
        <TextField
          label={say('fees.whereItIsFound')}
          value={note}
          maxLength={200}
          onChange={({ target }) => setNote(target.value)}
          error={faultAt(problem, 'note')}
        />
        <ProblemNote problem={problem?.faults ? undefined : problem} />
        <Button
          kind="main"
          busy={busy}
          disabled={!read || !/^\d{4}-\d{2}-\d{2}$/.test(receivedOn)}
          onClick={() => onNote({ amount: read!, receivedOn, note })}
          className="justify-self-start"
        >
          {say('fees.noteIt')}
        </Button>
      </div>
    </Dialog>
  )
}
