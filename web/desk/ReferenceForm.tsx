import { useState } from 'react'
import type { Problem } from '../api'
import { Button } from '../ui/Button'
import { TextField } from '../ui/Field'
import { faultAt, ProblemNote } from '../ui/ProblemNote'

type Props = {
  label: string
  /** How references look, as an example. */
  example: string
  button: string
  busy: boolean
  problem: Problem | undefined
  onPut: (reference: string) => Promise<void>
}

/** Puts something where it belongs, by a reference that is typed. */
export function ReferenceForm({ label, example, button, busy, problem, onPut }: Props) {
  const [reference, setReference] = useState('')
  return (
    <form
      className="grid gap-2"
      noValidate
      onSubmit={(event) => {
        event.preventDefault()
        void onPut(reference)
      }}
    >
      <TextField
        label={label}
        placeholder={example}
        value={reference}
        error={faultAt(problem, 'reference')}
        onChange={(event) => setReference(event.target.value)}
      />
      <ProblemNote problem={problem?.faults ? undefined : problem} />
      <div>
        <Button type="submit" busy={busy} disabled={reference.trim() === ''}>
          {button}
        </Button>
      </div>
    </form>
  )
}
