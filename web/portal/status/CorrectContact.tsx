import { useState } from 'react'
import { useDispatch } from 'react-redux'
import type { Status } from '#contract/status'
import type { Answers } from '#core/form/answer'
import { isWithdrawn } from '#core/hiring/stages'
import { say } from '#core/words/say'
import { api } from '../../api'
import { AnswerField } from '../../ui/answers/AnswerField'
import { Button } from '../../ui/Button'
import { faultAt, ProblemNote } from '../../ui/ProblemNote'
import { useAct } from '../../useAct'
import { useFreshAfterClash } from '../../useFreshAfterClash'

/** Contact details may be corrected at any time after sending; what was sent stays as it was. */
export function CorrectContact({ status }: { status: Status }) {
  const [changes, setChanges] = useState<Answers>()
  const { act, busy, problem, clear } = useAct('saveAnswers')
  const dispatch = useDispatch()
  useFreshAfterClash(problem, 'status')
  const { version, questions, answers } = status.contact
  if (!status.reference || isWithdrawn(status) || questions.length === 0) return null
  const close = () => {
    clear()
    setChanges(undefined)
  }
  const save = async (changed: Answers) => {
    if (Object.keys(changed).length > 0) {
      if (!(await act({ params: { id: status.id }, body: { version, changes: changed } }))) return
      dispatch(api.util.invalidateTags(['status', 'draft']))
    }
    close()
  }
  if (!changes)
    return (
      <p className="text-[0.93em]">
        <button type="button" onClick={() => setChanges({})} className="font-semibold text-confirmed">
          {say('status.correctHowWeCanReach')}
        </button>
      </p>
    )
  return (
    <form
      className="grid gap-3 rounded-sheet border border-line bg-sheet p-4"
      noValidate
      onSubmit={(event) => {
        event.preventDefault()
        void save(changes)
      }}
    >
      <h2 className="text-[1.2em]">{say('status.howWeCanReachYou')}</h2>
      {questions.map((question) => (
        <AnswerField
          key={question.key}
          question={question}
          value={changes[question.key] ?? answers[question.key] ?? ''}
          onChange={(value) => setChanges((before) => ({ ...before, [question.key]: value }))}
          error={faultAt(problem, question.key)}
        />
      ))}
      <ProblemNote problem={problem?.faults ? undefined : problem} />
      <div className="flex gap-3">
        <Button kind="main" type="submit" busy={busy}>
          {say('status.save')}
        </Button>
        <Button kind="quiet" onClick={close}>
          {say('status.cancel')}
        </Button>
      </div>
    </form>
  )
}
