import { useState } from 'react'
import type { File } from '#contract/desk'
import { say } from '#core/words/say'
import { Button } from '../../ui/Button'
import { DateField } from '../../ui/DateField'
import { TextField } from '../../ui/Field'
import { faultAt, ProblemNote } from '../../ui/ProblemNote'
import { useAct } from '../../useAct'
import { useSession } from '../../useSession'
import { useToast } from '../useToast'

/** Puts on record that a fee has arrived. */
export function RecordFee({ file, requirement, title }: { file: File; requirement: string; title: string }) {
  const { may } = useSession()
  const { act, busy, problem } = useAct('recordFee')
  const [receivedOn, setReceivedOn] = useState(file.today)
  const [note, setNote] = useState('')
  const toast = useToast()
  if (!may('recordFee')) return null
  const record = async () => {
    const done = await act({ params: { id: file.id, requirement }, body: { receivedOn, note } })
    if (done) toast(say('proof.receivedTitle', { title }))
  }
  return (
    <div className="mt-3 grid gap-2">
      <DateField
        label={say('proof.receivedOn')}
        value={receivedOn}
        onChange={setReceivedOn}
        error={faultAt(problem, 'receivedOn')}
      />
      <TextField
        label={say('proof.whereItCanBeFound')}
        value={note}
        maxLength={200}
        onChange={(event) => setNote(event.target.value)}
      />
      <ProblemNote problem={problem?.faults ? undefined : problem} />
      <Button
        kind="main"
        busy={busy}
        disabled={!/^\d{4}-\d{2}-\d{2}$/.test(receivedOn)}
        onClick={() => void record()}
        className="justify-self-start"
      >
        {say('proof.recordItAsReceived')}
      </Button>
    </div>
  )
}
