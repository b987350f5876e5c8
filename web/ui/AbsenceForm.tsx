import { useState } from 'react'
import { say } from '#core/words/say'
import type { Problem } from '../api'
import { Button } from './Button'
import { DateField } from './DateField'
import { SelectField } from './Field'
import { faultAt, ProblemNote } from './ProblemNote'

export type Absence = { from: string; through: string; standInId: string | null }

type Props = {
  absence: Absence | null
  standIns: readonly { id: string; name: string }[]
  busy: boolean
  problem: Problem | undefined
  onSave: (absence: Absence | null) => void
}

/** When somebody is away, and who sees their files among their own meanwhile. */
export function AbsenceForm({ absence, standIns, busy, problem, onSave }: Props) {
  const [from, setFrom] = useState(absence?.from ?? '')
  const [through, setThrough] = useState(absence?.through ?? '')
  const [standIn, setStandIn] = useState(absence?.standInId ?? '')
  return (
    <div className="grid gap-3">
      <div className="grid gap-3 sm:grid-cols-3">
        <DateField
          label={say('absence.awayFrom')}
          value={from}
          onChange={setFrom}
          error={faultAt(problem, 'from') ?? faultAt(problem, 'absence')}
        />
        <DateField
          label={say('absence.awayThrough')}
          value={through}
          onChange={setThrough}
          error={faultAt(problem, 'through')}
        />
        <SelectField
          label={say('absence.whoStandsIn')}
          empty={say('absence.nobody')}
          options={standIns.map(({ id, name }) => ({ value: id, label: name }))}
          value={standIn}
          onChange={(event) => setStandIn(event.target.value)}
          error={faultAt(problem, 'standInId')}
        />
      </div>
      <ProblemNote problem={problem?.faults ? undefined : problem} />
      <div className="flex gap-2">
        <Button
          busy={busy}
          disabled={from === '' || through === ''}
          onClick={() => onSave({ from, through, standInId: standIn || null })}
        >
          {say('absence.saveAbsence')}
        </Button>
        {absence && (
          <Button kind="quiet" busy={busy} onClick={() => onSave(null)}>
            {say('absence.notAway')}
          </Button>
        )}
      </div>
    </div>
  )
}
