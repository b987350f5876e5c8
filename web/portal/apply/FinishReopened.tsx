import { useNavigate } from 'react-router'
import type { Draft, ReopenedPart } from '#contract/applications'
import { writeWhen } from '#core/dates/write'
import { say } from '#core/words/say'
import { Button } from '../../ui/Button'
import { ProblemNote } from '../../ui/ProblemNote'
import { useAct } from '../../useAct'
import type { Autosave } from './useAutosave'

type Props = { draft: Draft; part: ReopenedPart; autosave: Autosave }

/** Why something is open again, until when, and the act that gives it back. */
export function FinishReopened({ draft, part, autosave }: Props) {
  const { act, busy, problem } = useAct('finishReopened')
  const navigate = useNavigate()
  const finish = async () => {
    if (await act({ params: { id: draft.id, reopening: part.id } })) navigate(`/applications/${draft.id}`)
  }
  return (
    <div className="mt-4 max-w-[720px] rounded-sheet border border-soon/60 bg-soon-wash px-4 py-3">
      <p className="font-semibold">{part.title}</p>
      <p className="mb-2 text-soon-ink">
        {part.reason} {say('apply.pleaseDoSoBy', { day: writeWhen(part.dueOn) })}
      </p>
      <ProblemNote problem={problem} />
      <Button kind="main" busy={busy} disabled={autosave.version === undefined} onClick={() => void finish()}>
        {say('apply.thisIsDone')}
      </Button>
    </div>
  )
}
