import { useState } from 'react'
import { say } from '#core/words/say'
import { Button } from '../../ui/Button'
import { TextField } from '../../ui/Field'
import { faultAt, ProblemNote } from '../../ui/ProblemNote'
import { useAct } from '../../useAct'
import type { AtDesk } from './atDesk'
import { Stated } from './Stated'

/** What somebody has heard on the telephone, for a second person who says that it is so, or has it heard again. */
export function SecondPerson({ enquiry }: { enquiry: AtDesk }) {
  const { row, answer, second, version, steps } = enquiry
  const { act, busy, problem } = useAct('checkReply')
  const [note, setNote] = useState('')
  const check = (right: boolean) => void act({ params: { id: row.id }, body: { version, right, note } })
  const call = steps.findLast(({ step }) => step === 'called')
  if (!answer || !second) return null
  return (
    <div className="rounded-sheet border border-line p-3">
      <h2 className="text-[1.1em]">{say('enquiries.heardBy', { by: second.by })}</h2>
      {call && <p className="mb-2 text-ink-2">{call.note}</p>}
      <Stated enquiry={enquiry} />
      <ProblemNote problem={problem} />
      {second.mayCheck ? (
        <div className="mt-3 grid gap-2">
          <TextField
            label={say('enquiries.whatIsNotRight')}
            optional
            value={note}
            onChange={(event) => setNote(event.target.value)}
            error={faultAt(problem, 'note')}
          />
          <div className="flex gap-2">
            <Button kind="main" busy={busy} onClick={() => check(true)}>
              {say('enquiries.soItIs')}
            </Button>
            <Button busy={busy} onClick={() => check(false)}>
              {say('enquiries.hearAgain')}
            </Button>
          </div>
        </div>
      ) : (
        <p className="mt-3 text-ink-2">{say('enquiries.somebodyElseChecks')}</p>
      )}
    </div>
  )
}
