import { useState } from 'react'
import type { DeskVacancy } from '#contract/vacancySetUp'
import { isReason } from '#core/words/reason'
import { say } from '#core/words/say'
import { Button } from '../../ui/Button'
import { DateField } from '../../ui/DateField'
import { LongField } from '../../ui/Field'
import { faultAt, ProblemNote } from '../../ui/ProblemNote'
import { useAct } from '../../useAct'

/** The day by which everybody who applies is promised a decision. Moving it tells those who wait, so it is no field that saves itself. */
export function DecisionDay({ vacancy }: { vacancy: DeskVacancy }) {
  const { id, version, decidesOn, waiting } = vacancy
  const [day, setDay] = useState(decidesOn ?? '')
  const [reason, setReason] = useState('')
  const { act, busy, problem } = useAct('setDecisionDay')
  const moves = decidesOn !== null && waiting > 0
  const changed = /^\d{4}-\d{2}-\d{2}$/.test(day) && day !== decidesOn
  const set = async (next: string | null) => {
    const done = await act({ params: { id }, body: { version, day: next, reason } })
    if (done && next === null) setDay('')
    if (done) setReason('')
  }
  return (
    <div className="grid content-start gap-2">
      <DateField
        label={say('composer.decisionDay')}
        help={say('composer.decisionDayMeans')}
        value={day}
        optional
        onChange={setDay}
        error={faultAt(problem, 'day')}
      />
      {changed && moves && (
        <LongField
          label={say('composer.whyMoved')}
          rows={2}
          limit={500}
          value={reason}
          onChange={(event) => setReason(event.target.value)}
          error={faultAt(problem, 'reason')}
        />
      )}
      <div className="flex gap-2">
        {changed && (
          <Button kind="main" busy={busy} disabled={moves && !isReason(reason)} onClick={() => void set(day)}>
            {moves ? say('composer.moveAndTell', { count: waiting }) : say('composer.promiseIt')}
          </Button>
        )}
        {decidesOn !== null && waiting === 0 && !changed && (
          <Button busy={busy} onClick={() => void set(null)}>
            {say('composer.promiseNone')}
          </Button>
        )}
      </div>
      <ProblemNote problem={problem?.faults ? undefined : problem} />
    </div>
  )
}
